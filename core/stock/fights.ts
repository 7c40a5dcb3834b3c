import { LEAST_RATIO } from '../check/closeLevels';
import { contrastRatio, leastContrast } from '../style/contrast';
import { fitLineMeasure, type TextRole } from '../style/lineMeasure';
import {
  lookOf,
  provenanceAt,
  STOCK_ENDS,
  STOCK_PROPERTIES,
  type Stock,
  type StockEnd,
  type StockSource,
  type StockText,
} from './stock';

/** Where a site fights itself, or its readers. */
export type FightKind =
  'important' | 'id' | 'inline' | 'repeated' | 'px' | 'fixed' | 'measure' | 'contrast' | 'levels';

/** One thing that is wrong, with its evidence. */
export interface Fight {
  kind: FightKind;
  /** What will be seen, then why, as sentences. */
  message: string;
  /** Numbers of the texts that it is about. */
  texts: number[];
  /** The declarations that are at fault, where they are. */
  sources: StockSource[];
}

type Rule = Extract<StockSource, { by: 'rule' }>;

const HEADING = /^h([1-6])$/;

/** What a text of a page is for, by its tag. */
export const roleOfText = ({ tag }: Pick<StockText, 'tag'>): TextRole =>
  HEADING.test(tag) ? 'heading' : /^(p|li|dd|blockquote)$/.test(tag) ? 'text' : 'other';

const count = (number: number, one: string, more = `${one}s`): string =>
  `${number.toLocaleString('en')} ${number === 1 ? one : more}`;
const px = (size: number): string => `${Number(size.toFixed(1))} px`;

/** Sources that decide texts at either end, with the texts and the properties. */
interface InForce {
  source: StockSource;
  texts: Set<number>;
  properties: Set<string>;
}

function inForce(stock: Stock): InForce[] {
  const found = new Map<StockSource, InForce>();
  stock.texts.forEach((text, number) => {
    for (const end of STOCK_ENDS) {
      for (const property of STOCK_PROPERTIES) {
        const { source } = provenanceAt(stock, text, end, property);
        if (source.by === 'nothing' || source.by === 'browser') continue;
        const known = found.get(source) ?? { source, texts: new Set(), properties: new Set() };
        found.set(source, known);
        known.texts.add(number);
        known.properties.add(property);
      }
    }
  });
  return [...found.values()];
}

const textsOf = (all: readonly InForce[]): number[] =>
  [...new Set(all.flatMap(({ texts }) => [...texts]))].sort((a, b) => a - b);

/** How often a value is said of one property, in rules of their own, before it wants one place. */
const OFTEN = 5;

