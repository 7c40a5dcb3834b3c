import { expect, test } from '@jest/globals';
import { newDocument } from '@lettera/core/document';
import { resolveInUse } from '@lettera/core/style';
import { traceText, valueText } from './propertyText';

const document = newDocument('Tarnholm');

test('values are in a designer’s words', () => {
  expect(valueText(document, 'voice', 'heading')).toBe('Heading');
  expect(valueText(document, 'step', 1)).toBe('up-1 · 19.2 → 22.5');
  expect(valueText(document, 'case', 'none')).toBe('as typed');
  expect(valueText(document, 'colour', null)).toBe('the browser’s');
  expect(valueText(document, 'letterSpacing', 0.02)).toBe('0.02 em');
});

test('the way to a value is told step by step', () => {
  const { weight, step } = resolveInUse(document, 'heading-2');
  expect(traceText(document, 'weight', weight)).toBe(
    'Weight: Heading 2, which leaves it open; the style it follows, Heading, where it is set.',
  );
  expect(traceText(document, 'step', step)).toBe('Size is set here.');
  const { lineHeight } = resolveInUse(document, 'table-heading');
  expect(traceText(document, 'lineHeight', lineHeight)).toContain('Small text, where it is set');
});
