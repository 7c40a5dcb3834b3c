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

/** The script that most letters of a text are of; that of its language first, whose letters others share. */
function scriptOfWords(words: string, own: ReturnType<typeof scriptOfTag>): string | null {
  const letters = [...words].filter((one) => /\p{L}/u.test(one));
  if (own && letters.filter((one) => own.has.test(one)).length * 2 >= letters.length)
    return own.key;
  const counts = new Map<string, number>();
  for (const { key } of letters.flatMap((one) => scriptOfCharacter(one) ?? []))
    counts.set(key, (counts.get(key) ?? 0) + 1);
  return [...counts].sort(([, a], [, b]) => b - a)[0]?.[0] ?? null;
}

/** What a text is written in; null for one without letters of which no known language is said. Worked out once. */
export const writtenIn = onceFor(
  ({ words, language }: Pick<StockText, 'words' | 'language'>): Written | null => {
    const known = language === undefined ? undefined : languageOf(language);
    const own = known && scriptOfTag(known.tag);
    const script = scriptOfWords(words, own);
    return script === null
      ? null
      : { script, language: known?.tag ?? null, around: own?.key ?? script };
  },
);

/**
 * The languages that a site's pages say they are in, by their tags: those in its first script before others, and of
 * each that of most text first.
 */
export function languagesOfStock(stock: Pick<Stock, 'texts' | 'pages'>): string[] {
  const counts = new Map<string, number>();
  for (const text of stock.texts) {
    const written = writtenIn(text);
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
  for (const text of texts) {
    const script = writtenIn(text)?.script;
    if (script === undefined) continue;
    for (const counts of [all, byPage[text.page]])
      counts?.set(script, (counts.get(script) ?? 0) + text.characters);
  }
  const most = (counts: ReadonlyMap<string, number>) =>
    [...counts].sort(([, a], [, b]) => b - a)[0]?.[0] ?? 'latin';
  return byPage.some((counts) => counts.size > 0 && most(counts) === 'latin') ? 'latin' : most(all);
}
