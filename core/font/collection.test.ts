import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { fontsIn } from './collection';
import { embeddingRights } from './embedding';
import { readFace } from './reading';
import { collectionOf } from './testing/sfnt';

const bytes = (name: string) => new Uint8Array(readFileSync(`core/font/golden/${name}`));
const SLAB = bytes('tarnholm-slab.otf');
const HAIRLINE = bytes('tarnholm-hairline.otf');

const refused = (file: Uint8Array): string => {
  try {
    fontsIn(file);
  } catch (error) {
    return (error as Error).message;
  }
  return 'taken';
};

describe('a collection', () => {
  test('holds fonts, each of which reads as it does alone', async () => {
    const fonts = fontsIn(collectionOf([SLAB, HAIRLINE]));
    const [slab, hairline] = await Promise.all(fonts.map((font) => readFace(font)));
    const alone = await readFace(SLAB);
    expect(fonts).toHaveLength(2);
    expect({ ...slab, bytes: 0, sha256: '' }).toEqual({ ...alone, bytes: 0, sha256: '' });
    expect(hairline?.family).toBe('Tarnholm Test Hairline');
  });

  test('of one file is the file itself', () => {
    expect(fontsIn(SLAB)).toEqual([SLAB]);
  });

  test('that does not hold together is refused with what is wrong', () => {
    const whole = collectionOf([SLAB, HAIRLINE]);
    const lying = whole.slice();
    new DataView(lying.buffer).setUint32(8, 5000);
    expect(refused(lying)).toMatch(/lists/);
    expect(refused(whole.slice(0, 14))).toMatch(/lists no faces/);
    expect(refused(whole.slice(0, whole.length / 2))).toMatch(
      /longer than the file|beyond its end/,
    );
  });
});

describe('embedding rights', () => {
  test.each([
    [0x0000, 'installable', false, false],
    [0x0002, 'restricted: no embedding', true, false],
    [0x0004, 'preview and print only', true, false],
    [0x0008, 'editable embedding', false, false],
    // Where several are set, the least restrictive holds.
    [0x000c, 'editable embedding', false, false],
    [0x0108, 'editable embedding, no subsetting', false, true],
    [0x0200, 'installable, bitmaps only', true, false],
  ])('of fsType %d', (fsType, says, forbidsWeb, forbidsSubsetting) => {
    expect(embeddingRights(fsType)).toEqual({ says, forbidsWeb, forbidsSubsetting });
  });
});
