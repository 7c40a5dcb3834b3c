import { selectorsFault } from '../../css';
import { freeKey } from '../../document/faces';
import { MOST_PARTS, type TextElement, type TextStyle } from '../../document/projectDocument';
import { CASES, BODY_STYLE, type LetterCase } from '../../document/vocabulary';
import { PROPERTIES } from '../../document/property';
import { slug } from '../../deliver/fileName';
import { roleOfText } from '../fights';
import {
  lookOf,
  provenanceAt,
  STOCK_PROPERTIES,
  type Stock,
  type StockText,
  OF_TYPE,
} from '../stock';

/** Texts of a site that are one kind of text, and the selector that meets just those; null where none does. */
export interface StockKind {
  name: string;
  selector: string | null;
  /** Numbers of the texts. */
  texts: number[];
}

/** How a text is set, in the terms of a project. */
export interface Setting {
  voice: string;
  step: number;
  weight: number;
  slant: 'normal' | 'italic';
  /** A multiple of the size. */
  lineHeight: number;
  /** em. */
  letterSpacing: number;
  case: LetterCase;
  colour: string;
}

/** How far the text of one style may lie apart in what is no choice of words. */
export interface StyleTolerance {
  weight: number;
  lineHeight: number;
  letterSpacing: number;
}
export const STYLE_TOLERANCE: StyleTolerance = {
  weight: 50,
  lineHeight: 0.06,
  letterSpacing: 0.012,
};

/** What turns a look into a project's terms. */
export interface SettingTerms {
  voiceOf: (text: StockText) => string;
  stepOf: (size: { small: number; large: number }) => number;
  colourKeyOf: (text: StockText) => string;
  /** The number of the text that one in another script is set as; null for one that is set as it is. */
  counterpartOf: (number: number) => number | null;
}

const rounded = (value: number, places: number): number => Number(value.toFixed(places)) || 0;

/** How a text of a stock is set, at its wide end, in the terms of a project. */
export function settingOf(stock: Stock, text: StockText, terms: SettingTerms): Setting {
  const [narrow, wide] = [lookOf(stock, text, 'narrow'), lookOf(stock, text, 'wide')];
  const { min, max } = PROPERTIES.lineHeight.values;
  const line =
    wide.lineHeight === null ? PROPERTIES.lineHeight.initial : wide.lineHeight / wide.size;
  const letterCase = CASES.find((one) => one === wide.letterCase) ?? 'none';
  return {
    voice: terms.voiceOf(text),
    step: terms.stepOf({ small: narrow.size, large: wide.size }),
    weight: Math.min(1000, Math.max(1, Math.round(wide.weight))),
    slant: wide.slant === 'normal' ? 'normal' : 'italic',
    lineHeight: rounded(Math.min(max, Math.max(min, line || 1)), 3),
    letterSpacing: rounded(
      Math.min(2, Math.max(-0.5, wide.size > 0 ? wide.letterSpacing / wide.size : 0)),
      3,
    ),
    case: letterCase,
    colour: terms.colourKeyOf(text),
  };
}

type SettingName = (typeof OF_TYPE)[number];

const isNear = (a: Setting, b: Setting, name: SettingName, by: StyleTolerance): boolean =>
  name === 'weight' || name === 'lineHeight' || name === 'letterSpacing'
    ? Math.abs(a[name] - b[name]) <= by[name] + 1e-9
    : a[name] === b[name];

/** The properties in which two settings differ by more than may be. */
const differing = (a: Setting, b: Setting, by: StyleTolerance): SettingName[] =>
  OF_TYPE.filter((name) => !isNear(a, b, name, by));

/** A style that texts of a site become. */
export interface FoldedStyle {
  key: string;
  style: TextStyle;
  /** Numbers of the texts that wear it. */
  texts: number[];
  characters: number;
}

export interface FoldedElement {
  key: string;
  element: TextElement;
  texts: number[];
}

/** Texts that no style fits, or that no selector meets alone. */
export interface Unfolded {
  /** What they are. */
  what: string;
  why: string;
  texts: number[];
}

export interface FoldedStyles {
  styles: FoldedStyle[];
  elements: FoldedElement[];
  unfolded: Unfolded[];
}

/** Texts that are set alike and that one selector meets. */
interface Unit {
  name: string;
  selector: string;
  texts: number[];
  characters: number;
  setting: Setting;
  /** Whether it stands in the midst of other text, and has from that what it does not set. */
  inline: boolean;
  /** What it sets itself. */
  set: SettingName[];
}

