import { patchBetween } from '@lettera/core/change';
import { caseFonts } from '@lettera/core/deliver';
import type { ProjectDocument } from '@lettera/core/document';
import type { LiveReading, LiveState, LiveTold, RequestBody } from '@lettera/core/wire';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { api } from '../api/client';
import { useLibrary } from './library';
import { useMarks } from './marks';
import { useProject } from './project';
import { useProof } from './proof';

type Pointed = Extract<LiveTold, { kind: 'pointed' }>;
type Swapped = Extract<LiveTold, { kind: 'swapped' }>;

/** What is looked at is said again so often, as the server lets go of what a closed window looked at; milliseconds. */
const SAID_AGAIN = 15_000;
const MOST_MARKS = 60;
const MOST_OFFERED = 40;
const LONGEST_MARK = 400;

/** The live sheet: the project's type on the running site, what is looked at here shown there, and what it says. */
export const useLive = defineStore('live', () => {
  const project = useProject();
  const proof = useProof();
  const marks = useMarks();
  const library = useLibrary();

  const state = shallowRef<LiveState | null>(null);
  const readings = shallowRef<readonly LiveReading[]>([]);
  /** The text that was clicked there last. */
  const pointed = shallowRef<Pointed | null>(null);
  /** The swap that was rehearsed there last. */
  const swapped = shallowRef<Swapped | null>(null);
  /** Whether marks are to stand on the page there. */
  const showsMarks = ref(true);
  const fault = ref('');

  async function asking<T>(work: () => Promise<T>): Promise<T | null> {
    const { id } = project;
    fault.value = '';
    try {
      const answer = await work();
      return id === project.id ? answer : null;
    } catch (error) {
      fault.value = (error as Error).message;
      return null;
    }
  }
  async function load(): Promise<void> {
    const { id } = project;
    if (!id) return;
    state.value = (await asking(() => api.live(id))) ?? state.value;
    readings.value = (await asking(() => api.liveReadings(id))) ?? readings.value;
  }
  async function want(wish: RequestBody<'LiveWish'>): Promise<void> {
    state.value = (await asking(() => api.wantLive(project.id, wish))) ?? state.value;
  }
  async function end(): Promise<void> {
    state.value = (await asking(() => api.endLive(project.id))) ?? state.value;
  }
  async function forget(address?: string): Promise<void> {
    readings.value =
      (await asking(() => api.forgetLiveReadings(project.id, address))) ?? readings.value;
  }
  /** Pages that were read there, as files that a site is brought by. */
  const files = (): Promise<{ path: string; content: Blob }[]> =>
    Promise.all(
      readings.value.map(async ({ address }, i) => ({
        path: `${i + 1}.reading.json`,
        content: await api.liveReading(project.id, address),
      })),
    );

  function hear(told: LiveTold): void {
    switch (told.kind) {
      case 'pages':
        if (state.value) state.value = { ...state.value, pages: told.pages };
        // One that has just come has not been told what is looked at.
        sayAgain();
        break;
      case 'pointed':
        pointed.value = told;
        select(told);
        break;
      case 'swapped':
        swapped.value = told;
        proof.panel = 'running';
        break;
      case 'read':
      case 'changed':
        void load();
    }
  }

  /** Selects what was clicked there: its style, and the same text of the page that is shown, where it has it. */
  function select({ element, place, words }: Pointed): void {
    const { document } = project;
    proof.style = document?.elements[element ?? '']?.style ?? null;
    const same = sameText(place, words);
    if (same) {
      proof.node = same;
      same.scrollIntoView({ block: 'center' });
    }
    proof.folded = false;
    proof.panel = 'running';
  }
  function sameText(place: string, words: string): Element | null {
    try {
      const found = proof.shownPage?.querySelector(place) ?? null;
      const text = found?.textContent?.replace(/\s+/g, ' ').trim() ?? '';
      return text && text.startsWith(words.slice(0, 80).trim()) ? found : null;
    } catch {
      return null;
    }
  }

  // What is looked at here is shown there.

  const follows = computed(() => state.value?.sheet !== null && !!state.value?.pages.length);
  const shown = computed(() => (proof.before ? proof.earlier?.document : null) ?? project.shown);
  const look = computed<RequestBody<'LiveLook'> | null>(() => {
    const { document } = project;
    if (!follows.value || !document || !shown.value) return null;
    const tried =
      state.value?.sheet?.tried && shown.value !== document
        ? patchBetween(document, shown.value).filter(({ path }) => !path.startsWith('/pages'))
        : [];
    const offered = tried.length > 0 ? offeredIn(document, shown.value) : [];
    const about = showsMarks.value ? marks.marks : [];
    return {
      tried: tried.length > 0 ? tried : null,
      ...(offered.length > 0 ? { offered } : {}),
      style: proof.style,
      marks: about
        .flatMap(({ style, message }) =>
          style ? [{ style, says: message.slice(0, LONGEST_MARK) }] : [],
        )
        .slice(0, MOST_MARKS),
    };
  });
  /** Files of the library that are tried, and were not added to the project. */
  function offeredIn(
    stored: ProjectDocument,
    tried: ProjectDocument,
  ): NonNullable<RequestBody<'LiveLook'>['offered']> {
    const there = new Set(caseFonts(stored).map(({ file }) => file.sha256));
    const wanted = new Set(
      caseFonts(tried).flatMap(({ file }) => (there.has(file.sha256) ? [] : [file.sha256])),
    );
    if (wanted.size === 0) return [];
    return library.families
      .flatMap(({ id, files }) =>
        files.flatMap(({ sha256, name }) =>
          wanted.has(sha256) ? [{ sha256, family: id, name }] : [],
        ),
      )
      .slice(0, MOST_OFFERED);
  }
  let said = '';
  let saying = false;
  /** Says what is looked at, the newest as soon as the last has arrived. */
  async function sayLook(): Promise<void> {
    if (saying) return;
    saying = true;
    try {
      for (let now = JSON.stringify(look.value); look.value && now !== said;) {
        said = now;
        await api.lookLive(project.id, look.value);
        now = JSON.stringify(look.value);
      }
    } catch {
      // It is said again in a while.
      said = '';
    } finally {
      saying = false;
    }
  }
  function sayAgain(): void {
    said = '';
    void sayLook();
  }
  watch(look, () => void sayLook());
  setInterval(() => look.value && sayAgain(), SAID_AGAIN);

  project.onLive(hear);
  watch(
    () => project.id,
    () => {
      state.value = null;
      readings.value = [];
      pointed.value = null;
      swapped.value = null;
      void load();
    },
    { immediate: true },
  );

  return {
    state,
    readings,
    pointed,
    swapped,
    showsMarks,
    fault,
    load,
    want,
    end,
    forget,
    files,
  };
});
