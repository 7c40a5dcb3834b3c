import type { DefaultTreeAdapterTypes } from 'parse5';
import { parseHtml } from './parseHtml';

type Node = DefaultTreeAdapterTypes.Node;

/** What the text of pages is made of. */
export interface PageLetters {
  /** Every character, each once, in the order of code points. */
  characters: string;
  /** Languages that the pages say they are in, as `lang` has them: BCP 47. */
  languages: string[];
}

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
  node(node: Node, shown: ReadonlySet<string>): void {
    if (node.nodeName === '#text') this.#add((node as DefaultTreeAdapterTypes.TextNode).value);
    if ('attrs' in node) {
      for (const { name, value } of node.attrs) {
        if (shown.has(name)) this.#add(value);
        if (name === 'lang' && LANGUAGE.test(value)) this.languages.add(value);
      }
    }
    if (!('childNodes' in node) || UNSET.has(node.nodeName)) return;
    for (const child of node.childNodes) this.node(child, shown);
  }

  /** What style sheets set by `content` and list markers: whatever they hold beyond ASCII, escaped or not. */
  css(css: string): void {
    for (const character of css) if (character > '\u007f') this.characters.add(character);
    for (const [, hex = ''] of css.matchAll(/\\([0-9a-f]{1,6})/gi)) {
      const codePoint = parseInt(hex, 16);
      if (codePoint > 0x7f && codePoint <= 0x10ffff) {
        this.characters.add(String.fromCodePoint(codePoint));
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
 * @throws SiteError for a page that is more than pages may be
 */
export function charactersOf(pages: readonly { html: string; css: string }[]): PageLetters {
  const gatherer = new Gatherer();
  for (const { html, css } of pages) {
    gatherer.node(parseHtml(html), new Set([...SET_ATTRIBUTES, ...attributesIn(css)]));
    gatherer.css(css);
  }
  return {
    characters: [...gatherer.characters]
      .filter((character) => !/[\p{Cc}\p{Cs}]/u.test(character))
      .sort((a, b) => (a.codePointAt(0) ?? 0) - (b.codePointAt(0) ?? 0))
      .join(''),
    languages: [...gatherer.languages].sort(),
  };
}
