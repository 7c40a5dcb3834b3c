import { TEXT_PARTS } from '@lettera/core/measure';
import { defineStore } from 'pinia';
import { computed, reactive, ref, watch } from 'vue';
import { NO_FILTER, type LineUpFilter } from './rows/filter';
import type { MeasureKey } from './rows/measures';
import type { SortKey } from './rows/sort';
import { useProject } from './project';

/** What the line-up sets: the project's own words, or a sample of another kind. */
export type Sample = 'words' | 'heading' | 'sentence' | 'paragraph' | 'figures' | 'hard';

/** How the line-up stands in a project. */
export interface LineUpSettings {
  sample: Sample;
  /** Key of the script that families are lined up in. */
  script: string;
  /** Words that families of other scripts than the site's own are set in, by the script's key. */
  words: Record<string, string>;
  /**
   * Of what is set large, and of sentences and paragraphs, CSS px; at equal x-height, the size of a face
   * whose x-height is half its em.
   */
  sizes: { large: number; text: number };
  ground: 'room' | 'light' | 'dark';
  equal: 'size' | 'xHeight';
  view: 'rows' | 'map';
  sort: SortKey;
  direction: 1 | -1;
  /** The measures that the map runs across and up. */
  axes: [MeasureKey, MeasureKey];
  filter: LineUpFilter;
}

const START: LineUpSettings = {
  sample: 'words',
  script: 'latin',
  words: {},
  sizes: { large: 30, text: 18 },
  ground: 'room',
  equal: 'size',
  view: 'rows',
  sort: 'name',
  direction: 1,
  axes: ['width', 'contrast'],
  filter: NO_FILTER,
};

const FITS: readonly LineUpFilter['fit'][] = ['any', ...TEXT_PARTS];
const MOST_RECENT = 12;
/** Samples that are read and not looked at. */
const RUNNING: readonly Sample[] = ['sentence', 'paragraph'];

const startingPoint = (): LineUpSettings => structuredClone(START);

function kept<T>(key: string): Partial<T> {
  try {
    return JSON.parse(localStorage.getItem(key) ?? '{}') as Partial<T>;
  } catch {
    return {};
  }
}

function keep(key: string, value: unknown): void {
  try {
    localStorage.setItem(key, JSON.stringify(value));
  } catch {
    // A full or forbidden store only means that the line-up starts afresh next time.
  }
}

/** How the line-up is set up, and which families were looked at lately; remembered per project. */
export const useLineUp = defineStore('lineUp', () => {
  const project = useProject();
  const settings = reactive(startingPoint());
  /** Keys of the rows opened lately, the last first. */
  const recent = ref<string[]>([]);
  /** Key of the row that is open. */
  const open = ref<string | null>(null);
  const kind = computed(() => (RUNNING.includes(settings.sample) ? 'text' : 'large'));
  /** The size at which the sample is set. */
  const size = computed({
    get: () => settings.sizes[kind.value],
    set: (value) => (settings.sizes[kind.value] = value),
  });
  /** Key of the row that is to be shown, until it is. */
  const wanted = ref<string | null>(null);

  watch(
    () => project.id,
    (id) => {
      const { recent: rows = [], settings: stored = {} } = kept<{
        recent: string[];
        settings: Partial<LineUpSettings>;
      }>(`lettera:line-up:${id}`);
      Object.assign(settings, startingPoint(), stored);
      settings.filter = { ...startingPoint().filter, ...stored.filter };
      // A part that was kept by an earlier release and is none now lets every family through.
      if (!FITS.includes(settings.filter.fit)) settings.filter.fit = 'any';
      recent.value = rows;
      open.value = null;
    },
    { immediate: true },
  );

  watch(
    [settings, recent],
    () => {
      if (project.id) {
        keep(`lettera:line-up:${project.id}`, { settings, recent: recent.value });
      }
    },
    { deep: true },
  );

  function look(row: string): void {
    recent.value = [row, ...recent.value.filter((other) => other !== row)].slice(0, MOST_RECENT);
  }

  /** Words, size, ground and order as they were at first; the filter is cleared on its own. */
  function reset(): void {
    const { filter } = settings;
    Object.assign(settings, startingPoint(), { filter, view: settings.view });
  }

  function clearFilter(): void {
    settings.filter = startingPoint().filter;
  }

  /** Puts a row on the project's shortlist, or takes it off. */
  function toggleShortlist(row: string): void {
    const list = project.document?.shortlist;
    if (!list) {
      project.change([{ op: 'add', path: '/shortlist', value: [row] }]);
      return;
    }
    const at = list.indexOf(row);
    project.change([
      at === -1
        ? { op: 'add', path: '/shortlist/-', value: row }
        : { op: 'remove', path: `/shortlist/${at}` },
    ]);
  }

  function show(row: string): void {
    wanted.value = row;
  }

  return { settings, size, recent, open, wanted, look, show, reset, clearFilter, toggleShortlist };
});
