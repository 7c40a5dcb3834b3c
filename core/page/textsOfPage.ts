/** Elements whose text is no text of the page's. */
export const NO_TEXT = [
  'script',
  'style',
  'template',
  'noscript',
  'title',
  'head',
  'option',
  'textarea',
] as const;

/** Parts of a page that a text can be said to stand in. */
export const PLACES = ['header', 'nav', 'main', 'aside', 'footer'] as const;

/** Words that tell a text apart, characters. docs/reading.md. */
const LONGEST_WORDS = 80;

/** A text with its blanks as one. */
export const plainText = (text: string): string => text.replace(/\s+/g, ' ').trim();

/** How a text begins, as it is told apart by. */
export const wordsOf = (text: string): string => text.slice(0, LONGEST_WORDS);
