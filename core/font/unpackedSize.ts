import { Unzlib } from 'fflate';

/**
 * How large a packed font really is, counted and not believed: a file of a megabyte may unpack to a
 * thousand times what its header says.
 */

/** Why a packed font cannot be unpacked safely. */
export class UnpackError extends Error {
  override readonly name = 'UnpackError';
}

/** A piece of packed data small enough that what it unpacks to can be held. */
const PIECE = 4096;

/** Unpacks piece by piece and lets each go, until there is more than there may be. */
function inflatesTo(packed: Uint8Array, most: number): boolean {
  let size = 0;
  const inflate = new Unzlib((unpacked) => (size += unpacked.length));
  for (let at = 0; at < packed.length && size <= most; at += PIECE) {
    inflate.push(packed.subarray(at, at + PIECE), at + PIECE >= packed.length);
  }
  return size <= most;
}

const view = (file: Uint8Array): DataView =>
  new DataView(file.buffer, file.byteOffset, file.byteLength);

const WOFF_HEADER = 44;
const WOFF_ENTRY = 20;

/**
 * Bytes that the tables of a WOFF unpack to. WOFF 1.0 §4: each entry of the directory has the table's
 * place, its packed and its unpacked length.
 * @throws UnpackError when a table lies outside the file or unpacks to more than it says
 */
export function woffSize(file: Uint8Array): number {
  const data = view(file);
  const count = data.getUint16(12);
  if (file.length < WOFF_HEADER + count * WOFF_ENTRY) throw new UnpackError('its directory is cut');
  let total = 0;
  for (let i = 0; i < count; i++) {
    const at = WOFF_HEADER + i * WOFF_ENTRY;
    const [offset, packed, unpacked] = [4, 8, 12].map((by) => data.getUint32(at + by)) as [
      number,
      number,
      number,
    ];
    if (offset + packed > file.length) throw new UnpackError('a table lies outside the file');
    if (packed > unpacked) throw new UnpackError('a table is packed to more than it holds');
    const table = file.subarray(offset, offset + packed);
    if (packed < unpacked && !inflatesTo(table, unpacked)) {
      throw new UnpackError('a table unpacks to more than it says');
    }
    total += unpacked;
  }
  return total;
}

const WOFF2_HEADER = 48;
/** Indices of `glyf` and `loca` among the known tags; for them version 0 is the transformed one. WOFF2 §4.1. */
const GLYF = 10;
const LOCA = 11;
const OTHER_TAG = 63;

/**
 * Bytes that a WOFF2's one stream unpacks to, by its directory. The unpacker makes room for just so many
 * and refuses a stream that holds more.
 * @throws UnpackError when the directory cannot be read
 */
export function woff2Size(file: Uint8Array): number {
  let at = WOFF2_HEADER;
  const byte = (): number => {
    const value = file[at++];
    if (value === undefined) throw new UnpackError('its directory is cut');
    return value;
  };
  /** UIntBase128, WOFF2 §4.1: seven bits a byte, at most five bytes, no leading zeros. */
  const base128 = (): number => {
    let value = 0;
    for (let i = 0; i < 5; i++) {
      const next = byte();
      if (i === 0 && next === 0x80) throw new UnpackError('its directory cannot be read');
      value = value * 128 + (next & 0x7f);
      if (next < 0x80) return value;
    }
    throw new UnpackError('its directory cannot be read');
  };
  const count = view(file).getUint16(12);
  let total = 0;
  for (let i = 0; i < count; i++) {
    const flags = byte();
    const tag = flags & 0x3f;
    const version = flags >> 6;
    if (tag === OTHER_TAG) at += 4;
    const length = base128();
    const transformed = tag === GLYF || tag === LOCA ? version === 0 : version !== 0;
    total += transformed ? base128() : length;
  }
  return total;
}
