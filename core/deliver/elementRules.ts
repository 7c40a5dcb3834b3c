import type { ProjectDocument, TextElement } from '../document/projectDocument';
import { GROUND } from '../document/references';
import { PROPERTIES, PROPERTY_NAMES, type PropertyName } from '../style/properties';
import { resolveStyle } from '../style/resolve';
import { cssRule } from './css';
import { colourProperty, styleProperty } from './customProperties';

/** The properties that the `font` shorthand resets. */
const IN_FONT_SHORTHAND: readonly PropertyName[] = [
  'voice',
  'weight',
  'slant',
  'step',
  'lineHeight',
];

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
  return cssRule(`:where(${element.selectors.join(', ')})`, declarations);
}

/** The rules of all elements, in the document's order, in which later ones win. */
export const elementRules = (document: ProjectDocument): string =>
  Object.values(document.elements)
    .map((element) => elementRule(document, element))
    .join('\n');
