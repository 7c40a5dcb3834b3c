import type { ProjectDocument, TextElement } from '../document/projectDocument';
import { GROUND } from '../document/references';
import { PROPERTIES, PROPERTY_NAMES, type PropertyName } from '../style/properties';
import { resolveStyle } from '../style/resolve';
import { cssNumber, cssRule, indent } from './css';
import { colourProperty, GRID_PROPERTY, styleProperty } from './customProperties';

/** The properties that the `font` shorthand resets. */
const IN_FONT_SHORTHAND: readonly PropertyName[] = [
  'voice',
  'weight',
  'slant',
  'step',
  'lineHeight',
];

const where = (selectors: readonly string[]): string => `:where(${selectors.join(', ')})`;

type Declaration = [property: string, value: string];

/**
 * The rule of one element. `:where()` gives it no specificity, so that any rule of the site's own wins.
 * What the style leaves to the text around it is inherited expressly, since browsers' own style sheets
 * set fonts on headings, controls, code and others.
 */
export function elementRule(document: ProjectDocument, element: TextElement): string {
  const resolved = resolveStyle(document, element.style);
  const carries = (property: PropertyName) => ['set', 'style'].includes(resolved[property].origin);
  const declarations: Declaration[] = [];
  if (!IN_FONT_SHORTHAND.every(carries)) declarations.push(['font', 'inherit']);
  for (const property of PROPERTY_NAMES) {
    const { css } = PROPERTIES[property];
    if (carries(property)) {
      declarations.push([css, `var(${styleProperty(element.style, property)})`]);
    } else if (!IN_FONT_SHORTHAND.includes(property)) {
      declarations.push([css, 'inherit']);
    }
  }
  if (document.delivery.dark && element.selectors.includes('body')) {
    declarations.push(['background-color', `var(${colourProperty(GROUND)})`]);
  }
  return cssRule(where(element.selectors), declarations);
}

/**
 * Line heights rounded to whole lines of the baseline grid, for each element that has a size or a line
 * height of its own. CSS Values 4 §10.8 (`round()`); browsers without it keep the plain line heights.
 */
function gridRules(document: ProjectDocument): string {
  if (document.scale.grid === undefined) return '';
  const grid = `var(${GRID_PROPERTY})`;
  const rules = Object.values(document.elements).flatMap(({ style, parent, selectors }) => {
    const own = resolveStyle(document, style);
    const carries = (['step', 'lineHeight'] as const).some((name) =>
      ['set', 'style'].includes(own[name].origin),
    );
    if (!carries) return [];
    const { source, value } = resolveStyle(document, style, parent).lineHeight;
    const factor = source ? `var(${styleProperty(source, 'lineHeight')})` : cssNumber(value ?? 1);
    const lines = `max(${grid}, round(nearest, calc(${factor} * 1em), ${grid}))`;
    return [cssRule(where(selectors), [['line-height', lines]])];
  });
  return `@supports (line-height: round(nearest, 1em, 1px)) {\n${indent(rules.join('\n'))}}\n`;
}

/** What sizes follow, where they follow a container: its own width must not depend on what is in it. */
function containerRule({ scale: { between, containers = [] } }: ProjectDocument): string {
  if (between !== 'container' || containers.length === 0) return '';
  return cssRule(where(containers), [['container-type', 'inline-size']]);
}

/** The rules of all elements, in the document's order, in which later ones win. */
export const elementRules = (document: ProjectDocument): string =>
  [
    containerRule(document),
    ...Object.values(document.elements).map((element) => elementRule(document, element)),
    gridRules(document),
  ]
    .filter(Boolean)
    .join('\n');

/** The rules of all elements, in the cascade layer that the delivery names. */
export function layeredRules(document: ProjectDocument): string {
  const { layer } = document.delivery;
  const rules = elementRules(document);
  return layer ? `@layer ${layer} {\n${indent(rules)}}\n` : rules;
}
