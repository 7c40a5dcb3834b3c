import { ValidateBy, type ValidationOptions } from 'class-validator';
import { isCssColour, isLayerName, isPlainName, selectorsFault } from '../css';
import { parseUnicodeRange } from '../css/unicodeRange';

const isText = (value: unknown): value is string => typeof value === 'string';

/** A decorator for a text that a function finds fault with, or does not. */
function Faultless(
  name: string,
  faultOf: (value: string) => string | null,
  expected: string,
  options?: ValidationOptions,
): PropertyDecorator {
  return ValidateBy(
    {
      name,
      validator: {
        validate: (value: unknown) => isText(value) && faultOf(value) === null,
        defaultMessage: (arguments_) => {
          const value: unknown = arguments_?.value;
          const texts = (Array.isArray(value) ? value : [value]).filter(isText);
          return texts.map(faultOf).find(Boolean) ?? expected;
        },
      },
    },
    options,
  );
}

const unless =
  (passes: (value: string) => boolean, fault: string) =>
  (value: string): string | null =>
    passes(value) ? null : fault;

/** Any colour that CSS Color 4 can write and that Lettera can measure. */
export function IsCssColour(): PropertyDecorator {
  const fault = 'must be a CSS colour, such as #0e6656 or rgb(14 102 86)';
  return Faultless('isCssColour', unless(isCssColour, fault), fault);
}

const LONGEST_SELECTOR = 200;

/** CSS selectors that can stand in `:where(…)` and that meet text. */
export function IsSelector(options?: ValidationOptions): PropertyDecorator {
  return Faultless(
    'isSelector',
    (value) =>
      value.length > LONGEST_SELECTOR
        ? `must be CSS selectors of at most ${LONGEST_SELECTOR} characters`
        : selectorsFault(value),
    'must be CSS selectors',
    options,
  );
}

/** The name of a cascade layer. */
export function IsLayerName(): PropertyDecorator {
  const fault = 'must be a CSS layer name, or null';
  return Faultless('isLayerName', unless(isLayerName, fault), fault);
}

/** A name that people read: not blank, without control characters, at most so many characters. */
export function IsName(longest: number, options?: ValidationOptions): PropertyDecorator {
  const fault = `must be a name of 1 to ${longest} characters, without control characters`;
  return Faultless(
    'isName',
    unless((value) => value.length <= longest && isPlainName(value), fault),
    fault,
    options,
  );
}

/** A CSS `unicode-range` within Unicode. CSS Syntax 3 §7.2. */
export function IsUnicodeRange(): PropertyDecorator {
  const fault = 'must be a CSS unicode-range, or null';
  const isRange = (value: string): boolean => {
    try {
      return parseUnicodeRange(value).every(([from, to]) => from <= to && to <= 0x10ffff);
    } catch {
      return false;
    }
  };
  return Faultless('isUnicodeRange', unless(isRange, fault), fault);
}
