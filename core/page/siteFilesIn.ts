import { isZip, unzip } from './archive';
import { filesOfReading, isReading } from './readerFile';
import { SITE_LIMITS, SiteError, type SiteFile } from './siteFile';

const tooMuch = (): SiteError =>
  new SiteError(
    `A site may have ${SITE_LIMITS.bytes / 1024 / 1024} MB in ${SITE_LIMITS.files} files, unpacked.`,
  );
const broken = (): SiteError =>
  new SiteError('The archive is damaged, or of a kind that is not read: bring it as a plain zip.');

/**
 * Files that were brought in, those of archives among them, and the page that the reader's file holds.
 * @throws SiteError for more than may be, a damaged archive, or a file of the reader's that is not sound
 */
export function siteFilesIn(brought: readonly SiteFile[]): SiteFile[] {
  const room = { bytes: SITE_LIMITS.bytes, files: SITE_LIMITS.files };
  return brought.flatMap((file) => {
    if (isZip(file.bytes)) return unzip(file.bytes, room, { tooMuch, broken }).flatMap(asFiles);
    room.bytes -= file.bytes.byteLength;
    room.files -= 1;
    if (room.bytes < 0 || room.files < 0) throw tooMuch();
    return asFiles(file);
  });
}

/** What a file is read as: the reader's is a page of several. */
const asFiles = (file: SiteFile): SiteFile[] => (isReading(file) ? filesOfReading(file) : [file]);
