import { siteName } from '../document/familyName';
import type { ProjectDocument } from '../document/projectDocument';
import {
  fallbackFamilyName,
  trialKey,
  type FallbackTrials,
  type TunedCandidate,
} from './fallbackFace';
import { localName } from './localFonts';
import { proposedStack } from './propose';
import type { StackEntry } from './stackEntry';

/** What was tried for a voice, with the family that it has. */
export function triedFor(
  document: ProjectDocument,
  voice: string,
  trials: FallbackTrials,
): TunedCandidate[] {
  const key = trialKey(voice, document.voices[voice]?.family ?? '');
  return (Object.hasOwn(trials, key) ? trials[key] : undefined) ?? NOTHING;
}

/** One and the same, so that what follows from nothing is worked out once. */
const NOTHING: TunedCandidate[] = [];

/** Keys of the local fonts that a voice falls back to, first to last: those chosen, else those proposed. */
export function localsOf(
  document: ProjectDocument,
  voiceKey: string,
  trials: FallbackTrials,
): readonly string[] {
  const chosen = document.voices[voiceKey]?.fallback ?? null;
  if (chosen !== null) return typeof chosen === 'string' ? [chosen] : chosen;
  return proposedStack(triedFor(document, voiceKey, trials), document.audience);
}

/**
 * A voice's whole stack, from the web face through the fitted and the plain local fonts to the generic.
 * A voice with an empty seat has only the generic.
 */
export function stackOf(
  document: ProjectDocument,
  voiceKey: string,
  trials: FallbackTrials,
): StackEntry[] {
  const voice = document.voices[voiceKey];
  if (!voice) return [];
  const generic: StackEntry = { kind: 'generic', name: voice.generic };
  const family = voice.family === null ? undefined : document.case[voice.family];
  if (!family) return [generic];
  const name = siteName(family);
  const locals = localsOf(document, voiceKey, trials);
  const tried = triedFor(document, voiceKey, trials);
  const plain = voice.plain ?? locals.map(localName);
  return [
    { kind: 'web', name },
    ...locals
      .filter((local) => tried.some((candidate) => candidate.local === local))
      .map((local): StackEntry => ({
        kind: 'fallback',
        name: fallbackFamilyName(local, tuningName(document, voiceKey, name)),
        local,
      })),
    ...plain.map((one): StackEntry => ({ kind: 'local', name: one })),
    generic,
  ];
}

/** What a voice's fallback faces are named for: the family, and the voice where several share it. */
function tuningName(document: ProjectDocument, voiceKey: string, family: string): string {
  const voice = document.voices[voiceKey];
  const sharing = Object.values(document.voices).filter((one) => one.family === voice?.family);
  return sharing.length > 1 ? `${family}, ${voice?.name ?? voiceKey}` : family;
}
