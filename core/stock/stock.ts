import { numberAround, type PageTree } from '../page/pageTree';
import type { SiteBreak } from './widths';
import { descriptorOf, PROPERTIES, type Property, type PropertyName } from '../document/property';

/** The properties that make the type: those that a stock holds, in the order in which they are reported. */
export const OF_TYPE = [
  'voice',
  'step',
  'weight',
  'slant',
  'lineHeight',
  'letterSpacing',
  'case',
  'colour',
] as const satisfies readonly PropertyName[];

/** A property that a stock holds, as CSS names it. */
export type StockProperty = (typeof PROPERTIES)[(typeof OF_TYPE)[number]]['css'];
export const STOCK_PROPERTIES: readonly StockProperty[] = OF_TYPE.map(
  (name) => PROPERTIES[name].css,
);

/** All that there is to say about a property that a stock holds. */
export const stockDescriptor = (property: StockProperty): Property =>
  descriptorOf(OF_TYPE.find((name) => PROPERTIES[name].css === property) ?? 'voice');

/** The two widths that a page is read at. */
export const STOCK_ENDS = ['narrow', 'wide'] as const;
export type StockEnd = (typeof STOCK_ENDS)[number];

/** How a text is set, as a browser computes it at one width. */
export interface TextLook {
  /** The families that are asked for, first to last, without quotes. */
  stack: readonly string[];
  /** The family of the stack that draws most of its letters; null where none of it has them. */
  face: string | null;
  /** CSS px. */
  size: number;
  weight: number;
  slant: 'normal' | 'italic' | 'oblique';
  /** CSS px; null for `normal`. */
  lineHeight: number | null;
  /** CSS px; 0 for `normal`. */
  letterSpacing: number;
  /** `text-transform` as computed. */
  letterCase: string;
  /** As computed. */
  colour: string;
  /** What it stands on, as a colour; null where that is no one colour. */
  ground: string | null;
}

/** A declaration that decides a property of texts, the browser's own style sheet, or nothing at all. */
export type StockSource =
  | {
      by: 'rule';
      /** Path of the sheet, and the line in it, from 1. */
      sheet: string;
      line: number;
      selector: string;
      specificity: readonly [number, number, number];
      layer: readonly string[] | null;
      important: boolean;
      /** As it is declared. */
      property: string;
      value: string;
    }
  | { by: 'inline'; important: boolean; value: string }
  | { by: 'browser' }
  | { by: 'nothing' };

/** Where a property of a text comes from. */
export interface Provenance {
  /** Number of the source in the stock. */
  source: number;
  /** The element that it is declared for, where the text inherits it from there; null where it is its own. */
  from: string | null;
}
export type Provenances = Readonly<Record<StockProperty, Provenance>>;

/** How a text stands at one width; looks and provenances by their numbers in the stock. */
export interface SetAt {
  look: number;
  provenances: number;
  /** Characters of its fuller lines; null for a text of one line. */
  measure: number | null;
}

/** An element of a page that holds text of its own. */
export interface StockText {
  /** Number of its page in the stock. */
  page: number;
  /** Its number among those of the page, in the order of the page. */
  element: number;
  /** In small letters. */
  tag: string;
  classes: readonly string[];
  role: string | null;
  /** The nearest part of the page that it stands in, such as `nav`; null for none. */
  place: string | null;
  /** The nearest text around it, by its number in the stock: it stands in the midst of that. Null for none. */
  within: number | null;
  /** What the page says it is in, as BCP 47 has it; left out where it does not say. */
  language?: string;
  /** How it begins. */
  words: string;
  /** Characters of its own text, blanks as one. */
  characters: number;
  /** Those that no face of its family is for, as the page declares them, each once; left out for none. */
  outside?: string;
  narrow: SetAt;
  wide: SetAt;
}

/** A face that a page declares. */
export interface StockFace {
  family: string;
  /** As it is declared: one weight, or a range. */
  weight: string;
  style: string;
  /** Whether the browser has fetched it: it does so for what is shown. */
  state: 'loaded' | 'unloaded' | 'failed';
  /** Where the page here has its file; left out where that was not brought. */
  file?: string;
  /** What characters it is for, as CSS has it; left out for all of them. */
  unicodeRange?: string;
}

