import { readFileSync } from 'node:fs';
import { expect, test } from '@jest/globals';
import { packAsWoff2 } from '@lettera/core/font/file';
import { unpackedSource } from './unpackedSources';

const golden = (name: string) => new Uint8Array(readFileSync(`core/font/golden/${name}.otf`));

test('a font is unpacked once for all that is cut out of it in turn, and the last few are kept', async () => {
  const slab = await packAsWoff2(golden('tarnholm-slab'));
  const first = unpackedSource(slab);
  expect(unpackedSource(new Uint8Array(slab))).toBe(first);
  expect((await first).subarray(0, 4)).toEqual(golden('tarnholm-slab').subarray(0, 4));
  const others = Array.from({ length: 4 }, (_, i) => {
    const other = new Uint8Array(golden('tarnholm-hairline'));
    // Another check sum, which nothing goes by: another file.
    other[8] = i;
    return other;
  });
  for (const other of others) await unpackedSource(other);
  expect(unpackedSource(slab)).not.toBe(first);
});

test('what cannot be unpacked is not kept', async () => {
  const broken = new Uint8Array([0x77, 0x4f, 0x46, 0x32, ...new Array<number>(60).fill(0)]);
  const first = unpackedSource(broken);
  await expect(first).rejects.toThrow();
  expect(unpackedSource(broken)).not.toBe(first);
  await expect(unpackedSource(broken)).rejects.toThrow();
});
