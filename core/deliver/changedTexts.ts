import { hexOf } from '../css';
import type { ProjectDocument } from '../document/projectDocument';
import { descriptorOf, PROPERTY_NAMES, type PropertyName } from '../document/property';
import { carries, resolveElement } from '../style/resolve';
import { contrastRatio, leastContrast } from '../style/contrast';

/** How an element of a page is set, as a browser computes it. */
export interface ComputedType {
  /** Number of the element around it among those that were read; null at the top. */
  around: number | null;
  /** Keys of the text elements that claim it, the one first whose rule is the strongest. */
  claims: readonly string[];
  /** Whether it holds text of its own. */
  isText: boolean;
  /** Computed values, by property. */
  values: Readonly<Record<PropertyName, string>>;
  /** What browsers' own style sheets set on it, by property; left out where they set nothing that is inherited. */
  byBrowser?: Readonly<Partial<Record<PropertyName, string>>>;
  /** CSS px. */
  size: number;
  weight: number;
  /** The colour of its text, and the ground that is painted behind it; null where that is not one colour. */
  colour: string;
  ground: string | null;
}

/** A property of texts that a delivery changes although nothing that the project says of them asks for it. */
export interface Besides {
  property: PropertyName;
  before: string;
  after: string;
  /** Numbers of the elements, as they were read. */
  texts: number[];
}

/** Texts that become hard to read. WCAG 2.2, 1.4.3. */
export interface LostContrast {
  /** Contrast ratios, and what is asked for. */
  before: number;
  after: number;
  least: number;
  texts: number[];
}

/** What a delivery changes of the texts of a page. */
export interface ChangedTexts {
  /** Numbers of the texts of which something changes as the project says, in itself or through what is around it. */
  decided: number[];
  /** What changes besides, what is in most texts first. */
  besides: Besides[];
  /** The worst first. */
  lost: LostContrast[];
}

/** The CSS property that is read for each property of text styles. */
export const READ_AS: Readonly<Record<PropertyName, string>> = Object.fromEntries(
  PROPERTY_NAMES.map((name) => {
    const { css, longhand } = descriptorOf(name);
    return [name, longhand ?? css];
  }),
) as Record<PropertyName, string>;

/** What browsers round: lengths to 1/64 px, and what they make of them. */
const SAME = { px: 0.06, ratio: 0.003 };

const lengthsIn = (value: string): number[] | null => {
  const parts = value.split(/\s+/);
  const lengths = parts.map((part) =>
    /^-?[\d.]+(e-?\d+)?px$/.test(part) ? parseFloat(part) : NaN,
  );
  return lengths.some(Number.isNaN) ? null : lengths;
};

/** What browsers compute of nothing, as a length. */
const plain = (value: string): string => (value === 'normal' ? '0px' : value);

/** Whether two computed values are the same: alike, as long, or as long in em of the sizes that they are of. */
function isSame(one: string, other: string, sizes: readonly [number, number]): boolean {
  if (one === other) return true;
  const [a, b] = [lengthsIn(plain(one)), lengthsIn(plain(other))];
  if (!a || !b || a.length !== b.length) return false;
  const near = (x: number, y: number, by: number) => Math.abs(x - y) <= by;
  return (
    a.every((length, i) => near(length, b[i] ?? NaN, SAME.px)) ||
    a.every((length, i) =>
      near(length / sizes[0], (b[i] ?? NaN) / sizes[1], SAME.ratio + SAME.px / Math.min(...sizes)),
    )
  );
}

/** Whether a colour is another one, or that one made transparent: sites mix what is fainter from the colour around. */
const isShadeOf = (one: string, other: string): boolean =>
  one === other || hexOf(one) === hexOf(other);

/** Colours of lines, which are the text's where nothing sets them: CSS Color 4 §9, `currentcolor`. */
const LINES: ReadonlySet<PropertyName> = new Set(['lineColour', 'underlineColour']);

type Change = 'none' | 'decided' | 'besides';

/** What a delivery makes of a page, element by element. */
class Comparison {
  readonly #known = new Map<string, Change>();
  readonly #carried = new Map<string, ReadonlySet<PropertyName>>();

  constructor(
    private readonly document: ProjectDocument,
    private readonly before: readonly ComputedType[],
    private readonly after: readonly ComputedType[],
  ) {}

