import type { CssNode, Declaration, Value } from 'css-tree';
import generate from 'css-tree/generator';
import parse from 'css-tree/parser';
import walk from 'css-tree/walker';
import { SCALE_BOUNDS } from '../document/scaleBounds';
import { FEWEST_SIZES, MOST_SIZES, type GivenSize } from './find';
import { pxIn } from './lengths';
import { ENDS, type End } from './steps';

/** What was read from a text of sizes, and each piece of it that could not be used, with the reason. */
export interface GivenSizes {
  sizes: GivenSize[];
  refused: { text: string; why: string }[];
}

/** Longest text that is read, characters: a large style sheet. */
export const LONGEST_TEXT = 500_000;
const MOST_REFUSED = 50;

const WHY = {
  number: 'is no size',
  relative: 'depends on the text around it, so its size is not known here',
  reckoned: 'is worked out from other values',
  bounds: `is out of bounds: sizes run from ${SCALE_BOUNDS.size[0]} to ${SCALE_BOUNDS.size[1]} px`,
};

const inBounds = (px: number): boolean => px >= SCALE_BOUNDS.size[0] && px <= SCALE_BOUNDS.size[1];

/** Hundredths of a pixel tell sizes apart. */
const rounded = (px: number): number => Math.round(px * 100) / 100;

const keyOf = ({ small, large }: GivenSize): string => `${small ?? ''}/${large ?? ''}`;

class Reading implements GivenSizes {
  readonly #sizes = new Map<string, GivenSize>();
  readonly refused: GivenSizes['refused'] = [];

