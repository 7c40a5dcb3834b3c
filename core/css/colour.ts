import {
  blend,
  clampRgb,
  formatHex,
  formatHex8,
  formatRgb,
  inGamut,
  parse,
  type Color,
} from './culori';
import { isWhole, TOKEN, tokensOf, type Token } from './whole';

/** Functions that write a colour by its components. CSS Color 4 §4.1. */
const FUNCTIONS = ['rgb', 'rgba', 'hsl', 'hsla', 'hwb', 'lab', 'lch', 'oklab', 'oklch', 'color'];
/** Predefined colour spaces of `color()`. CSS Color 4 §10.1. */
const SPACES =
  /^(srgb|srgb-linear|display-p3|a98-rgb|prophoto-rgb|rec2020|xyz|xyz-d50|xyz-d65|none|deg|rad|grad|turn)$/i;

const COMPONENTS = new Set(
  ['Number', 'Percentage', 'Dimension', 'Ident', 'Comma', 'WhiteSpace'].map((name) => TOKEN[name]),
);

/** Where a function takes an angle: the hue, and nothing else. */
const HUE_AT: Readonly<Record<string, number>> = { hsl: 0, hsla: 0, hwb: 0, lch: 2, oklch: 2 };

/** Text of a colour in hexadecimal without the sign that makes it one. */
const BARE_HEXADECIMAL = /^[0-9a-f]{3,8}$/i;

const isComponent = ({ type, text }: Token): boolean =>
  type === TOKEN['Ident']
    ? SPACES.test(text)
    : COMPONENTS.has(type) || (type === TOKEN['Delim'] && text === '/');

function isColourSyntax([first, ...rest]: readonly Token[]): boolean {
  if (!first) return false;
  if (rest.length === 0) {
    return first.type === TOKEN['Ident']
      ? !BARE_HEXADECIMAL.test(first.text)
      : first.type === TOKEN['Hash'];
  }
  const name = first.text.slice(0, -1).toLowerCase();
  const components = rest.filter(
    ({ type }) => type !== TOKEN['WhiteSpace'] && type !== TOKEN['Comma'],
  );
  const angleElsewhere = components.some(
    ({ type }, i) => type === TOKEN['Dimension'] && i !== HUE_AT[name],
  );
  return (
    first.type === TOKEN['Function'] &&
    FUNCTIONS.includes(name) &&
    !angleElsewhere &&
    rest.at(-1)?.type === TOKEN['RightParenthesis'] &&
    rest.slice(0, -1).every(isComponent)
  );
}

/** A colour as it is measured; CSS does not tell capitals from small letters. */
function read(source: string): Color | undefined {
  try {
    return parse(source.trim().toLowerCase());
  } catch {
    // The reader of colours stumbles over some texts that are none, where it should say so.
    return undefined;
  }
}

/** A colour that a document holds, to be measured. @throws RangeError when it is none */
export function colourOf(source: string): Color {
  const colour = read(source);
  if (!colour) throw new RangeError(`“${source}” is not a colour`);
  return colour;
}

/**
 * A colour as a screen of sRGB paints it: what lies beyond is cut off channel by channel, as browsers do.
 * CSS Color 4 §13 leaves that to them. @throws RangeError when it is none
 */
export const paintedColour = (source: string): Color => clampRgb(colourOf(source));

const inSrgb = inGamut('rgb');
/** Whether a colour lies beyond sRGB: screens that show more show it as another. @throws RangeError when it is none */
export const isWideGamut = (source: string): boolean => !inSrgb(colourOf(source));

/** The colour of layers over one another, from the lowest up, each with its alpha over the last. CSS Color 4 §12. */
export const composited = (ground: string, layers: readonly string[]): string =>
  formatRgb(blend([paintedColour(ground), ...layers.map(paintedColour)]));

/** Whether a text is one whole colour of CSS Color 4 that Lettera can measure. */
export function isCssColour(source: string): boolean {
  const tokens = tokensOf(source.trim());
  return isWhole(tokens) && isColourSyntax(tokens) && read(source) !== undefined;
}

/** A colour in hexadecimal, without its alpha. @throws RangeError when it is none */
export const hexOf = (source: string): string => formatHex(colourOf(source));

/** A colour in hexadecimal that lets through as much as another. @throws RangeError when one is none */
export function withAlphaOf(source: string, other: string): string {
  const { alpha } = colourOf(other);
  return alpha === undefined || alpha === 1
    ? hexOf(source)
    : formatHex8({ ...colourOf(source), alpha });
}
