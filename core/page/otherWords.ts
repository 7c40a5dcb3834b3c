const LETTER = /\p{L}/u;

/** A word without what ends a sentence. */
const plainEnd = (word: string): string => word.replace(/[.,;:!?…·]+$/u, '');

const capital = (text: string): string => {
  const [first = ''] = text;
  return first.toUpperCase() + text.slice(first.length);
};

/**
 * Words of another language in place of a page's own, about as many characters, so that lines, hyphenation
 * and missing letters can be looked at. Texts get the words one after the other: the page reads on.
 */
export class OtherWords {
  readonly #words: string[];
  #next = 0;

  /** @param sentences running text in the language, not empty */
  constructor(sentences: readonly string[]) {
    this.#words = sentences.flatMap((sentence) => sentence.split(/\s+/)).filter(Boolean);
  }

  /** @returns what has no letters, as it is */
  instead(said: string): string {
    const own = said.trim();
    if (!LETTER.test(own) || this.#words.length === 0) return said;
    const taken: string[] = [];
    let length = -1;
    do {
      const word = this.#words[this.#next % this.#words.length] ?? '';
      if (taken.length > 0 && length + word.length / 2 >= own.length) break;
      taken.push(word);
      length += word.length + 1;
      this.#next++;
    } while (length < own.length);
    const end = /[.!?…]$/u.exec(own)?.[0] ?? '';
    const text = plainEnd(taken.join(' ')) + end;
    const [before = ''] = /^\s*/.exec(said) ?? [];
    const [after = ''] = /\s*$/.exec(said) ?? [];
    return before + (/^\p{Lu}/u.test(own) ? capital(text) : text) + after;
  }
}
