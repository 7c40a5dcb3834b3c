import { siteName } from '../document/familyName';
import { onceFor } from '../document/once';
import type { ProjectDocument } from '../document/projectDocument';
import { voiceUses } from '../style/usage';
import {
  chosenCandidate,
  fallbackFamilyName,
  type FallbackTrials,
  type TunedCandidate,
  type TunedFace,
} from './fallbackFace';
import { localVariant, type LocalVariant } from './localFonts';
import { stackOf, type StackEntry } from './stack';

/** A face over a local font that stands in for a web face: one weight and style, on a range of characters. */
export interface PlannedFallbackFace extends TunedFace {
  /** Its CSS family name. */
  name: string;
  /** Key of the local font, and which of its four styles. */
  local: string;
  variant: LocalVariant;
  /** CSS `unicode-range`; null for every character. */
  unicodeRange: string | null;
}

/** What a voice falls back to. */
export interface VoiceFallback {
  /** From the web face to the generic. */
  stack: readonly StackEntry[];
  /** What was chosen of all that was tried; null while nothing has been. */
  chosen: TunedCandidate | null;
}

/** What every voice falls back to, and the faces that it takes. The one source of stacks and fallback faces. */
export interface FallbackPlan {
  voices: Readonly<Record<string, VoiceFallback>>;
  /** Of the voices in use, each face once. */
  faces: readonly PlannedFallbackFace[];
}

const NOTHING: VoiceFallback = { stack: [], chosen: null };

/** What a voice of the plan falls back to; nothing for a voice that is not there. */
export const voiceFallback = ({ voices }: FallbackPlan, voice: string): VoiceFallback =>
  (Object.hasOwn(voices, voice) ? voices[voice] : undefined) ?? NOTHING;

function facesOf(document: ProjectDocument, voices: FallbackPlan['voices']): PlannedFallbackFace[] {
  const byName = new Map<string, PlannedFallbackFace[]>();
  for (const voiceKey of voiceUses(document).keys()) {
    const chosen = voices[voiceKey]?.chosen;
    const family = document.case[document.voices[voiceKey]?.family ?? ''];
    if (!chosen || !family) continue;
    const name = fallbackFamilyName(chosen.local, siteName(family));
    byName.set(
      name,
      chosen.faces.map((face) => ({
        ...face,
        name,
        local: chosen.local,
        variant: localVariant(face.weight, face.slant),
        unicodeRange: null,
      })),
    );
  }
  return [...byName.values()].flat();
}

function makePlan(document: ProjectDocument, trials: FallbackTrials): FallbackPlan {
  const voices = Object.fromEntries(
    Object.keys(document.voices).map((key): [string, VoiceFallback] => [
      key,
      {
        stack: stackOf(document, key, trials),
        chosen: chosenCandidate(document, key, trials),
      },
    ]),
  );
  return { voices, faces: facesOf(document, voices) };
}

const plans = onceFor((document: ProjectDocument) =>
  onceFor((trials: FallbackTrials) => makePlan(document, trials)),
);

/** The fallback plan of a document from what was tried for its families; made once for both. */
export const fallbackPlan = (document: ProjectDocument, trials: FallbackTrials): FallbackPlan =>
  plans(document)(trials);
