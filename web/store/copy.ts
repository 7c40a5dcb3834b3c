import { defineStore } from 'pinia';
import { ref, watch } from 'vue';
import { urls } from '../api/client';
import { useProject } from './project';
import { readPage } from './readPage';

/** A heading and a paragraph of the project's own copy, from its first page. */
export const useCopy = defineStore('copy', () => {
  const project = useProject();
  const heading = ref('');
  const paragraph = ref('');

  async function load(): Promise<void> {
    const [first] = project.pages;
    if (!project.id || !first) return;
    const asked = project.id;
    const page = await readPage(urls.page(asked, first.slug));
    if (!page || asked !== project.id) return;
    const textOf = (selector: string) =>
      page.querySelector(selector)?.textContent?.replace(/\s+/g, ' ').trim() ?? '';
    heading.value = textOf('h1');
    paragraph.value = textOf('main > p:not(.lead)') || textOf('p');
  }

  watch(() => project.id, load, { immediate: true });

  return { heading, paragraph };
});
