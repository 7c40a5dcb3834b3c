/** @jest-environment jsdom */
import { expect, test } from '@jest/globals';
import { fileNamed, localNamed } from './localMeasuring';

test('a font of the machine is known by its full or its PostScript name, in each style', () => {
  expect(localNamed(['Segoe UI Bold', 'SegoeUI-Bold'])).toEqual({
    local: 'segoe-ui',
    variant: 'bold',
  });
  expect(localNamed(['verdana'])).toEqual({ local: 'verdana', variant: 'regular' });
  expect(localNamed(['Liberation Sans Italic'])).toEqual({ local: 'arial', variant: 'italic' });
  expect(localNamed(['Segoe UI Semibold'])).toBeNull();
});

test('a file is known by the name that platforms keep it under', () => {
  const keys = ['verdana', 'segoe-ui'];
  expect(fileNamed('verdanab.ttf', keys)).toEqual({ local: 'verdana', variant: 'bold' });
  expect(fileNamed('SegoeUI-BoldItalic.woff2', keys)).toEqual({
    local: 'segoe-ui',
    variant: 'boldItalic',
  });
  expect(fileNamed('verdana.ttf', ['segoe-ui'])).toBeNull();
  expect(fileNamed('verdana-light.ttf', keys)).toBeNull();
});
