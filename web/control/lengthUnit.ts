import { PX_IN } from '@lettera/core/scale';
import { defineStore } from 'pinia';
import { ref, watch } from 'vue';
import { LENGTH_UNITS, type LengthUnit } from './readNumber';

const KEY = 'lettera:length-unit';

const isUnit = (value: string | null): value is LengthUnit =>
  (LENGTH_UNITS as readonly (string | null)[]).includes(value);

/** Decimals that are shown of each unit: a hundredth of a pixel is finer than a screen. */
const PLACES: Record<LengthUnit, number> = { px: 2, rem: 4, pt: 2 };

/** The unit in which a designer thinks of sizes. They are kept in px, and delivered in rem. */
export const useLengthUnit = defineStore('lengthUnit', () => {
  const kept = localStorage.getItem(KEY);
  const unit = ref<LengthUnit>(isUnit(kept) ? kept : 'px');
  watch(unit, (value) => localStorage.setItem(KEY, value));

  /** A size in CSS px as a number of the unit. */
  const figure = (px: number): string =>
    String(Number((px / PX_IN[unit.value]).toFixed(PLACES[unit.value])) || 0);

  /** A size in CSS px as it is shown. */
  const show = (px: number): string => `${figure(px)} ${unit.value}`;

  return { unit, figure, show };
});
