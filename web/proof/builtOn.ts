import type { Framework } from '@lettera/core/page/frameworks';
import { shallowRef, watch, type ShallowRef } from 'vue';

/** The framework that a page is built on, once that is known; null for none. */
export function useFramework(page: () => Document | null): ShallowRef<Framework | null> {
  const built = shallowRef<Framework | null>(null);
  watch(
    page,
    async (shown) => {
      built.value = null;
      if (!shown) return;
      const { frameworkOf } = await import('@lettera/core/page/frameworks');
      if (shown !== page()) return;
      built.value = frameworkOf((selector) => shown.querySelector(selector) !== null);
    },
    { immediate: true },
  );
  return built;
}
