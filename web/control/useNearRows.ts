import { useVirtualizer } from '@tanstack/vue-virtual';
import {
  computed,
  nextTick,
  onMounted,
  ref,
  useTemplateRef,
  watch,
  type ComponentPublicInstance,
  type CSSProperties,
} from 'vue';

interface NearRows<T> {
  /** All rows, and what tells each from the others. */
  rows: () => readonly T[];
  keyOf: (row: T) => string;
  /** Height of a row before it has been seen, px. */
  estimate: () => number;
  /** Rows kept beyond the window on either side. */
  beyond: number;
}

/**
 * The rows of a long list in the workbench that are near the window; only those are there. What stands
 * above the list may grow or shrink. The list itself carries `ref="list"` in the template.
 */
export function useNearRows<T>({ rows, keyOf, estimate, beyond }: NearRows<T>) {
  const list = useTemplateRef<HTMLElement>('list');
  const scroller = ref<HTMLElement | null>(null);
  const margin = ref(0);

  const virtualizer = useVirtualizer(
    computed(() => ({
      count: rows().length,
      getScrollElement: () => scroller.value,
      estimateSize: estimate,
      getItemKey: (index: number) => {
        const row = rows()[index];
        return row === undefined ? index : keyOf(row);
      },
      overscan: beyond,
      scrollMargin: margin.value,
    })),
  );

  const near = computed(() =>
    virtualizer.value.getVirtualItems().flatMap(({ index, start }) => {
      const row = rows()[index];
      const place: CSSProperties = { transform: `translateY(${start - margin.value}px)` };
      return row === undefined ? [] : [{ row, index, place }];
    }),
  );
  const height = computed(() => `${virtualizer.value.getTotalSize()}px`);

  const measureRow = (node: Element | ComponentPublicInstance | null): void => {
    if (node instanceof Element) virtualizer.value.measureElement(node);
  };

  function place(): void {
    scroller.value = list.value?.closest<HTMLElement>('.workbench') ?? null;
    margin.value = list.value?.offsetTop ?? 0;
  }
  onMounted(place);
  watch(rows, () => void nextTick(place));

  return {
    near,
    height,
    measureRow,
    /** Forgets the heights seen, when what is set in the rows has changed. */
    measureAnew: () => void nextTick(() => virtualizer.value.measure()),
    scrollTo: (index: number) => virtualizer.value.scrollToIndex(index, { align: 'start' }),
  };
}
