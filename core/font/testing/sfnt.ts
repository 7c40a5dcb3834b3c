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

/** Where a table begins in a font, bytes. */
export function tableOffset(sfnt: Uint8Array, tag: string): number {
  const data = new DataView(sfnt.buffer, sfnt.byteOffset, sfnt.byteLength);
  for (let i = 0; i < data.getUint16(4); i++) {
    const at = 12 + 16 * i;
    if (String.fromCharCode(...sfnt.subarray(at, at + 4)) === tag.padEnd(4)) {
      return data.getUint32(at + 8);
    }
  }
  throw new RangeError(`The font has no table ${tag}`);
}

/** The names that platforms and `local()` find a font by. */
export interface FontNames {
  family: string;
  /** Name of the style: Regular, Bold. */
  style: string;
  full: string;
  postScript: string;
}

/**
 * The same font under other names. The name table is written anew at the end of the file, in UTF-16 for
 * Windows (OpenType 1.9, "name").
 * @param names a family name alone stands for all of them
 */
export function renamed(sfnt: Uint8Array, names: string | FontNames): Uint8Array {
  const given =
    typeof names === 'string'
      ? { family: names, style: 'Regular', full: names, postScript: names }
      : names;
  const records: [id: number, text: string][] = [
    [1, given.family],
    [2, given.style],
    [4, given.full],
    [6, given.postScript],
  ];
  const header = 6 + 12 * records.length;
  const size = records.reduce((sum, [, text]) => sum + 2 * text.length, 0);
  const table = new Uint8Array(header + size);
  const data = new DataView(table.buffer);
  data.setUint16(2, records.length);
  data.setUint16(4, header);
  let offset = 0;
  records.forEach(([id, text], i) => {
    // Platform 3 (Windows), encoding 1 (Unicode), language 0x409 (English).
    [3, 1, 0x409, id, 2 * text.length, offset].forEach((value, field) =>
      data.setUint16(6 + 12 * i + 2 * field, value),
    );
    for (let at = 0; at < text.length; at++) {
      data.setUint16(header + offset + 2 * at, text.charCodeAt(at));
    }
    offset += 2 * text.length;
  });
  const at = Math.ceil(sfnt.length / 4) * 4;
  const file = new Uint8Array(at + table.length);
  file.set(sfnt);
  file.set(table, at);
  const whole = new DataView(file.buffer);
  for (let i = 0; i < whole.getUint16(4); i++) {
    const record = 12 + 16 * i;
    if (String.fromCharCode(...file.subarray(record, record + 4)) !== 'name') continue;
    whole.setUint32(record + 8, at);
    whole.setUint32(record + 12, table.length);
  }
  return file;
}
