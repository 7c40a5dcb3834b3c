import { FontError } from './fontError';

/** Table directory of an sfnt: a header, then a record a table. OpenType 1.9, "Table directory". */
const HEADER = 12;
const RECORD = 16;
const MOST_FACES = 200;

const isCollection = (file: Uint8Array): boolean =>
  String.fromCharCode(...file.subarray(0, 4)) === 'ttcf';

const damaged = (what: string) =>
  new FontError('damaged', `This collection is damaged: ${what}. Bring its faces as single files.`);

/** One face of a collection as a font of its own: its tables copied behind a directory of its own. */
function extract(file: Uint8Array, at: number): Uint8Array {
  const data = new DataView(file.buffer, file.byteOffset, file.byteLength);
  if (at + HEADER > file.length) throw damaged('a face stands beyond its end');
  const count = data.getUint16(at + 4);
  const directory = HEADER + RECORD * count;
  if (at + directory > file.length) throw damaged('a table directory stands beyond its end');
  const records = Array.from({ length: count }, (_, i) => {
    const record = at + HEADER + RECORD * i;
    return { record, offset: data.getUint32(record + 8), length: data.getUint32(record + 12) };
  });
  const padded = (length: number) => Math.ceil(length / 4) * 4;
  const size = directory + records.reduce((sum, { length }) => sum + padded(length), 0);
  if (size > file.length + directory) throw damaged('its tables are longer than the file');
  const font = new Uint8Array(size);
  font.set(file.subarray(at, at + directory));
  const own = new DataView(font.buffer);
  let end = directory;
  records.forEach(({ offset, length }, i) => {
    if (offset + length > file.length) throw damaged('a table stands beyond its end');
    font.set(file.subarray(offset, offset + length), end);
    own.setUint32(HEADER + RECORD * i + 8, end);
    end += padded(length);
  });
  return font;
}

/**
 * The fonts that a file holds: each face of a collection (TTC, OTC) as a font of its own, any other file
 * as it is. OpenType 1.9, "TTC Header".
 * @throws FontError when a collection does not hold together
 */
export function fontsIn(file: Uint8Array): Uint8Array[] {
  if (!isCollection(file)) return [file];
  const data = new DataView(file.buffer, file.byteOffset, file.byteLength);
  const count = file.length >= HEADER ? data.getUint32(8) : 0;
  if (count === 0 || file.length < HEADER + 4 * count) throw damaged('it lists no faces');
  if (count > MOST_FACES) throw damaged(`it lists ${count} faces`);
  return Array.from({ length: count }, (_, i) => extract(file, data.getUint32(HEADER + 4 * i)));
}
