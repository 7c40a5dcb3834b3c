/** Helpers that write CSS values so that a name, whatever is in it, stays a name. */

/**
 * A CSS string in double quotes. CSSOM §2.1, "serialize a string"; `<` is escaped too, so that the
 * string can stand in a style element.
 */
export function cssString(value: string): string {
  const escaped = value.replace(
    // eslint-disable-next-line no-control-regex -- control characters are what must be escaped
    /[\u0000-\u001f\u007f"\\<]/g,
    (character) =>
      character === '"' || character === '\\'
        ? `\\${character}`
        : `\\${(character.codePointAt(0) || 0xfffd).toString(16)} `,
  );
  return `"${escaped}"`;
}

/** A ratio as a percentage with two decimals: 1.0432 is `104.32%`. */
export const cssPercent = (ratio: number): string => `${Number((ratio * 100).toFixed(2))}%`;

/** A number with at most four decimals. */
export const cssNumber = (value: number): string => String(Number(value.toFixed(4)) || 0);

/** One CSS rule; declarations are written in the order given. */
export function cssRule(
  prelude: string,
  declarations: readonly (readonly [property: string, value: string])[],
): string {
  const body = declarations.map(([property, value]) => `  ${property}: ${value};\n`).join('');
  return `${prelude} {\n${body}}\n`;
}

/** Moves a block of CSS in by one level. */
export const indent = (css: string): string => css.replace(/^(?=.)/gm, '  ');

/** A selector of what any of several meets, without weight. Selectors 4 §4.4. */
export const where = (selectors: readonly string[]): string => `:where(${selectors.join(', ')})`;

/** A property and its value, as they are written. */
export type Declaration = readonly [property: string, value: string];
