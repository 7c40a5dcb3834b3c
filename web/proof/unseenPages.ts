import { unseenPages as say } from './words';
import { nextTick, onBeforeUnmount, ref, useTemplateRef, type Ref } from 'vue';
import { Stopped } from '../reader/breathe';
import { useProject } from '../store/project';
import { pageAddress } from './pageAddress';
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
  /** @param width of the viewport, CSS px */
  setWidth(width: number): Promise<void>;
  setGround(ground: 'light' | 'dark'): Promise<void>;
  /** How far it has come; null while nothing is measured. */
  progress: Ref<{ done: number; of: number; title: string } | null>;
  /** Why nothing came of it, as a sentence; empty while all is well. */
  failed: Ref<string>;
  /**
   * Looks at each page as it stands beside a project.
   * @param otherwise what is said behind the reason when it fails, as a sentence
   * @returns what came of each, in order; null when it was stopped or failed, which is reported
   */
  each<T>(
    pages: readonly { slug: string; title: string }[],
    document: Parameters<typeof pageAddress>[2],
    look: (page: Document, title: string, slug: string, stopped: () => boolean) => Promise<T>,
    otherwise: string,
  ): Promise<T[] | null>;
  stop(): void;
}

export function useUnseenPages(): UnseenPages {
  const project = useProject();
  const frame = useTemplateRef<InstanceType<typeof UnseenPage>>('unseen');
  const source = ref('');
  const progress: UnseenPages['progress'] = ref(null);
  const failed = ref('');
  let loaded: (() => void) | null = null;
  let run = 0;

  /** @param wanted whether it still is, after a wait */
  async function bring(address: string, wanted: () => boolean): Promise<Document> {
    // What is there already does not load again: the frame is begun anew.
    source.value = '';
    await nextTick();
    if (!wanted()) throw new Stopped();
    const here = new Promise<void>((resolve, reject) => {
      loaded = resolve;
      setTimeout(() => reject(new Error(say.pageDidNotCome)), PATIENCE);
    });
    source.value = address;
    await here;
    await nextTick();
    const page = frame.value?.page();
    if (!page) throw new Error(say.pageDidNotCome);
    return page;
  }

  function stop(): void {
    run++;
    progress.value = null;
    source.value = '';
  }
  onBeforeUnmount(stop);

  const each: UnseenPages['each'] = async (pages, document, look, otherwise) => {
    const mine = ++run;
    failed.value = '';
    const looked = [];
    try {
      for (const [done, { slug, title }] of pages.entries()) {
        progress.value = { done, of: pages.length, title };
        const page = await bring(pageAddress(project.id, slug, document), () => mine === run);
        if (mine !== run) return null;
        looked.push(await look(page, title, slug, () => mine !== run));
        if (mine !== run) return null;
      }
    } catch (error) {
      if (mine !== run) return null;
      failed.value = `${(error as Error).message} ${otherwise}`;
      stop();
      return null;
    }
    stop();
    return looked;
  };

  return {
    source,
    onLoad: () => loaded?.(),
    setWidth: async (width) => frame.value?.setWidth(width),
    setGround: async (ground) => frame.value?.setGround(ground),
    progress,
    failed,
    each,
    stop,
  };
}
