import { headingLevels } from '../style/lineMeasure';
import { lineMeasureOf } from '../style/lineMeasure';
import { sizeInViewport } from '../style/documentAt';
import { resolveInUse } from '../style/resolve';
import { styleName, type Mark, type Rule } from './mark';
import { spacingHere } from '../style/spacingHere';

/** From this line height on two lines of a heading stand visibly apart. */
export const APART = 1.35;

/**
 * Headings that stand in one line wherever the page shows them, with a line height that shows as soon as one
 * runs to two: nobody sees it on the page as it is.
 */
export const loneLine: Rule = (document, { page }) => {
  if (!page) return [];
  const styles = [...new Set(headingLevels(document).map(({ style }) => style))];
  return styles.flatMap((style): Mark[] => {
    const text = page.texts[style];
    if (!text) return [];
    const resolved = resolveInUse(document, style);
    const { lineHeight, step } = resolved;
    const size = sizeInViewport(document, step.value, page.width);
    const measure = lineMeasureOf(text, size, spacingHere(document, resolved, page.width));
    if (text.longest > measure || lineHeight.value < APART) return [];
    return [
      {
        rule: 'lone-line',
        stage: 'styles',
        style,
        width: page.width,
        message: `${styleName(document, style)}: every one on ${page.title} fits one line, which hides that its line height is ${lineHeight.value}. One of two lines falls apart into two headings.`,
        remedy:
          'Set its line height to 1.15, and look at the sheet with every text element, which has headings of several lines.',
        fix: {
          does: 'Set its line height to 1.15',
          patch: [{ op: 'add', path: `/styles/${style}/set/lineHeight`, value: 1.15 }],
        },
      },
    ];
  });
};
