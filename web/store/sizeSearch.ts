import { sizeSearch as say } from './words';
import { wrap, type Remote } from 'comlink';
import { defineStore } from 'pinia';
import { reactive, ref, shallowRef, watch } from 'vue';
import type { ScaleSearch, ScaleWorker } from '../worker/scale';
import { debounce } from '../control/debounce';
import { useProject } from './project';

/** How long typing rests before sizes are read, milliseconds. */
const REST = 250;

/** Sizes that a site has, as typed or pasted, and the scale that comes closest to them. */
export const useSizeSearch = defineStore('sizeSearch', () => {
  const project = useProject();
  const texts = reactive({ small: '', large: '' });
  const result = shallowRef<ScaleSearch | null>(null);
  const searching = ref(false);
  /** The size that is to be the base, as given; null leaves it to the search. */
  const base = ref<number | null>(null);
  /** Steps that are to keep the size given. */
  const keep = ref<number[]>([]);

  let worker: Remote<ScaleWorker> | null = null;
  let asked = 0;

  async function search(): Promise<void> {
    worker ??= wrap<ScaleWorker>(
      new Worker(new URL('../worker/scale.ts', import.meta.url), { type: 'module' }),
    );
    const turn = ++asked;
    const answer = await worker
      .search({ ...texts }, base.value)
      .catch((error: Error): ScaleSearch => ({
        sizes: [],
        refused: [],
        found: null,
        problem: say.sizesCouldNotBe(error.message),
      }));
    if (turn !== asked) return;
    result.value = answer;
    searching.value = false;
  }

  const searchSoon = debounce(() => void search(), REST);

  watch(base, () => void search());

  watch(texts, () => {
    searchSoon.cancel();
    asked++;
    keep.value = [];
    base.value = null;
    if (!texts.small.trim() && !texts.large.trim()) {
      result.value = null;
      searching.value = false;
      return;
    }
    searching.value = true;
    searchSoon();
  });

  watch(
    () => project.id,
    () => Object.assign(texts, { small: '', large: '' }),
  );

  return { texts, result, searching, base, keep };
});
