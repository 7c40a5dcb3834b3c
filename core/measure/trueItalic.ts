import type { Shaper } from '../font/shape';
import { differenceOf } from './difference';
import { proportionsOf } from './proportions';
import { sheared } from './scan';
import { slopeOf } from './slope';

/** How far a letter of the italic is from the same letter of the upright, slanted as much. */
export interface LetterDifference {
  letter: string;
  /** 0 the same, 1 nothing in common. */
  difference: number;
}

/** `drawn`: letters of its own; `sloped`: the letters of the upright, leaned and adjusted. */
export type ItalicKind = 'drawn' | 'sloped';

const LETTERS = [...'abcdefghijklmnopqrstuvwxyz'];
/** Slant of a face without any of its own, degrees: as much as browsers give a faked italic. */
const FAKED_SLANT = 14;
/** From this mean difference of the letters that differ most, the italic is drawn as one. */
const DRAWN = 0.3;
/** How many of the letters count that differ most: an italic shows in some, not in all. */
const TELLING = 8;

/** The letters of an italic beside those of its upright slanted by the same angle, most different first. */
export function italicDifferences(upright: Shaper, italic: Shaper): LetterDifference[] {
  const slope = slopeOf(italic, proportionsOf(italic).xHeight ?? 0.5) || FAKED_SLANT;
  const lean = Math.tan((slope * Math.PI) / 180);
  return LETTERS.flatMap((letter) => {
    const [own, other] = [italic.outline(letter), upright.outline(letter)];
    return own && other ? [{ letter, difference: differenceOf(own, sheared(other, lean)) }] : [];
  }).sort((a, b) => b.difference - a.difference);
}

/** Whether an italic is one of its own drawing, or the upright leaned. */
export function italicKind(differences: readonly LetterDifference[]): ItalicKind {
  const telling = differences.slice(0, TELLING);
  const mean = telling.reduce((sum, { difference }) => sum + difference, 0) / telling.length;
  return mean >= DRAWN ? 'drawn' : 'sloped';
}
