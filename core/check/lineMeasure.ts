import { stepSizeAt } from '../scale/sizeAt';
import { fitLineMeasure, lineMeasureOf, roleOf } from '../style/lineMeasure';
import { resolveInUse } from '../style/resolve';
import { px, styleName, type Mark, type Rule } from './mark';
import { spacingHere } from '../style/spacingHere';

/** Lines that a block has at least before its measure is felt: to be too long, and to be too short. */
const FELT = { long: 1.5, short: 3 };

/** Lines too long or too short for the face at its size, on the page and at the width of the proof. */
export const lineMeasure: Rule = (document, { page }) =>
  Object.entries(page?.texts ?? {}).flatMap(([style, text]): Mark[] => {
    if (!page || !document.styles[style]) return [];
    const fit = fitLineMeasure(roleOf(document, style), page.width);
    if (!fit) return [];
    const resolved = resolveInUse(document, style);
    const size = stepSizeAt(document.scale, resolved.step.value, page.width);
    const characters = lineMeasureOf(text, size, spacingHere(document, resolved, page.width));
    const lines = text.longest / characters;
    const long = characters > fit.most && lines >= FELT.long;
    const short = characters < fit.least && lines >= FELT.short;
    if (!long && !short) return [];
    const bound = long ? fit.most : fit.least;
    const column = (text.column * bound) / characters;
    return [
      {
        rule: 'measure',
        stage: 'scale',
        style,
        width: page.width,
        message: `${styleName(document, style)}: lines are too ${long ? 'long' : 'short'} to read well. A line holds ${Math.round(characters)} characters on “${page.title}” at ${page.width} px, in a column of ${px(text.column)} at ${px(size)}; ${bound} is the ${long ? 'most' : 'least'}.`,
        remedy: `Make the column ${Math.round(column)} px wide, or the text ${px((size * characters) / bound)}.`,
      },
    ];
  });
