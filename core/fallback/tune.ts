import type { FaceReading } from '../font';
import type { Slant } from '../document/vocabulary';
import { parseUnicodeRange } from '../font';
import { SPACE, type LocalAdvances, type SetsText } from './advances';
import type { Fitting } from './fitting';
import {
  eachLetter,
  groupLetters,
  meanRatio,
  MOST_GROUPS,
  oneRatio,
  type Tried,
} from './groupLetters';
import type { LocalVariant } from './localFonts';
import { partsOf, withoutTrifles, type FallbackPart } from './parts';
import { linesFit, type LinesFit, type SetsWords } from './runningLines';
import {
  countWords,
  judgedSentences,
  RUNNING_KINDS,
  type JudgedText,
  type TuningText,
  type WordCounts,
} from './tuningText';
import { wordModel, type Grouping, type WordModel } from './wordModel';

/** Raised with every change that gives another tuning: stored ones are then made anew. */
export const TUNING_VERSION = 2;

/** Mean and 95th percentile of |fallback − web| ÷ web over words, as they occur. */
interface WordErrors {
  mean: number;
  p95: number;
  /** How many words that both can set. */
  words: number;
}

/** How words go in one kind of text. */
export interface KindFit extends WordErrors, Pick<JudgedText, 'kind' | 'language'> {}

/** How text goes in one of the ways to set it, against the web face: its kinds count alike. */
export interface TextFit {
  mean: number;
  p95: number;
  lines: LinesFit;
}

/** How near a local font comes for one weight and style of a web face. Errors are of text not tuned on. */
export interface TunedFace {
  weight: number;
  slant: Slant;
  /** Which of the local font's styles stands in. */
  variant: LocalVariant;
  /** The faces that it is made of. */
  parts: FallbackPart[];
  /** One ratio for all letters, which makes the words as wide in sum. */
  ratio: number;
  /** The web face's line box, em of the web face; `descent` is negative. Overrides are this ÷ a part's ratio. */
  box: { ascent: number; descent: number; lineGap: number };
  /** The local font as it is, with one ratio for all, and as it is tuned. */
  untuned: TextFit;
  one: TextFit;
  fit: TextFit;
  /** As it is tuned, in each kind of text that it was judged by. */
  kinds: KindFit[];
  /** Lines that the web face makes of the text at each measure. */
  webLines: number[];
  /** Mean error of words with 1, 2 … groups, as far as they were tried. */
  steps: number[];
  /** The same with a ratio for every letter, under the same limit: nearer no grouping comes. */
  each: number;
  /** How far the letter furthest from the mean ratio departs from it. */
  unevenness: number;
  /** Words that it was judged on. */
  words: number;
  /** Characters of the text that the local font lacks. */
  missing: string[];
  /** How far the baseline stands from its place, em, where an engine leaves overrides out; null where unknown. */
  baselineAside: number | null;
}

/** The weight and style that a tuning answers, and what answers it. */
export interface TuningRequest {
  weight: number;
  slant: Slant;
  variant: LocalVariant;
}

type Lines = Pick<FaceReading, 'unitsPerEm' | 'ascent' | 'descent' | 'lineGap'>;

/** A web face's widths, each worked out once for all the local fonts that are tried for it. */
export class WebWidths {
  readonly #known = new Map<string, number | null>();

  constructor(private readonly sets: SetsText) {}

  readonly of = (word: string): number | null => {
    const known = this.#known.get(word);
    if (known !== undefined) return known;
    const width = this.sets.advance(word);
    this.#known.set(word, width);
    return width;
  };
}

