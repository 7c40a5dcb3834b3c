import { Zlib } from 'fflate';

const PIECE = 1024 * 1024;

/** Zeros, packed: a thousandth of what they unpack to. */
function packedZeros(size: number): Uint8Array {
  const pieces: Uint8Array[] = [];
  const deflate = new Zlib({ level: 9 }, (packed) => pieces.push(packed));
  const zeros = new Uint8Array(PIECE);
  for (let done = 0; done < size; done += PIECE) deflate.push(zeros, done + PIECE >= size);
  const packed = new Uint8Array(pieces.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const piece of pieces) {
    packed.set(piece, at);
    at += piece.length;
  }
  return packed;
}

/**
 * A WOFF whose first table says that it unpacks to a megabyte, and unpacks to `size` bytes. The directory's
 * other entries stay as they are.
 */
export function withBomb(woff: Uint8Array, size: number): Uint8Array {
  const packed = packedZeros(size);
  const at = Math.ceil(woff.length / 4) * 4;
  const file = new Uint8Array(at + packed.length);
  file.set(woff);
  file.set(packed, at);
  const data = new DataView(file.buffer);
  data.setUint32(8, file.length);
  data.setUint32(44 + 4, at);
  data.setUint32(44 + 8, packed.length);
  data.setUint32(44 + 12, PIECE);
  return file;
}
