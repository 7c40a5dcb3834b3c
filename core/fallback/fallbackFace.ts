import type { ProjectDocument } from '../document/projectDocument';
import type { Slant } from '../document/vocabulary';
import { LOCAL_FONTS, localCandidates, mainPlatformsWith } from './localFonts';
import type { FallbackFit, FallbackTuning } from './tune';

/** A local font tuned for one weight and style of a family. */
export interface TunedFace extends FallbackTuning, FallbackFit {
  weight: number;
  slant: Slant;
}

/** A local font tried for a family: every weight and style that the site uses of it. */
export interface TunedCandidate {
  /** Key of the local font. */
  local: string;
  faces: TunedFace[];
}

/** Everything tried for each family that the site uses, first what serves most visitors. By the family's key. */
export type FallbackTrials = Record<string, TunedCandidate[]>;

/** The mean error of words over all the faces of a candidate, as they were measured. */
export function candidateError({ faces }: TunedCandidate): number {
  const words = faces.reduce((sum, face) => sum + face.words, 0);
  if (words === 0) return Infinity;
  return faces.reduce((sum, face) => sum + face.meanError * face.words, 0) / words;
}

/**
 * Candidates in the order in which they serve visitors: those that more of the main platforms carry
 * first, and of those the closest in width. Equal ones by key, so that the order never changes.
 */
export const orderCandidates = (candidates: TunedCandidate[]): TunedCandidate[] =>
  [...candidates].sort(
    (a, b) =>
      mainPlatformsWith(b.local) - mainPlatformsWith(a.local) ||
      candidateError(a) - candidateError(b) ||
      a.local.localeCompare(b.local),
  );

/** The candidate that a voice falls back to: the one chosen for it, or the first of its class. */
export function chosenCandidate(
  document: ProjectDocument,
  voiceKey: string,
  trials: FallbackTrials,
): TunedCandidate | null {
  const voice = document.voices[voiceKey];
  if (!voice?.family) return null;
  const tried = (Object.hasOwn(trials, voice.family) ? trials[voice.family] : undefined) ?? [];
  const allowed = localCandidates(voice.generic);
  return (
    tried.find(({ local }) => local === voice.fallback) ??
    tried.find(({ local }) => allowed.includes(local)) ??
    null
  );
}

/** The CSS family name of a fallback face: “Georgia for Literata”. */
export const fallbackFamilyName = (local: string, family: string): string =>
  `${LOCAL_FONTS[local]?.name ?? local} for ${family}`;