/** How wide the parts of a fallback set a word, em; pairs kern within a part alone. */
function partsWidth(
  parts: readonly FallbackPart[],
  local: LocalAdvances,
): (word: string) => number | null {
  const [rest, ...others] = parts;
  const named = others.map((part) => ({
    part,
    ranges: parseUnicodeRange(part.unicodeRange ?? ''),
  }));
  const known = new Map<string, FallbackPart | undefined>();
  const partOf = (character: string): FallbackPart | undefined => {
    if (known.has(character)) return known.get(character);
    const code = character.codePointAt(0) ?? 0;
    // Of faces with the same descriptors, the last that has the character in its range sets it.
    const found = named.findLast(({ ranges }) =>
      ranges.some(([from, to]) => code >= from && code <= to),
    );
    const part = found?.part ?? rest;
    known.set(character, part);
    return part;
  };
  const words = new Map<string, number | null>();
  const widthOf = (word: string): number | null => {
    let width = 0;
    let [before, partBefore]: [string, FallbackPart | undefined] = ['', undefined];
    for (const character of word) {
      const advance = local.advances[character];
      const part = partOf(character);
      if (advance === undefined || !part) return null;
      const pair = part === partBefore ? (local.pairs[before + character] ?? 0) : 0;
      width += part.ratio * (advance + pair);
      [before, partBefore] = [character, part];
    }
    return width;
  };
  return (word) => {
    const before = words.get(word);
    if (before !== undefined) return before;
    const width = widthOf(word);
    words.set(word, width);
    return width;
  };
}

/** The relative errors of words, each as often as it occurs. */
function wordErrors(words: WordCounts, web: SetsWords, own: SetsWords): WordErrors {
  const each = [...words]
    .flatMap(([word, count]) => {
      const [a, b] = [web.word(word), own.word(word)];
      return !a || b === null ? [] : [{ error: Math.abs(b - a) / a, count }];
    })
    .sort((a, b) => a.error - b.error);
  const total = each.reduce((sum, { count }) => sum + count, 0);
  if (total === 0) return { mean: 0, p95: 0, words: 0 };
  let seen = 0;
  return {
    mean: each.reduce((sum, { error, count }) => sum + error * count, 0) / total,
    p95: each.find(({ count }) => (seen += count) >= total * 0.95)?.error ?? 0,
    words: total,
  };
}

/** The least grouping that reaches the target, or the least that comes as near as more of them do. */
function chooseGroups(found: readonly Tried[], target: number): Tried {
  const nearest = found.at(-1)?.error ?? 0;
  const enough = found.findIndex(({ error }) => error <= Math.max(target, nearest * AS_NEAR));
  return found[enough] as Tried;
}

/** Groups that come within this factor of what the most of them reach are as near. */
const AS_NEAR = 1.08;

/** Ratios as they are delivered: a hundredth of a per cent. */
const delivered = (ratio: number): number => Math.round(ratio * 10_000) / 10_000;

/**
 * Tunes a local font to stand in for a web face.
 *
 * Width: letters in groups, each with a ratio of its own within the limit, fitted to the words of the tuning
 * text; with one group, `sizeAdjust = Σ advance(web) ÷ Σ advance(local)`. The space has a ratio of its own.
 * Height: overrides are the web face's metrics ÷ its em ÷ the part's ratio, so that every part gives the web
 * face's line box (metric overrides: CSS Fonts 4 §11; size-adjust: CSS Fonts 5 §3). It is judged on text
 * that it was not tuned on.
 *
 * @returns null when the two fonts have no word of the text in common
 */
export function tuneFallback(
  web: { widths: WebWidths; lines: Lines },
  local: LocalAdvances,
  request: TuningRequest,
  text: TuningText,
  fitting: Fitting,
): TunedFace | null {
  const model = wordModel(text.tuning, web.widths.of, local);
  if (!model) return null;
  const most = Math.min(fitting.groups, MOST_GROUPS);
  const letters = eachLetter(model, fitting.evenness);
  const found = groupLetters(
    model,
    letters,
    most,
    fitting.evenness,
    (error) => error <= fitting.target,
  );
  const chosen = withoutTrifles(model, chooseGroups(found, fitting.target));
  const webSpace = web.widths.of(SPACE);
  const localSpace = local.advances[SPACE];
  const space = fitting.space && webSpace && localSpace ? webSpace / localSpace : null;
  const rounded = ({ ratio, unicodeRange }: FallbackPart) => ({
    ratio: delivered(ratio),
    unicodeRange,
  });
  const { tried, unnamed } = chosen;
  const parts = partsOf(model, tried, { unnamed, space }).map(rounded);
  const judge = judgement(web.widths, local, text);
  const rest = oneRatio(model).ratios[0] ?? 1;
  const allNamed = (grouping: Grouping) =>
    partsOf(model, grouping, { unnamed: null, rest, space: null });
  const { unitsPerEm, ascent, descent, lineGap } = web.lines;
  const box = {
    ascent: ascent / unitsPerEm,
    descent: descent / unitsPerEm,
    lineGap: lineGap / unitsPerEm,
  };
  const kinds = judge.kinds(parts);
  if (kinds.length === 0) return null;
  const judged = judge.whole(parts);
  return {
    ...request,
    parts,
    ratio: delivered(rest),
    box,
    untuned: judge.whole([{ ratio: 1, unicodeRange: null }]).fit,
    one: judge.whole([{ ratio: rest, unicodeRange: null }]).fit,
    fit: judged.fit,
    kinds,
    webLines: judged.webLines,
    words: kinds.reduce((sum, { words }) => sum + words, 0),
    steps: found.map((grouping) => judge.words(allNamed(grouping))),
    each: judge.words(allNamed(letters)),
    unevenness: unevennessOf(model, tried),
    missing: missingCharacters(text, local),
    baselineAside: baselineAside(box, local, parts[0]?.ratio ?? 1),
  };
}

