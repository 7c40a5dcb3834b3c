import { unpack } from '../font/container';
import { Shaper, type Instance } from '../font/shape';
import { figuresOf, hasSmallCaps, isMonospaced, type Figures } from './figures';
import { feetOf } from './foot';
import { lowerCaseOf, type LowerCase } from './letterCase';
import { proportionsOf, type Proportions } from './proportions';
import { apertureOf, squarenessOf } from './shapes';
import { slopeOf } from './slope';
import { stemOf, strokeRange } from './strokes';

/** Raised with every change that gives another measure, so that stored ones are taken anew. */
export const MEASURES_VERSION = 4;

/**
 * What is measured on a face, from its outlines at one point of its axes. Lengths are in em; null where
 * the face lacks the letters that a measure is taken on.
 */
export interface FaceMeasures extends Proportions {
  /** Thickness of the vertical stem. */
  stem: number | null;
  /** Thinnest and thickest stroke of `o`. */
  thin: number | null;
  thick: number | null;
  /** Thickest ÷ thinnest stroke. */
  contrast: number | null;
  /** Weight colour: stem ÷ x-height. */
  colour: number | null;
  /** Degrees, positive leaning right. */
  slope: number;
  /** Ink width of the foot ÷ stem, its thickness ÷ stem, and how much thicker it is close to the stroke. */
  foot: number | null;
  footThickness: number | null;
  footGrowth: number | null;
  /** Mean height of the openings of `c`, `e`, `a` ÷ x-height. */
  aperture: number | null;
  /** 0 for an elliptic `o`, 1 for a square one. */
  squareness: number | null;
  monospaced: boolean;
  lowerCase: LowerCase;
  figures: Figures | null;
  smallCaps: boolean;
}

/** Figures kept: a ten-thousandth of the em is finer than any screen. */
const round = <T extends number | null>(value: T): T =>
  (value === null || !Number.isFinite(value) ? null : Math.round(value * 1e4) / 1e4) as T;

/** Measures a face that has been opened at a point of its axes. */
export function measure(face: Shaper): FaceMeasures {
  const proportions = proportionsOf(face);
  const xHeight = proportions.xHeight ?? 0;
  const slope = xHeight > 0 ? slopeOf(face, xHeight) : 0;
  const lowerCase = lowerCaseOf(face);
  const stem = xHeight > 0 ? stemOf(face, xHeight, slope, lowerCase) : null;
  const o = face.outline('o');
  const strokes = o && strokeRange(o);
  const foot = stem ? feetOf(face, xHeight, stem, lowerCase) : null;
  return {
    xHeight: round(proportions.xHeight),
    capHeight: round(proportions.capHeight),
    ascender: round(proportions.ascender),
    descender: round(proportions.descender),
    advance: round(proportions.advance),
    width: round(proportions.width),
    stem: round(stem),
    thin: round(strokes?.thin ?? null),
    thick: round(strokes?.thick ?? null),
    contrast: round(strokes ? strokes.thick / strokes.thin : null),
    colour: round(stem && xHeight > 0 ? stem / xHeight : null),
    slope: round(slope),
    foot: round(foot?.width ?? null),
    footThickness: round(foot?.thickness ?? null),
    footGrowth: round(foot?.growth ?? null),
    aperture: round(xHeight > 0 ? apertureOf(face, xHeight) : null),
    squareness: round(o ? squarenessOf(o) : null),
    monospaced: isMonospaced(face),
    lowerCase,
    figures: figuresOf(face),
    smallCaps: hasSmallCaps(face),
  };
}

/**
 * Measures a face from its file: TTF, OTF, WOFF or WOFF2, a variable one at the point of its axes that is
 * given, otherwise at its default.
 * @throws FontError when the file is not a font
 */
export async function measureFace(
  file: Uint8Array,
  instance: Instance = {},
): Promise<FaceMeasures> {
  return measure(Shaper.over((await unpack(file)).sfnt, instance));
}
