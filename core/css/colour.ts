import { parse, type Color } from 'culori';
import { isWhole, TOKEN, tokensOf, type Token } from './whole';

/** Functions that write a colour by its components. CSS Color 4 §4.1. */
const FUNCTIONS = ['rgb', 'rgba', 'hsl', 'hsla', 'hwb', 'lab', 'lch', 'oklab', 'oklch', 'color'];
/** Predefined colour spaces of `color()`. CSS Color 4 §10.1. */
const SPACES =
  /^(srgb|srgb-linear|display-p3|a98-rgb|prophoto-rgb|rec2020|xyz|xyz-d50|xyz-d65|none|deg|rad|grad|turn)$/i;

const COMPONENTS = new Set(
  ['Number', 'Percentage', 'Dimension', 'Ident', 'Comma', 'WhiteSpace'].map((name) => TOKEN[name]),
);

const isComponent = ({ type, text }: Token): boolean =>
  type === TOKEN['Ident']
    ? SPACES.test(text)
    : COMPONENTS.has(type) || (type === TOKEN['Delim'] && text === '/');

function isColourSyntax([first, ...rest]: readonly Token[]): boolean {
  if (!first) return false;
  if (rest.length === 0) {
    return first.type === TOKEN['Ident'] || (first.type === TOKEN['Hash'] && first.text !== '#');
  }
  const name = first.text.slice(0, -1).toLowerCase();
  return (
    first.type === TOKEN['Function'] &&
    FUNCTIONS.includes(name) &&
    rest.at(-1)?.type === TOKEN['RightParenthesis'] &&
    rest.slice(0, -1).every(isComponent)
  );
}

/** A colour as it is measured; CSS does not tell capitals from small letters. */
const read = (source: string): Color | undefined => parse(source.trim().toLowerCase());

/** A colour that a document holds, to be measured. @throws RangeError when it is none */
export function colourOf(source: string): Color {
  const colour = read(source);
  if (!colour) throw new RangeError(`“${source}” is not a colour`);
  return colour;
}

/** Whether a text is one whole colour of CSS Color 4 that Lettera can measure. */
export function isCssColour(source: string): boolean {
  const tokens = tokensOf(source.trim());
  return isWhole(tokens) && isColourSyntax(tokens) && read(source) !== undefined;
}
