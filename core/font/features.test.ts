import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { unpack, type UnpackedFont } from './container';
import { offeredFeatures } from './features';

const require = createRequire(import.meta.url);

let plain: UnpackedFont;
beforeAll(async () => {
  const path =
    require.resolve('@fontsource-variable/literata/files/literata-latin-wght-normal.woff2');
  plain = await unpack(await readFile(path));
});

/** Name 4 is the full name, which every font has: a feature may be called by it. */
const FULL_NAME = 4;

/** A GSUB table whose features are those given, each with the number of its name. */
function gsubOf(features: readonly (readonly [tag: string, nameId: number | null])[]): Uint8Array {
  const list = 10;
  const first = list + 2 + 6 * features.length;
  const size = 8;
  const bytes = new DataView(new ArrayBuffer(first + size * features.length));
  bytes.setUint32(0, 0x00010000);
  bytes.setUint16(6, list);
  bytes.setUint16(list, features.length);
  features.forEach(([tag, nameId], i) => {
    const record = list + 2 + 6 * i;
    [...tag].forEach((letter, at) => bytes.setUint8(record + at, letter.charCodeAt(0)));
    const feature = first + size * i;
    bytes.setUint16(record + 4, feature - list);
    if (nameId === null) return;
    bytes.setUint16(feature, 4);
    bytes.setUint16(feature + 4 + 2, nameId);
  });
  return new Uint8Array(bytes.buffer);
}

/** The font with another GSUB table. */
function withGsub(gsub: Uint8Array): UnpackedFont {
  const sfnt = new Uint8Array(plain.sfnt.length + gsub.length);
  sfnt.set(plain.sfnt);
  sfnt.set(gsub, plain.sfnt.length);
  const record = { offset: plain.sfnt.length, length: gsub.length };
  return { ...plain, sfnt, tables: new Map([...plain.tables, ['GSUB', record]]) };
}

describe('the features that a face offers', () => {
  test('leave out what is always on or has a property of its own', () => {
    expect(offeredFeatures(plain)).toEqual([]);
    expect(
      offeredFeatures(
        withGsub(
          gsubOf([
            ['liga', null],
            ['tnum', null],
            ['locl', null],
          ]),
        ),
      ),
    ).toEqual([]);
  });

  test('are called as the face calls them, else as they are registered', () => {
    const font = withGsub(
      gsubOf([
        ['swsh', null],
        ['ss03', FULL_NAME],
        ['ss02', null],
        ['cv11', FULL_NAME],
        ['ss21', null],
      ]),
    );
    const offered = offeredFeatures(font);
    expect(offered.map(({ tag }) => tag)).toEqual(['cv11', 'ss02', 'ss03', 'swsh']);
    expect(offered.find(({ tag }) => tag === 'ss02')?.name).toBe('stylistic set 2');
    expect(offered.find(({ tag }) => tag === 'ss03')?.name).toMatch(/Literata/);
    expect(offered.find(({ tag }) => tag === 'swsh')?.name).toBe('swashes');
  });

  test('of a table that is cut short are none', () => {
    const gsub = gsubOf([['ss01', FULL_NAME]]);
    for (let length = 0; length < gsub.length; length++) {
      expect(() => offeredFeatures(withGsub(gsub.slice(0, length)))).not.toThrow();
    }
  });
});
