import { Unzip, UnzipInflate } from 'fflate';
import { SITE_LIMITS, SiteError, type SiteFile } from './siteFile';

const isZip = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 0x03 && bytes[3] === 0x04;

const tooMuch = (): SiteError =>
  new SiteError(
    `A site may come to ${SITE_LIMITS.bytes / 1024 / 1024} MB in ${SITE_LIMITS.files} files, unpacked.`,
  );

/** How much of an archive is fed at once, bytes. */
const PIECE = 64 * 1024;

/** The files of an archive, counted as they unpack and not by what it says of them. @throws SiteError */
function unzip(bytes: Uint8Array, room: { bytes: number; files: number }): SiteFile[] {
  const files: SiteFile[] = [];
  const broken = new SiteError(
    'The archive is damaged, or of a kind that is not read: bring it as a plain zip.',
  );
  let failure: SiteError | null = null;
  const archive = new Unzip((entry) => {
    if (entry.name.endsWith('/')) return;
    if (--room.files < 0) failure = tooMuch();
    const pieces: Uint8Array[] = [];
    entry.ondata = (error, piece, last) => {
      if (error) failure ??= broken;
      if (failure) return;
      room.bytes -= piece.byteLength;
      if (room.bytes < 0) failure = tooMuch();
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
    failure ??= broken;
  }
  if (failure) throw failure as SiteError;
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

/** Files that were brought in, those of archives among them. @throws SiteError for more than may be, or a damaged archive */
export function siteFilesIn(brought: readonly SiteFile[]): SiteFile[] {
  const room = { bytes: SITE_LIMITS.bytes, files: SITE_LIMITS.files };
  return brought.flatMap((file) => {
    if (isZip(file.bytes)) return unzip(file.bytes, room);
    room.bytes -= file.bytes.byteLength;
    room.files -= 1;
    if (room.bytes < 0 || room.files < 0) throw tooMuch();
    return [file];
  });
}
