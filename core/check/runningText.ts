import type { PropertyName, ProjectDocument } from '../document';
import type { Patch } from '../document/patch';
import { stepByNumber } from '../scale/steps';
import { roleOf } from '../style/lineMeasure';
import { resolveInUse, type ResolvedStyle } from '../style/resolve';
import { stylesInUse } from '../style/usage';
import { px, styleName, type Mark, type Rule } from './mark';
import { spacingHere } from '../style/spacingHere';

/**
 * Running text is read by the shapes of words. More or less than this between letters pulls words apart or
 * runs letters into one another, em.
 */
export const SPACED = 0.03;
/** Strokes under this weight break up at sizes under this one, CSS px, on screens of ordinary density. */
export const LIGHT = { weight: 300, under: 24 };

/** Running text that is in use, resolved. */
const running = (document: ProjectDocument): [style: string, resolved: ResolvedStyle][] =>
  stylesInUse(document)
    .filter((style) => roleOf(document, style) === 'text')
    .map((style) => [style, resolveInUse(document, style)]);

/** Sets a property where the style has it from, so that all that follows is put right with it. */
const setAt = (
  resolved: ResolvedStyle,
  style: string,
  property: PropertyName,
  value: string | number,
): Patch => [
  { op: 'add', path: `/styles/${resolved[property].source ?? style}/set/${property}`, value },
];

/** Letter spacing on running text. */
export const spacedText: Rule = (document) =>
  running(document).flatMap(([style, resolved]): Mark[] => {
    const [value = 0] = [document.scale.small, document.scale.large]
      .map(({ width }) => spacingHere(document, resolved, width))
      .sort((a, b) => Math.abs(b) - Math.abs(a));
    if (Math.abs(value) <= SPACED) return [];
    return [
      {
        rule: 'spaced-text',
        stage: 'styles',
        style,
        message: `${styleName(document, style)}: ${value > 0 ? 'words fall apart into letters' : 'letters run into one another'}, since ${Number(value.toFixed(3))} em stands between them. Running text is read by the shapes of its words.`,
        remedy: 'Let running text have the spacing of its face.',
        fix: {
          does: 'Remove the letter spacing',
          patch: setAt(resolved, style, 'letterSpacing', 0),
        },
      },
    ];
  });

/** Running text in capitals. */
export const capitalText: Rule = (document) =>
  running(document).flatMap(([style, resolved]): Mark[] => {
    const capitals =
      resolved.case.value === 'uppercase' || resolved.smallCaps.value === 'all-small-caps';
    if (!capitals) return [];
    const property = resolved.case.value === 'uppercase' ? 'case' : 'smallCaps';
    return [
      {
        rule: 'capital-text',
        stage: 'styles',
        style,
        message: `${styleName(document, style)}: words of capitals all have one shape, so that several lines of them are read letter by letter.`,
        remedy: 'Set running text as it is typed.',
        fix: {
          does: 'Set it as typed',
          patch: setAt(resolved, style, property, property === 'case' ? 'none' : 'normal'),
        },
      },
    ];
  });

/** Light weights at the sizes of running text. */
export const lightText: Rule = (document) =>
  running(document).flatMap(([style, resolved]): Mark[] => {
    const { value: weight } = resolved.weight;
    const { small } = stepByNumber(document.scale, resolved.step.value);
    if (weight >= LIGHT.weight || small >= LIGHT.under) return [];
    return [
      {
        rule: 'light-text',
        stage: 'styles',
        style,
        width: document.scale.small.width,
        message: `${styleName(document, style)}: at ${px(small)} on a phone, strokes of weight ${weight} are thinner than what most screens can show, and grey out.`,
        remedy: `Set it in ${LIGHT.weight} or more.`,
        fix: { does: 'Set it in 400', patch: setAt(resolved, style, 'weight', 400) },
      },
    ];
  });
