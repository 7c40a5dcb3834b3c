import { occasionOf } from '../document/occasion';
import type { ProjectDocument, SiteWidth, TextElement } from '../document/projectDocument';
import { PROPERTIES } from '../document/property';
import type { OwnScale } from '../document/scale';
import { widthKeys } from '../document/styleValues';
import { stepNumbers } from '../scale/steps';
import { remCss } from '../scale/fluid';
import { occasionsUsed, saidAt } from '../style/documentAt';
import { ownSize } from '../style/siteWidths';
import { carries, resolveStyle } from '../style/resolve';
import { cssNumber, cssRule, indent, type Declaration } from './css';
import { followsContainer, SIZE_HERE } from './openRules';
import { sizeProperty, styleProperty, type CustomProperty } from './customProperties';

/** What an element is given on one occasion, and how the rule for it is written. */
export interface OccasionPart {
  key: string;
  declarations: readonly Declaration[];
  /** What stands behind each of its selectors, and behind all of them as one. */
  state: string;
  part: string;
  /** The conditions around its rules, outermost first. */
  conditions: readonly string[];
}

/**
 * The conditions of a width of the site's: from a width on, and at all that are not as wide as another. Media Queries 4
 * §4.1; CSS Containment 3 §3.3.
 */
function widthConditions({ from, below, container }: SiteWidth): string[] {
  const around = container === undefined ? '@media' : `@container ${container}`;
  const not = container === undefined ? 'not all and' : 'not';
  return [
    ...(from === undefined ? [] : [`${around} (min-width: ${from}px)`]),
    ...(below === undefined ? [] : [`${around} ${not} (min-width: ${below}px)`]),
  ];
}

function conditionsOf({ widths }: ProjectDocument, key: string): string[] {
  const named = occasionOf(key);
  if (named) return named.kind === 'medium' ? [`@media ${named.css}`] : [];
  const width = widths?.[key];
  return width ? widthConditions(width) : [];
}

/** Rules under conditions, the outermost first. */
export const under = (conditions: readonly string[], rules: string): string =>
  rules &&
  conditions.reduceRight((inside, condition) => `${condition} {\n${indent(inside)}}\n`, rules);

/** What a line needs that a style has none of otherwise, and what the shorthand for it sets back. */
function lineBefore(
  document: ProjectDocument,
  style: string,
  said: ReadonlySet<string>,
): Declaration[] {
  if (!said.has('lineThickness')) return [];
  const usual = resolveStyle(document, style);
  if (carries(usual.lineThickness)) return [];
  const kept = (['lineKind', 'lineColour'] as const).filter(
    (property) => !said.has(property) && carries(usual[property]),
  );
  return [
    ['border', '0 solid'],
    ...kept.map((property): Declaration => [
      PROPERTIES[property].css,
      `var(${styleProperty(style, property)})`,
    ]),
  ];
}

/** What an element is given on each occasion that its style differs at, in the order of their rules. */
export function occasionParts(
  document: ProjectDocument,
  { style }: Pick<TextElement, 'style'>,
): OccasionPart[] {
  return occasionsUsed(document).flatMap((key): OccasionPart[] => {
    const properties = saidAt(document, style, key).map(({ property }) => property);
    if (properties.length === 0) return [];
    const { kind, css } = occasionOf(key) ?? { kind: 'medium', css: '' };
    const declarations = [
      ...lineBefore(document, style, new Set(properties)),
      ...properties.map((property): Declaration => [
        PROPERTIES[property].css,
        `var(${styleProperty(style, property, key)})`,
      ]),
      // What stands in it takes its size from there; nothing stands in a part of a text.
      ...(followsContainer(document) && kind !== 'part' && properties.includes('step')
        ? [[SIZE_HERE, `var(${styleProperty(style, 'step', key)})`] as const]
        : []),
    ];
    return [
      {
        key,
        declarations,
        state: kind === 'state' ? css : '',
        part: kind === 'part' ? css : '',
        conditions: conditionsOf(document, key),
      },
    ];
  });
}

