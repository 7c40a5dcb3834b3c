import { compile } from 'css-select';
import type { AnyNode, Element, ParentNode } from 'domhandler';
import { adapter } from 'parse5-htmlparser2-tree-adapter';
import {
  BOLD_BY_BROWSER,
  NOWHERE,
  placeWithin,
  SLANTED_BY_BROWSER,
  writtenPlace,
  type TextPlace,
} from '../document/textPlace';
import { SCRIPTS } from '../script';
import { parseHtmlAs } from './parseHtml';

/** What the text of pages is made of. */
export interface PageLetters {
  /** Every character, each once, in the order of code points. */
  characters: string;
  /** Languages that the pages say they are in, as `lang` has them: BCP 47. */
  languages: string[];
  /** Letters of scripts of many by where they stand, as `writtenPlace` has it. */
  within: Record<string, string>;
}

/** A node of a page, as far as text elements are told by it. */
export interface PageNode {
  localName: string;
  id: string;
  classList: readonly string[];
  matches(selector: string): boolean;
}

/** The text elements that a node is, by their keys. */
export type ElementsAt = (node: PageNode) => readonly string[];

/** What browsers' own style sheets have bold and slanted. HTML §15.3. */
const BOLD_TAGS = new Set(['b', 'strong', 'th', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6']);
const SLANTED_TAGS = new Set(['i', 'em', 'cite', 'var', 'dfn', 'address']);

/**
 * Texts that are looked at for where they stand: enough for two hundred pages, and few enough that pages of any length
 * are read in seconds. Letters of further ones may stand anywhere.
 */
export const MOST_PLACED = 20_000;

const LARGE = SCRIPTS.filter(({ large }) => large);
const isOfMany = (letter: string): boolean => LARGE.some(({ has }) => has.test(letter));

/** Elements whose text is never set. */
const UNSET = new Set(['script', 'style', 'template', 'noscript', 'title']);
/** Attributes whose text is: in a field, a button, a list of choices, and where a picture is missing. */
const SET_ATTRIBUTES = ['placeholder', 'value', 'label', 'alt'];
/** A letter with more than one mark; more than four are joined to none. */
const MARKED = /\p{L}\p{M}{2,4}/gu;
const LANGUAGE = /^[a-z]{2,8}(-[a-z0-9]{1,8})*$/i;

class Gatherer {
  readonly characters = new Set<string>();
  readonly languages = new Set<string>();
  readonly within = new Map<string, Set<string>>();
  #placed = 0;
  readonly #places = new WeakMap<ParentNode, TextPlace>();
  readonly #queries = new Map<string, (node: Element) => boolean>();

  constructor(private readonly elementsAt: ElementsAt) {}

  /** Whether a node meets a selector; none meets what only a browser knows. */
  #meets(node: Element, selector: string): boolean {
    let query = this.#queries.get(selector);
    if (!query) {
      try {
        query = compile<AnyNode, Element>(selector);
      } catch {
        query = () => false;
      }
      this.#queries.set(selector, query);
    }
    return query(node);
  }

  #placeOf(node: ParentNode | null): TextPlace {
    if (!node || !('attribs' in node)) return NOWHERE;
    let place = this.#places.get(node);
    if (!place) {
      const elements = this.elementsAt({
        localName: node.name,
        id: node.attribs['id'] ?? '',
        classList: (node.attribs['class'] ?? '').split(/\s+/).filter(Boolean),
        matches: (selector) => this.#meets(node, selector),
      });
      place = placeWithin(this.#placeOf(node.parent), [
        ...elements,
        ...(BOLD_TAGS.has(node.name) ? [BOLD_BY_BROWSER] : []),
        ...(SLANTED_TAGS.has(node.name) ? [SLANTED_BY_BROWSER] : []),
      ]);
      this.#places.set(node, place);
    }
    return place;
  }

  #addTo(place: TextPlace, letters: Iterable<string>): void {
    const key = writtenPlace(place);
    const known = this.within.get(key) ?? new Set();
    this.within.set(key, known);
    for (const letter of letters) known.add(letter);
  }

  /** Text that stands at a node. */
  #text(text: string, at: ParentNode | null): void {
    this.#add(text);
    const letters = [...text.normalize('NFC'), ...text].filter(isOfMany);
    if (letters.length === 0) return;
    const isPlaced = ++this.#placed <= MOST_PLACED;
    this.#addTo(isPlaced ? this.#placeOf(at) : NOWHERE, letters);
  }

  /** As it is written, and as a browser joins a letter with the marks after it. Unicode 16, §3.11. */
  #add(text: string): void {
    for (const character of text) this.characters.add(character);
    const joined = text.normalize('NFC');
    if (joined === text) return;
    for (const character of joined) this.characters.add(character);
    // Mark by mark: υ with a diaeresis on the way to one with an acute on it too.
    for (const [cluster] of text.normalize('NFD').matchAll(MARKED)) {
      const [letter = '', ...marks] = cluster;
      for (let most = 1; most < marks.length; most++) {
        for (const one of (letter + marks.slice(0, most).join('')).normalize('NFC')) {
          this.characters.add(one);
        }
      }
    }
  }

  /** @param shown attributes whose text is set */
  node(node: AnyNode, shown: ReadonlySet<string>): void {
    if (node.type === 'text') this.#text(node.data, node.parent);
    if ('attribs' in node) {
      for (const [name, value] of Object.entries(node.attribs)) {
        if (shown.has(name)) this.#text(value, node);
        if (name === 'lang' && LANGUAGE.test(value)) this.languages.add(value);
      }
      if (UNSET.has(node.name)) return;
    }
    if (!('children' in node)) return;
    for (const child of node.children) this.node(child, shown);
  }

  #anywhere(letter: string): void {
    this.characters.add(letter);
    if (isOfMany(letter)) this.#addTo(NOWHERE, [letter]);
  }

  /** What style sheets set by `content` and list markers: whatever they hold beyond ASCII, escaped or not. */
  css(css: string): void {
    for (const character of css) if (character > '\u007f') this.#anywhere(character);
    for (const [, hex = ''] of css.matchAll(/\\([0-9a-f]{1,6})/gi)) {
      const codePoint = parseInt(hex, 16);
      if (codePoint > 0x7f && codePoint <= 0x10ffff) {
        this.#anywhere(String.fromCodePoint(codePoint));
      }
    }
  }
}

