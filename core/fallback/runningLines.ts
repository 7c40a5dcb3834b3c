import { wordsOf } from './tuningText';

/** Widths at which lines are broken, CSS px, and the size that text is set in for it. */
export const MEASURES = [320, 480, 640, 760] as const;
export const LINES_SIZE = 18;

/** What sets text in one way: how wide it makes a word and a space, em. A word that it cannot set is null. */
export interface SetsWords {
  word(word: string): number | null;
  space: number;
}

/** How running lines in the fallback go against those in the web face. */
export interface LinesFit {
  /** Mean of |fallback − web| ÷ web over the web face's own lines at 640 px, each at its full width. */
  width: number;
  /** How much longer (+) or shorter all of them are together. */
  bias: number;
  /** Lines that the text makes at each measure. */
  counts: number[];
}

interface Paragraph {
  words: { web: number; own: number }[];
}

/** A paragraph has this many characters at least: lines are judged where they run on. */
const PARAGRAPH = 400;

/** Sentences run together to paragraphs. */
function runTogether(sentences: readonly string[]): string[] {
  const paragraphs: string[] = [];
  let open = '';
  for (const sentence of sentences) {
    open = open ? `${open} ${sentence}` : sentence;
    if (open.length < PARAGRAPH) continue;
    paragraphs.push(open);
    open = '';
  }
  return open ? [...paragraphs, open] : paragraphs;
}

/** Words that both can set, by paragraph. */
function paragraphsOf(texts: readonly string[], web: SetsWords, own: SetsWords): Paragraph[] {
  return runTogether(texts).map((text) => ({
    words: wordsOf(text).flatMap((word) => {
      const [a, b] = [web.word(word), own.word(word)];
      return a === null || b === null ? [] : [{ web: a, own: b }];
    }),
  }));
}

/** Breaks a paragraph as browsers do, a word at a time: where each line begins. */
function lineStarts(widths: readonly number[], space: number, measure: number): number[] {
  const starts = [0];
  let line = 0;
  widths.forEach((width, i) => {
    const begins = starts.at(-1) === i;
    const longer = line + (begins ? 0 : space) + width;
    if (!begins && longer > measure) {
      starts.push(i);
      line = width;
    } else line = longer;
  });
  return starts;
}

const linesAt = (paragraphs: Paragraph[], side: 'web' | 'own', space: number, measure: number) =>
  paragraphs.reduce(
    (sum, { words }) =>
      words.length === 0
        ? sum
        : sum +
          lineStarts(
            words.map((word) => word[side]),
            space,
            measure / LINES_SIZE,
          ).length,
    0,
  );

/** How the lines of a text, given by sentences, go in the fallback, and how many the web face makes of it. */
export function linesFit(
  texts: readonly string[],
  web: SetsWords,
  own: SetsWords,
): { fit: LinesFit; web: number[] } {
  const paragraphs = paragraphsOf(texts, web, own);
  const errors: number[] = [];
  let [webSum, ownSum] = [0, 0];
  for (const { words } of paragraphs) {
    const starts = lineStarts(
      words.map((word) => word.web),
      web.space,
      640 / LINES_SIZE,
    );
    starts.slice(0, -1).forEach((from, i) => {
      const line = words.slice(from, starts[i + 1]);
      const width = (side: 'web' | 'own', space: number) =>
        line.reduce((sum, word) => sum + word[side], 0) + space * (line.length - 1);
      const [a, b] = [width('web', web.space), width('own', own.space)];
      errors.push(Math.abs(b - a) / a);
      webSum += a;
      ownSum += b;
    });
  }
  return {
    fit: {
      width: errors.length ? errors.reduce((sum, one) => sum + one, 0) / errors.length : 0,
      bias: webSum ? ownSum / webSum - 1 : 0,
      counts: MEASURES.map((measure) => linesAt(paragraphs, 'own', own.space, measure)),
    },
    web: MEASURES.map((measure) => linesAt(paragraphs, 'web', web.space, measure)),
  };
}