  /** Properties that a text element's style says. */
  #saidBy(element: string): ReadonlySet<PropertyName> {
    const known = this.#carried.get(element);
    if (known) return known;
    const resolved = resolveElement(this.document, element);
    const said = new Set(PROPERTY_NAMES.filter((name) => carries(resolved[name])));
    this.#carried.set(element, said);
    return said;
  }

  /** What becomes of a property of an element. */
  of(number: number, property: PropertyName): Change {
    const key = `${number} ${property}`;
    const known = this.#known.get(key);
    if (known) return known;
    const change = this.#find(number, property);
    this.#known.set(key, change);
    return change;
  }

  #find(number: number, property: PropertyName): Change {
    const [before, after] = [this.before[number], this.after[number]];
    if (!before || !after) return 'none';
    const [from, to] = [before.values[property], after.values[property]];
    // A line that has no colour of its own has that of the text.
    if (LINES.has(property) && from === before.values.colour && to === after.values.colour) {
      return this.of(number, 'colour');
    }
    const isSize = property === 'step';
    // A size is held to its length alone: in em of itself all are the same.
    const sizes = isSize ? ([1, 1] as const) : ([before.size, after.size] as const);
    if (isSame(from, to, sizes)) return 'none';
    if (after.claims.some((element) => this.#saidBy(element).has(property))) return 'decided';
    // What is not inherited and changes with the size is in em, or in part: no rule of the project's is about it.
    const isLength = lengthsIn(plain(from)) !== null && lengthsIn(plain(to)) !== null;
    if (!descriptorOf(property).inherited && isLength && this.of(number, 'step') === 'decided') {
      return 'decided';
    }
    const { around: outer } = after;
    if (outer === null || !descriptorOf(property).inherited) return 'besides';
    if (this.#goesWith(outer, property, before, after)) return this.of(outer, property);
    return this.#isBrowsersOwn(outer, property, before, after) ? 'decided' : 'besides';
  }

  /** Whether a property of an element is to that of what is around it as it was before. */
  #goesWith(
    outer: number,
    property: PropertyName,
    before: ComputedType,
    after: ComputedType,
  ): boolean {
    const [around, aroundNow] = [this.before[outer], this.after[outer]];
    if (!around || !aroundNow) return false;
    if (property === 'step') {
      return Math.abs(before.size / around.size - after.size / aroundNow.size) <= SAME.ratio;
    }
    if (property === 'colour') {
      return isShadeOf(before.colour, around.colour) && isShadeOf(after.colour, aroundNow.colour);
    }
    return (
      isSame(before.values[property], around.values[property], [before.size, around.size]) &&
      isSame(after.values[property], aroundNow.values[property], [after.size, aroundNow.size])
    );
  }

  /** Whether a property comes from around, where a browser's own value stood between, and none of the site's. */
  #isBrowsersOwn(
    outer: number,
    property: PropertyName,
    before: ComputedType,
    after: ComputedType,
  ): boolean {
    const around = this.after[outer];
    return (
      around !== undefined &&
      after.claims.length > 0 &&
      before.byBrowser?.[property] === before.values[property] &&
      isSame(after.values[property], around.values[property], [after.size, around.size])
    );
  }
}

/**
 * The element that a text has its colour from, as far as the project says one: itself, or what is around it.
 * @param read the elements of a page
 */
export function colouredAt(
  document: ProjectDocument,
  read: readonly ComputedType[],
  text: number,
): number | null {
  for (let at: number | null = text; at !== null; at = read[at]?.around ?? null) {
    const says = read[at]?.claims.some((element) =>
      carries(resolveElement(document, element).colour),
    );
    if (says) return at;
  }
  return null;
}

/** The contrast of an element's text with its ground, and what WCAG asks of it; null where that is not one colour. */
function contrastOf({ colour, ground, size, weight }: ComputedType) {
  return ground === null
    ? null
    : { ratio: contrastRatio(colour, ground), least: leastContrast(size, weight) };
}

const REST = 0.005;

/** Texts that could be read before and can hardly be afterwards. */
function lostContrast(
  before: readonly ComputedType[],
  after: readonly ComputedType[],
): LostContrast[] {
  const found = new Map<string, LostContrast>();
  after.forEach((now, number) => {
    const was = before[number];
    const [from, to] = [was && contrastOf(was), contrastOf(now)];
    if (!now.isText || !from || !to) return;
    if (from.ratio < from.least - REST || to.ratio >= to.least - REST) return;
    const key = `${from.ratio.toFixed(2)} ${to.ratio.toFixed(2)} ${to.least}`;
    const known = found.get(key) ?? {
      before: from.ratio,
      after: to.ratio,
      least: to.least,
      texts: [],
    };
    found.set(key, known);
    known.texts.push(number);
  });
  return [...found.values()].sort((a, b) => a.after - b.after);
}

/**
 * What a delivery changes of the texts of a page, measured: what changes as the project says of a text or of what is
 * around it; what changes besides; and what can hardly be read any more. What stands in em of a size that the
 * project sets, and what is inherited from a text that it sets, goes with that.
 *
 * @param before the page's elements as its own style sheets set them: those that hold text, and all around them
 * @param after the same elements with what is delivered, in the same order
 */
export function changedTexts(
  document: ProjectDocument,
  before: readonly ComputedType[],
  after: readonly ComputedType[],
): ChangedTexts {
  const comparison = new Comparison(document, before, after);
  const besides = new Map<string, Besides>();
  const decided: number[] = [];
  after.forEach((now, number) => {
    if (!now.isText) return;
    let isDecided = false;
    for (const property of PROPERTY_NAMES) {
      const change = comparison.of(number, property);
      if (change === 'decided') isDecided = true;
      if (change !== 'besides') continue;
      const [from, to] = [before[number]?.values[property] ?? '', now.values[property]];
      const key = `${property}|${from}|${to}`;
      const known = besides.get(key) ?? { property, before: from, after: to, texts: [] };
      besides.set(key, known);
      known.texts.push(number);
    }
    if (isDecided) decided.push(number);
  });
  return {
    decided,
    besides: [...besides.values()].sort((a, b) => b.texts.length - a.texts.length),
    lost: lostContrast(before, after),
  };
}
