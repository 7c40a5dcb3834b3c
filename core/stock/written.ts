import { onceFor } from '../document/once';
import { languageOf, scriptOfCharacter, scriptOfTag } from '../script';
import type { Stock, StockText } from './stock';

/** What a text is written in. */
export interface Written {
  /** Key of the script of its letters; that of its language for one without letters. */
  script: string;
  /** Tag of its language, as the list of languages has it; null where the page does not say a known one. */
  language: string | null;
  /** Key of the script of that language; its own where none is said. */
  around: string;
}

type Words = Pick<StockText, 'words' | 'language' | 'page'>;

const HAN = /\p{Script=Han}/u;
const KANA = /[\p{Script=Hiragana}\p{Script=Katakana}]/u;
const HANGUL = /\p{Script=Hangul}/u;
/**
 * Kana, or hangul, to so many ideographs make a text Japanese, or Korean: prose has as many of both and more, and
 * Chinese now and then borrows one.
 */
const OF_IDEOGRAPHS = 0.1;

const lettersOf = (words: string): string[] => [...words].filter((one) => /\p{L}/u.test(one));
const count = (letters: readonly string[], what: RegExp): number =>
  letters.filter((one) => what.test(one)).length;

/** Letters that a language has, by its tag. */
const lettersIn = (tag: string): ReadonlySet<string> => new Set(languageOf(tag)?.characters);

/**
 * The script that ideographs are of where no language is said, which four scripts share: by what stands among them,
 * and of the two Chinese ones that whose letters they are, the simplified where both have them all.
 */
function scriptOfIdeographs(letters: readonly string[]): string {
  const han = letters.filter((one) => HAN.test(one));
  if (han.length === 0) return 'japanese';
  if (count(letters, KANA) >= han.length * OF_IDEOGRAPHS) return 'japanese';
  if (count(letters, HANGUL) >= han.length * OF_IDEOGRAPHS) return 'korean';
  const [simplified, traditional] = ['zh-Hans', 'zh-Hant'].map((tag) => {
    const has = lettersIn(tag);
    return han.filter((one) => has.has(one)).length;
  }) as [number, number];
  return traditional > simplified ? 'chinese-traditional' : 'chinese-simplified';
}

/**
 * The script that most letters of a text are of; that of its language first, whose letters others share.
 * @param ideographs the script that ideographs are of around it
 */
function scriptOfWords(
  words: string,
  own: ReturnType<typeof scriptOfTag>,
  ideographs: () => string,
): string | null {
  const letters = lettersOf(words);
  if (own && count(letters, own.has) * 2 >= letters.length) return own.key;
  const counts = new Map<string, number>();
  for (const letter of letters) {
    const key = HAN.test(letter) ? ideographs() : scriptOfCharacter(letter)?.key;
    if (key !== undefined) counts.set(key, (counts.get(key) ?? 0) + 1);
  }
  return [...counts].sort(([, a], [, b]) => b - a)[0]?.[0] ?? null;
}

/**
 * What each text of a site is written in, by its number; null for one without letters of which no known language is
 * said. Ideographs are of the language that is said where that has some, else of what the page's other texts tell.
 * Worked out once.
 */
export const writtenIn = onceFor((texts: readonly Words[]): (Written | null)[] => {
  const unsaid = new Map<number, string[]>();
  const knownOf = ({ language }: Words) =>
    language === undefined ? undefined : languageOf(language);
  for (const text of texts) {
    const known = knownOf(text);
    if (known && scriptOfTag(known.tag)?.has.test('一')) continue;
    const letters = unsaid.get(text.page) ?? [];
    for (const letter of lettersOf(text.words)) letters.push(letter);
    unsaid.set(text.page, letters);
  }
  const scripts = new Map<number, string>();
  const ideographsOn = (page: number): string => {
    const known = scripts.get(page) ?? scriptOfIdeographs(unsaid.get(page) ?? []);
    scripts.set(page, known);
    return known;
  };
  return texts.map((text) => {
    const known = knownOf(text);
    const own = known && scriptOfTag(known.tag);
    const script = scriptOfWords(text.words, own, () => ideographsOn(text.page));
    return script === null
      ? null
      : { script, language: known?.tag ?? null, around: own?.key ?? script };
  });
});

/**
 * The languages that a site's pages say they are in, by their tags: those in its first script before others, and of
 * each that of most text first.
 */
export function languagesOfStock(stock: Pick<Stock, 'texts' | 'pages'>): string[] {
  const counts = new Map<string, number>();
  const all = writtenIn(stock.texts);
  for (const [number, text] of stock.texts.entries()) {
    const written = all[number];
    // A page that says a language and is written in another script says it by mistake, or quotes.
    if (!written?.language || written.script !== written.around) continue;
    counts.set(written.language, (counts.get(written.language) ?? 0) + text.characters);
  }
  const first = mainScript(stock);
  const isFirst = (tag: string) => scriptOfTag(tag)?.key === first;
  return [...counts]
    .sort(([one, a], [other, b]) => Number(isFirst(other)) - Number(isFirst(one)) || b - a)
    .map(([tag]) => tag);
}

/**
 * The script that the voices' own families are for: Latin where a page is written in it, else that of most text.
 */
export function mainScript({ texts, pages }: Pick<Stock, 'texts' | 'pages'>): string {
  const byPage = pages.map(() => new Map<string, number>());
  const all = new Map<string, number>();
  const written = writtenIn(texts);
  for (const [number, text] of texts.entries()) {
    const script = written[number]?.script;
    if (script === undefined) continue;
    for (const counts of [all, byPage[text.page]])
      counts?.set(script, (counts.get(script) ?? 0) + text.characters);
  }
  const most = (counts: ReadonlyMap<string, number>) =>
    [...counts].sort(([, a], [, b]) => b - a)[0]?.[0] ?? 'latin';
  return byPage.some((counts) => counts.size > 0 && most(counts) === 'latin') ? 'latin' : most(all);
}
