import { charactersOfStock, type Stock, type StockText } from './stock';

/** A value, and the text that has it. */
export interface Share<T> {
  value: T;
  /** Characters of text. */
  characters: number;
  /** Of all text, from 0 to 1. */
  share: number;
  /** Numbers of the texts. */
  texts: number[];
}

/**
 * How much of the text has each value, most first.
 * @param valueOf null for a text that is left out
 */
export function sharesOf<T>(stock: Stock, valueOf: (text: StockText) => T | null): Share<T>[] {
  const all = Math.max(1, charactersOfStock(stock));
  const found = new Map<string, Share<T>>();
  stock.texts.forEach((text, number) => {
    const value = valueOf(text);
    if (value === null) return;
    const key = JSON.stringify(value);
    const known = found.get(key) ?? { value, characters: 0, share: 0, texts: [] };
    found.set(key, known);
    known.characters += text.characters;
    known.texts.push(number);
  });
  return [...found.values()]
    .map((one) => ({ ...one, share: one.characters / all }))
    .sort((a, b) => b.characters - a.characters);
}

/** Values that are near enough to be meant for one. */
export interface Gathered {
  /** The one that most of the text has. */
  value: number;
  /** All of them, from least to most. */
  values: Share<number>[];
  characters: number;
  share: number;
  texts: number[];
}

/**
 * Gathers values that are near the weightiest among them, and no further: a row of values each near the next
 * does not become one.
 *
 * @param shares most first
 * @returns from least to most
 */
export function gatherNear(
  shares: readonly Share<number>[],
  near: (a: number, b: number) => boolean,
): Gathered[] {
  const left = new Set(shares);
  const gathered: Gathered[] = [];
  for (const main of shares) {
    if (!left.has(main)) continue;
    const values = [...left].filter(({ value }) => value === main.value || near(main.value, value));
    for (const one of values) left.delete(one);
    gathered.push({
      value: main.value,
      values: values.sort((a, b) => a.value - b.value),
      characters: values.reduce((sum, { characters }) => sum + characters, 0),
      share: values.reduce((sum, { share }) => sum + share, 0),
      texts: values.flatMap(({ texts }) => texts),
    });
  }
  return gathered.sort((a, b) => a.value - b.value);
}