class Folding {
  readonly #settings = new Map<number, Setting>();
  /** Selectors that a kind of text has: two kinds never have the same. */
  readonly #taken = new Set<string>();
  readonly unfolded: Unfolded[] = [];

  constructor(
    private readonly stock: Stock,
    private readonly terms: SettingTerms,
    private readonly by: StyleTolerance,
    private readonly meets: (selector: string) => readonly number[],
  ) {}

  /** Whether a selector is one that a text element can have, and that no other has. */
  #isFree = (selector: string): boolean =>
    !this.#taken.has(selector) && selectorsFault(selector) === null;

  setting(number: number): Setting {
    const known = this.#settings.get(number);
    if (known) return known;
    const text = this.stock.texts[this.terms.counterpartOf(number) ?? number];
    if (!text) throw new RangeError('The stock has no such text');
    const setting = settingOf(this.stock, text, this.terms);
    this.#settings.set(number, setting);
    return setting;
  }

  characters = (texts: readonly number[]): number =>
    texts.reduce((sum, number) => sum + (this.stock.texts[number]?.characters ?? 0), 0);

  /** Texts by how they are set, those with most text first. */
  #alike(texts: readonly number[]): number[][] {
    const groups: { setting: Setting; texts: number[] }[] = [];
    for (const number of texts) {
      const setting = this.setting(number);
      const same = groups.find((one) => differing(one.setting, setting, this.by).length === 0);
      if (same) same.texts.push(number);
      else groups.push({ setting, texts: [number] });
    }
    return groups.map((one) => one.texts).sort((a, b) => this.characters(b) - this.characters(a));
  }

  /** Selectors of the rules of the site's own that set texts, those that decide most first. */
  #ownSelectors(texts: readonly number[]): string[] {
    const found = new Map<string, number>();
    for (const number of texts) {
      const text = this.stock.texts[number];
      if (!text) continue;
      for (const property of STOCK_PROPERTIES) {
        const { source, from } = provenanceAt(this.stock, text, 'wide', property);
        if (source.by === 'rule' && from === null) {
          found.set(source.selector, (found.get(source.selector) ?? 0) + 1);
        }
      }
    }
    return [...found].sort(([, a], [, b]) => b - a).map(([selector]) => selector);
  }

  #unit(name: string, selector: string, texts: readonly number[]): Unit {
    const setting = this.setting(texts[0] ?? 0);
    const within = (number: number) => this.stock.texts[number]?.within ?? null;
    const nested = texts.filter((number) => within(number) !== null);
    const inline = nested.length * 2 > texts.length;
    // In the midst of text, what is the same as around it is inherited from there.
    const set = OF_TYPE.filter((property) =>
      nested.some((number) => {
        const around = within(number);
        return (
          around !== null && !isNear(this.setting(number), this.setting(around), property, this.by)
        );
      }),
    );
    return {
      name,
      selector,
      texts: [...texts],
      characters: this.characters(texts),
      setting,
      inline,
      set: inline ? set : [...OF_TYPE],
    };
  }

  /** Whether something is declared for texts themselves, and not for what is around them. */
  isDeclared = (texts: readonly number[]): boolean =>
    texts.some((number) => {
      const text = this.stock.texts[number];
      return STOCK_PROPERTIES.some((property) => {
        if (!text) return false;
        const { source, from } = provenanceAt(this.stock, text, 'wide', property);
        return from === null && (source.by === 'rule' || source.by === 'inline');
      });
    });

  /** Texts of a unit that keep something whatever is delivered, by what says so. */
  keeping({ name, texts }: Unit): Unfolded[] {
    const found = new Map<string, { texts: Set<number>; properties: Set<string> }>();
    for (const number of texts) {
      const text = this.stock.texts[number];
      for (const property of text ? STOCK_PROPERTIES : []) {
        const { source, from } = provenanceAt(this.stock, text as StockText, 'wide', property);
        if (from !== null) continue;
        const by =
          source.by === 'inline'
            ? 'a style attribute'
            : source.by === 'rule' && source.important
              ? `${source.selector} with !important`
              : null;
        if (by === null) continue;
        const known = found.get(by) ?? { texts: new Set(), properties: new Set() };
        found.set(by, known);
        known.texts.add(number);
        known.properties.add(property);
      }
    }
    return [...found].map(([by, { texts: kept, properties }]) => ({
      what: name,
      why: `${[...properties].join(' and ')} stays as it is until ${by}, which says it, is removed from the site`,
      texts: [...kept],
    }));
  }

  /**
   * The kinds of text of a site: each by the selector that meets just its texts, those that are set in more
   * ways than one parted by the site's own selectors. What no selector meets alone takes one that meets more,
   * where those others have a selector of their own that meets fewer, and so comes after it.
   */
  units(kinds: readonly StockKind[]): Unit[] {
    const units: Unit[] = [];
    const fewest = new Map<number, number>();
    const add = (name: string, selector: string, texts: readonly number[]): void => {
      this.#taken.add(selector);
      units.push(this.#unit(name, selector, texts));
      const met = this.meets(selector);
      for (const number of met) {
        fewest.set(number, Math.min(fewest.get(number) ?? Infinity, met.length));
      }
    };
    const left: { name: string; texts: number[]; kind: readonly number[] }[] = [];
    for (const kind of kinds) {
      const isSound = kind.selector !== null && this.#isFree(kind.selector);
      this.#alike(kind.texts).forEach((texts, i) => {
        const own = i === 0 && isSound ? kind.selector : this.#selectorFor(texts);
        const name = i === 0 ? kind.name : `${kind.name} ${i + 1}`;
        if (own !== null) add(name, own, texts);
        // Few of a kind that are set otherwise do not keep the rest from what they are.
        else left.push({ name, texts, kind: i === 0 ? kind.texts : texts });
      });
    }
    for (const { name, texts, kind } of left) {
      const broad = this.#broadSelector(texts, fewest, new Set(kind));
      if (broad !== null) add(name, broad, texts);
      else {
        this.unfolded.push({
          what: name,
          why: 'no selector meets these texts without others that are set otherwise',
          texts,
        });
      }
    }
    return units;
  }

  /**
   * A selector that meets these texts and others, each of which is of their kind, is set alike, or has one that
   * meets fewer.
   * @param fewest how many texts the narrowest selector meets that there is for each
   */
  #broadSelector(
    texts: readonly number[],
    fewest: ReadonlyMap<number, number>,
    kind: ReadonlySet<number>,
  ): string | null {
    const [first] = texts;
    const text = first === undefined ? undefined : this.stock.texts[first];
    if (first === undefined || !text) return null;
    const wanted = this.setting(first);
    const { tag, place } = text;
    const tried = [...this.#ownSelectors(texts), ...(place ? [`${place} ${tag}`] : []), tag];
    const [best] = tried
      .flatMap((selector) => {
        if (!this.#isFree(selector)) return [];
        const met = this.meets(selector);
        const all = new Set(met);
        const holds =
          texts.every((number) => all.has(number)) &&
          met.every(
            (number) =>
              kind.has(number) ||
              (fewest.get(number) ?? Infinity) < met.length ||
              differing(wanted, this.setting(number), this.by).length === 0,
          );
        return holds ? [{ selector, meets: met.length }] : [];
      })
      .sort((a, b) => a.meets - b.meets);
    return best?.selector ?? null;
  }

  /** A selector of the site's own that meets these texts, and of others none that is set otherwise. */
  #selectorFor(texts: readonly number[]): string | null {
    const [first] = texts;
    if (first === undefined) return null;
    const wanted = this.setting(first);
    return (
      this.#ownSelectors(texts).find((selector) => {
        if (!this.#isFree(selector)) return false;
        const met = this.meets(selector);
        const all = new Set(met);
        return (
          texts.every((number) => all.has(number)) &&
          met.every((number) => differing(wanted, this.setting(number), this.by).length === 0)
        );
      }) ?? null
    );
  }
}

