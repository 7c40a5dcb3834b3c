import type { ProjectDocument } from '../document/projectDocument';
import { sizeInViewport } from './documentAt';
import { ENDS, stepByNumber, type End } from '../scale/steps';
import { suggestedLineHeight } from './lineHeight';
import { lineMeasureOf, type SetText } from './lineMeasure';
import { stepOf } from './usage';
import { resolveInUse } from './resolve';
import { spacingHere } from './spacingHere';

/** What is known of faces and of the page that text stands on; what is left out is taken as usual. */
export interface SettingEvidence {
  /** x-heights by family of the case, em. */
  xHeights?: Readonly<Record<string, number>>;
  page?: { width: number; texts: Readonly<Record<string, SetText>> } | null;
}

/** A line height suggested for a style, and what it was suggested from. */
export interface SuggestedLineHeight {
  /** One for both ends: a line height is a single multiple. */
  value: number;
  /** The lesser and the greater of what would suit its sizes at the two ends by themselves. */
  least: number;
  most: number;
  /** Its size at each end, CSS px. */
  sizes: Record<End, number>;
  xHeight: number;
  /** Characters a line on the page, or null where the page has no such text. */
  measure: number | null;
  /** The end that the page's width is nearer to: the measure is known of that one alone. */
  measuredAt: End | null;
}

/** The end of the scale that a viewport is nearer to, CSS px. */
const nearerEnd = ({ small, large }: ProjectDocument['scale'], width: number): End =>
  Math.abs(width - small.width) <= Math.abs(width - large.width) ? 'small' : 'large';

/** A style's line height from the size it runs between, the x-height of its face and its measure. */
export function suggestedFor(
  document: ProjectDocument,
  style: string,
  { xHeights = {}, page }: SettingEvidence,
): SuggestedLineHeight | null {
  const resolved = resolveInUse(document, style);
  const { voice, step } = resolved;
  const xHeight = xHeights[document.voices[voice.value ?? '']?.family ?? ''];
  if (xHeight === undefined) return null;
  const number = stepOf(document, style);
  const { small, large } = stepByNumber(document.scale, number);
  const sizes = { small, large };
  const text = page?.texts[style];
  const measure =
    page && text
      ? lineMeasureOf(
          text,
          sizeInViewport(document, step.value, page.width),
          spacingHere(document, resolved, page.width),
        )
      : null;
  const measuredAt = page && measure !== null ? nearerEnd(document.scale, page.width) : null;
  const suits = ENDS.map((end) =>
    suggestedLineHeight({
      size: sizes[end],
      xHeight,
      measure: end === measuredAt ? measure : null,
    }),
  );
  const [least, most] = [Math.min(...suits), Math.max(...suits)];
  const value = Math.round(((least + most) / 2) * 100) / 100;
  return { value, least, most, sizes, xHeight, measure, measuredAt };
}