/** Several counts of words as one, in which each counts alike. */
function evenly(counts: readonly WordCounts[]): WordCounts {
  const all = new Map<string, number>();
  for (const words of counts) {
    const total = [...words.values()].reduce((sum, count) => sum + count, 0) || 1;
    for (const [word, count] of words) all.set(word, (all.get(word) ?? 0) + count / total);
  }
  return all;
}

/** Judges parts on text that was not tuned on, kind by kind. */
function judgement(webWidths: WebWidths, local: LocalAdvances, { judged }: TuningText) {
  const web: SetsWords = { word: webWidths.of, space: webWidths.of(SPACE) ?? 0 };
  const settable = (word: string) => {
    const width = webWidths.of(word);
    return width !== null && [...word].every((one) => local.advances[one] !== undefined);
  };
  const counted = judged
    .map(({ kind, language, sentences }) => {
      const words = [...countWords(sentences)].filter(([word]) => settable(word));
      return { kind, language, sentences, words: new Map(words) };
    })
    .filter(({ words }) => words.size > 0);
  const all = evenly(counted.map(({ words }) => words));
  const running = counted
    .filter(({ kind }) => RUNNING_KINDS.includes(kind))
    .flatMap(({ sentences }) => sentences);
  const settingIn = (parts: FallbackPart[]): SetsWords => {
    const width = partsWidth(parts, local);
    return { word: width, space: width(SPACE) ?? 0 };
  };
  return {
    /** The mean error of words alone. */
    words: (parts: FallbackPart[]): number => wordErrors(all, web, settingIn(parts)).mean,
    kinds: (parts: FallbackPart[]): KindFit[] => {
      const own = settingIn(parts);
      return counted.map(({ kind, language, words }) => ({
        kind,
        language,
        ...wordErrors(words, web, own),
      }));
    },
    whole(parts: FallbackPart[]): { fit: TextFit; webLines: number[] } {
      const own = settingIn(parts);
      const { mean, p95 } = wordErrors(all, web, own);
      const lines = linesFit(running, web, own);
      return { fit: { mean, p95, lines: lines.fit }, webLines: lines.web };
    },
  };
}

function unevennessOf(model: WordModel, { groups, ratios }: Tried): number {
  const used = [...ratios].filter((_, group) => groups.includes(group));
  const mean = meanRatio(model, groups, ratios);
  return Math.max(...used.map((ratio) => Math.abs(ratio / mean - 1)));
}

/**
 * How far below (+) its place the baseline stands in a line box of given height, em, in an engine that leaves
 * metric overrides out: half of what the two faces' ascent and descent differ by (CSS Inline 3 §3.2: the
 * leading is halved around ascent and descent).
 */
function baselineAside(
  box: TunedFace['box'],
  { lines }: LocalAdvances,
  ratio: number,
): number | null {
  if (!lines) return null;
  const middle = (ascent: number, descent: number) => (ascent + descent) / 2;
  return middle(lines.ascent, lines.descent) * ratio - middle(box.ascent, box.descent);
}

function missingCharacters(text: TuningText, local: LocalAdvances): string[] {
  const characters = new Set<string>();
  for (const texts of [text.tuning.keys(), judgedSentences(text)]) {
    for (const one of texts) for (const character of one) characters.add(character);
  }
  return [...characters]
    .filter((character) => character.trim() && local.advances[character] === undefined)
    .sort();
}