/** The setting that most running text has; of all text where none is running. */
function bodySetting(stock: Stock, folding: Folding): Setting {
  const weights = new Map<string, { setting: Setting; characters: number }>();
  const running = stock.texts.some((text) => roleOfText(text) === 'text');
  stock.texts.forEach((text, number) => {
    if (running && roleOfText(text) !== 'text') return;
    const setting = folding.setting(number);
    const key = JSON.stringify(setting);
    const known = weights.get(key) ?? { setting, characters: 0 };
    weights.set(key, { setting, characters: known.characters + text.characters });
  });
  const [most] = [...weights.values()].sort((a, b) => b.characters - a.characters);
  if (!most) throw new RangeError('A site without text has no styles');
  return most.setting;
}

const valuesOf = (setting: Setting, names: readonly SettingName[]): TextStyle['set'] =>
  Object.fromEntries(names.map((name) => [name, setting[name]]));

/** A level of heading, which is called by it whatever its classes. */
const HEADING = /^h([1-6])$/;

/**
 * Folds the texts of a site into text styles: as few as stay within a tolerance, named by what they are on the
 * page, and text elements with the selectors that meet them. The body's style is that of most running text; what
 * stands by itself follows it in all that it does not set, what stands in the midst of text has that from there.
 *
 * @param meets numbers of the texts that a selector meets
 */
