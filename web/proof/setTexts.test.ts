/** @jest-environment jsdom */
import { expect, test } from '@jest/globals';
import { seatedDocument } from '../../core/testing/documents';
import { textsByStyle } from './setTexts';

test('the characters of a page are those that a browser sets: letters joined with their marks, where they can be', () => {
  document.body.innerHTML = '<p>cafe\u0301 m\u0303m\u0303</p>';
  const { letters, marked } = textsByStyle(seatedDocument(), document);
  expect(letters['body']).toBe('caf\u00e9 m\u0303');
  expect(marked['body']).toEqual(['m\u0303']);
});
