import type { Patch, ProjectDocument } from '@lettera/core/document';
import {
  LOCAL_FONTS,
  localCandidates,
  voiceFallback,
  type FallbackPlan,
  type FallbackTrials,
  type LocalPlatform,
  type TunedCandidate,
} from '@lettera/core/fallback';

const PLATFORM_NAMES: Record<LocalPlatform, string> = {
  windows: 'Windows',
  macos: 'macOS',
  ios: 'iOS',
  android: 'Android',
  chromeos: 'ChromeOS',
  linux: 'Linux',
};

/** Platforms that carry a local font, by the names that people know. */
export const platforms = (local: string): string =>
  (LOCAL_FONTS[local]?.platforms ?? []).map((key) => PLATFORM_NAMES[key]).join(', ');

/** The open font that a local font's widths are read from, by the name that people know it by. */
export const twinName = (local: string): string =>
  (LOCAL_FONTS[local]?.twin ?? '')
    .split('-')
    .map((word) => word.charAt(0).toUpperCase() + word.slice(1))
    .join(' ');

/** Every voice with what it falls back to, and the local fonts of its class that were tried. */
export const voicesOf = (document: ProjectDocument, plan: FallbackPlan, trials: FallbackTrials) =>
  Object.entries(document.voices).map(([key, voice]) => ({
    key,
    voice,
    family: document.case[voice.family ?? ''],
    ...voiceFallback(plan, key),
    candidates: (trials[voice.family ?? ''] ?? []).filter(({ local }) =>
      localCandidates(voice.generic).includes(local),
    ),
  }));

/** How far words are off in a local font as it is, over all the faces that were tried. */
export function unfittedError({ faces }: TunedCandidate): number {
  const words = faces.reduce((sum, face) => sum + face.words, 0);
  return faces.reduce((sum, face) => sum + face.untunedError * face.words, 0) / words;
}

/** Characters of the text that a local font lacks in any of its faces, each once. */
export const missingCharacters = ({ faces }: TunedCandidate): string =>
  [...new Set(faces.flatMap((face) => face.missing))].join(' ');

/** Choosing the first leaves the choice open, so that it follows the face. */
export const choosePatch = (voice: string, local: string, first: boolean): Patch => [
  { op: 'replace', path: `/voices/${voice}/fallback`, value: first ? null : local },
];
