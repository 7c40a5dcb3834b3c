import type { Emphasis, LanguageSetting } from '../../document/languageSetting';
import { LANGUAGE_BOUNDS } from '../../document/languageSetting';
import {
  lookOf,
  STOCK_PROPERTIES,
  type Stock,
  type StockProperty,
  type StockText,
  type TextLook,
} from '../stock';
import { mainScript, writtenIn, type Written } from '../written';
import type { StockKind } from './foldStyles';

/** A text that stands in another script than the site's first, and the text of its kind in that. */
export interface Counterpart {
  written: Written;
  /** Its number; null where no text of the kind is written in the first script. */
  as: number | null;
}

/** Texts of a site in other scripts than its first: each is set as its kind is, in the family and the way of its script. */
export interface FoldedScripts {
  /** By the numbers of those texts. */
  counterparts: ReadonlyMap<number, Counterpart>;
  /** How text in each language is set against the site's first, by its tag in small letters. */
  byLanguage: Readonly<Record<string, LanguageSetting>>;
}

/** What a language sets otherwise by itself: the same declaration for it says nothing of what kind a text is. */
const BY_LANGUAGE: ReadonlySet<StockProperty> = new Set(['font-family', 'line-height']);

/** The text that most of the same declarations decide, then that of the nearest size, then the longest; null for none. */
function mostLike(stock: Stock, text: StockText, numbers: readonly number[]): number | null {
  const { size } = lookOf(stock, text, 'wide');
  const decided = (one: StockText) => stock.provenances[one.wide.provenances];
  const own = decided(text);
  const ranked = numbers.flatMap((number) => {
    const one = stock.texts[number];
    const other = one && decided(one);
    if (!one || !other) return [];
    const same = STOCK_PROPERTIES.filter(
      (property) => !BY_LANGUAGE.has(property) && own?.[property].source === other[property].source,
    );
    const off = Math.abs(Math.log(lookOf(stock, one, 'wide').size / size));
    return [{ number, same: same.length, off, characters: one.characters }];
  });
  const [best] = ranked.sort(
    (a, b) => b.same - a.same || a.off - b.off || b.characters - a.characters,
  );
  return best?.number ?? null;
}

/** Texts that stand in another script than the site's first, with what their kind is in that. */
function counterpartsOf(stock: Stock, kinds: readonly StockKind[]): Map<number, Counterpart> {
  const main = mainScript(stock);
  const counterparts = new Map<number, Counterpart>();
  const written = writtenIn(stock.texts);
  if (written.every((one) => one === null || (one.script === main && one.around === main)))
    return counterparts;
  const isMain = (number: number) =>
    written[number]?.script === main && written[number]?.around === main;
  /** Of those that are set and decided alike, the longest: a site of ten thousand texts has few others. */
  const among = (numbers: Iterable<number>): number[] => {
    const found = new Map<string, number>();
    for (const number of numbers) {
      const text = stock.texts[number];
      if (!text || !isMain(number)) continue;
      const key = `${text.wide.look} ${text.wide.provenances}`;
      const known = stock.texts[found.get(key) ?? -1];
      if (!known || known.characters < text.characters) found.set(key, number);
    }
    return [...found.values()];
  };
  const ofKind = new Map<number, readonly number[]>();
  for (const { texts } of kinds) {
    const same = among(texts);
    for (const number of texts) ofKind.set(number, same);
  }
  const ofTag = new Map<string, number[]>();
  for (const [number, { tag }] of stock.texts.entries()) {
    const known = ofTag.get(tag);
    if (known) known.push(number);
    else ofTag.set(tag, [number]);
  }
  const likeTag = new Map([...ofTag].map(([tag, numbers]) => [tag, among(numbers)]));
  stock.texts.forEach((text, number) => {
    const own = written[number];
    if (!own || own.around === main) return;
    const ofItsKind = ofKind.get(number) ?? [];
    const from = ofItsKind.length > 0 ? ofItsKind : (likeTag.get(text.tag) ?? []);
    counterparts.set(number, { written: own, as: mostLike(stock, text, from) });
  });
  return counterparts;
}

interface Weighed {
  value: number;
  characters: number;
}

/** The value that half of the text is under. */
function median(values: readonly Weighed[]): number | null {
  const sorted = [...values].sort((a, b) => a.value - b.value);
  const half = sorted.reduce((sum, { characters }) => sum + characters, 0) / 2;
  let passed = 0;
  return sorted.find(({ characters }) => (passed += characters) >= half)?.value ?? null;
}

const within = (value: number, [least, most]: readonly [number, number]): number =>
  Number(Math.min(most, Math.max(least, value)).toFixed(3));

const linesOf = ({ lineHeight, size }: TextLook): number | null =>
  lineHeight === null || size === 0 ? null : lineHeight / size;

/** How texts in one language are set against those of their kinds. */
function settingOf(
  stock: Stock,
  pairs: readonly (readonly [StockText, StockText])[],
): LanguageSetting {
  const looks = pairs.map(([own, like]) => ({
    own: lookOf(stock, own, 'wide'),
    like: lookOf(stock, like, 'wide'),
    characters: own.characters,
  }));
  const ratio = (of: (look: TextLook) => number | null): number | null =>
    median(
      looks.flatMap(({ own, like, characters }) => {
        const [a, b] = [of(own), of(like)];
        return a === null || !b ? [] : [{ value: a / b, characters }];
      }),
    );
  const size = within(ratio((look) => look.size) ?? 1, LANGUAGE_BOUNDS.size);
  const lines = ratio(linesOf);
  const slanted = looks.filter(({ like }) => like.slant !== 'normal');
  const kept = slanted.filter(({ own }) => own.slant !== 'normal').length * 2 > slanted.length;
  const emphasis: Emphasis = kept ? 'italic' : 'none';
  return {
    ...(size === 1 ? {} : { size }),
    ...(lines === null ? {} : { lineHeight: within(lines, LANGUAGE_BOUNDS.lineHeight) }),
    // Where nothing of the kind is slanted, the script's own way stands.
    ...(slanted.length > 0 ? { emphasis } : {}),
  };
}

/**
 * What is written in other scripts than the site's first, and how it is set against that.
 * @param kinds the kinds of its texts, over all pages
 */
export function foldScripts(stock: Stock, kinds: readonly StockKind[]): FoldedScripts {
  const counterparts = counterpartsOf(stock, kinds);
  const pairs = new Map<string, [StockText, StockText][]>();
  for (const [number, { written, as }] of counterparts) {
    const [own, like] = [stock.texts[number], as === null ? undefined : stock.texts[as]];
    if (!own || !like || written.language === null || written.script !== written.around) continue;
    const key = written.language.toLowerCase();
    pairs.set(key, [...(pairs.get(key) ?? []), [own, like]]);
  }
  return {
    counterparts,
    byLanguage: Object.fromEntries([...pairs].map(([tag, own]) => [tag, settingOf(stock, own)])),
  };
}
