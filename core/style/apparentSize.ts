import type { Patch } from '../document/patch';
import type { ProjectDocument } from '../document/projectDocument';
import { BODY_STYLE } from '../document/vocabulary';
import { stepByNumber } from '../scale/steps';
import { resolveElement, resolveStyle } from './resolve';

/** Base sizes that a project document takes, CSS px, and how finely sizes are kept. */
const BASE_LIMITS: [number, number] = [8, 64];
const GRAIN = 100;

const rounded = (size: number): number => Math.round(size * GRAIN) / GRAIN;

/** Numbers of the steps that the site's elements use in the voices given, and in no other. */
function stepsOfVoices(document: ProjectDocument, voices: readonly string[]): number[] {
  const used = { here: new Set<number>(), elsewhere: new Set<number>() };
  for (const key of Object.keys(document.elements)) {
    const { voice, step } = resolveElement(document, key);
    if (voice.value === null) continue;
    used[voices.includes(voice.value) ? 'here' : 'elsewhere'].add(step.value);
  }
  return [...used.here].filter((step) => !used.elsewhere.has(step)).sort((a, b) => a - b);
}

/**
 * The change of sizes that keeps text as large to the eye when a voice goes from a face with one
 * x-height to one with another: sizes × `ratio`. With the body's voice the whole scale follows its base;
 * with any other voice the steps
 * that only its text uses are set by hand, and those that it shares stay, since other text would change.
 *
 * @param voices keys of the voices whose face changes
 * @param ratio x-height of the face before ÷ x-height of the face after, both in em
 */
export function apparentSizePatch(
  document: ProjectDocument,
  voices: readonly string[],
  ratio: number,
): Patch {
  const { scale } = document;
  const bodyVoice = resolveStyle(document, BODY_STYLE).voice.value;
  if (bodyVoice !== null && voices.includes(bodyVoice)) {
    return (['small', 'large'] as const).map((end) => ({
      op: 'replace',
      path: `/scale/${end}/base`,
      value: Math.min(BASE_LIMITS[1], Math.max(BASE_LIMITS[0], rounded(scale[end].base * ratio))),
    }));
  }
  return stepsOfVoices(document, voices).map((number) => {
    const { small, large } = stepByNumber(scale, number);
    return {
      op: 'add',
      path: `/scale/overrides/${number}`,
      value: { small: rounded(small * ratio), large: rounded(large * ratio) },
    };
  });
}
