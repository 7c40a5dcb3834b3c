/** How often each word stands in a text. */
export type WordCounts = ReadonlyMap<string, number>;

/**
 * Kinds of text that a fallback is judged by, each unlike the others in its words: the site's own copy, a
 * declaration in the language, what forms say to visitors, names of places and languages, dates and amounts.
 */
export type TextKind = 'copy' | 'declaration' | 'messages' | 'names' | 'amounts';

/** Text of one kind that is not tuned on. */
export interface JudgedText {
  kind: TextKind;
  /** BCP 47 tag of the language that it is in; null for the site's own copy. */
  language: string | null;
  /** A sentence or a phrase an entry. */
  sentences: readonly string[];
}

/** Kinds that run on: their lines are judged too. */
export const RUNNING_KINDS: readonly TextKind[] = ['copy', 'declaration', 'messages'];

/** Text to tune a fallback on, and other text to judge it by. */
export interface TuningText {
  tuning: WordCounts;
  judged: readonly JudgedText[];
}

/** What stands for a language: its words, as often as they occur, and text of several kinds that is not tuned on. */
export interface LanguageText {
  words: WordCounts;
  judged: readonly JudgedText[];
}

/** Most words that are told apart, the most frequent: more change no ratio, and take time. */
const MOST_WORDS = 2000;
/** The designer's own copy counts as much as this many texts of the project's languages. */
const OWN_SHARE = 3;
/** Most characters of a kind of text to judge by, in all languages together. */
const MOST_JUDGED = 6000;
/** Figures stand in every site, seldom in running text; together they count this share of the words. */
const FIGURES = ['2026', '17', '35', '480', '9.60', '12', '1998', '06'];
const FIGURES_SHARE = 0.01;

export const wordsOf = (text: string): string[] => text.split(/\s+/).filter(Boolean);

export function countWords(texts: Iterable<string>): Map<string, number> {
  const counts = new Map<string, number>();
  for (const text of texts) {
    for (const word of wordsOf(text)) counts.set(word, (counts.get(word) ?? 0) + 1);
  }
  return counts;
}

/** Running text in sentences, without what is blank. */
export const sentencesOf = (text: string): string[] =>
  text
    .split(/(?<=[.!?:;])\s+|\n+/)
    .map((sentence) => sentence.trim())
    .filter(Boolean);

/** Adds words to others, so that together they count as much as `share`. */
function addShare(counts: Map<string, number>, words: WordCounts, share: number): void {
  const total = [...words.values()].reduce((sum, count) => sum + count, 0);
  if (total === 0) return;
  for (const [word, count] of words) {
    counts.set(word, (counts.get(word) ?? 0) + (count / total) * share);
  }
}

const mostFrequent = (counts: Map<string, number>): WordCounts =>
  new Map([...counts].sort(([, a], [, b]) => b - a).slice(0, MOST_WORDS));

/** The beginning of a text, by whole sentences, up to so many characters. */
function beginning(sentences: readonly string[], most: number): string[] {
  let length = 0;
  return sentences.filter((sentence) => (length += sentence.length) <= most);
}

/**
 * What a project's fallbacks are tuned on and judged by. The designer's copy is parted by sentences: every
 * other one is tuned on and the rest held out, so that a figure is never given for the text that it was made
 * from. The project's languages count a third of the copy, or alone where there is none. It is judged by the
 * rest of the copy and by text of several kinds in each language.
 *
 * @param copy the designer's copy, a block a line
 */
export function tuningTextOf(copy: string, languages: readonly LanguageText[]): TuningText {
  const sentences = sentencesOf(copy);
  const own = countWords(sentences.filter((_, i) => i % 2 === 0));
  const counts = new Map<string, number>();
  for (const { words } of languages) addShare(counts, words, 1 / languages.length);
  addShare(counts, own, OWN_SHARE);
  addShare(counts, new Map(FIGURES.map((figure) => [figure, 1])), FIGURES_SHARE);
  const held = sentences.filter((_, i) => i % 2 === 1);
  const share = MOST_JUDGED / Math.max(1, languages.length);
  return {
    tuning: mostFrequent(counts),
    judged: [
      { kind: 'copy' as const, language: null, sentences: beginning(held, MOST_JUDGED) },
      ...languages
        .flatMap(({ judged }) => judged)
        .map((text) => ({ ...text, sentences: beginning(text.sentences, share) })),
    ].filter((text) => text.sentences.length > 0),
  };
}

/** Every sentence that a fallback is judged by. */
export const judgedSentences = ({ judged }: TuningText): string[] =>
  judged.flatMap(({ sentences }) => sentences);
