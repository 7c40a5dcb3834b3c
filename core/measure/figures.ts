import { boxOf } from '../font/outline';
import type { Shaper } from '../font/shape';

export type FigureSpacing = 'tabular' | 'proportional';
export type FigureForm = 'lining' | 'old-style';

/** The figures that a face shows unasked, and those that it offers besides. */
export interface Figures {
  spacing: FigureSpacing;
  form: FigureForm;
  /** Every spacing and form on offer, its own included. */
  offers: (FigureSpacing | FigureForm)[];
}

const DIGITS = [...'0123456789'];
/** Figures that reach below the baseline when they are old-style, and how far at least, em. */
const HANGING = [...'34579'];
const LEAST_DROP = 0.05;
/** Advances closer than this are equal, em. */
const SAME_ADVANCE = 0.002;

/** OpenType feature tags (OpenType 1.9, "Registered features") by what they give. */
const FEATURE: Record<FigureSpacing | FigureForm, string> = {
  tabular: 'tnum',
  proportional: 'pnum',
  lining: 'lnum',
  'old-style': 'onum',
};

/** Whether a feature changes any of the glyphs of a text: being listed is not enough. */
const changes = (face: Shaper, text: string, feature: string): boolean => {
  const before = face.glyphs(text);
  return face.glyphs(text, [feature]).some(({ id }, i) => id !== before[i]?.id);
};

/** The figure styles of a face, or null when it has no figures. */
export function figuresOf(face: Shaper): Figures | null {
  if (!DIGITS.every((digit) => face.has(digit.codePointAt(0) ?? 0))) return null;
  const advances = DIGITS.map((digit) => face.advance(digit));
  const equal = Math.max(...advances) - Math.min(...advances) <= SAME_ADVANCE;
  const hanging = HANGING.filter((digit) => {
    const outline = face.outline(digit);
    return outline !== null && boxOf(outline).bottom < -LEAST_DROP;
  });
  const spacing: FigureSpacing = equal ? 'tabular' : 'proportional';
  const form: FigureForm = hanging.length > HANGING.length / 2 ? 'old-style' : 'lining';
  const text = DIGITS.join('');
  const further = (Object.keys(FEATURE) as (keyof typeof FEATURE)[]).filter(
    (name) => name !== spacing && name !== form && changes(face, text, FEATURE[name]),
  );
  return { spacing, form, offers: [spacing, form, ...further] };
}

/** Whether small capitals are drawn: the feature `smcp` changes lower-case letters. */
export const hasSmallCaps = (face: Shaper): boolean =>
  face.has(0x61) && changes(face, 'aenost', 'smcp');

/** Whether all of a face's letters and figures take the same room. */
export function isMonospaced(face: Shaper): boolean {
  const advances = [...'AMWaeilmw0189.'].flatMap((character) =>
    face.has(character.codePointAt(0) ?? 0) ? [face.advance(character)] : [],
  );
  return advances.length > 1 && Math.max(...advances) - Math.min(...advances) <= SAME_ADVANCE;
}
