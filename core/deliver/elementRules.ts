import { onceFor } from '../document/once';
import { onceForParts } from '../document/onceForParts';
import type { ProjectDocument, TextElement } from '../document/projectDocument';
import { narrowBelowOf } from '../document/narrow';
import { GROUND } from '../document/vocabulary';
import { descriptorOf, PROPERTIES, PROPERTY_NAMES, type PropertyName } from '../document/property';
import { narrowDocument } from '../style/narrow';
import { carries, resolveStyle, type Origin, type ResolvedStyle } from '../style/resolve';
import { ruleSpecificity, selectorsOf, weighedSelector } from '../style/ruleWeight';
import { setByBrowsers } from '../page/browserDefaults';
import type { ProjectRules } from '../page/cascade';
import { cssNumber, cssRule, indent } from './css';
import {
  colourProperty,
  GRID_PROPERTY,
  narrowStyleProperties,
  styleProperty,
} from './customProperties';

/** The properties that the `font` shorthand resets, and that each text has from the project. */
const IN_FONT_SHORTHAND = PROPERTY_NAMES.filter(
  (name) => PROPERTIES[name].inFontShorthand && PROPERTIES[name].whenOpen === 'inherit',
);

/** Origins of what the project sets around a text. */
const FROM_AROUND: readonly Origin[] = ['parent', 'body'];

const where = (selectors: readonly string[]): string => `:where(${selectors.join(', ')})`;

type Declaration = [property: string, value: string];

/** What a rule is made of. */
type RuledElement = Pick<TextElement, 'style' | 'selectors' | 'important'> &
  Partial<Pick<TextElement, 'parent'>>;

/** Declarations with the importance that their element has. CSS Cascade 5 §6.4. */
const said = (
  { important }: Pick<TextElement, 'important'>,
  declarations: readonly Declaration[],
): Declaration[] =>
  declarations.map(([property, value]) => [property, important ? `${value} !important` : value]);

/**
 * The size that text has where it stands, as it is reckoned and not as a length: custom properties are
 * inherited unreckoned, so that what refers to this one in a container takes its size from that container.
 */
const SIZE_HERE = '--size';

const followsContainer = ({ scale }: ProjectDocument): boolean => scale.between === 'container';

/**
 * The rule of one element, with the weight that the delivery has for it: unless said, `:where()` gives it no
 * specificity, so that any rule of the site's own wins.
 * What the style leaves to the text around it is inherited expressly, since browsers' own style sheets
 * set fonts on headings, controls, code and others.
 */
export const elementRule = (document: ProjectDocument, element: TextElement): string =>
  ruleOf(document, weighedSelector(document, element), element);

/** What an element that wears a style is given, in a rule for some selectors, with what differs on narrow screens. */
export const ruleOf = (
  document: ProjectDocument,
  selector: string,
  element: RuledElement,
): string =>
  written(elementDeclarations(document, element), selector, element.important ?? false) +
  onNarrow(document, narrowRule(document, selector, element));

/** Rules as they were written, by what they declare. */
const rulesOf = onceFor<readonly Declaration[], Map<string, string>>(() => new Map());

/** A rule, written once for as long as it declares the same. */
function written(declarations: readonly Declaration[], selector: string, important: boolean) {
  const known = rulesOf(declarations);
  const id = `${important} ${selector}`;
  const rule = known.get(id) ?? cssRule(selector, said({ important }, declarations));
  known.set(id, rule);
  return rule;
}

/** The condition under which styles are set as for narrow screens: all widths that are not as wide. */
const onNarrow = (document: ProjectDocument, rules: string): string =>
  rules && `@media not all and (min-width: ${narrowBelowOf(document)}px) {\n${indent(rules)}}\n`;

