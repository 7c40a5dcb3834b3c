import { selectorTexts } from '../css';
import { onceFor } from '../document/once';
import { onceForParts } from '../document/onceForParts';
import type { ProjectDocument, TextElement } from '../document/projectDocument';
import { narrowBelowOf } from '../document/styleValues';
import { GROUND } from '../document/vocabulary';
import { descriptorOf, PROPERTIES, PROPERTY_NAMES, type PropertyName } from '../document/property';
import { narrowDocument } from '../style/documentAt';
import { carries, resolveStyle, type ResolvedStyle } from '../style/resolve';
import { colouredBy, ruleSpecificity, selectorsOf, weighedSelector } from '../style/ruleWeight';
import type { ProjectRule, ProjectRules } from '../page/cascade';
import { cssNumber, cssRule, indent, where, type Declaration } from './css';
import {
  containerSizes,
  followsContainer,
  isWeakest,
  openLayer,
  openParts,
  openRules,
  SIZE_HERE,
} from './openRules';
import {
  colourProperty,
  GRID_PROPERTY,
  narrowStyleProperties,
  styleProperty,
} from './customProperties';
import { languageRules } from './languageRules';
import { occasionParts, partRules, printRules, under } from './occasions';

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
 * The rule of one element, with the weight that the delivery has for it: unless said, `:where()` gives it no
 * specificity, so that any rule of the site's own wins. It says what the style sets, or one that it follows, and
 * nothing of what is left open: that is the site's.
 */
export function elementRule(document: ProjectDocument, element: TextElement): string {
  const whole = selectorIn(document, element, selectorsOf(document, element));
  if (!keepsColours(document)) return ruleOf(document, whole, element);
  const rest = ruleOf(document, whole, element, (all) => parted(all).rest);
  const colours = ruleOf(
    document,
    selectorIn(document, element, colouredBy(document, element)),
    element,
    (all) => parted(all).coloured,
  );
  return (
    rest +
    (colours && document.delivery.keepDarkColours
      ? `@media ${NOT_DARK} {\n${indent(colours)}}\n`
      : colours)
  );
}

/**
 * What an element that wears a style is given, in a rule, with what differs on narrow screens and on occasions.
 * @param selectorIn its selector in a state, which is written behind each selector; at rest where that is empty
 * @param among what of it the rules are to hold
 */
export function ruleOf(
  document: ProjectDocument,
  selectorIn: (state: string) => string,
  element: RuledElement,
  among: (declarations: readonly Declaration[]) => readonly Declaration[] = (all) => all,
): string {
  const important = element.important ?? false;
  const atRest = selectorIn('');
  const occasions = occasionParts(document, element).map(
    ({ declarations, state, part, conditions }) => {
      const some = said({ important }, among(declarations));
      if (some.length === 0) return '';
      const selector = state ? selectorIn(state) : atRest;
      return under(
        conditions,
        part ? partRules(inPart(selector, part), some) : cssRule(selector, some),
      );
    },
  );
  const narrow = among(narrowDeclarations(document, element));
  return [
    written(among(elementDeclarations(document, element)), atRest, important),
    onNarrow(document, ruleFor(atRest, narrow, important)),
    ...occasions,
  ].join('');
}

/** How the selector of an element's rule is written in each state, for some of what it meets. */
const selectorIn =
  (document: ProjectDocument, element: TextElement, of: readonly string[]) =>
  (state: string): string =>
    weighedSelector(
      document,
      element,
      state ? of.flatMap(selectorTexts).map((one) => one + state) : of,
    );

/** The selector of a part of what a list of selectors meets: each has it behind it. */
const inPart = (selector: string, part: string): string =>
  selectorTexts(selector)
    .map((one) => one + part)
    .join(', ');

/** A rule; none where it would declare nothing. */
const ruleFor = (
  selector: string,
  declarations: readonly Declaration[],
  important: boolean,
): string => (declarations.length > 0 ? cssRule(selector, said({ important }, declarations)) : '');

