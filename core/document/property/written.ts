import type { LengthUnit, Values } from './property';

type Of<K extends Values['kind']> = Extract<Values, { kind: K }>;

const LENGTH = /^(-?\d+(?:\.\d{1,4})?)(em|lh|ch|px)$/;

/** Edges of a text that a line may stand at: what is stored, how it is said, and its `border-width` in CSS. */
const EDGES = {
  above: { says: 'above', css: (width: string) => `${width} 0 0` },
  below: { says: 'below', css: (width: string) => `0 0 ${width}` },
  both: { says: 'above and below', css: (width: string) => `${width} 0` },
  before: { says: 'before', css: (width: string) => `0 0 0 ${width}` },
  around: { says: 'around', css: (width: string) => width },
} as const;
type Edge = keyof typeof EDGES;
const EDGE_NAMES = Object.keys(EDGES) as Edge[];

export interface Length {
  number: number;
  unit: LengthUnit;
}

/** A length that was stored, with the second for the sides and the edges of a line, where there are any. */
export interface LengthValue {
  lengths: Length[];
  edge: Edge;
}

function oneLength(text: string, { units, min, max }: Of<'length'>): Length | null {
  const [, digits, unit] = LENGTH.exec(text) ?? [];
  const number = Number(digits);
  const known = units.find((one) => one === unit);
  return known && number >= min && number <= max ? { number, unit: known } : null;
}

/** A length as it is stored; null for what is none within the bounds. */
export function lengthIn(value: unknown, values: Of<'length'>): LengthValue | null {
  if (typeof value !== 'string') return null;
  const words = value.split(' ');
  const edge = values.edges ? EDGE_NAMES.find((one) => one === words.at(-1)) : undefined;
  const texts = edge ? words.slice(0, -1) : words;
  if (texts.length === 0 || texts.length > (values.most ?? 1)) return null;
  const lengths = texts.map((text) => oneLength(text, values)).filter((one) => one !== null);
  return lengths.length === texts.length ? { lengths, edge: edge ?? 'above' } : null;
}

/** How a stored length is written in CSS. CSS Backgrounds 3 §3.3, CSS Box 4 §4.2. */
export function lengthCss(value: string, values: Of<'length'>): string {
  const { lengths, edge } = lengthIn(value, values) ?? { lengths: [], edge: 'above' };
  const css = lengths.map(({ number, unit }) => `${number}${unit}`).join(' ') || value;
  return values.edges ? EDGES[edge].css(css) : css;
}

/** Units of lengths as they are read, and other words for them. */
const UNITS: Readonly<Record<LengthUnit, string>> = { em: 'em', lh: 'lines', ch: 'ch', px: 'px' };
const UNIT_WORDS: Readonly<Record<string, LengthUnit>> = {
  line: 'lh',
  lines: 'lh',
  characters: 'ch',
  character: 'ch',
};

/** A stored length as it is written for people: “1.5 lines”, “1 px below”. */
export function writtenLength(value: string, values: Of<'length'>): string {
  const length = lengthIn(value, values);
  if (!length) return value;
  const texts = length.lengths.map(({ number, unit }) => `${number} ${UNITS[unit]}`);
  return [...texts, ...(values.edges ? [EDGES[length.edge].says] : [])].join(' ');
}

const TYPED = /^(-?\d*[.,]?\d+)\s*(em|lh|lines?|ch|characters?|px)?(?=\s|$)\s*/;

/**
 * A length as it was typed: “1.5 lines”, “0.8em”, “66”, whose unit is the first that is taken; “0.5em 1em”,
 * “1px below”, where there may be two or a line’s edges.
 * @returns as it is stored; null for what is none
 */
export function typedLength(text: string, values: Of<'length'>): string | null {
  let rest = text.trim().toLowerCase().replace(/\s+/g, ' ');
  const lengths: string[] = [];
  for (let match = TYPED.exec(rest); match; match = TYPED.exec(rest)) {
    const [all, digits = '', word = ''] = match;
    const unit = UNIT_WORDS[word] ?? (word || values.units[0]);
    lengths.push(`${Number(Number(digits.replace(',', '.')).toFixed(4))}${unit}`);
    rest = rest.slice(all.length);
  }
  const edge = EDGE_NAMES.find((one) => one === rest || EDGES[one].says === rest);
  if (rest !== '' && !(values.edges && edge)) return null;
  const value = [...lengths, ...(edge && edge !== 'above' ? [edge] : [])].join(' ');
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