export function foldStyles(
  stock: Stock,
  kinds: readonly StockKind[],
  terms: SettingTerms,
  meets: (selector: string) => readonly number[],
  by: StyleTolerance = STYLE_TOLERANCE,
): FoldedStyles {
  const folding = new Folding(stock, terms, by, meets);
  // What stands in the midst of text and says nothing has all from there, as it is.
  const units = folding
    .units(kinds)
    .filter(({ inline, set, texts }) => !inline || set.length > 0 || folding.isDeclared(texts))
    .sort((a, b) => b.characters - a.characters);
  const body = bodySetting(stock, folding);

  interface Made extends FoldedStyle {
    setting: Setting;
    inline: boolean;
    set: SettingName[];
  }
  const styles: Made[] = [
    {
      key: BODY_STYLE,
      style: { name: 'Body', follows: null, set: valuesOf(body, OF_TYPE), place: 1 },
      texts: [],
      characters: 0,
      setting: body,
      inline: false,
      set: [...OF_TYPE],
    },
  ];
  const elements: FoldedElement[] = [
    {
      key: 'body',
      element: {
        name: 'Body',
        selectors: ['body'],
        style: BODY_STYLE,
        parent: null,
        place: 1,
      },
      texts: [],
    },
  ];

  const wearing = (unit: Unit): Made | null => {
    const same = styles.find(
      (one) =>
        one.inline === unit.inline &&
        one.set.join() === unit.set.join() &&
        differing(one.setting, unit.setting, by).every((name) => !unit.set.includes(name)),
    );
    if (same) return same;
    if (styles.length >= MOST_PARTS.styles) return null;
    const names = styles.map(({ style }) => style.name);
    const wanted = styleName(stock, unit);
    let name = wanted;
    for (let n = 2; names.includes(name); n++) name = `${wanted} ${n}`;
    const made: Made = {
      key: freeKey(
        styles.map(({ key }) => key),
        slug(name) || 'style',
        'style',
      ),
      style: {
        name,
        follows: unit.inline ? null : BODY_STYLE,
        set: valuesOf(unit.setting, unit.inline ? unit.set : differing(unit.setting, body, EXACT)),
        place: styles.length + 1,
      },
      texts: [],
      characters: 0,
      setting: unit.setting,
      inline: unit.inline,
      set: unit.set,
    };
    styles.push(made);
    return made;
  };

  // Rules without weight of their own: of two that meet an element the later wins, so what meets most comes first.
  const inOrder: { unit: Unit; style: Made }[] = [];
  for (const unit of units) {
    const style = inOrder.length + 1 < MOST_PARTS.elements ? wearing(unit) : null;
    if (!style) {
      folding.unfolded.push({
        what: unit.name,
        why: 'there are more kinds of text than a project has styles and elements',
        texts: unit.texts,
      });
      continue;
    }
    folding.unfolded.push(...folding.keeping(unit));
    style.texts.push(...unit.texts);
    style.characters += unit.characters;
    inOrder.push({ unit, style });
  }
  inOrder.sort((a, b) => meets(b.unit.selector).length - meets(a.unit.selector).length);
  for (const { unit, style } of inOrder) {
    const name = unit.name.slice(0, 60);
    elements.push({
      key: freeKey(
        elements.map(({ key }) => key),
        slug(name) || 'text',
        'text',
      ),
      element: {
        name,
        selectors: [unit.selector],
        style: style.key,
        parent: null,
        place: elements.length + 1,
      },
      texts: unit.texts,
    });
  }
  return {
    styles: styles.map(({ key, style, texts, characters }) => ({ key, style, texts, characters })),
    elements,
    unfolded: folding.unfolded,
  };
}

const EXACT: StyleTolerance = { weight: 0, lineHeight: 0, letterSpacing: 0 };

/** What a style is called, by the texts that it is made for. */
function styleName(stock: Stock, { name, texts, inline, set }: Unit): string {
  if (inline && set.length === 0) return 'As the text around it';
  const tag = stock.texts[texts[0] ?? 0]?.tag ?? '';
  const level = HEADING.exec(tag)?.[1];
  return (level ? `Heading ${level}` : name).slice(0, 56);
}
