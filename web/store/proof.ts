import type { SetPage } from '@lettera/core/check';
import { defineStore } from 'pinia';
import { ref, shallowRef, watch } from 'vue';

export const NARROWEST = 320;
export const WIDEST = 1600;

/** Widths that pages are most often judged at, CSS px. */
export const STOPS = [
  { name: 'Phone', width: 360 },
  { name: 'Tablet', width: 800 },
  { name: 'Desktop', width: 1280 },
] as const;

/** How the proof is shown: which page, how wide, on which ground, in which fonts. */
export const useProof = defineStore('proof', () => {
  const page = ref('home');
  const width = ref(1280);
  const ground = ref<'light' | 'dark'>('light');
  const fonts = ref<'web' | 'fallback'>('web');
  /** On a narrow screen the proof takes turns with the workbench, which goes first. */
  const folded = ref(window.innerWidth <= 900);
  /** Key of the style that is selected, outlined everywhere on the page. */
  const style = ref<string | null>(null);
  /** Layout shift of the swap at the width and page shown, as measured; null before that. */
  const shift = ref<number | null>(null);

  /** How text stands on the page shown, at the width shown, as measured; null before that. */
  const setPage = shallowRef<SetPage | null>(null);

  function nextStop(): void {
    const next = STOPS.find((stop) => stop.width > width.value) ?? STOPS[0];
    width.value = next.width;
  }

  function setWidth(value: number): void {
    width.value = Math.round(Math.min(WIDEST, Math.max(NARROWEST, value)));
  }

  watch([page, width], () => {
    shift.value = null;
    setPage.value = null;
  });

  return { page, width, ground, fonts, folded, style, shift, setPage, nextStop, setWidth };
});