/** A page as it was read. */
export interface StockPage {
  title: string;
  /** Widths of the viewport that it was read at, CSS px. */
  narrow: number;
  wide: number;
  /** What 1rem is there, CSS px; left out where that is not known. */
  root?: { narrow: number; wide: number };
  /** Widths at which its style sheets set type otherwise, what most rules are about first; left out for none. */
  breaks?: readonly SiteBreak[];
  faces: readonly StockFace[];
  /** Whether its values and faces are those of the live page, as the reader gave them; else it was laid out here. */
  live: boolean;
  /** Hosts that fonts and style sheets are asked for from, and which were not asked. */
  elsewhere: readonly string[];
  /** Style sheets that it asks for and that were not there; left out for none. */
  unread?: readonly string[];
}

/** The type of a site as it stands. */
export interface Stock {
  /** When it was read, as an ISO 8601 date and time. */
  made: string;
  pages: readonly StockPage[];
  texts: readonly StockText[];
  looks: readonly TextLook[];
  provenances: readonly Provenances[];
  sources: readonly StockSource[];
}

/** Keeps each thing once, by what it says, under a number; nothing that is kept is changed. */
class Kept<T extends object> {
  readonly all: T[] = [];
  readonly #numbers = new Map<string, number>();
  /** Things that were seen before are known by themselves. */
  readonly #seen = new WeakMap<T, number>();

  /** @param keyOf what tells one thing from another */
  constructor(private readonly keyOf: (one: T) => string = JSON.stringify) {}

  number(one: T): number {
    const seen = this.#seen.get(one);
    if (seen !== undefined) return seen;
    const key = this.keyOf(one);
    const number = this.#numbers.get(key) ?? this.all.push(one) - 1;
    this.#numbers.set(key, number);
    this.#seen.set(one, number);
    return number;
  }
}

/** A stock while it is read, page by page: looks, provenances and sources that are the same are kept once. */
export class StockBook {
  readonly pages: StockPage[] = [];
  readonly texts: StockText[] = [];
  readonly #looks = new Kept<TextLook>();
  readonly #provenances = new Kept<Provenances>();
  readonly #sources = new Kept<StockSource>();

  look = (look: TextLook): number => this.#looks.number(look);
  /** The look of a number. */
  lookAt = (number: number): TextLook | undefined => this.#looks.all[number];
  provenances = (provenances: Provenances): number => this.#provenances.number(provenances);
  source = (source: StockSource): number => this.#sources.number(source);

  /**
   * Adds the texts of a page, each with the nearest of them that it stands in, whichever of the two begins first.
   * @returns their numbers
   */
  add<Node>(
    tree: PageTree<Node>,
    texts: readonly { node: Node; text: Omit<StockText, 'within'> }[],
  ): Map<Node, number> {
    const numbers = new Map(texts.map(({ node }, i) => [node, this.texts.length + i] as const));
    for (const { node, text } of texts) {
      this.texts.push({ ...text, within: numberAround(tree, node, numbers) });
    }
    return numbers;
  }

  /** @param made ISO 8601 */
  close(made: string): Stock {
    return {
      made,
      pages: this.pages,
      texts: this.texts,
      looks: this.#looks.all,
      provenances: this.#provenances.all,
      sources: this.#sources.all,
    };
  }
}

/** How a text is set at an end. @throws RangeError for one that is not of the stock */
export function lookOf(stock: Stock, text: StockText, end: StockEnd): TextLook {
  const look = stock.looks[text[end].look];
  if (!look) throw new RangeError('The stock has no such look');
  return look;
}

/** Where a property of a text comes from at an end. */
export function provenanceAt(
  stock: Stock,
  text: StockText,
  end: StockEnd,
  property: StockProperty,
): { source: StockSource; from: string | null } {
  const origin = stock.provenances[text[end].provenances]?.[property];
  const source = origin && stock.sources[origin.source];
  return { source: source ?? { by: 'nothing' }, from: origin?.from ?? null };
}

/** Characters of all texts. */
export const charactersOfStock = ({ texts }: Pick<Stock, 'texts'>): number =>
  texts.reduce((sum, { characters }) => sum + characters, 0);
