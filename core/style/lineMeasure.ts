import { onceForParts } from '../document/onceForParts';
import type { ProjectDocument } from '../document/projectDocument';
import { BODY_STYLE } from '../document/vocabulary';

/** Text as it stands on a page: how wide its column is, and the mean advance of its face. */
export interface SetText {
  /** Width of the column that most of its text stands in, CSS px. */
  column: number;
  /** Characters in the longest block of it. */
  longest: number;
  /** Mean advance of a character of running text, em. */
  advance: number;
}

/**
 * The measure: characters that a line holds, spaces counted.
 *
 * @param size CSS px
 * @param letterSpacing em
 */
export const lineMeasureOf = (
  { column, advance }: Pick<SetText, 'column' | 'advance'>,
  size: number,
  letterSpacing: number,
): number => column / (size * (advance + letterSpacing));

/** What a style is for, where the measure that suits it depends on that. */
export type TextRole = 'heading' | 'text' | 'other';

const HEADING = /^h[1-6]$/i;

/** Text elements whose style carries a heading level, by level: 1 for `h1`. */
export const headingLevels = onceForParts(
  ['elements'],
  (document): readonly { level: number; style: string }[] =>
    Object.values(document.elements)
      .flatMap(({ selectors, style }) =>
        selectors
          .filter((selector) => HEADING.test(selector))
          .map((selector) => ({ level: Number(selector.slice(1)), style })),
      )
      .sort((a, b) => a.level - b.level),
);

/** Selectors of what is read as running text beside the body's own. */
const RUNNING = /^(p|li|dd|blockquote|\.lead)$/i;

/** What each style is for, as far as its elements tell. */
const roles = onceForParts(['elements'], (document): ReadonlyMap<string, TextRole> => {
  const found = new Map<string, TextRole>([[BODY_STYLE, 'text']]);
  for (const { style, selectors } of Object.values(document.elements)) {
    if (selectors.some((one) => RUNNING.test(one))) found.set(style, 'text');
  }
  for (const { style } of headingLevels(document)) found.set(style, 'heading');
  return found;
});

/** Whether a style sets headings, running text, or something else: labels, tables, captions. */
export const roleOf = (document: Pick<ProjectDocument, 'elements'>, style: string): TextRole =>
  roles(document).get(style) ?? 'other';

/** Viewports narrower than this are taken for phones, CSS px. */
export const PHONE = 600;

/**
 * Characters a line that each kind of text is read well at. 45 to 75 is the trade's rule for text; a phone
 * cannot hold 45 at a size that is read, so that less is doubted there only when lines break at every
 * fourth word. A heading of more than 40 on a phone is too small to be one.
 */
const MEASURES = {
  text: { least: 45, most: 75 },
  phone: { least: 28, most: 75 },
  headingOnPhone: { least: 0, most: 40 },
  other: { least: 0, most: 90 },
} as const;

/** The least and most characters a line that suit a kind of text in a viewport, or null where none do not. */
export function fitLineMeasure(
  role: TextRole,
  viewport: number,
): { least: number; most: number } | null {
  const phone = viewport < PHONE;
  if (role === 'heading') return phone ? MEASURES.headingOnPhone : null;
  if (role === 'other') return MEASURES.other;
  return phone ? MEASURES.phone : MEASURES.text;
}
