import { clampChroma, converter, formatHex } from '../css/culori';
import { colourOf } from '../css';
import { contrastRatio, luminanceOf, ratioOfLuminances } from './contrast';

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
interface Standing extends ProposedInk {
  share: number;
}

function hardest(colour: string, ratios: readonly { ratio: number; least: number }[]): Standing {
  const all = ratios.map(({ ratio, least }) => ({ colour, ratio, least, share: ratio / least }));
  return all.reduce((worst, one) => (one.share < worst.share ? one : worst));
}

/** Inks of the hue and chroma of one, at every lightness, as far as a screen can show them, each once. */
function shades(colour: string): string[] {
  const { c = 0, h } = inOklch(colourOf(colour));
  const all = Array.from({ length: STEPS + 1 }, (_, i) =>
    formatHex(
      clampChroma({ mode: 'oklch', l: i / STEPS, c, ...(h === undefined ? {} : { h }) }, 'oklch'),
    ),
  );
  return [...new Set(all)];
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
  const now = hardest(
    colour,
    needs.map(({ ground, least }) => ({ ratio: contrastRatio(colour, ground), least })),
  );
  const grounds = needs.map(({ ground, least }) => ({ luminance: luminanceOf(ground), least }));
  const mean = grounds.reduce((sum, { luminance }) => sum + luminance, 0) / grounds.length;
  const isDark = luminanceOf(colour) <= mean;
  // Shades let nothing through, so that their luminance is worked out once for all grounds.
  const inks = shades(colour).map((one) => ({ one, luminance: luminanceOf(one) }));
  const sides = (dark: boolean) =>
    inks
      .filter(({ luminance }) => luminance <= mean === dark)
      .map(({ one, luminance }) =>
        hardest(
          one,
          grounds.map((ground) => ({
            ratio: ratioOfLuminances(luminance, ground.luminance),
            least: ground.least,
          })),
        ),
      )
      .filter(({ share }) => share >= 1)
      .sort((a, b) => a.share - b.share);
  const [same, other] = [sides(isDark), sides(!isDark)];
  const told = ({ share: _share, ...ink }: Standing): ProposedInk => ink;
  const atLeast = (share: number) => same.find((one) => one.share >= share);
  const softer = now.share > 1 ? atLeast(Math.max(1, now.share * SOFTER)) : undefined;
  const stronger =
    now.share < 1 ? (atLeast(1) ?? other[0]) : (atLeast(now.share * STRONGER) ?? same.at(-1));
  return {
    softer: softer && softer.share < now.share ? told(softer) : null,
    stronger: stronger && stronger.share > now.share ? told(stronger) : null,
  };
}
