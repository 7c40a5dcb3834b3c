/**
 * A font in which every character is blank, at the end of each list of families that a specimen is set in: where a
 * file has not come, or has no such letter, a browser shows nothing and never another face.
 */
export const BLANK = 'Lettera blank';

/** What a table is called, and its bytes. */
type Table = [tag: string, bytes: number[]];

const u16 = (value: number): number[] => [(value >> 8) & 0xff, value & 0xff];
const u32 = (value: number): number[] => [...u16(value >>> 16), ...u16(value & 0xffff)];
const words = (...values: number[]): number[] => values.flatMap(u16);
const zeros = (count: number): number[] => Array.from({ length: count }, () => 0);

const EM = 1000;
const ASCENT = 800;
const DESCENT = -200;
/** The last code point of Unicode. */
const LAST = 0x10ffff;
/** The glyph that all characters have. */
const GLYPH = 1;

/** All of Unicode is one glyph: cmap's format 13, "Many-to-one range mappings" (OpenType 1.9). */
const cmap = [
  ...words(0, 1, 3, 10),
  ...u32(12),
  ...words(13, 0),
  ...[28, 0, 1, 0, LAST, GLYPH].flatMap(u32),
];
/** The first glyph has to be drawn: a triangle that nothing shows. The second has no outline. */
const missing = [
  ...words(1, 0, 0, 100, 100),
  ...words(2, 0),
  ...[0x01, 0x01, 0x01],
  ...words(0, 100, 0),
  ...words(0, 0, 100),
  0,
];

const TABLES: readonly Table[] = [
  [
    'OS/2',
    [
      ...words(4, 500, 400, 5, 0),
      ...zeros(20),
      ...words(0),
      ...zeros(10),
      ...zeros(16),
      ...zeros(4),
      ...words(0x40, 0, 0xffff, ASCENT, DESCENT, 0, ASCENT, -DESCENT),
      ...zeros(8),
      ...words(500, 700, 0, 0x20, 0),
    ],
  ],
  ['cmap', cmap],
  ['glyf', missing],
  [
    'head',
    [
      ...u32(0x00010000),
      ...u32(0x00010000),
      ...u32(0),
      ...u32(0x5f0f3cf5),
      ...words(0, EM),
      ...zeros(16),
      ...words(0, 0, 100, 100, 0, 8, 2, 0, 0),
    ],
  ],
  [
    'hhea',
    [
      ...u32(0x00010000),
      ...words(ASCENT, DESCENT, 0, 500, 0, 0, 100, 1, 0, 0),
      ...zeros(10),
      ...words(1),
    ],
  ],
  ['hmtx', words(500, 0, 0)],
  ['loca', words(0, missing.length / 2, missing.length / 2)],
  ['maxp', [...u32(0x00010000), ...words(2, 3, 1, 0, 0, 1, 0, 0, 0, 0, 0, 0, 0, 0)]],
  ['name', words(0, 0, 6)],
  ['post', [...u32(0x00030000), ...zeros(28)]],
];

/** Sum of a table's words of 32 bits, as its entry has it. */
function sumOf(bytes: readonly number[]): number {
  let sum = 0;
  for (let at = 0; at < bytes.length; at += 4) {
    const [a = 0, b = 0, c = 0, d = 0] = bytes.slice(at, at + 4);
    sum = (sum + (((a << 24) | (b << 16) | (c << 8) | d) >>> 0)) >>> 0;
  }
  return sum;
}

/** The font as a TrueType file. */
export function blankFont(): Uint8Array<ArrayBuffer> {
  const count = TABLES.length;
  const power = 2 ** Math.floor(Math.log2(count));
  const header = [
    ...u32(0x00010000),
    ...words(count, power * 16, Math.log2(power), count * 16 - power * 16),
  ];
  let at = header.length + count * 16;
  const entries: number[] = [];
  const bodies: number[] = [];
  for (const [tag, bytes] of TABLES) {
    const padding = (4 - (bytes.length % 4)) % 4;
    entries.push(
      ...[...tag].map((letter) => letter.charCodeAt(0)),
      ...u32(sumOf(bytes)),
      ...u32(at),
      ...u32(bytes.length),
    );
    bodies.push(...bytes, ...zeros(padding));
    at += bytes.length + padding;
  }
  return new Uint8Array([...header, ...entries, ...bodies]);
}

let isThere = false;
/** Makes it known to the page, once. */
export function haveBlankFont(): void {
  if (isThere) return;
  isThere = true;
  document.fonts.add(new FontFace(BLANK, blankFont()));
}
