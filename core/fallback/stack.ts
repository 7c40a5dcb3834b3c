import { siteName } from '../document/familyName';
import type { Generic } from '../document/vocabulary';
import type { ProjectDocument } from '../document/projectDocument';
import { chosenCandidate, fallbackFamilyName, type FallbackTrials } from './fallbackFace';
import { LOCAL_FONTS } from './localFonts';

/** One entry of a stack, and what kind of font it names. */
export type StackEntry =
  | { kind: 'web'; name: string }
  | { kind: 'fallback'; name: string; local: string }
  | { kind: 'local'; name: string; local: string }
  | { kind: 'generic'; name: Generic };

/**
 * A voice's whole stack, from the web face through the fitted and the plain local font to the generic.
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
  const web: StackEntry = { kind: 'web', name };
  const candidate = chosenCandidate(document, voiceKey, trials);
  if (!candidate) return [web, generic];
  const { local } = candidate;
  return [
    web,
    { kind: 'fallback', name: fallbackFamilyName(local, name), local },
    { kind: 'local', name: LOCAL_FONTS[local]?.name ?? local, local },
    generic,
  ];
}
