import type { FaceMeasures } from '../measure/measureFace';
import { characterOf } from './character';
import type { PairScale } from './library';
import type { Seated } from './seated';

/** How loud a face is as a heading: how soon a page that has one on every screen tires of it. */
export interface Loudness {
  /** 0 for what reads as text set larger, 1 for what is drawn for a word or two. */
  share: number;
  /** What makes it loud most, with its figure; empty when nothing does. */
  by: string;
}

/** Where a measure begins to be loud and where it is altogether, from within to without. */
type Reach = [from: number, to: number];

interface Part {
  value: (face: FaceMeasures) => number | null;
  reaches: readonly Reach[];
  words: (value: number) => string;
}

/**
 * What is loud in the drawing of a face: ours. Each begins where text faces end, and ends among faces that
 * are cut for posters and signs, whatever the weight that they are set in.
 */
const PARTS: readonly Part[] = [
  {
    // Petrona 1.13 sets text and Barlow Condensed 0.74 timetables; Unbounded 1.19 and Anton 0.61 set signs.
    value: ({ width, monospaced }) => (monospaced ? null : width),
    reaches: [
      [1.13, 1.22],
      [0.8, 0.62],
    ],
    words: (value) => `letters ${value.toFixed(2)} x-heights wide`,
  },
  {
    // EB Garamond 3.2 and Cardo 3.8 set text; Bodoni Moda 5.2 and Yeseva One 8.4 set titles.
    value: ({ contrast }) => contrast,
    reaches: [[3.8, 6.5]],
    words: (value) => `strokes swell ${value.toFixed(1)} to 1`,
  },
  {
    // Chivo 0.2 sets text; League Spartan 0.21 just does; Krona One 0.25 and Abril Fatface 0.39 do not.
    value: ({ colour }) => colour,
    reaches: [[0.21, 0.3]],
    words: (value) => `dark already at its regular, strokes of ${value.toFixed(2)} of the x-height`,
  },
];
/** From this far out of its kind, between the middle, 0, and the 90th percentile, 1, its forms are loud. */
const NOVEL: Reach = [0.8, 1.6];

const within = (value: number, [from, to]: Reach): number =>
  Math.min(1, Math.max(0, (value - from) / (to - from)));

/** How loud a face is as a heading, beside others of its kind in a library. */
export function loudnessOf(seat: Seated, scale: PairScale): Loudness {
  const parts = PARTS.flatMap(({ value, reaches, words }) => {
    const own = value(seat.regular);
    if (own === null) return [];
    return [{ share: Math.max(...reaches.map((reach) => within(own, reach))), by: words(own) }];
  });
  if (seat.regular.lowerCase !== 'own') parts.push({ share: 1, by: 'capitals only' });
  const { share, by } = characterOf(seat, scale);
  parts.push({ share: within(share, NOVEL), by });
  const most = parts.reduce((a, b) => (b.share > a.share ? b : a));
  return {
    share: Math.min(
      1,
      parts.reduce((sum, part) => sum + part.share, 0),
    ),
    by: most.share > 0 ? most.by : '',
  };
}
