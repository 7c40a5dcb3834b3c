import { expect, test } from '@jest/globals';
import * as fontkit from 'fontkit';
import { blankFont } from './blankFont';

test('every character of Unicode is the same blank glyph', () => {
  const font = fontkit.create(Buffer.from(blankFont())) as fontkit.Font;
  for (const codePoint of [0x20, 0x41, 0x3bb, 0x4e00, 0x1f600, 0x10ffff]) {
    const glyph = font.glyphForCodePoint(codePoint);
    expect(glyph.id).toBe(1);
    expect(glyph.path.commands).toEqual([]);
  }
  expect(font.unitsPerEm).toBe(1000);
});
