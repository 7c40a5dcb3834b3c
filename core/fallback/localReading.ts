import type { LocalAdvances } from './advances';
import { localSet, VARIANTS, type LocalVariant } from './localFonts';

/** A local font in one of its styles, as it was measured on a designer's machine. */
export interface LocalReading {
  /** Key of the set of local fonts. */
  local: string;
  variant: LocalVariant;
  advances: LocalAdvances;
}

/** More is no font of a platform's. */
const MOST = { advances: 5000, pairs: 60_000 };
const WIDEST = 10;

const isPlain = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Lengths by text of so many characters, or what is wrong with them. */
function lengths(
  value: unknown,
  characters: number,
  most: number,
  least: number,
): Record<string, number> | string {
  if (!isPlain(value)) return 'is no list of widths';
  const entries = Object.entries(value);
  if (entries.length > most) return `has more than ${most.toLocaleString('en')} widths`;
  for (const [text, width] of entries) {
    if ([...text].length !== characters) return `has “${text.slice(0, 8)}” for a character`;
    if (typeof width !== 'number' || !Number.isFinite(width) || width < least || width > WIDEST) {
      return `has no width for “${text}”`;
    }
  }
  return value as Record<string, number>;
}

function linesIn(value: unknown): LocalAdvances['lines'] {
  if (!isPlain(value)) return null;
  const [ascent, descent, lineGap] = ['ascent', 'descent', 'lineGap'].map((key) => value[key]);
  return [ascent, descent, lineGap].every(
    (one) => typeof one === 'number' && Math.abs(one) <= WIDEST,
  )
    ? { ascent: ascent as number, descent: descent as number, lineGap: lineGap as number }
    : null;
}

/**
 * A reading as it comes from a browser, checked.
 * @throws RangeError with what is wrong
 */
export function checkLocalReading(value: unknown): LocalReading {
  if (!isPlain(value) || !isPlain(value['advances'])) {
    throw new RangeError('A reading holds a local font, a style and its advances.');
  }
  const { local, variant } = value;
  const set = typeof local === 'string' ? localSet(local) : undefined;
  if (!set) throw new RangeError(`There is no local font “${String(local).slice(0, 60)}”.`);
  const style = VARIANTS.find((one) => one === variant);
  if (!style) throw new RangeError(`${set.name} has no style “${String(variant).slice(0, 60)}”.`);
  const given = value['advances'];
  const advances = lengths(given['advances'], 1, MOST.advances, 0);
  const pairs = lengths(given['pairs'], 2, MOST.pairs, -WIDEST);
  for (const part of [advances, pairs]) {
    if (typeof part === 'string') throw new RangeError(`What was read of ${set.name} ${part}.`);
  }
  if (!Object.values(advances).some((width) => width > 0)) {
    throw new RangeError(`Every width read of ${set.name} is 0, so nothing can be tuned over it.`);
  }
  const { colour } = given;
  return {
    local: local as string,
    variant: style,
    advances: {
      advances: advances as Record<string, number>,
      pairs: pairs as Record<string, number>,
      colour: typeof colour === 'number' && colour > 0 && colour < 2 ? colour : null,
      lines: linesIn(given['lines']),
    },
  };
}
