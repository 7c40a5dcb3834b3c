import { expect, test } from '@jest/globals';
import { newDocument } from '@lettera/core/document';
import { styleInWords } from './styleInWords';

test('a style is put in words: its name, what is set in it, what the rest follows', () => {
  const document = newDocument('Tarnholm');
  expect(styleInWords(document, 'heading-2')).toBe(
    'Heading 2 · size set here · the rest follows Heading',
  );
  expect(styleInWords(document, 'body')).toMatch(/^Body · [a-z ,]+ and \d+ more set here$/);
  document.styles['plain'] = { name: 'Plain', follows: 'body', set: {} };
  expect(styleInWords(document, 'plain')).toBe('Plain · nothing set here · the rest follows Body');
  expect(styleInWords(document, 'gone')).toBe('');
});