/** Attributes that style sheets set the text of, by `attr()`. CSS Values 5 §7.7. */
const attributesIn = (css: string): string[] =>
  [...css.matchAll(/\battr\(\s*([a-z_][\w-]*)/gi)].map(([, name = '']) => name.toLowerCase());

/**
 * What the text of pages is made of.
 * @param pages each its HTML and the text of its style sheets
 * @param elementsAt tells the text elements of the project that nodes are
 * @throws SiteError for a page that is more than pages may be
 */
export function charactersOf(
  pages: readonly { html: string; css: string }[],
  elementsAt: ElementsAt = () => [],
): PageLetters {
  const gatherer = new Gatherer(elementsAt);
  for (const { html, css } of pages) {
    gatherer.node(
      parseHtmlAs(html, { treeAdapter: adapter }),
      new Set([...SET_ATTRIBUTES, ...attributesIn(css)]),
    );
    gatherer.css(css);
  }
  return {
    characters: [...gatherer.characters]
      .filter((character) => !/[\p{Cc}\p{Cs}]/u.test(character))
      .sort((a, b) => (a.codePointAt(0) ?? 0) - (b.codePointAt(0) ?? 0))
      .join(''),
    languages: [...gatherer.languages].sort(),
    within: Object.fromEntries(
      [...gatherer.within].map(([key, letters]) => [key, [...letters].sort().join('')]),
    ),
  };
}