/** What an element is given on narrow screens beside what it has at every width, whose tokens may be others there. */
function narrowRule(document: ProjectDocument, selector: string, element: RuledElement): string {
  const narrow = narrowDocument(document);
  if (narrow === document) return '';
  const usual = new Map(elementDeclarations(document, element));
  const all = elementDeclarations(narrow, element);
  const changed = all.filter(([property, value]) => usual.get(property) !== value);
  // The shorthand sets a line's kind and colour back: what the style says of them is said again after it.
  const resets = changed.some(([property]) => property === 'border');
  const more = all.filter(
    (one) => changed.includes(one) || (resets && one[0].startsWith('border-')),
  );
  return more.length > 0 ? cssRule(selector, said(element, more)) : '';
}

/** The tokens of styles that are others on narrow screens; empty where none is. */
export function narrowTokens(document: ProjectDocument): string {
  const properties = narrowStyleProperties(document);
  return onNarrow(document, properties.length > 0 ? cssRule(':root', properties) : '');
}

/**
 * What elements are given, by how their styles are resolved: it names tokens, and not what they are, so that a change
 * reaches the rules alone of what follows it.
 */
const declarationsBy = onceForParts(['delivery'], () => {
  const byStyle = () =>
    onceFor<ResolvedStyle, WeakMap<RuledElement, Declaration[]>>(() => new WeakMap());
  return { plain: byStyle(), inContainers: byStyle() };
});

/** What an element is given in its rule, worked out once for the same style. */
function elementDeclarations(
  document: ProjectDocument,
  element: RuledElement,
): readonly Declaration[] {
  const by = declarationsBy(document)[followsContainer(document) ? 'inContainers' : 'plain'];
  const resolved = resolveStyle(document, element.style, element.parent);
  const known = by(resolved);
  const before = known.get(element);
  if (before) return before;
  const declarations = declarationsOf(document, element, resolved);
  known.set(element, declarations);
  return declarations;
}

function declarationsOf(
  document: ProjectDocument,
  element: RuledElement,
  resolved: ResolvedStyle,
): Declaration[] {
  const own = (property: PropertyName) => carries(resolved[property]);
  const declarations: Declaration[] = [];
  const inheritsFont = !IN_FONT_SHORTHAND.every(own);
  if (inheritsFont) declarations.push(['font', 'inherit']);
  const between = setByBrowsers(element.selectors);
  /** Whether the project has a value of what is around it, which the browser's own stands before. */
  const isKeptOff = (property: PropertyName) =>
    between.has(property) && FROM_AROUND.includes(resolved[property].origin);
  // Only lines at the edges that the style names: a thematic break has some on all sides of its own.
  if (own('lineThickness')) declarations.push(['border', '0 solid']);
  for (const property of PROPERTY_NAMES) {
    const { css, inFontShorthand, whenOpen } = PROPERTIES[property];
    if (own(property)) {
      declarations.push([css, `var(${styleProperty(element.style, property)})`]);
    } else if (inFontShorthand && inheritsFont) {
      continue;
    } else if (whenOpen === 'inherit' || isKeptOff(property)) {
      declarations.push([css, 'inherit']);
    }
  }
  if (followsContainer(document)) {
    if (own('step')) declarations.push([SIZE_HERE, `var(${styleProperty(element.style, 'step')})`]);
    else declarations.push([PROPERTIES.step.css, `var(${SIZE_HERE})`]);
  }
  if (document.delivery.dark && element.selectors.includes('body')) {
    declarations.push(['background-color', `var(${colourProperty(GROUND)})`]);
  }
  return declarations;
}

/** The longhands that text styles set. */
const LONGHANDS = PROPERTY_NAMES.map((name) => PROPERTIES[name]);

/** The longhand that stands for each shorthand that text styles set. */
const STANDS_FOR = new Map(
  PROPERTY_NAMES.map(descriptorOf).flatMap(({ css, longhand }) =>
    longhand ? [[css, longhand] as const] : [],
  ),
);

/** What `font: inherit` says of the longhands that text styles set, the rest as declared; later ones win. */
const inLonghands = ([property, value]: Declaration): Declaration[] =>
  property === 'font'
    ? LONGHANDS.filter(({ inFontShorthand }) => inFontShorthand).map(({ css }) => [css, value])
    : [[STANDS_FOR.get(property) ?? property, value]];

