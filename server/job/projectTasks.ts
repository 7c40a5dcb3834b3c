import { readFile } from 'node:fs/promises';
import { isZip, unzip } from '@lettera/core/page/file';

/** What a project file may unpack to. */
export const PROJECT_FILE_LIMITS = { bytes: 256 * 1024 * 1024, files: 20_000 };

/** Why a project file cannot be read, as a value: errors lose their class on the way from a worker. */
export interface UnreadProject {
  unread: string;
}

/** The files of a project file, by their paths. */
export async function unpackProject(
  at: string,
): Promise<Record<string, Uint8Array> | UnreadProject> {
  const bytes = new Uint8Array(await readFile(at));
  if (!isZip(bytes)) return { unread: 'It is no project file of Lettera.' };
  const { bytes: most, files } = PROJECT_FILE_LIMITS;
  try {
    const unpacked = unzip(
      bytes,
      { ...PROJECT_FILE_LIMITS },
      {
        tooMuch: () =>
          new RangeError(`It may come to ${most / 1024 / 1024} MB in ${files} files, unpacked.`),
        broken: () => new RangeError('It is damaged.'),
      },
    );
    // One that was cut short has no directory at its end, whatever came out of it.
    if (!hasDirectory(bytes)) return { unread: 'It is cut short.' };
    return Object.fromEntries(unpacked.map((file) => [file.path, file.bytes]));
  } catch (error) {
    if (error instanceof RangeError) return { unread: error.message };
    throw error;
  }
}

/** Whether a zip has the record that ends its directory, with nothing but a comment after it. */
function hasDirectory(bytes: Uint8Array): boolean {
  const [SIGNATURE, SIZE, LONGEST_COMMENT] = [[0x50, 0x4b, 0x05, 0x06], 22, 65_535];
  for (
    let at = bytes.length - SIZE;
    at >= Math.max(0, bytes.length - SIZE - LONGEST_COMMENT);
    at--
  ) {
    if (SIGNATURE.every((byte, i) => bytes[at + i] === byte)) return true;
  }
  return false;
}
