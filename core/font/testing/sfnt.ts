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
