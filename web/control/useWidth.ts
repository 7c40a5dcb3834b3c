import { onBeforeUnmount, onMounted, ref, type Ref } from 'vue';

/** The width that an element has on screen, px, as it changes; a drawing in it needs no scaling then. */
export function useWidth(element: Readonly<Ref<Element | null>>, atFirst: number): Ref<number> {
  const width = ref(atFirst);
  const observer = new ResizeObserver(([entry]) => {
    if (entry && entry.contentRect.width > 0) width.value = entry.contentRect.width;
  });
  onMounted(() => element.value && observer.observe(element.value));
  onBeforeUnmount(() => observer.disconnect());
  return width;
}
