import { hexOf } from '../css';
import type { ProjectDocument } from '../document/projectDocument';
import { contrastRatio, leastContrast } from '../style/contrast';
import { groundColour } from '../style/grounds';
import { inkUses } from '../style/inkUses';
import { resolveInUse } from '../style/resolve';
import { px, styleName, subjectOf, type Mark, type PaintedText, type Rule } from './mark';

/** Under what WCAG asks by less than this is what rounding makes. */
const ROUNDING = 0.005;

interface Weak extends PaintedText {
  ratio: number;
  least: number;
}

/** Pairs of colours that are judged by the project’s own colours, as `ink|ground` in hexadecimals. */
function judgedOtherwise(document: ProjectDocument, style: string): Set<string> {
  return new Set(
    inkUses(document).flatMap((use) =>
      use.style === style
        ? (['light', 'dark'] as const).map(
            (side) =>
              `${hexOf(document.colours[use.ink]?.[side] ?? '#000')}|${hexOf(groundColour(document, use.ground, side))}`,
          )
        : [],
    ),
  );
}

/** The worst of several texts, as a mark. @param isOwn whether the colour is the project’s */
function markOf(
  document: ProjectDocument,
  title: string,
  style: string,
  weak: readonly Weak[],
  isOwn: boolean,
): Mark {
  const [worst] = [...weak].sort((a, b) => a.ratio - b.ratio) as [Weak];
  const { words, colour, ground, ratio, least, size, side, state } = worst;
  const name = styleName(document, style);
  const where = [
    ...(side === 'dark' ? [' on the dark background'] : []),
    ...(state ? [` when ${state}`] : []),
  ].join('');
  const more = weak.length > 1 ? `, and ${weak.length - 1} more like it` : '';
  return {
    rule: 'painted-contrast',
    stage: 'styles',
    style,
    subject: subjectOf(isOwn ? 'own' : 'site', side, state ?? 'rest'),
    message: `${name}: hard to read on “${title}”${where}: “${words}”${more}. The contrast of ${hexOf(colour)} on ${hexOf(ground)} is ${ratio.toFixed(2)} to 1; WCAG asks for ${least} at ${px(size)}.`,
    remedy: isOwn
      ? `Leave the colour of ${name} open, choose another, or keep your site’s own colours there: Deliver, On your own pages.`
      : 'The colour is your site’s own: change it in its style sheets, or make the text an element of its own with a colour.',
  };
}

/**
 * Text whose contrast is under what WCAG asks with the ground that is painted behind it on the page, in the state
 * that it was seen in. What the project’s own colours and grounds tell is told by them.
 */
export const paintedContrast: Rule = (document, { page }) =>
  Object.entries(page?.painted ?? {}).flatMap(([style, texts]): Mark[] => {
    if (!document.styles[style]) return [];
    const judged = judgedOtherwise(document, style);
    const ink = document.colours[resolveInUse(document, style).colour.value ?? ''];
    const weak = texts.flatMap((text): Weak[] => {
      const [ratio, least] = [
        contrastRatio(text.colour, text.ground),
        leastContrast(text.size, text.weight),
      ];
      const isJudged = judged.has(`${hexOf(text.colour)}|${hexOf(text.ground)}`);
      return ratio >= least - ROUNDING || isJudged ? [] : [{ ...text, ratio, least }];
    });
    const groups = new Map<string, Weak[]>();
    for (const text of weak) {
      const isOwn = ink !== undefined && hexOf(ink[text.side]) === hexOf(text.colour);
      const key = [isOwn ? 'own' : 'site', text.side, text.state ?? ''].join(' ');
      groups.set(key, [...(groups.get(key) ?? []), text]);
    }
    return [...groups].map(([key, all]) =>
      markOf(document, page?.title ?? '', style, all, key.startsWith('own')),
    );
  });
