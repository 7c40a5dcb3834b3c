import { Unzip, UnzipInflate } from 'fflate';

/** A file of an archive, with its path there. */
export interface ArchivedFile {
  path: string;
  bytes: Uint8Array;
}

/** What an archive may still unpack to. */
export interface Room {
  bytes: number;
  files: number;
}

export const isZip = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 0x03 && bytes[3] === 0x04;

/** How much of an archive is fed at once, bytes. */
const PIECE = 64 * 1024;

/**
 * The files of a zip, counted as they unpack and not by what it says of them.
 * @param room what they may take altogether; what they take is subtracted from it
 * @throws what `faults` gives for more than may be, and for a damaged archive
 */
export function unzip(
  bytes: Uint8Array,
  room: Room,
  faults: { tooMuch: () => Error; broken: () => Error },
): ArchivedFile[] {
  const files: ArchivedFile[] = [];
  let failure: Error | null = null;
  const archive = new Unzip((entry) => {
    if (entry.name.endsWith('/')) return;
    if (--room.files < 0) failure = faults.tooMuch();
    const pieces: Uint8Array[] = [];
    entry.ondata = (error, piece, last) => {
      if (error) failure ??= faults.broken();
      if (failure) return;
      room.bytes -= piece.byteLength;
      if (room.bytes < 0) failure = faults.tooMuch();
      pieces.push(piece);
      if (last) files.push({ path: entry.name, bytes: joined(pieces) });
    };
    if (!failure) entry.start();
  });
  archive.register(UnzipInflate);
  try {
    for (let at = 0; at < bytes.byteLength && !failure; at += PIECE) {
      archive.push(bytes.subarray(at, at + PIECE), at + PIECE >= bytes.byteLength);
    }
  } catch {
    failure ??= faults.broken();
  }
  if (failure) throw failure as Error;
  return files;
}

function joined(pieces: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(pieces.reduce((sum, { byteLength }) => sum + byteLength, 0));
  let at = 0;
  for (const piece of pieces) {
    whole.set(piece, at);
    at += piece.byteLength;
  }
  return whole;
}
