import { onceFor } from '../document/once';
import { differencesBetween, distanceBetween } from './lookAlikes';
import type { PairScale, Range } from './library';
import { genusOf, type Seated } from './seated';

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

/** What has been worked out on a scale: a family that is held is judged beside every other. */
const charactersOn = onceFor<PairScale, WeakMap<Seated, Character>>(() => new WeakMap());

/** How much a family stands out of its kind in a library. */
export function characterOf(seat: Seated, scale: PairScale): Character {
  const known = charactersOn(scale);
  const character = known.get(seat) ?? workOut(seat, scale);
  known.set(seat, character);
  return character;
}

function workOut({ kind, regular }: Seated, scale: PairScale): Character {
  const middle = scale.middles.get(genusOf(kind))?.face;
  if (!middle) return { share: 0, by: '' };
  const distance = distanceBetween(regular, middle, scale.spread);
  const [by = ''] = differencesBetween(middle, regular, scale.spread, 1);
  return { share: clamp(standing(distance, scale.fromMiddle), -1, 1), by };
}

/** Median distances that count as far: about the 95th percentile of an even spread. */
const FAR = 4.5;

/** How closed the letters of a face are beside its kind's: 1 far more, -1 far less; null unknown. */
export function closednessOf({ kind, regular }: Seated, scale: PairScale): number | null {
  const middle = scale.middles.get(genusOf(kind));
  if (!middle?.apertures || middle.face.aperture === null || regular.aperture === null) return null;
  const apart = (middle.face.aperture - regular.aperture) / middle.apertures;
  return clamp(apart / FAR, -2 / 3, 2 / 3);
}