/** Whether the site's own colours stay anywhere. */
const keepsColours = ({ delivery }: ProjectDocument): boolean =>
  delivery.keepDarkColours === true || (delivery.keepColoursOn ?? []).length > 0;

/** Where the project's colours are delivered, when those of the site stay on a dark ground. Media Queries 5 §11.5. */
const NOT_DARK = 'not all and (prefers-color-scheme: dark)';

/** CSS properties of colours of the project. */
const COLOURS: ReadonlySet<string> = new Set([
  'background-color',
  ...PROPERTY_NAMES.map(descriptorOf).flatMap(({ css, values }) =>
    values.kind === 'key' && values.of === 'colours' ? [css] : [],
  ),
]);

/** Declarations that give a colour, and the rest. */
const parted = (
  declarations: readonly Declaration[],
): { coloured: Declaration[]; rest: Declaration[] } => ({
  coloured: declarations.filter(([property]) => COLOURS.has(property)),
  rest: declarations.filter(([property]) => !COLOURS.has(property)),
});

/** Rules as they were written, by what they declare. */
const rulesOf = onceFor<readonly Declaration[], Map<string, string>>(() => new Map());

/** A rule, written once for as long as it declares the same. */
function written(declarations: readonly Declaration[], selector: string, important: boolean) {
  if (declarations.length === 0) return '';
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
function narrowDeclarations(document: ProjectDocument, element: RuledElement): Declaration[] {
  const narrow = narrowDocument(document);
  if (narrow === document) return [];
  const usual = new Map(elementDeclarations(document, element));
  const all = elementDeclarations(narrow, element);
  const changed = all.filter(([property, value]) => usual.get(property) !== value);
  // The shorthand sets a line's kind and colour back: what the style says of them is said again after it.
  const resets = changed.some(([property]) => property === 'border');
  return all.filter((one) => changed.includes(one) || (resets && one[0].startsWith('border-')));
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
  // Only lines at the edges that the style names: a thematic break has some on all sides of its own.
  if (own('lineThickness')) declarations.push(['border', '0 solid']);
  for (const property of PROPERTY_NAMES) {
    if (!own(property)) continue;
    declarations.push([PROPERTIES[property].css, `var(${styleProperty(element.style, property)})`]);
  }
  if (followsContainer(document) && own('step')) {
    declarations.push([SIZE_HERE, `var(${styleProperty(element.style, 'step')})`]);
  }
  if (document.delivery.dark && element.selectors.includes('body')) {
    declarations.push(['background-color', `var(${colourProperty(GROUND)})`]);
  }
  return declarations;
}

/** What is said of properties that styles leave open, in a layer that any rule of the site's wins over. */
function openLayerRules(document: ProjectDocument): string {
  const rules = [
    ...containerSizes(document),
    ...openRules(document),
    isWeakest(document) ? gridRules(document, 'open') : '',
  ].filter(Boolean);
  return rules.length > 0 ? `@layer ${openLayer(document)} {\n${indent(rules.join('\n'))}}\n` : '';
}

/** The longhand that stands for each shorthand that text styles set. */
const STANDS_FOR = new Map(
  PROPERTY_NAMES.map(descriptorOf).flatMap(({ css, longhand }) =>
    longhand ? [[css, longhand] as const] : [],
  ),
);

const inLonghands = (declarations: readonly Declaration[]): Map<string, string> =>
  new Map(declarations.map(([property, value]) => [STANDS_FOR.get(property) ?? property, value]));

/** The element rules as they take part in the cascade of a page. */
export function projectRules(document: ProjectDocument): ProjectRules {
  const { layer, linked = 'before', siteLayer = null } = document.delivery;
  const elements = Object.entries(document.elements);
  const open = elements.flatMap(([key, element]) =>
    openParts(document, element).map(({ selectors, declarations }): ProjectRule => ({
      element: key,
      layer: openLayer(document),
      isOpen: true,
      important: false,
      selectors: selectors.map((text) => ({ text, specificity: [0, 0, 0] })),
      declarations: inLonghands(declarations),
    })),
  );
  const set = elements.flatMap(([key, element]): ProjectRule[] => {
    const rule = (
      selectors: readonly string[],
      declarations: readonly Declaration[],
    ): ProjectRule => ({
      element: key,
      layer,
      important: element.important ?? false,
      selectors: selectors.map((text) => ({
        text,
        specificity: ruleSpecificity(document, element, text),
      })),
      declarations: inLonghands(declarations),
    });
    const all = elementDeclarations(document, element);
    if (!keepsColours(document)) return [rule(selectorsOf(document, element), all)];
    const { coloured, rest } = parted(all);
    const conditions = document.delivery.keepDarkColours
      ? [{ kind: 'media' as const, text: NOT_DARK }]
      : [];
    return [
      rule(selectorsOf(document, element), rest),
      { ...rule(colouredBy(document, element), coloured), conditions },
    ];
  });
  return { linked, siteLayer, rules: [...open, ...set] };
}

/**
 * Line heights rounded to whole lines of the baseline grid, for each element that has a line height of its own, or a
 * size of its own and a line height that it leaves open. CSS Values 4 §10.8 (`round()`); browsers without it keep
 * the plain line heights.
 */
function gridRules(document: ProjectDocument, of: 'set' | 'open'): string {
  if (document.scale.grid === undefined) return '';
  const grid = `var(${GRID_PROPERTY})`;
  const rules = Object.values(document.elements).flatMap((element) => {
    const { style, parent } = element;
    const own = resolveStyle(document, style);
    const isSet = carries(own.lineHeight);
    if (of === 'set' ? !isSet : isSet || !carries(own.step)) return [];
    const { source, value } = resolveStyle(document, style, parent).lineHeight;
    const factor = source ? `var(${styleProperty(source, 'lineHeight')})` : cssNumber(value);
    const rounded = (to: string): Declaration[] => [
      ['line-height', `max(${grid}, round(nearest, calc(${to} * 1em), ${grid}))`],
    ];
    if (!isSet) return [cssRule(where(selectorsOf(document, element)), rounded(factor))];
    const inState = selectorIn(document, element, selectorsOf(document, element));
    // These rules stand behind all others: what differs on an occasion is said again.
    const differing = occasionParts(document, element).flatMap(
      ({ key, declarations, state, part, conditions }) => {
        const own = declarations.find(([property]) => property === PROPERTIES.lineHeight.css);
        if (!own || part) return [];
        // Paper has no grid in px.
        const lines = key === 'print' ? [own] : rounded(own[1]);
        return [under(conditions, cssRule(inState(state), said(element, lines)))];
      },
    );
    return [cssRule(inState(''), said(element, rounded(factor))), ...differing];
  });
  return rules.length > 0
    ? `@supports (line-height: round(nearest, 1em, 1px)) {\n${indent(rules.join('\n'))}}\n`
    : '';
}

/** What sizes follow, where they follow a container: its own width must not depend on what is in it. */
function containerRules(document: ProjectDocument): string[] {
  const { containers = [] } = document.scale;
  return followsContainer(document) && containers.length > 0
    ? [cssRule(where(containers), [['container-type', 'inline-size']])]
    : [];
}

/** The rules of all elements, in the document's order, in which later ones win. */
const elementRules = (document: ProjectDocument): string =>
  [
    ...containerRules(document),
    languageRules(document),
    ...Object.values(document.elements).map((element) => elementRule(document, element)),
    gridRules(document, 'set'),
    printRules(document),
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
  const { widths, print, languages, byLanguage } = document;
  const id = JSON.stringify([
    languages,
    byLanguage,
    Object.values(document.voices).map(({ scripts = {} }) => Object.keys(scripts)),
    between,
    containers,
    grid,
    narrowBelowOf(document),
    widths,
    print?.addresses,
  ]);
  const before = known.get(id);
  if (before !== undefined) return before;
  const { layer } = document.delivery;
  const rules = elementRules(document);
  const open = openLayerRules(document);
  const all = (open && `${open}\n`) + (layer ? `@layer ${layer} {\n${indent(rules)}}\n` : rules);
  known.set(id, all);
  return all;
}
