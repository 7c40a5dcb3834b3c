import { differencesBetween, distanceBetween } from './lookAlikes';
import type { PairScale, Range } from './library';
import type { Seated } from './seated';

/** How much a face stands out of its kind. */
export interface Character {
  /** 0 as most do, 1 as far from the middle as the 90th percentile, down to -1 for the most usual. */
  share: number;
  /** What sets it apart most, in words with the figures of the middle and its own; empty when nothing. */
  by: string;
}

const clamp = (value: number, least: number, most: number): number =>
  Math.min(most, Math.max(least, value));

/** Where a distance stands between the middle, 0, and far, 1: by ratio, since distances are skewed. */
export const standing = (distance: number, { middle, far }: Range): number =>
  far > middle ? Math.log(Math.max(distance, 1e-3) / middle) / Math.log(far / middle) : 0;

/** How much a family stands out of its kind in a library. */
export function characterOf({ kind, regular }: Seated, scale: PairScale): Character {
  const middle = scale.middles.get(kind);
  if (!middle) return { share: 0, by: '' };
  const distance = distanceBetween(regular, middle, scale.spread);
  const [by = ''] = differencesBetween(middle, regular, scale.spread);
  return { share: clamp(standing(distance, scale.fromMiddle), -1, 1), by };
}
