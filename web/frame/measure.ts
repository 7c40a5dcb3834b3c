/** The unit that a number stands for in the interface. */
export type MeasureUnit = 'none' | 'px' | 'em';

const ROOT_SIZE = 16;

/** CSS px in one of each unit (CSS Values 4 §6.2). */
const PX: Record<string, number> = { px: 1, rem: ROOT_SIZE, pt: 96 / 72 };

/**
 * Reads a number as people type it: with a comma or a point, as a fraction, with a unit. Where the
 * number stands for px, rem and pt are converted.
 *
 * @example parseMeasure('1.125rem', 'px') // 18
 * @returns null when it is no such number
 */
export function parseMeasure(text: string, unit: MeasureUnit): number | null {
  const match = /^\s*([+-]?\d*[.,]?\d+)\s*(?:\/\s*(\d*[.,]?\d+))?\s*([a-z%]*)\s*$/i.exec(text);
  if (!match) return null;
  const number = (part: string) => Number(part.replace(',', '.'));
  const value = number(match[1] ?? '') / (match[2] ? number(match[2]) : 1);
  const given = (match[3] ?? '').toLowerCase();
  if (!Number.isFinite(value)) return null;
  if (given === '') return value;
  if (unit === 'px') return given in PX ? value * (PX[given] ?? 1) : null;
  if (unit === 'em') return given === 'em' ? value : given === '%' ? value / 100 : null;
  return null;
}
