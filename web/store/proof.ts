import type { SetPage } from '@lettera/core/check';
import type { ProjectDocument } from '@lettera/core/document';

import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';

export const NARROWEST = 320;
export const WIDEST = 2560;

/** Widths that pages are most often judged at, CSS px. */
export const STOPS = [
  { name: 'Phone', width: 360 },
  { name: 'Tablet', width: 800 },
  { name: 'Laptop', width: 1280 },
] as const;

const within = (width: number): number => Math.round(Math.min(WIDEST, Math.max(NARROWEST, width)));

export type ProofPanel = 'pages' | 'account' | 'text' | 'moved' | 'running';

/** What may stand beside the page: the same page at another width, in other fonts, on the other ground, or as it was or would be. */
export type Beside =
  'alone' | 'phone' | 'laptop' | 'fonts' | 'ground' | 'opened' | 'contender' | 'earlier';
/** Another state of the project, to stand beside the page, and what it is called. */
export interface OtherState {
  document: ProjectDocument;
  says: string;
}
/** A language that the page is looked at in. */
export interface OtherLanguage {
  /** BCP 47. */
  tag: string;
  direction: 'ltr' | 'rtl';
  /** Gives, from the beginning of a page, what stands in place of each of its texts. */
  begin: () => (said: string) => string;
}
/** Since when something has moved: the last change, an hour ago, a waypoint, the opening of the project, or by one change. */
export type Since = 'change' | 'hour' | 'earlier' | 'opened' | 'one';
/** How a page may be looked at: as it is, blurred for its grey, or from afar for what stands out. */
export const EYES = ['sharp', 'blurred', 'afar'] as const;
export type Eye = (typeof EYES)[number];

/** The font files that set a page: all that was taken in, or no more of them than is delivered. */
export type FilesShown = 'taken' | 'delivered';

/** Whether the web faces of the page are there: all, not yet after a while, or one of them will not be. */
export type FacesHere = 'there' | 'waiting' | 'failed';

/** How the proof is shown: which page, how wide, on which ground, in which fonts. */
export const useProof = defineStore('proof', () => {
  const page = ref('home');
  /** The width that was asked for, CSS px; null while the page is as wide as there is room for it. */
  const asked = ref<number | null>(null);
  /** Room for a page on screen, px; 0 before it is known. */
  const room = ref(0);
  const width = computed(() => asked.value ?? within(room.value || STOPS[0].width));
  const ground = ref<'light' | 'dark'>('light');
  const fonts = ref<'web' | 'fallback'>('web');
  /** On a narrow screen the proof takes turns with the workbench, which goes first. */
  const folded = ref(window.innerWidth <= 900);
  /** Whether it has the whole room, the workbench's too. */
  const whole = ref(false);
  /** Whether the workbench has taken the whole room for pages of its own. */
  const yielded = ref(false);
  /** Key of the style that is selected, outlined everywhere on the page. */
  const style = ref<string | null>(null);
  /** The occasion, or the width of the site's, that text is shown on; null for none. */
  const occasion = ref<string | null>(null);
  const beside = ref<Beside>('alone');
  /** As a browser zooms: 2 is 200 %, in a viewport half as wide. */
  const zoom = ref(1);
  /** The size of text that the visitor has set, as a share of the usual. */
  const textSize = ref(1);
  const files = ref<FilesShown>('taken');
  const eye = ref<Eye>('sharp');
  /** Whether pages of the site's own are shown as their own style sheets have them. */
  const bare = ref(false);
  /** The contender that stands beside the page when one does; null where none is kept. */
  const contender = shallowRef<OtherState | null>(null);
  /** The state that is looked back at: a waypoint, or the project as it was opened. */
  const earlier = shallowRef<OtherState | null>(null);
  /** Whether the page is shown in that state. */
  const before = ref(false);
  /** Since when it is reported what moved, and by which change of the history. */
  const since = ref<Since>('change');
  const change = ref<number | null>(null);
  /** The language that the page is looked at in; null for as it is written. */
  const language = shallowRef<OtherLanguage | null>(null);
  /** What is shown about the page beside it: its pages, who sets its text, or the text that was clicked. */
  const panel = ref<ProofPanel | null>(null);
  /** The page as the frame holds it that shows it; null while none does. */
  const shownPage = shallowRef<Document | null>(null);
  const faces = ref<FacesHere>('there');
  /** The element whose text was clicked; null where none was. */
  const node = shallowRef<Element | null>(null);
  /** Elements that are pointed out on the page, from a list beside it. */
  const pointedOut = shallowRef<readonly Element[]>([]);
  /** Whether blocks that move in the swap are outlined, with how far. */
  const moves = ref(false);
  /** Layout shift of the swap at the width and page shown, as measured; null before that. */
  const shift = ref<number | null>(null);

  /** How text stands on the page shown, at the width shown, as measured; null before that. */
  const setPage = shallowRef<SetPage | null>(null);

  /** The next of the stops, and after the last as wide as the room. */
  function nextStop(): void {
    const at = asked.value;
    asked.value =
      at === null ? STOPS[0].width : (STOPS.find((stop) => stop.width > at)?.width ?? null);
  }

  /** Asks for a width; null for as wide as the room. */
  function setWidth(value: number | null): void {
    asked.value = value === null ? null : within(value);
  }

  watch([page, width], () => {
    shift.value = null;
    setPage.value = null;
  });
  watch(page, () => {
    shownPage.value = null;
    faces.value = 'there';
    node.value = null;
    pointedOut.value = [];
  });

  return {
    page,
    asked,
    room,
    width,
    ground,
    fonts,
    folded,
    whole,
    yielded,
    style,
    occasion,
    beside,
    zoom,
    textSize,
    files,
    eye,
    bare,
    contender,
    earlier,
    before,
    since,
    change,
    language,
    panel,
    shownPage,
    faces,
    node,
    pointedOut,
    moves,
    shift,
    setPage,
    nextStop,
    setWidth,
  };
});
