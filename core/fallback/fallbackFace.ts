import type { Slant } from '../document/vocabulary';
import { localName } from './localFonts';
import type { TunedFace } from './tune';

/**
 * A local font tried for a voice: for the weight and style that it is most used in, which comes first, and, of
 * those that its stack takes, for all others.
 */
export interface TunedCandidate {
  /** Key of the set of local fonts. */
  local: string;
  /** Where its advances are from: an open font of the same, or the designer's own machine. */
  source: 'twin' | 'measured';
  faces: TunedFace[];
}

/** Everything tried, by the voice and the family that is seated in it. */
export type FallbackTrials = Record<string, TunedCandidate[]>;

/** The key of what was tried for a family in a voice, as its own or for one script. */
export const trialKey = (voice: string, family: string, script?: string): string =>
  [voice, family, ...(script ? [script] : [])].join('/');

/** The mean error of words of a candidate, as it is tuned for what the voice is most used in. */
export const candidateError = ({ faces }: TunedCandidate): number => faces[0]?.fit.mean ?? Infinity;

/** What a candidate is tried for: one weight and style. */
export const faceFor = (
  { faces }: TunedCandidate,
  weight: number,
  slant: Slant,
): TunedFace | undefined => faces.find((face) => face.weight === weight && face.slant === slant);

/** Characters of the text that a candidate lacks in any of its faces, each once. */
export const lacking = ({ faces }: TunedCandidate): string[] => [
  ...new Set(faces.flatMap(({ missing }) => missing)),
];

/** The CSS family name of a fallback face: “Georgia for Literata”. */
export const fallbackFamilyName = (local: string, family: string): string =>
  `${localName(local)} for ${family}`;

/** Least and most mean error of words by kind of text, in the weight and style that is used most; null without any. */
export function candidateSpread({ faces }: TunedCandidate): [least: number, most: number] | null {
  const means = (faces[0]?.kinds ?? []).map(({ mean }) => mean);
  return means.length > 0 ? [Math.min(...means), Math.max(...means)] : null;
}