/** The element rules as they take part in the cascade of a page. */
export const projectRules = (document: ProjectDocument): ProjectRules => ({
  layer: document.delivery.layer,
  linked: document.delivery.linked ?? 'before',
  siteLayer: document.delivery.siteLayer ?? null,
  rules: Object.entries(document.elements).map(([key, element]) => ({
    element: key,
    important: element.important ?? false,
    selectors: selectorsOf(document, element).map((text) => ({
      text,
      specificity: ruleSpecificity(document, text),
    })),
    declarations: new Map(elementDeclarations(document, element).flatMap(inLonghands)),
  })),
});

/**
 * Line heights rounded to whole lines of the baseline grid, for each element that has a size or a line
 * height of its own. CSS Values 4 §10.8 (`round()`); browsers without it keep the plain line heights.
 */
function gridRules(document: ProjectDocument): string {
  if (document.scale.grid === undefined) return '';
  const grid = `var(${GRID_PROPERTY})`;
  const rules = Object.values(document.elements).flatMap((element) => {
    const { style, parent } = element;
    const own = resolveStyle(document, style);
    if (!carries(own.step) && !carries(own.lineHeight)) return [];
    const { source, value } = resolveStyle(document, style, parent).lineHeight;
    const factor = source ? `var(${styleProperty(source, 'lineHeight')})` : cssNumber(value);
    const lines = `max(${grid}, round(nearest, calc(${factor} * 1em), ${grid}))`;
    return [cssRule(weighedSelector(document, element), said(element, [['line-height', lines]]))];
  });
  return `@supports (line-height: round(nearest, 1em, 1px)) {\n${indent(rules.join('\n'))}}\n`;
}

/** Elements that hold text and whose size browsers' own style sheets leave alone. HTML §15.3. */
const FLOW =
  'address article aside blockquote dd details dialog div dl dt fieldset figure footer form header li main nav ol p search section summary table td ul'.split(
    ' ',
  );

/**
 * What sizes follow, where they follow a container: its own width must not depend on what is in it. A
 * length in `cqi` that is inherited is the ancestor's, so all that may stand in a container, and has no
 * size of its own, takes the size of the text around it anew.
 */
function containerRules(document: ProjectDocument): string[] {
  if (!followsContainer(document)) return [];
  const { containers = [] } = document.scale;
  const inside = containers.map((selector) => `:is(${selector}) > *`);
  return [
    ...(containers.length > 0
      ? [cssRule(where(containers), [['container-type', 'inline-size']])]
      : []),
    cssRule(where([...FLOW, ...inside]), [[PROPERTIES.step.css, `var(${SIZE_HERE}, inherit)`]]),
  ];
}

/** The rules of all elements, in the document's order, in which later ones win. */
const elementRules = (document: ProjectDocument): string =>
  [
    ...containerRules(document),
    ...Object.values(document.elements).map((element) => elementRule(document, element)),
    gridRules(document),
  ]
    .filter(Boolean)
    .join('\n');

/** Rules of all elements as they were written last, by what else than their styles they rest on. */
const layeredBy = onceForParts(['styles', 'elements', 'delivery'], () => new Map<string, string>());

/**
 * The rules of all elements, in the cascade layer that the delivery names. They name tokens: a size or a colour that
 * changes leaves them as they are.
 */
export function layeredRules(document: ProjectDocument): string {
  const { between, containers, grid } = document.scale;
  const known = layeredBy(document);
  const id = JSON.stringify([between, containers, grid, narrowBelowOf(document)]);
  const before = known.get(id);
  if (before !== undefined) return before;
  const { layer } = document.delivery;
  const rules = elementRules(document);
  const all = layer ? `@layer ${layer} {\n${indent(rules)}}\n` : rules;
  known.set(id, all);
  return all;
}
