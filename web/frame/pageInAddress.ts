import { computed, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useProject } from '../store/project';
import { useProof } from '../store/proof';

/** The page that the proof shows is part of the address, unless it is the first. */
export function usePageInAddress(): { showAsked: () => void } {
  const route = useRoute();
  const router = useRouter();
  const project = useProject();
  const proof = useProof();
  const wanted = computed(() => (proof.page === project.pages[0]?.slug ? undefined : proof.page));

  watch([wanted, () => route.fullPath, () => project.id], () => {
    const { page, ...others } = route.query;
    if (!project.id || page === wanted.value) return;
    void router.replace({ query: wanted.value ? { ...others, page: wanted.value } : others });
  });

  /** Shows the page that the address names, else the first. */
  function showAsked(): void {
    const { page: asked } = route.query;
    const page = project.pages.find(({ slug }) => slug === asked) ?? project.pages[0];
    if (page) proof.page = page.slug;
  }
  return { showAsked };
}
