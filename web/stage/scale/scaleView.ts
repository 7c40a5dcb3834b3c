import { scaleView as say } from './words';
import { BODY_STYLE, type ProjectDocument } from '@lettera/core/document';
import type { End, Step } from '@lettera/core/scale';
import { resolveInUse, usersByStep, spacingHere } from '@lettera/core/style';
import type { CSSProperties } from 'vue';
import { caseFont } from '../../proof/caseFonts';

/** What each end is called. */
export const END_NAMES: Record<End, string> = { small: say.smallEnd, large: say.largeEnd };

/** Names of the styles that use each step, by the step's number. */
export function stepUsers(document: ProjectDocument): Map<number, string[]> {
  return new Map(
    [...usersByStep(document)].map(([number, styles]) => [
      number,
      styles.map((key) => document.styles[key]?.name ?? key),
    ]),
  );
}

/**
 * How a step's text is set, but for its size: as the first style that uses it; one that no style uses as the
 * nearest step that one does, the lower of two as near.
 */
export function stepVoice(document: ProjectDocument, { number }: Step): CSSProperties {
  const users = usersByStep(document);
  const [nearest] = [...users.keys()].sort(
    (a, b) => Math.abs(a - number) - Math.abs(b - number) || a - b,
  );
  const [style = BODY_STYLE] = users.get(nearest ?? number) ?? [];
  const resolved = resolveInUse(document, style);
  const { voice, weight, slant, case: letterCase } = resolved;
  const seat = document.voices[voice.value ?? ''];
  return {
    fontFamily: caseFont(seat?.family, seat?.generic),
    fontWeight: weight.value,
    fontStyle: slant.value,
    letterSpacing: `${spacingHere(document, resolved, document.scale.large.width)}em`,
    textTransform: letterCase.value ?? 'none',
  };
}