  get sizes(): GivenSize[] {
    const of = ({ small, large }: GivenSize) => large ?? small ?? 0;
    return [...this.#sizes.values()].sort((a, b) => of(a) - of(b));
  }

  take(text: string, size: GivenSize): void {
    if (!Object.values(size).every(inBounds)) {
      this.refuse(text, WHY.bounds);
      return;
    }
    const kept = Object.fromEntries(
      Object.entries(size).map(([end, px]) => [end, rounded(px)]),
    ) as GivenSize;
    this.#sizes.set(keyOf(kept), kept);
  }

  refuse(text: string, why: string): void {
    if (this.refused.length >= MOST_REFUSED || this.refused.some((one) => one.text === text))
      return;
    this.refused.push({ text: text.length > 60 ? `${text.slice(0, 59)}…` : text, why });
  }
}

const LISTED = /^([+]?\d*\.?\d+)([a-z%]*)$/i;

/** Sizes in a row: `12, 14px 1.125rem; 13.5pt`. A number without a unit is in px. */
function readList(text: string, end: End, reading: Reading): void {
  const joined = text.replace(/(\d)\s+(?=(px|rem|pt)\b)/gi, '$1');
  for (const piece of joined.split(/[\s,;|]+/).filter(Boolean)) {
    const [, number, unit = ''] = LISTED.exec(piece) ?? [];
    const factor = unit === '' ? 1 : pxIn(unit);
    if (number === undefined) reading.refuse(piece, WHY.number);
    else if (factor === undefined) {
      reading.refuse(piece, /^(em|%|ex|ch|vw|vh|cqi)$/i.test(unit) ? WHY.relative : WHY.number);
    } else reading.take(piece, { [end]: Number(number) * factor });
  }
}

const lengthOf = (node: CssNode | undefined): number | null => {
  if (node?.type !== 'Dimension') return null;
  const factor = pxIn(node.unit);
  return factor === undefined ? null : Number(node.value) * factor;
};

const childrenOf = (node: { children: Value['children'] }): CssNode[] => node.children.toArray();

/** The size that a `font` shorthand sets: the first length in it, before any line height. */
function sizeNode({ property, value }: Declaration): CssNode | undefined {
  if (value.type !== 'Value') return undefined;
  const nodes = childrenOf(value);
  return property === 'font'
    ? nodes.find(({ type }) => type === 'Dimension' || type === 'Percentage' || type === 'Function')
    : nodes.length === 1
      ? nodes[0]
      : undefined;
}

/** A `clamp()` of lengths gives the size at both ends, the lower bound at the small one. */
function readClamp(node: CssNode): GivenSize | null {
  if (node.type !== 'Function' || node.name.toLowerCase() !== 'clamp') return null;
  const parts: CssNode[][] = [[]];
  for (const child of childrenOf(node)) {
    if (child.type === 'Operator' && child.value === ',') parts.push([]);
    else if (child.type !== 'WhiteSpace') parts.at(-1)?.push(child);
  }
  const [lower, , upper] = parts.map((part) => (part.length === 1 ? lengthOf(part[0]) : null));
  return lower != null && upper != null && parts.length === 3
    ? { small: lower, large: upper }
    : null;
}

function readDeclaration(declaration: Declaration, end: End, reading: Reading): void {
  const { property, value } = declaration;
  const isCustom = property.startsWith('--');
  if (property !== 'font-size' && property !== 'font' && !isCustom) return;
  const text = `${property}: ${generate(value)}`;
  const node = sizeNode(declaration);
  const length = lengthOf(node);
  const clamped = node ? readClamp(node) : null;
  if (length !== null) reading.take(text, { [end]: length });
  else if (clamped) reading.take(text, clamped);
  else if (isCustom || property === 'font') return;
  else if (node?.type === 'Function') reading.refuse(text, WHY.reckoned);
  else reading.refuse(text, WHY.relative);
}

function readCss(text: string, end: End, reading: Reading): void {
  try {
    const tree = parse(text, {
      context: text.includes('{') ? 'stylesheet' : 'declarationList',
      parseCustomProperty: true,
      onParseError: ({ message }) => reading.refuse(message, 'is no CSS'),
    });
    walk(tree, { visit: 'Declaration', enter: (node) => readDeclaration(node, end, reading) });
  } catch (error) {
    // Blocks in blocks without end exhaust the parser, which goes down one by one.
    if (!(error instanceof RangeError)) throw error;
    reading.refuse(text, 'is nested too deep to be read');
  }
}

/**
 * Reads sizes from what a person types or pastes: a list, or CSS, of which `font-size`, `font` and custom
 * properties that hold one length are read. A size that stands at one end only stands at `end`.
 *
 * @example readGivenSizes('14 16px 1.25rem what', 'large')
 * // sizes 14, 16 and 20 px; refused “what”
 */
export function readGivenSizes(text: string, end: End): GivenSizes {
  const reading = new Reading();
  const isCss = /[{:]/.test(text);
  if (text.length > LONGEST_TEXT) {
    reading.refuse(text, `is longer than ${LONGEST_TEXT.toLocaleString('en')} characters`);
  } else if (isCss) readCss(text, end, reading);
  else readList(text, end, reading);
  const { sizes, refused } = reading;
  return { sizes, refused };
}

/** Sizes of a scale as a person gives them, at either end or at both, and why nothing can be made of them. */
export interface ReadSizes extends GivenSizes {
  problem: string | null;
}

const problemOf = (sizes: readonly GivenSize[]): string | null => {
  if (sizes.length < FEWEST_SIZES) {
    return `${sizes.length} ${sizes.length === 1 ? 'size was' : 'sizes were'} read. ${FEWEST_SIZES} or more make a scale.`;
  }
  return sizes.length > MOST_SIZES
    ? `${sizes.length} sizes were read. A scale has ${MOST_SIZES} steps at most: leave out those of single places.`
    : null;
};

/**
 * Joins what was read for each end. Sizes of two lists belong together in the order of size. In one list a
 * plain size among sizes that run is the same at both ends, as it is on a site.
 */
export function readSizes(texts: { small: string; large: string }): ReadSizes {
  const [small, large] = [
    readGivenSizes(texts.small, 'small'),
    readGivenSizes(texts.large, 'large'),
  ];
  const refused = [...large.refused, ...small.refused];
  const done = (sizes: GivenSize[], problem = problemOf(sizes)): ReadSizes => ({
    sizes,
    refused,
    problem,
  });
  if (small.sizes.length > 0 && large.sizes.length > 0) {
    return small.sizes.length === large.sizes.length
      ? done(large.sizes.map((size, i) => ({ ...size, ...small.sizes[i] })))
      : done(
          large.sizes,
          `${small.sizes.length} sizes were read for the small end and ${large.sizes.length} for the large. Give as many for each, or leave one empty.`,
        );
  }
  const { sizes } = large.sizes.length > 0 ? large : small;
  const runs = sizes.some((size) => size.small !== undefined && size.large !== undefined);
  return done(runs ? sizes.map(atBothEnds) : sizes);
}

function atBothEnds({ small, large }: GivenSize): GivenSize {
  const both: GivenSize = {};
  for (const end of ENDS) both[end] = (end === 'small' ? (small ?? large) : (large ?? small)) ?? 0;
  return both;
}
