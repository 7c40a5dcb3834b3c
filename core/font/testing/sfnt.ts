/** The same font with one table's record taken out of the directory. */
export function withoutTable(sfnt: Uint8Array, tag: string): Uint8Array {
  const copy = sfnt.slice();
  const data = new DataView(copy.buffer);
  const count = data.getUint16(4);
  const name = tag.padEnd(4);
  for (let i = 0; i < count; i++) {
    const at = 12 + 16 * i;
    if (String.fromCharCode(...copy.subarray(at, at + 4)) !== name) continue;
    copy.copyWithin(at, at + 16, 12 + 16 * count);
    data.setUint16(4, count - 1);
    return copy;
  }
  throw new RangeError(`The font has no table ${tag}`);
}

/** A collection (OpenType 1.9, "TTC Header", version 1.0) that holds the fonts given, one behind the other. */
export function collectionOf(fonts: readonly Uint8Array[]): Uint8Array {
  const header = 12 + 4 * fonts.length;
  const sizes = fonts.map(({ length }) => Math.ceil(length / 4) * 4);
  const file = new Uint8Array(header + sizes.reduce((sum, size) => sum + size, 0));
  const data = new DataView(file.buffer);
  file.set(new TextEncoder().encode('ttcf'));
  data.setUint32(4, 0x00010000);
  data.setUint32(8, fonts.length);
  let at = header;
  fonts.forEach((font, i) => {
    data.setUint32(12 + 4 * i, at);
    file.set(font, at);
    const tables = data.getUint16(at + 4);
    // Offsets in a collection count from the beginning of the file.
    for (let table = 0; table < tables; table++) {
      const offset = at + 12 + 16 * table + 8;
      data.setUint32(offset, data.getUint32(offset) + at);
    }
    at += sizes[i] ?? 0;
  });
  return file;
}
