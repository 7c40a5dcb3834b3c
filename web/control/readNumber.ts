import { PX_IN } from '@lettera/core/scale';

/** The unit that a number stands for in the interface; a `size` is in px, shown as the designer prefers. */
export type NumberUnit = 'none' | 'px' | 'pt' | 'em' | '%' | 'size';

/** Units that sizes can be shown in. */
export const LENGTH_UNITS = ['px', 'rem', 'pt'] as const;
export type LengthUnit = (typeof LENGTH_UNITS)[number];

const isLength = (unit: string): unit is LengthUnit =>
  (LENGTH_UNITS as readonly string[]).includes(unit);

/**
 * Reads a number as people type it: with a comma or a point, as a fraction, with a unit. Where the
 * number stands for px or pt, lengths in the others are converted.
 *
 * @example readNumber('1.125rem', 'px') // 18
 * @param preferred what a size without a unit is in
 * @returns null when it is no such number
 */
export function readNumber(
  text: string,
  unit: NumberUnit,
  preferred: LengthUnit = 'px',
): number | null {
  const match = /^\s*([+-]?\d*[.,]?\d+)\s*(?:\/\s*(\d*[.,]?\d+))?\s*([a-z%]*)\s*$/i.exec(text);
  if (!match) return null;
  const number = (part: string) => Number(part.replace(',', '.'));
  const value = number(match[1] ?? '') / (match[2] ? number(match[2]) : 1);
  const given = (match[3] ?? '').toLowerCase();
  if (!Number.isFinite(value)) return null;
  if (given === '') return unit === 'size' ? value * PX_IN[preferred] : value;
  if (unit === 'px' || unit === 'size') return isLength(given) ? value * PX_IN[given] : null;
  if (unit === 'pt') return isLength(given) ? (value * PX_IN[given]) / PX_IN.pt : null;
  if (unit === '%') return given === '%' ? value : null;
  if (unit === 'em') return given === 'em' ? value : given === '%' ? value / 100 : null;
  return null;
}
