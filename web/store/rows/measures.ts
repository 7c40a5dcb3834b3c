import type { FamilyMeasures } from '@lettera/core/measure';
import { minus } from '../../control/figures';

/** A measure that the line-up lists, sorts, filters by and maps. */
export interface Measure {
  key: MeasureKey;
  /** In a column's head. */
  short: string;
  /** In a sentence. */
  name: string;
  /** What it is, for whoever does not know. */
  means: string;
  /** How many decimals tell faces apart, and the unit behind the figure. */
  places: number;
  unit: string;
  /** Whether equal ratios look equally different, so that a chart counts in powers. */
  byRatio?: boolean;
  value: (measures: FamilyMeasures) => number | null;
}

export type MeasureKey =
  | 'xHeight'
  | 'capHeight'
  | 'ascender'
  | 'descender'
  | 'advance'
  | 'width'
  | 'stem'
  | 'colour'
  | 'contrast'
  | 'slope'
  | 'foot'
  | 'aperture'
  | 'squareness'
  | 'characters';

/** Every measure, in the order in which they are listed. */
export const MEASURES: readonly Measure[] = [
  {
    key: 'xHeight',
    short: 'x-height',
    name: 'x-height',
    means: 'Height of x, in em: how large the face looks at a size',
    places: 2,
    unit: 'em',
    value: ({ regular }) => regular.xHeight,
  },
  {
    key: 'width',
    short: 'Width',
    name: 'width',
    means: 'Mean width of a lower-case letter ÷ x-height',
    places: 2,
    unit: '',
    value: ({ regular }) => regular.width,
  },
  {
    key: 'contrast',
    short: 'Contrast',
    name: 'stroke contrast',
    means: 'Thickest stroke of o ÷ thinnest',
    places: 1,
    unit: '',
    byRatio: true,
    value: ({ regular }) => regular.contrast,
  },
  {
    key: 'colour',
    short: 'Colour',
    name: 'weight colour',
    means: 'Stem ÷ x-height: how dark the regular sets',
    places: 3,
    unit: '',
    value: ({ regular }) => regular.colour,
  },
  {
    key: 'aperture',
    short: 'Aperture',
    name: 'aperture',
    means: 'How far c, e and a are open, in x-heights',
    places: 2,
    unit: '',
    value: ({ regular }) => regular.aperture,
  },
  {
    key: 'squareness',
    short: 'Squareness',
    name: 'squareness',
    means: 'Form of o: 0 is an ellipse, 1 a square',
    places: 2,
    unit: '',
    value: ({ regular }) => regular.squareness,
  },
  {
    key: 'foot',
    short: 'Foot',
    name: 'foot',
    means: 'Width of the foot of l and i ÷ stem: from 1.35 on a serif',
    places: 2,
    unit: 'stems',
    value: ({ regular }) => regular.foot,
  },
  {
    key: 'capHeight',
    short: 'Cap height',
    name: 'cap height',
    means: 'Height of H, in em',
    places: 2,
    unit: 'em',
    value: ({ regular }) => regular.capHeight,
  },
  {
    key: 'ascender',
    short: 'Ascender',
    name: 'ascender',
    means: 'Top of l, in em',
    places: 2,
    unit: 'em',
    value: ({ regular }) => regular.ascender,
  },
  {
    key: 'descender',
    short: 'Descender',
    name: 'descender',
    means: 'Foot of p, in em below the baseline',
    places: 2,
    unit: 'em',
    value: ({ regular }) => (regular.descender === null ? null : -regular.descender),
  },
  {
    key: 'advance',
    short: 'Advance',
    name: 'mean advance',
    means: 'Mean advance of running text, in em',
    places: 3,
    unit: 'em',
    value: ({ regular }) => regular.advance,
  },
  {
    key: 'stem',
    short: 'Stem',
    name: 'stem',
    means: 'Thickness of the vertical strokes, in em',
    places: 3,
    unit: 'em',
    value: ({ regular }) => regular.stem,
  },
  {
    key: 'slope',
    short: 'Slope',
    name: 'slope',
    means: 'Lean of l and i to the right, in degrees',
    places: 1,
    unit: '°',
    value: ({ regular }) => regular.slope,
  },
  {
    key: 'characters',
    short: 'Characters',
    name: 'number of characters',
    means: 'How many characters the regular has',
    places: 0,
    unit: '',
    value: ({ characters }) => characters,
  },
];

const byKey = new Map(MEASURES.map((measure) => [measure.key, measure]));

export function measureOf(key: MeasureKey): Measure {
  const measure = byKey.get(key);
  if (!measure) throw new RangeError(`There is no measure ${key}.`);
  return measure;
}

/** A measure's figure as it stands in a column; a dash where the face lacks what it is taken on. */
export const figureOf = ({ places }: Measure, value: number | null): string =>
  value === null ? '–' : minus(value.toFixed(places).replace(/^-(0(\.0*)?)$/, '$1'));

/** The figure with its unit. */
export const withUnit = (measure: Measure, value: number | null): string => {
  const figure = figureOf(measure, value);
  if (measure.unit === '' || value === null) return figure;
  return measure.unit === '°' ? `${figure}°` : `${figure} ${measure.unit}`;
};
