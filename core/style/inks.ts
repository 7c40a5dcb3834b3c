import { clampChroma, converter, formatHex, wcagLuminance } from 'culori';
import { colourOf } from '../css';
import { contrastRatio } from './contrast';

/** A ground that an ink has to be read on, and the contrast that it needs there. */
export interface NeedOn {
  /** A colour of CSS. */
  ground: string;
  least: number;
}

/** A colour of the same hue as another, and how far its contrast is from what is needed where it is nearest. */
export interface ProposedInk {
  /** Hexadecimal. */
  colour: string;
  /** Contrast with the ground on which it comes nearest to what is needed there, and that need. */
  ratio: number;
  least: number;
}

/** Steps of lightness that are tried. */
const STEPS = 256;
/** How much more contrast a stronger ink has, and how much less a softer one may have. */
const STRONGER = 1.25;
const SOFTER = 0.8;

const inOklch = converter('oklch');

/** How an ink stands on the ground that is hardest for it: the contrast there, over what is needed. */
function standing(colour: string, needs: readonly NeedOn[]): ProposedInk & { share: number } {
  const all = needs.map(({ ground, least }) => {
    const ratio = contrastRatio(colour, ground);
    return { colour, ratio, least, share: ratio / least };
  });
  return all.reduce((hardest, one) => (one.share < hardest.share ? one : hardest));
}

/** Inks of the hue and chroma of one, at every lightness, as far as a screen can show them. */
function shades(colour: string): string[] {
  const { c = 0, h } = inOklch(colourOf(colour));
  return Array.from({ length: STEPS + 1 }, (_, i) =>
    formatHex(
      clampChroma({ mode: 'oklch', l: i / STEPS, c, ...(h === undefined ? {} : { h }) }, 'oklch'),
    ),
  );
}

/**
 * Softer and stronger inks beside one, on the same side of its grounds, dark or light, which all keep the
 * contrast that is needed on each; where the ink itself has too little, the nearest that has enough is the
 * stronger one. Lightness is stepped in OKLCH, CSS Color 4 §9.3, so that hue and chroma stay as far as sRGB
 * has them.
 *
 * @param needs at least one
 * @returns null for what there is none of
 */
export function proposedInks(
  colour: string,
  needs: readonly NeedOn[],
): { softer: ProposedInk | null; stronger: ProposedInk | null } {
  const now = standing(colour, needs);
  const mean =
    needs.reduce((sum, { ground }) => sum + wcagLuminance(colourOf(ground)), 0) / needs.length;
  const isDark = wcagLuminance(colourOf(colour)) <= mean;
  const sides = (dark: boolean) =>
    shades(colour)
      .filter((one) => wcagLuminance(colourOf(one)) <= mean === dark)
      .map((one) => standing(one, needs))
      .filter(({ share }) => share >= 1)
      .sort((a, b) => a.share - b.share);
  const [same, other] = [sides(isDark), sides(!isDark)];
  const told = ({ share: _share, ...ink }: ProposedInk & { share: number }): ProposedInk => ink;
  const atLeast = (share: number) => same.find((one) => one.share >= share);
  const softer = now.share > 1 ? atLeast(Math.max(1, now.share * SOFTER)) : undefined;
  const stronger =
    now.share < 1 ? (atLeast(1) ?? other[0]) : (atLeast(now.share * STRONGER) ?? same.at(-1));
  return {
    softer: softer && softer.share < now.share ? told(softer) : null,
    stronger: stronger && stronger.share > now.share ? told(stronger) : null,
  };
}
