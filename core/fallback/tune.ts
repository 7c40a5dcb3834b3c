import type { FaceReading } from '../font';
import type { Shaper } from '../font/file';
import type { TuningText, WordCounts } from './tuningText';

/** The descriptors of a fallback face, as ratios: 1 is 100 %. */
export interface FallbackTuning {
  sizeAdjust: number;
  ascentOverride: number;
  descentOverride: number;
  lineGapOverride: number;
}

/** How wide words run in the fallback against the web face, on text that was not tuned on. */
export interface FallbackFit {
  /** Mean and 95th percentile of |fallback − web| ÷ web over words, as they occur. */
  meanError: number;
  p95Error: number;
  /** The same mean with the local font as it is, no size-adjust. */
  untunedError: number;
  /** Words it was measured on. */
  words: number;
  /** Characters of the text that the local font lacks. */
  missing: string[];
}

/** A web face's shapers, one a file: a word is set by the first file that has all its characters. */
export class CompositeShaper {
  constructor(private readonly files: readonly Pick<Shaper, 'has' | 'advance'>[]) {}

  /** The advance width of a word in em, or null when no one file has all its characters. */
  advance(word: string): number | null {
    const codePoints = [...word].map((character) => character.codePointAt(0) ?? 0);
    const file = this.files.find((shaper) => codePoints.every((code) => shaper.has(code)));
    return file ? file.advance(word) : null;
  }
}

type Metrics = Pick<FaceReading, 'unitsPerEm' | 'ascent' | 'descent' | 'lineGap'>;

interface WordWidths {
  web: number;
  local: number;
  count: number;
}

function widths(words: WordCounts, web: CompositeShaper, local: CompositeShaper): WordWidths[] {
  return [...words].flatMap(([word, count]) => {
    const webWidth = web.advance(word);
    const localWidth = local.advance(word);
    return webWidth && localWidth ? [{ web: webWidth, local: localWidth, count }] : [];
  });
}

/** Mean and 95th percentile of the relative error of words, each counted as often as it occurs. */
function errors(words: WordWidths[], sizeAdjust: number): { mean: number; p95: number } {
  const each = words
    .map(({ web, local, count }) => ({ error: Math.abs(local * sizeAdjust - web) / web, count }))
    .sort((a, b) => a.error - b.error);
  const total = each.reduce((sum, { count }) => sum + count, 0);
  if (total === 0) return { mean: 0, p95: 0 };
  const mean = each.reduce((sum, { error, count }) => sum + error * count, 0) / total;
  let seen = 0;
  const p95 = each.find(({ count }) => (seen += count) >= total * 0.95)?.error ?? 0;
  return { mean, p95 };
}

/**
 * Tunes a local font to stand in for a web face with one ratio.
 *
 * Width: `sizeAdjust = Σ advance(web) ÷ Σ advance(local)` over the words of the tuning text, both shaped.
 * Height: `ascentOverride = ascent(web) ÷ unitsPerEm(web) ÷ sizeAdjust`, likewise descent and line gap, so
 * that the line box is the web face's (metric overrides: CSS Fonts 4 §11; size-adjust: CSS Fonts 5 §3).
 * The fit is judged on the held-out half.
 *
 * @returns null when the two fonts have no word of the text in common
 */
export function tuneFallback(
  web: CompositeShaper,
  webMetrics: Metrics,
  local: CompositeShaper,
  text: TuningText,
): (FallbackTuning & FallbackFit) | null {
  const tuning = widths(text.tuning, web, local);
  const sum = (side: 'web' | 'local') =>
    tuning.reduce((total, word) => total + word[side] * word.count, 0);
  if (tuning.length === 0) return null;
  const sizeAdjust = sum('web') / sum('local');
  const heldOut = widths(text.heldOut, web, local);
  const { mean, p95 } = errors(heldOut, sizeAdjust);
  const override = (units: number) => units / webMetrics.unitsPerEm / sizeAdjust;
  return {
    sizeAdjust,
    ascentOverride: override(webMetrics.ascent),
    descentOverride: override(-webMetrics.descent),
    lineGapOverride: override(webMetrics.lineGap),
    meanError: mean,
    p95Error: p95,
    untunedError: errors(heldOut, 1).mean,
    words: heldOut.reduce((total, { count }) => total + count, 0),
    missing: missingCharacters(text, local),
  };
}

function missingCharacters({ tuning, heldOut }: TuningText, local: CompositeShaper): string[] {
  const characters = new Set([...tuning.keys(), ...heldOut.keys()].flatMap((word) => [...word]));
  return [...characters].filter((character) => local.advance(character) === null).sort();
}
