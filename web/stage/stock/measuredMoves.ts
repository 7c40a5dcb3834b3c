import { measuredMoves as say } from './words';
import { previewOf } from '@lettera/core/change';
import type { Patch, ProjectDocument } from '@lettera/core/document';
import type { MovedText, Stock } from '@lettera/core/stock';
import { computed, onBeforeUnmount, shallowRef, watch, type ComputedRef } from 'vue';
import { debounce } from '../../control/debounce';
import { useFontUrl } from '../../proof/fontUrl';
import { measureMoves } from '../../proof/measureMoves';
import { useUnseenPages, type UnseenPages } from '../../proof/unseenPages';
import { Stopped } from '../../reader/breathe';
import { useFallbacks } from '../../store/fallbacks';
import { usePlans } from '../../store/plans';

/** How long a change has to rest before pages are laid out for it, milliseconds. */
const REST = 400;

/**
 * What a change to the project moves on the pages of a site, measured once it rests: every page is laid out as it
 * is and as it would be, with the sheets of the site and Lettera's in the place that is chosen. The component has an
 * `UnseenPage` with the template ref `unseen`, the `source`, and `onLoad` at its load.
 *
 * @param site the texts, and the keys of their pages in the order of the stock
 * @param change null where there is nothing to be measured
 */
export function useMeasuredMoves(
  site: () => { stock: Stock; slugs: readonly string[] },
  change: () => { document: ProjectDocument | null; patch: Patch | null },
): Pick<UnseenPages, 'source' | 'onLoad' | 'progress' | 'failed'> & {
  /** By the number of the text; null until it is measured. */
  moved: ComputedRef<ReadonlyMap<number, MovedText> | null>;
  stop(): void;
} {
  const plans = usePlans();
  const fallbacks = useFallbacks();
  const fontUrl = useFontUrl();
  const pages = useUnseenPages();
  const measured = shallowRef<{ patch: Patch; moved: ReadonlyMap<number, MovedText> } | null>(null);
  let run = 0;

  function stop(): void {
    run++;
    pages.stop();
  }

  async function measure(): Promise<void> {
    const mine = ++run;
    const { document, patch } = change();
    const changed = document && patch ? previewOf(document, patch) : null;
    if (!changed || !patch) return;
    const { stock, slugs } = site();
    const state = {
      fontUrl,
      document: changed,
      fallback: plans.fallbackOf(changed),
      twins: fallbacks.twins,
      fonts: 'web' as const,
      ground: 'light' as const,
    };
    const found = await pages.each(
      slugs.map((slug, i) => ({ slug, title: stock.pages[i]?.title ?? slug })),
      changed,
      async (page, _title, slug) => {
        const { narrow = 360, wide = 1280 } = stock.pages[slugs.indexOf(slug)] ?? {};
        return measureMoves(page, state, {
          widths: [narrow, wide],
          setWidth: pages.setWidth,
          stopped: () => mine !== run,
        }).catch((error: unknown) => {
          if (error instanceof Stopped) return [];
          throw error;
        });
      },
      say.whatMovesEstimatedOnly,
    );
    if (!found || mine !== run) return;
    const moved = stock.texts.flatMap((text, number): [number, MovedText][] => {
      const one = found[text.page]?.[text.element];
      return one ? [[number, one]] : [];
    });
    measured.value = { patch, moved: new Map(moved) };
  }

  const soon = debounce(() => void measure(), REST);
  watch(
    [() => change().patch, () => site().stock],
    () => {
      stop();
      soon();
    },
    { immediate: true },
  );
  onBeforeUnmount(stop);

  return {
    source: pages.source,
    onLoad: pages.onLoad,
    progress: pages.progress,
    failed: pages.failed,
    moved: computed(() =>
      measured.value && measured.value.patch === change().patch ? measured.value.moved : null,
    ),
    stop,
  };
}
