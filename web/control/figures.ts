/** Figures as the interface writes them: unit and space, one way everywhere. */

const decimals = (value: number, places: number): string =>
  String(Number(value.toFixed(places)) || 0);

/** A number with at most three decimals. */
export const plainNumber = (value: number): string => decimals(value, 3);

/** A figure as it is written, with a minus that is one. */
export const minus = (figure: string): string => figure.replace(/^-(?=[\d.])/, '−');

/** Pixels with one decimal. */
export const pixels = (value: number): string => `${value.toFixed(1)} px`;

/** A ratio as percent with one decimal: 0.0312 is `3.1 %`. */
export const percent = (ratio: number, places = 1): string => `${(ratio * 100).toFixed(places)} %`;

/** Bytes in kilobytes of 1000; a file that is still being made has none. */
export const kilobytes = (bytes: number | null): string =>
  bytes === null
    ? 'being packed …'
    : bytes < 1000
      ? `${bytes} B`
      : `${(bytes / 1000).toFixed(bytes < 100_000 ? 1 : 0)} KB`;

/** A count with its noun: `1 file`, `3 files`. */
export const count = (number: number, noun: string, plural = nounPlural(noun)): string =>
  `${number} ${number === 1 ? noun : plural}`;

const nounPlural = (noun: string): string =>
  noun.endsWith('y') && !/[aeiou]y$/.test(noun) ? `${noun.slice(0, -1)}ies` : `${noun}s`;

/** A day as it is said: 3 October. @param at ISO 8601 */
export const dayOf = (at: string): string =>
  new Date(at).toLocaleDateString('en-GB', { day: 'numeric', month: 'long' });

const MOMENT = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

/** A moment as it is said: 3 Oct 2026, 14:05. @param at ISO 8601 */
export const momentOf = (at: string): string => MOMENT.format(new Date(at));
