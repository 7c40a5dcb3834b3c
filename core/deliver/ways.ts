import { widthRange } from '../document/faces';
import type { Face } from '../document/projectDocument';
import type { Axis, FaceReading } from '../font/reading';
import type { AxisRange, Cut } from './cut';
import type { DeliveredFont } from './delivered';
import type { FaceUse } from './faceUse';

/** A file that may be delivered: the font as it is then, what it is made from, and what is done to that. */
export interface CutFile extends Omit<DeliveredFont, 'path'> {
  source: string;
  /** Null when it is delivered as it was taken in. */
  cut: Cut | null;
}

/** One way to deliver a file of the case: as one file, or as several, one for each weight. */
export type Way = readonly CutFile[];

const clamp = (value: number, { min, max }: Pick<Axis, 'min' | 'max'>): number =>
  Math.min(max, Math.max(min, value));

const rangeOf = (axis: Axis, points: readonly number[]): AxisRange => {
  const within = points.map((point) => clamp(point, axis));
  return [Math.min(...within), Math.max(...within)];
};

const isWhole = ({ min, max }: Axis, [least, most]: AxisRange): boolean =>
  least <= min && most >= max;

/** Points on an axis that styles set by its tag; where some do not, the file's own point too. */
const pointsSet = ({ tag, default: own }: Axis, { points }: FaceUse): number[] =>
  [...(points.get(tag) ?? [])].map((point) => point ?? own);

const NORMAL_WIDTH = 100;

/** What styles ask of an axis other than weight; null for all of it. */
function askedOf(axis: Axis, face: Face, use: FaceUse): AxisRange | null {
  const set = pointsSet(axis, use);
  if (set.length > 0) return rangeOf(axis, set);
  const [min, max] = widthRange(face);
  switch (axis.tag) {
    case 'wdth':
      return rangeOf(axis, [clamp(NORMAL_WIDTH, { min, max })]);
    case 'opsz':
      return rangeOf(axis, use.sizes ? [...use.sizes] : [axis.default]);
    case 'ital':
    case 'slnt':
      return use.slanted ? null : rangeOf(axis, [axis.default]);
    default:
      return rangeOf(axis, [axis.default]);
  }
}

/** The axes other than weight that are limited, and to what. */
const limitsOf = (axes: readonly Axis[], face: Face, use: FaceUse): Record<string, AxisRange> =>
  Object.fromEntries(
    axes.flatMap((axis): [string, AxisRange][] => {
      const asked = axis.tag === 'wght' ? null : askedOf(axis, face, use);
      return asked && !isWhole(axis, asked) ? [[axis.tag, asked]] : [];
    }),
  );

/** A face as CSS describes it once its axes are limited. */
const faceWithin = (face: Face, weights: AxisRange, width: AxisRange | undefined): Face => ({
  ...face,
  weightMin: weights[0],
  weightMax: weights[1],
  ...(width ? { widthMin: width[0], widthMax: width[1] } : {}),
});

/**
 * The ways to deliver some characters of a file: with its axes limited to what styles ask for, and, where
 * they ask for several weights, as one file for each. The first is the one to take while bytes are not known.
 * @param use what styles ask of the face; null for all that it was taken in for
 */
export function waysOf(
  font: Omit<DeliveredFont, 'path'>,
  { format, axes }: Pick<FaceReading, 'format' | 'axes'>,
  use: FaceUse | null,
  kept: Pick<Cut, 'characters' | 'features'>,
): Way[] {
  const { face } = font;
  const others = use ? limitsOf(axes, face, use) : {};
  const way = (axis: Axis | null, weights: AxisRange): CutFile => {
    const limits = axis && !isWhole(axis, weights) ? { ...others, wght: weights } : others;
    const cut: Cut = { axes: limits, characters: kept.characters, features: kept.features };
    const isNothing =
      Object.keys(limits).length === 0 && cut.characters === null && cut.features === null;
    return {
      ...font,
      face: use ? faceWithin(face, weights, limits['wdth']) : face,
      source: font.file.sha256,
      cut: isNothing && format === 'woff2' ? null : cut,
    };
  };

  const weightAxis = axes.find(
    // What is claimed beyond the axis is not there to be kept.
    ({ tag, min, max }) => tag === 'wght' && face.weightMin <= max && face.weightMax >= min,
  );
  if (!weightAxis) return [[way(null, [face.weightMin, face.weightMax])]];
  if (!use) return [[way(weightAxis, rangeOf(weightAxis, [face.weightMin, face.weightMax]))]];
  const set = pointsSet(weightAxis, use);
  const range = rangeOf(weightAxis, [...use.weights, ...set]);
  const together = [way(weightAxis, range)];
  // A style that sets the axis itself goes between the weights.
  if (range[0] === range[1] || set.length > 0) return [together];
  const shown = [...new Set(use.weights.map((weight) => clamp(weight, weightAxis)))];
  return [together, shown.map((weight) => way(weightAxis, [weight, weight]))];
}
