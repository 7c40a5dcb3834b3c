import { fallbackFaceRule, localSources } from '@lettera/core/deliver';
import { onceFor } from '@lettera/core/document';
import type { PlannedFallbackFace } from '@lettera/core/fallback';
import { sharedUnicodeRange } from '@lettera/core/font';
import type { TwinScripts } from '@lettera/core/wire';
import { urls } from '../api/client';

type TwinScript = TwinScripts[string][number];

function rulesOf(face: PlannedFallbackFace, twins: readonly TwinScript[]): string {
  const local = localSources(face.local, face.variant);
  if (twins.length === 0) return fallbackFaceRule(face);
  return twins
    .flatMap(({ script, unicodeRange: ofScript }) => {
      const unicodeRange = sharedUnicodeRange(face.unicodeRange, ofScript);
      if (unicodeRange === '') return [];
      const url = urls.localFont(face.local, face.variant, script);
      const sources = [...local, `url("${url}") format("woff2")`];
      return [fallbackFaceRule(face, { sources, unicodeRange })];
    })
    .join('\n');
}

/** Worked out once for a face and its twin: the proof asks with every change of a token. */
const rules = onceFor((twins: readonly TwinScript[]) =>
  onceFor((face: PlannedFallbackFace) => rulesOf(face, twins)),
);
const NO_TWINS: readonly TwinScript[] = [];

/**
 * A fallback face on the proof: the local font where this machine has it, else the open font that has
 * its advance widths, a script at a time. One without such a font shows where the machine has it.
 */
export const fallbackRules = (
  face: PlannedFallbackFace,
  twins: readonly TwinScript[] = NO_TWINS,
): string => rules(twins)(face);