/** The same thing said of the same property in many rules. */
function repeated(all: readonly InForce[]): Fight[] {
  const said = new Map<string, InForce[]>();
  for (const one of all) {
    const { source } = one;
    if (source.by !== 'rule' || /^(inherit|unset|initial|revert)/.test(source.value)) continue;
    // A value that is named is said in one place.
    if (/var\(/.test(source.value)) continue;
    const key = `${source.property}: ${source.value}`;
    said.set(key, [...(said.get(key) ?? []), one]);
  }
  return [...said]
    .filter(([, places]) => places.length >= OFTEN)
    .sort(([, a], [, b]) => b.length - a.length)
    .map(([what, places]) => ({
      kind: 'repeated',
      message: `“${what}” is said in ${places.length} rules. Who changes it has to find them all.`,
      texts: textsOf(places),
      sources: places.map(({ source }) => source),
    }));
}

const IN_PX = /(^|[\s(,])[\d.]+px\b/;

/** Sizes in px, which a visitor's own size of text does not reach. WCAG 2.2, 1.4.4. */
function inPx(all: readonly InForce[]): Fight[] {
  const fixed = all.filter(
    ({ source, properties }) =>
      source.by !== 'nothing' &&
      source.by !== 'browser' &&
      properties.has('font-size') &&
      IN_PX.test(source.value) &&
      !/\d(r?em|%|vw|cq\w+)/.test(source.value),
  );
  if (fixed.length === 0) return [];
  const texts = textsOf(fixed);
  return [
    {
      kind: 'px',
      message: `${count(texts.length, 'text stays as large as it is', 'texts stay as large as they are')} for visitors who have set larger text in their browser: ${count(fixed.length, 'declaration gives', 'declarations give')} the size in px.`,
      texts,
      sources: fixed.map(({ source }) => source),
    },
  ];
}

/** A heading is this much larger than the body before a phone wants it smaller. */
const LARGE_HEADING = 1.6;

/** Large headings that are as large on a phone as on a desktop. */
function fixedSizes(stock: Stock): Fight[] {
  const body = bodySize(stock, 'narrow');
  const texts = stock.texts.flatMap((text, number) => {
    const [narrow, wide] = [lookOf(stock, text, 'narrow'), lookOf(stock, text, 'wide')];
    const isLarge = roleOfText(text) === 'heading' && narrow.size >= LARGE_HEADING * body;
    return isLarge && Math.abs(narrow.size - wide.size) < 0.01 ? [number] : [];
  });
  if (texts.length === 0) return [];
  const largest = Math.max(
    ...texts.map((number) => {
      const text = stock.texts[number];
      return text ? lookOf(stock, text, 'narrow').size : 0;
    }),
  );
  return [
    {
      kind: 'fixed',
      message: `${count(texts.length, 'heading is', 'headings are')} as large on a phone as on a desktop, up to ${px(largest)} beside text of ${px(body)}.`,
      texts,
      sources: [],
    },
  ];
}

/** The size that most running text has; of all text where none is running. */
export function bodySize(stock: Stock, end: StockEnd): number {
  const weights = new Map<number, number>();
  const running = stock.texts.filter((text) => roleOfText(text) === 'text');
  for (const text of running.length > 0 ? running : stock.texts) {
    const { size } = lookOf(stock, text, end);
    weights.set(size, (weights.get(size) ?? 0) + text.characters);
  }
  return [...weights].sort(([, a], [, b]) => b - a)[0]?.[0] ?? 16;
}

/** Lines of running text that hold more characters than are read well. */
function longLines(stock: Stock): Fight[] {
  return STOCK_ENDS.flatMap((end): Fight[] => {
    const over = stock.texts.flatMap((text, number) => {
      const width = stock.pages[text.page]?.[end] ?? 0;
      const fit = fitLineMeasure(roleOfText(text), width);
      const { measure } = text[end];
      return fit && measure !== null && measure > fit.most ? [{ number, measure, fit, width }] : [];
    });
    const [first] = over;
    if (!first) return [];
    const longest = Math.max(...over.map(({ measure }) => measure));
    return [
      {
        kind: 'measure',
        message: `${count(over.length, 'text has', 'texts have')} lines of up to ${longest} characters at ${first.width} px; ${first.fit.most} is the most that is read well.`,
        texts: over.map(({ number }) => number),
        sources: [],
      },
    ];
  });
}

/** Text whose contrast with its ground is under what WCAG asks, by the pair of colours. */
function weakContrast(stock: Stock): Fight[] {
  const pairs = new Map<string, { message: string; texts: number[]; ratio: number }>();
  stock.texts.forEach((text, number) => {
    for (const end of STOCK_ENDS) {
      const { colour, ground, size, weight } = lookOf(stock, text, end);
      if (ground === null) continue;
      const least = leastContrast(size, weight);
      const ratio = contrastRatio(colour, ground);
      if (ratio >= least) continue;
      const key = `${colour} ${ground} ${least}`;
      const known = pairs.get(key) ?? {
        message: `${colour} on ${ground} is hard to read: ${ratio.toFixed(2)} to 1, where WCAG asks for ${least}.`,
        texts: [],
        ratio,
      };
      pairs.set(key, known);
      if (known.texts.at(-1) !== number) known.texts.push(number);
    }
  });
  return [...pairs.values()]
    .sort((a, b) => b.texts.length - a.texts.length)
    .map(({ message, texts }) => ({ kind: 'contrast', message, texts, sources: [] }));
}

/** Headings of neighbouring levels that look the same. */
function closeHeadings(stock: Stock): Fight[] {
  return STOCK_ENDS.flatMap((end) => {
    const levels = new Map<number, { text: StockText; texts: number[]; characters: number }[]>();
    stock.texts.forEach((text, number) => {
      const level = Number(HEADING.exec(text.tag)?.[1] ?? 0);
      if (level === 0) return;
      const looks = levels.get(level) ?? [];
      levels.set(level, looks);
      const same = looks.find((one) => one.text[end].look === text[end].look);
      if (same) {
        same.texts.push(number);
        same.characters += text.characters;
      } else looks.push({ text, texts: [number], characters: text.characters });
    });
    // What most headings of a level look like stands for it.
    const usual = [...levels]
      .sort(([a], [b]) => a - b)
      .flatMap(([level, looks]) => {
        const [most] = looks.sort((a, b) => b.texts.length - a.texts.length);
        return most ? [{ level, look: lookOf(stock, most.text, end), texts: most.texts }] : [];
      });
    return usual.slice(1).flatMap(({ level, look, texts }, i): Fight[] => {
      const above = usual[i];
      if (!above) return [];
      const ratio = above.look.size / look.size;
      const differs =
        Math.max(ratio, 1 / ratio) >= LEAST_RATIO ||
        Math.abs(above.look.weight - look.weight) >= 200 ||
        above.look.letterCase !== look.letterCase ||
        above.look.stack[0] !== look.stack[0] ||
        above.look.colour !== look.colour ||
        above.look.slant !== look.slant;
      if (differs) return [];
      const width = stock.pages[0]?.[end] ?? 0;
      return [
        {
          kind: 'levels',
          message: `Headings ${above.level} and ${level} cannot be told apart at ${width} px: ${px(above.look.size)} and ${px(look.size)}, and nothing else differs.`,
          texts: [...above.texts, ...texts],
          sources: [],
        },
      ];
    });
  });
}

/** Where a site fights itself, first what is in most texts of each kind. */
export function fightsOf(stock: Stock): Fight[] {
  const all = inForce(stock);
  const by = (holds: (source: StockSource) => boolean) => all.filter(({ source }) => holds(source));
  const gathered = (
    kind: FightKind,
    places: readonly InForce[],
    message: (texts: number, places: number) => string,
  ): Fight[] => {
    const texts = textsOf(places);
    return places.length === 0
      ? []
      : [
          {
            kind,
            message: message(texts.length, places.length),
            texts,
            sources: places.map(({ source }) => source),
          },
        ];
  };
  const isRule = (source: StockSource): source is Rule => source.by === 'rule';
  return [
    ...gathered(
      'important',
      by((source) => 'important' in source && source.important),
      (texts, places) =>
        `${count(places, 'declaration says', 'declarations say')} !important, which decides ${count(texts, 'text')}: no other rule wins there.`,
    ),
    ...gathered(
      'id',
      by((source) => isRule(source) && source.specificity[0] > 0),
      (texts, places) =>
        `${count(places, 'declaration', 'declarations')} by an id ${places === 1 ? 'decides' : 'decide'} ${count(texts, 'text')}: classes do not reach them.`,
    ),
    ...gathered(
      'inline',
      by(({ by: kind }) => kind === 'inline'),
      (texts) =>
        `${count(texts, 'text has its', 'texts have their')} type from style attributes: no style sheet reaches them.`,
    ),
    ...repeated(all),
    ...inPx(all),
    ...fixedSizes(stock),
    ...longLines(stock),
    ...weakContrast(stock),
    ...closeHeadings(stock),
  ];
}
