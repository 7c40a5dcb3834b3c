import type { Patch } from '../document/patch';
import { freeKey } from '../document/faces';
import type { ProjectDocument } from '../document/projectDocument';
import { BODY_STYLE } from '../document/vocabulary';
import { sizeInViewport } from '../style/documentAt';
import { fitLineMeasure, lineMeasureOf, roleOf } from '../style/lineMeasure';
import { resolveInUse } from '../style/resolve';
import { px, styleName, type Mark, type Rule } from './mark';
import { spacingHere } from '../style/spacingHere';

/** Lines that a block has at least before its measure is felt: to be too long, and to be too short. */
const FELT = { long: 1.5, short: 3 };

/** Paragraphs, where they are no text element: the body itself is the page, whose width is not the text's. */
const PARAGRAPH = 'p';

/** Limits the measure of a style; of the body's that of paragraphs, which are made a text element where they are none. */
function limitPatch(document: ProjectDocument, style: string, measure: string): Patch {
  const limit = (of: string): Patch => [
    { op: 'add', path: `/styles/${of}/set/measure`, value: measure },
  ];
  if (style !== BODY_STYLE) return limit(style);
  const paragraph = Object.values(document.elements).find(({ selectors }) =>
    selectors.includes(PARAGRAPH),
  );
  if (paragraph && paragraph.style !== BODY_STYLE) return limit(paragraph.style);
  const key = freeKey(Object.keys(document.styles), 'paragraph', 'style');
  const element = freeKey(Object.keys(document.elements), 'paragraph', 'text');
  const name = 'Paragraph';
  return [
    { op: 'add', path: `/styles/${key}`, value: { name, follows: null, set: { measure } } },
    {
      op: 'add',
      path: `/elements/${element}`,
      value: { name, selectors: [PARAGRAPH], style: key, parent: null },
    },
  ];
}

/** Lines too long or too short for the face at its size, on the page and at the width of the proof. */
export const lineMeasure: Rule = (document, { page }) =>
  Object.entries(page?.texts ?? {}).flatMap(([style, text]): Mark[] => {
    if (!page || !document.styles[style]) return [];
    const fit = fitLineMeasure(roleOf(document, style), page.width);
    if (!fit) return [];
    const resolved = resolveInUse(document, style);
    const size = sizeInViewport(document, resolved.step.value, page.width);
    const characters = lineMeasureOf(text, size, spacingHere(document, resolved, page.width));
    const lines = text.longest / characters;
    const long = characters > fit.most && lines >= FELT.long;
    const short = characters < fit.least && lines >= FELT.short;
    if (!long && !short) return [];
    const bound = long ? fit.most : fit.least;
    const column = (text.column * bound) / characters;
    const spacing = spacingHere(document, resolved, page.width);
    return [
      {
        rule: 'measure',
        stage: 'scale',
        style,
        width: page.width,
        message: `${styleName(document, style)}: lines are too ${long ? 'long' : 'short'} to read well. A line holds ${Math.round(characters)} characters on “${page.title}” at ${page.width} px, in a column of ${px(text.column)} at ${px(size)}; ${bound} is the ${long ? 'most' : 'least'}.`,
        ...(long && {
          fix: {
            does: `Limit its lines to ${bound} characters`,
            // Rounded down: a character more would be one too many.
            patch: limitPatch(
              document,
              style,
              `${Math.floor(bound * (text.advance + spacing) * 10) / 10}em`,
            ),
          },
        }),
        remedy: `Make the column ${Math.round(column)} px wide, or the text ${px((size * characters) / bound)}.`,
      },
    ];
  });
