const LETTER = /\p{L}/u;
/** Scripts whose words are not parted by spaces. */
const UNPARTED =
  /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}\p{Script=Myanmar}]/u;
/** Twice as wide as a letter. Unicode, East Asian Width. */
const WIDE =
  /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}\u3000-\u303f\uff01-\uff60]/u;
const MARK = /\p{M}/u;
/** What ends a sentence, or a part of one. */
const END = /[\p{Terminal_Punctuation}·…]+$/u;
const SENTENCE_END = /[\p{Sentence_Terminal}…]$/u;

/** Marks that are others in some languages, by the sentences of the language. */
const QUESTIONS: readonly [of: RegExp, mark: string][] = [
  [/\p{Script=Arabic}/u, '؟'],
  [/\p{Script=Greek}/u, ';'],
  [/[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}]/u, '？'],
];

/** A word with the marks that stand at it, and what stands before it: a space, or nothing. */
interface Word {
  text: string;
  before: string;
}

/** About how long a text is, in letters of Latin text. */
const lengthOf = (text: string): number =>
  [...text].reduce((sum, one) => sum + (MARK.test(one) ? 0 : WIDE.test(one) ? 2 : 1), 0);

/** Words that are parted by nothing, found as the language has them, each with the marks behind it. */
function parted(chunk: string, segmenter: Intl.Segmenter): string[] {
  const words: string[] = [];
  let opening = '';
  for (const { segment, isWordLike } of segmenter.segment(chunk)) {
    if (isWordLike) {
      words.push(opening + segment);
      opening = '';
    } else if (/^\p{Ps}|^\p{Pi}/u.test(segment) || words.length === 0) {
      opening += segment;
    } else {
      words.push((words.pop() ?? '') + segment);
    }
  }
  return opening ? [...words.slice(0, -1), (words.at(-1) ?? '') + opening] : words;
}

function wordsOf(sentences: readonly string[], tag: string): Word[] {
  const segmenter = new Intl.Segmenter(tag, { granularity: 'word' });
  return sentences.flatMap((sentence) =>
    sentence
      .split(/\s+/)
      .filter(Boolean)
      .flatMap((chunk): Word[] =>
        UNPARTED.test(chunk)
          ? parted(chunk, segmenter).map((text) => ({ text, before: '' }))
          : [{ text: chunk, before: ' ' }],
      ),
  );
}

const capital = (text: string): string => {
  const [first = ''] = text;
  return first.toUpperCase() + text.slice(first.length);
};

/**
 * Words of another language in place of a page's own, about as long, so that lines, hyphenation and missing
 * letters can be looked at. Texts get the words one after the other: the page reads on.
 */
export class OtherWords {
  readonly #words: Word[];
  /** What ends a sentence of the language; empty where nothing does. */
  readonly #end: string;
  readonly #question: string;
  #next = 0;

  /**
   * @param sentences running text in the language, not empty
   * @param tag BCP 47
   */
  constructor(sentences: readonly string[], tag: string) {
    this.#words = wordsOf(sentences, tag);
    const [first = ''] = sentences;
    this.#end = SENTENCE_END.exec(first.trim())?.[0] ?? '';
    this.#question = QUESTIONS.find(([of]) => of.test(first))?.[1] ?? '?';
  }

  /** @returns what has no letters, as it is */
  instead(said: string): string {
    const own = said.trim();
    if (!LETTER.test(own) || this.#words.length === 0) return said;
    const wanted = lengthOf(own);
    let text = '';
    do {
      const word = this.#words[this.#next % this.#words.length] ?? { text: '', before: '' };
      const longer = text + (text && word.before) + word.text;
      if (text && lengthOf(text) + lengthOf(word.text) / 2 >= wanted) break;
      text = longer;
      this.#next++;
    } while (lengthOf(text) < wanted);
    text = text.replace(END, '') + this.#endLike(own);
    const [before = ''] = /^\s*/.exec(said) ?? [];
    const [after = ''] = /\s*$/.exec(said) ?? [];
    return before + (/^\p{Lu}/u.test(own) ? capital(text) : text) + after;
  }

  /** What a text ends with that has been taken from its beginning. */
  #endLike(own: string): string {
    const [end = ''] = /[.!?…]$/u.exec(own) ?? [];
    if (end === '.') return this.#end;
    return end === '?' ? this.#question : end;
  }
}
