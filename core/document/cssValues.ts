import { parse } from 'culori';
import { ValidateBy, type ValidationOptions } from 'class-validator';

/** Any colour that CSS Color 4 can write and that Lettera can measure. */
export function IsCssColour(): PropertyDecorator {
  return ValidateBy({
    name: 'isCssColour',
    validator: {
      validate: (value: unknown) => typeof value === 'string' && parse(value) !== undefined,
      defaultMessage: () => 'must be a CSS colour, such as #0e6656 or rgb(14 102 86)',
    },
  });
}

/** A CSS selector that can stand in `:where(…)`: it cannot end the rule, open another or close a tag. */
export function IsSelector(options?: ValidationOptions): PropertyDecorator {
  return ValidateBy(
    {
      name: 'isSelector',
      validator: {
        validate: (value: unknown) =>
          typeof value === 'string' &&
          value.trim().length > 0 &&
          value.length <= 200 &&
          !/[{}<;@\\]|\/\*/.test(value) &&
          balanced(value),
        defaultMessage: () => 'must be CSS selectors, without braces, semicolons or @',
      },
    },
    options,
  );
}

function balanced(selector: string): boolean {
  let depth = 0;
  for (const character of selector.replace(/"[^"]*"|'[^']*'/g, '')) {
    if (character === '(' || character === '[') depth++;
    if (character === ')' || character === ']') depth--;
    if (depth < 0) return false;
  }
  return depth === 0 && !/["']/.test(selector.replace(/"[^"]*"|'[^']*'/g, ''));
}
