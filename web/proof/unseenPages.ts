import { nextTick, ref, useTemplateRef, type Ref } from 'vue';
import type UnseenPage from './UnseenPage.vue';

/** A page takes no longer than this to come, milliseconds. */
const PATIENCE = 20_000;

/**
 * Pages that are brought into one unseen frame, one after another, to be measured. The frame is an
 * `UnseenPage` with the template ref `unseen`, the `source`, and `onLoad` at its load.
 */
export interface UnseenPages {
  /** Address of the page that is there; empty while none is wanted. */
  source: Ref<string>;
  onLoad: () => void;
  /** @throws Error when the page does not come */
  bring(address: string): Promise<Document>;
  /** @param width of the viewport, CSS px */
  setWidth(width: number): void;
}

export function useUnseenPages(): UnseenPages {
  const frame = useTemplateRef<InstanceType<typeof UnseenPage>>('unseen');
  const source = ref('');
  let loaded: (() => void) | null = null;
  return {
    source,
    onLoad: () => loaded?.(),
    async bring(address) {
      const here = new Promise<void>((resolve, reject) => {
        loaded = resolve;
        setTimeout(() => reject(new Error('A page did not come.')), PATIENCE);
      });
      source.value = address;
      await here;
      await nextTick();
      const page = frame.value?.page();
      if (!page) throw new Error('A page did not come.');
      return page;
    },
    setWidth: (width) => frame.value?.setWidth(width),
  };
}
