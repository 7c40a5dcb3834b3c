import { useVirtualizer } from '@tanstack/vue-virtual';
import {
  computed,
  nextTick,
  onMounted,
  ref,
  watch,
  type ComponentPublicInstance,
  type Ref,
} from 'vue';

/** A row that is there: which one, where it stands in the list, and how far it is behind the one before, px. */
export interface NearRow<T> {
  row: T;
  index: number;
  start: number;
  gap: number;
}

/** The nearest element around one that can be scrolled up and down. */
function scrollerOf(node: HTMLElement | null): HTMLElement | null {
  for (let at = node?.parentElement ?? null; at; at = at.parentElement) {
    if (/auto|scroll/.test(getComputedStyle(at).overflowY)) return at;
  }
  return null;
}

/** Whether a list is what it was with others between: those that stayed stand in the order that they had. */
export function othersCame(before: readonly string[], now: readonly string[]): boolean {
  const [had, has] = [new Set(before), new Set(now)];
  const stayed = before.filter((key) => has.has(key));
  const stands = now.filter((key) => had.has(key));
  return now.length > stands.length && stayed.every((key, i) => key === stands[i]);
}

/**
 * The rows of a long list that are near the window, which alone are there. What stands above the list may grow or
 * shrink.
 *
 * @param of.list what the rows stand in
 * @param of.keyOf what tells a row from the others
 * @param of.estimate height of a row before it has been seen, px
 * @param of.beyond rows kept beyond the window on either side
 * @param of.kept indices of rows that are there wherever the window is
 */
export function useNearRows<T>(of: {
  rows: () => readonly T[];
  keyOf: (row: T) => string;
  estimate: () => number;
  beyond: () => number;
  list: Readonly<Ref<HTMLElement | null>>;
  kept?: () => readonly number[];
}) {
  const scroller = ref<HTMLElement | null>(null);
  const margin = ref(0);

  const virtualizer = useVirtualizer(
    computed(() => {
      const rows = of.rows();
      const kept = of.kept?.() ?? [];
      return {
        count: rows.length,
        getScrollElement: () => scroller.value,
        estimateSize: of.estimate,
        getItemKey: (index: number) => {
          const row = rows[index];
          return row === undefined ? index : of.keyOf(row);
        },
        overscan: of.beyond(),
        scrollMargin: margin.value,
        rangeExtractor: ({
          startIndex,
          endIndex,
          overscan,
          count,
        }: {
          startIndex: number;
          endIndex: number;
          overscan: number;
          count: number;
        }) => {
          const first = Math.max(0, startIndex - overscan);
          const last = Math.min(count - 1, endIndex + overscan);
          const near = Array.from({ length: last - first + 1 }, (_, i) => first + i);
          const far = kept.filter((index) => index >= 0 && index < count);
          return [...new Set([...near, ...far])].sort((a, b) => a - b);
        },
      };
    }),
  );

  const items = computed(() => virtualizer.value.getVirtualItems());
  const near = computed<NearRow<T>[]>(() => {
    const rows = of.rows();
    let end = margin.value;
    return items.value.flatMap(({ index, start, end: next }) => {
      const row = rows[index];
      if (row === undefined) return [];
      const gap = start - end;
      end = next;
      return [{ row, index, start: start - margin.value, gap }];
    });
  });
  const height = computed(() => virtualizer.value.getTotalSize());
  /** How far the list goes on below the last row that is there, px. */
  const after = computed(() => {
    const last = items.value.at(-1);
    return last ? Math.max(0, height.value - (last.end - margin.value)) : 0;
  });

  function settle(): void {
    const { value: list } = of.list;
    scroller.value = scrollerOf(list);
    if (!list || !scroller.value) return;
    const [own, around] = [list, scroller.value].map((one) => one.getBoundingClientRect().top);
    margin.value = Math.round((own ?? 0) - (around ?? 0) + scroller.value.scrollTop);
  }
  const startOf = (index: number): number =>
    (virtualizer.value.measurementsCache[index]?.start ?? margin.value) - margin.value;

  onMounted(settle);
  watch(of.rows, (now, before) => {
    // The row under the pointer stays there while others come in above it.
    const { value: list } = of.list;
    const pointed = list?.querySelector<HTMLElement>('[data-index]:hover');
    const row = before[Number(pointed?.dataset['index'])];
    const [top, from] = [list, pointed].map((one) => one?.getBoundingClientRect().top ?? 0);
    void nextTick(() => {
      settle();
      if (row === undefined || !othersCame(before.map(of.keyOf), now.map(of.keyOf))) return;
      const to = now.findIndex((one) => of.keyOf(one) === of.keyOf(row));
      if (to < 0 || !scroller.value) return;
      scroller.value.scrollTop += startOf(to) - ((from ?? 0) - (top ?? 0));
      // Rows that came are as high as was thought, or not: what is seen decides.
      requestAnimationFrame(() => {
        const there = list?.querySelector(`[data-index="${to}"]`)?.getBoundingClientRect().top;
        if (there !== undefined) scroller.value?.scrollBy(0, there - (from ?? 0));
      });
    });
  });

  return {
    near,
    height,
    after,
    /** Takes the height of a row that is there: the reference of its element, which says its index. */
    measureRow: (node: Element | ComponentPublicInstance | null): void => {
      if (node instanceof Element) virtualizer.value.measureElement(node);
    },
    /** Forgets the heights seen, when what is set in the rows has changed. */
    measureAnew: () => void nextTick(() => virtualizer.value.measure()),
    scrollTo: (index: number, align: 'start' | 'auto' = 'start') =>
      virtualizer.value.scrollToIndex(index, { align }),
    /** Where a row stands in the list, px, wherever the window is. */
    startOf,
  };
}
