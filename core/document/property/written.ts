import type { LengthUnit, Values } from './property';

type Of<K extends Values['kind']> = Extract<Values, { kind: K }>;

const LENGTH = /^(-?\d+(?:\.\d{1,4})?)(em|lh|ch|px)$/;

/** A length as a number and its unit; null for what is none within the bounds. */
export function lengthIn(
  value: unknown,
  { units, min, max }: Of<'length'>,
): { number: number; unit: LengthUnit } | null {
  const [, digits, unit] = LENGTH.exec(typeof value === 'string' ? value : '') ?? [];
  const number = Number(digits);
  const known = units.find((one) => one === unit);
  return known && number >= min && number <= max ? { number, unit: known } : null;
}

/** Words for units, as people type them. */
const UNIT_WORDS: Readonly<Record<string, LengthUnit>> = {
  line: 'lh',
  lines: 'lh',
  characters: 'ch',
  character: 'ch',
};

/**
 * A length as it was typed: “1.5 lines”, “0.8em”, “66”, whose unit is the first that is taken.
 * @returns as it is stored; null for what is none
 */
export function typedLength(text: string, values: Of<'length'>): string | null {
  const [, digits, word = ''] = /^(-?\d*[.,]?\d+)\s*([a-z]*)$/i.exec(text.trim()) ?? [];
  if (digits === undefined) return null;
  const unit = UNIT_WORDS[word.toLowerCase()] ?? (word.toLowerCase() || values.units[0]);
  const value = `${Number(Number(digits.replace(',', '.')).toFixed(4))}${unit}`;
  return lengthIn(value, values) ? value : null;
}

/** Most tags that are set at once. */
const MOST_SETTINGS = 32;
const SETTING = /^([\x21-\x7e]{4})(?: (-?\d+(?:\.\d{1,4})?))?$/;

/** OpenType tags with their numbers, in the order given; null for what is no list of them. */
export function settingsIn(value: unknown, { whole }: Of<'settings'>): [string, number][] | null {
  if (typeof value !== 'string') return null;
  if (value === '') return [];
  const settings = value.split(',').map((one): [string, number] | null => {
    const [, tag, digits] = SETTING.exec(one.trim()) ?? [];
    if (tag === undefined || /["\\,]/.test(tag) || (!whole && digits === undefined)) return null;
    const number = Number(digits ?? 1);
    return whole && (!Number.isInteger(number) || number < 0) ? null : [tag, number];
  });
  if (settings.length > MOST_SETTINGS || settings.includes(null)) return null;
  const all = settings.filter((one) => one !== null);
  return new Set(all.map(([tag]) => tag)).size === all.length ? all : null;
}

/** How such settings are written in CSS. CSS Fonts 4 §6.12, §8.2. */
export const settingsCss = (settings: readonly (readonly [string, number])[]): string =>
  settings.length === 0
    ? 'normal'
    : settings.map(([tag, number]) => `"${tag}" ${number}`).join(', ');
