import type { Condition, TypeRules } from '../page/typeRules';
import { pxIn } from '../scale/lengths';

/** What a page is read at where its style sheets do not say otherwise, CSS px. */
const USUAL = { narrow: 360, wide: 1280 } as const;
/** No phone is narrower, and no page is judged wider, CSS px. */
const BOUNDS = { least: 320, most: 1920 } as const;
/** Breakpoints under this are for watches and the like, and over that for walls. */
const LIKELY = { least: 240, most: 2560 } as const;

const WIDTH =
  /(?:min-width|max-width)\s*:\s*([\d.]+)(px|r?em)|width\s*(?:[<>]=?)\s*([\d.]+)(px|r?em)|([\d.]+)(px|r?em)\s*(?:[<>]=?)\s*width/gi;

/** Widths of the viewport that a condition names, CSS px; em is the browser's own 16 px. Media Queries 4 §2.4.3. */
const widthsIn = ({ kind, text }: Condition): number[] =>
  kind !== 'media'
    ? []
    : [...text.matchAll(WIDTH)].flatMap(([, a, unitA, b, unitB, c, unitC]) => {
        const unit = (unitA ?? unitB ?? unitC ?? 'px').toLowerCase();
        const px = Number(a ?? b ?? c) * (pxIn(unit === 'em' ? 'rem' : unit) ?? NaN);
        return px >= LIKELY.least && px <= LIKELY.most ? [px] : [];
      });

/** Narrower than this is a phone's, CSS px. */
const NARROW = 700;

/**
 * The widths that a page is read at, CSS px, where it was read at some of its own: the narrowest and the widest
 * of those.
 */
export function widthsWithLive(
  usual: { narrow: number; wide: number },
  live: readonly number[],
): { narrow: number; wide: number } {
  const narrow = live.filter((width) => width < NARROW);
  const wide = live.filter((width) => width >= NARROW);
  return {
    narrow: narrow.length > 0 ? Math.min(...narrow) : usual.narrow,
    wide: wide.length > 0 ? Math.max(...wide) : usual.wide,
  };
}

/**
 * The widths that a page is read at, CSS px: narrower than the first width at which its style sheets change
 * anything, and no narrower than the last.
 */
export function stockWidths({ rules }: Pick<TypeRules, 'rules'>): { narrow: number; wide: number } {
  const breaks = rules.flatMap(({ conditions }) => conditions.flatMap(widthsIn));
  const first = Math.min(...breaks);
  const last = Math.max(...breaks);
  return {
    narrow: Math.min(USUAL.narrow, Math.max(BOUNDS.least, Math.ceil(first) - 1)),
    wide: Math.max(USUAL.wide, Math.min(BOUNDS.most, Math.ceil(last))),
  };
}