const DROPPED = PROPERTIES.dropLines.css;
const WITHOUT_DROPPED = [DROPPED, `-webkit-${DROPPED}`].map((name) => `@supports not (${name}: 2)`);

/**
 * A large first letter where browsers do not know `initial-letter`, which is Firefox: floated, its capitals as tall as
 * the lines that it stands in. In its size and line height, `lh` and `cap` are those of the text around it, in its
 * margin its own: CSS Values 4 §6.1.1. Its own capitals are as tall as its size: CSS Fonts 5 §2, `font-size-adjust`.
 * Firefox puts the top of its ink where the first line begins, so that it goes down to the capitals of that line.
 */
const floated = (lines: string): Declaration[] => [
  ['float', 'inline-start'],
  ['font-size', `calc((${lines} - 1) * 1lh + 1cap)`],
  ['font-size-adjust', 'cap-height 1'],
  ['line-height', `calc(${lines} * 1lh)`],
  ['margin-block-start', 'calc((1lh - 1cap) / 2)'],
];

/** The rules of a part of a text: its own, and for a large first letter what stands in for it. */
export function partRules(selector: string, declarations: readonly Declaration[]): string {
  const lines = declarations.find(([property]) => property === DROPPED)?.[1];
  if (lines === undefined) return cssRule(selector, declarations);
  const both = declarations.flatMap((one): Declaration[] =>
    one[0] === DROPPED ? [[`-webkit-${DROPPED}`, one[1]], one] : [one],
  );
  const value = lines.replace(/ !important$/, '');
  const important = value === lines ? '' : ' !important';
  const instead = floated(value).map(([property, css]): Declaration => [property, css + important]);
  return cssRule(selector, both) + under(WITHOUT_DROPPED, cssRule(selector, instead));
}

/** Steps of a scale of its own: a size for each, as they rise from its base. */
const sizesFrom = (
  { scale }: ProjectDocument,
  own: OwnScale,
  written: (size: number) => string,
): CustomProperty[] =>
  stepNumbers(scale).map((step) => [sizeProperty(scale, step), written(ownSize(own, step))]);

/** The sizes of steps in print, pt; empty where pages are printed as they are on the screen. */
const printSizes = (document: ProjectDocument): CustomProperty[] =>
  document.print ? sizesFrom(document, document.print, (size) => `${cssNumber(size)}pt`) : [];

/** The sizes of steps at a width that has a scale of its own; empty where it has none. */
const sizesAtWidth = (document: ProjectDocument, key: string): CustomProperty[] => {
  const own = document.widths?.[key]?.scale;
  return own ? sizesFrom(document, own, (size) => remCss(size, document.scale.root)) : [];
};

/** Addresses behind links, in print: not those of places on the page itself. */
const ADDRESSES = cssRule(':where(a[href]:not([href^="#"], [href^="javascript:"]))::after', [
  ['content', '" (" attr(href) ")"'],
  ['overflow-wrap', 'anywhere'],
]);

/** What stands for print beside the rules of text elements. */
export const printRules = ({ print }: ProjectDocument): string =>
  print?.addresses ? under(['@media print'], ADDRESSES) : '';

const inRoot = (sizes: readonly CustomProperty[], root = ':root'): string =>
  sizes.length > 0 ? cssRule(root, sizes) : '';

/** The sizes of steps in print, whatever the page is shown on. */
export const printedSizes = (document: ProjectDocument, root?: string): string =>
  inRoot(printSizes(document), root);

/**
 * Sizes that stand in place of those for all widths: at widths with a scale of their own, and in print.
 * @param root what has them
 */
export function otherSizes(document: ProjectDocument, root?: string): string {
  return [
    ...widthKeys(document).map((key) =>
      under(conditionsOf(document, key), inRoot(sizesAtWidth(document, key), root)),
    ),
    under(['@media print'], printedSizes(document, root)),
  ].join('');
}
