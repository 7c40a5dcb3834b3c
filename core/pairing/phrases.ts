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
    near: `strokes swell alike, ${one(h.contrast)} and ${one(t.contrast)} to 1`,
    far: `strokes swell ${(h.contrast ?? 0) > (t.contrast ?? 0) ? 'more' : 'less'} above than below, ${one(h.contrast)} and ${one(t.contrast)} to 1`,
  }),
  colour: ({ face: h, setAt: a }, { face: t, setAt: b }) => {
    const ratio = ratioOf(h.colour, t.colour);
    return {
      near: `as dark as one another at ${a.weight} and ${b.weight}, within ${percent(upward(ratio))}`,
      far: `${ratio > 1 ? 'darker' : 'lighter'} above than below by ${percent(ratio)}, at ${a.weight} and ${b.weight}`,
    };
  },
  width: ({ face: h }, { face: t }) => {
    const ratio = ratioOf(h.width, t.width);
    return {
      near: `as wide as one another, within ${percent(upward(ratio))}`,
      far: `letters ${ratio > 1 ? 'wider' : 'narrower'} above than below by ${percent(ratio)}`,
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
      far: `x-heights ${by} apart: one reads larger at the same size`,
    };
  },
  proportion: (upper, lower) => {
    const by = percent(upward(proportion(upper) / proportion(lower)));
    return {
      near: `lower case stands to capitals as below, within ${by}`,
      far: `lower case stands ${by} ${proportion(upper) > proportion(lower) ? 'higher' : 'lower'} beside its capitals than below`,
    };
  },
  squareness: ({ face: h }, { face: t }) => ({
    near: `bowls shaped alike, squareness ${two(h.squareness)} and ${two(t.squareness)}`,
    far: `bowls ${(h.squareness ?? 0) > (t.squareness ?? 0) ? 'squarer' : 'rounder'} above than below, ${two(h.squareness)} and ${two(t.squareness)}`,
  }),
  aperture: ({ face: h }, { face: t }) => ({
    near: `letters open alike, ${two(h.aperture)} and ${two(t.aperture)} of the x-height`,
    far: `letters more ${(h.aperture ?? 0) > (t.aperture ?? 0) ? 'open' : 'closed'} above than below, ${two(h.aperture)} and ${two(t.aperture)} of the x-height`,
  }),
};

/** How a compared measure of two is put in words, with its figures. */
export const phraseOf = (key: Compared, upper: Seated, lower: Seated, how: keyof Phrase): string =>
  PHRASES[key](upper, lower)[how];
