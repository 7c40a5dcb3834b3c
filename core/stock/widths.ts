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

/** What holds up to a width and at it, and no longer above it. */
const UP_TO = /max-width|width\s*<=|>=\s*width/i;

/**
 * Widths that a condition names, CSS px, and from which on something begins or has ended; em is the browser's own
 * 16 px. Media Queries 4 §2.4.3.
 */
const namedIn = (text: string): { px: number; from: number }[] =>
  [...text.matchAll(WIDTH)].map(([all, a, unitA, b, unitB, c, unitC]) => {
    const unit = (unitA ?? unitB ?? unitC ?? 'px').toLowerCase();
    const px = Number(a ?? b ?? c) * (pxIn(unit === 'em' ? 'rem' : unit) ?? NaN);
    return { px, from: UP_TO.test(all) && Number.isInteger(px) ? px + 1 : Math.ceil(px) };
  });

const isLikely = (px: number): boolean => px >= LIKELY.least && px <= LIKELY.most;

/** Widths of the viewport that a condition names, CSS px. */
const widthsIn = ({ kind, text }: Condition): number[] =>
  kind === 'media'
    ? namedIn(text)
        .map(({ px }) => px)
        .filter(isLikely)
    : [];

/** A width at which style sheets set type otherwise, of the viewport or of a container. */
export interface SiteBreak {
  /** From which on, CSS px. */
  from: number;
  /** The container's name; left out for the viewport. */
  container?: string;
  /** How many rules it is in. */
  rules: number;
}

/** The name that a condition asks a container by; null for any. CSS Containment 3 §3.3. */
const containerOf = ({ text }: Condition): string | null =>
  /^\s*(?!not\b)([A-Za-z_][\w-]*)\s*\(/.exec(text)?.[1] ?? null;

/**
 * The widths at which style sheets set type otherwise, those that most rules are about first. One that ends a little
 * under a whole width, as `max-width: 767.98px` does, is where the next begins. Containers without a name are left
 * out: nothing tells which they are.
 */
export function breaksOf({ rules }: Pick<TypeRules, 'rules'>): SiteBreak[] {
  const found = new Map<string, SiteBreak>();
  for (const { conditions } of rules) {
    const widths = conditions.flatMap((condition) => {
      const container = condition.kind === 'container' ? containerOf(condition) : undefined;
      if (container === null || condition.kind === 'supports') return [];
      return namedIn(condition.text)
        .filter(({ px }) => (container === undefined ? isLikely(px) : px > 1 && px <= LIKELY.most))
        .map(({ from }) => ({ from, container }));
    });
    for (const { from, container } of widths) {
      const key = `${container ?? ''} ${from}`;
      const known = found.get(key) ?? { from, ...(container ? { container } : {}), rules: 0 };
      found.set(key, known);
      known.rules++;
    }
  }
  return [...found.values()].sort((a, b) => b.rules - a.rules || a.from - b.from);
}

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
