import type { Compared } from './library';
import type { Seated } from './seated';

const ratioOf = (a: number | null, b: number | null): number => (a ?? 1) / (b || 1);
const percent = (ratio: number): string => `${(Math.abs(ratio - 1) * 100).toFixed(0)} %`;
/** A ratio from one up, whichever way round. */
const upward = (ratio: number): number => (ratio < 1 ? 1 / ratio : ratio);
const two = (value: number | null): string => value?.toFixed(2) ?? '';
const one = (value: number | null): string => value?.toFixed(1) ?? '';

/** What is said of two that agree in a measure, and of two that differ, as they are set. */
interface Phrase {
  near: string;
  far: string;
}

const proportion = ({ face }: Seated): number => ratioOf(face.xHeight, face.capHeight);

const PHRASES: Record<Compared, (upper: Seated, lower: Seated) => Phrase> = {
  contrast: ({ face: h }, { face: t }) => ({
    near: `strokes swell alike: ${one(h.contrast)} and ${one(t.contrast)} to 1`,
    far: `strokes swell ${(h.contrast ?? 0) > (t.contrast ?? 0) ? 'more' : 'less'} above: ${one(h.contrast)}, below ${one(t.contrast)}`,
  }),
  colour: ({ face: h, setAt: a }, { face: t, setAt: b }) => {
    const ratio = ratioOf(h.colour, t.colour);
    return {
      near: `equally dark within ${percent(upward(ratio))}, at ${a.weight} and ${b.weight}`,
      far: `${ratio > 1 ? 'darker' : 'lighter'} above by ${percent(ratio)}, at ${a.weight} and ${b.weight}`,
    };
  },
  width: ({ face: h }, { face: t }) => {
    const ratio = ratioOf(h.width, t.width);
    return {
      near: `equally wide, within ${percent(upward(ratio))}`,
      far: `${ratio > 1 ? 'wider' : 'narrower'} letters above, by ${percent(ratio)}`,
    };
  },
  slope: ({ face: h }, { face: t }) => ({
    near: 'upright alike',
    far: `one leans by ${Math.abs(h.slope - t.slope).toFixed(0)}°`,
  }),
  xHeight: ({ face: h }, { face: t }) => {
    const by = percent(upward(ratioOf(h.xHeight, t.xHeight)));
    return {
      near: `x-heights within ${by}`,
      far: `x-heights ${by} apart: one reads larger`,
    };
  },
  proportion: (upper, lower) => {
    const by = percent(upward(proportion(upper) / proportion(lower)));
    return {
      near: `x-height to capitals alike, within ${by}`,
      far: `${proportion(upper) > proportion(lower) ? 'taller' : 'shorter'} x beside capitals above, by ${by}`,
    };
  },
  squareness: ({ face: h }, { face: t }) => ({
    near: `bowls alike: squareness ${two(h.squareness)}, ${two(t.squareness)}`,
    far: `${(h.squareness ?? 0) > (t.squareness ?? 0) ? 'squarer' : 'rounder'} bowls above: squareness ${two(h.squareness)}, below ${two(t.squareness)}`,
  }),
  aperture: ({ face: h }, { face: t }) => ({
    near: `letters open alike: ${two(h.aperture)}, ${two(t.aperture)}`,
    far: `letters more ${(h.aperture ?? 0) > (t.aperture ?? 0) ? 'open' : 'closed'} above: ${two(h.aperture)}, below ${two(t.aperture)}`,
  }),
};

/** How a compared measure of two is put in words, with its figures. */
export const phraseOf = (key: Compared, upper: Seated, lower: Seated, how: keyof Phrase): string =>
  PHRASES[key](upper, lower)[how];
