import { mkdir, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';

/**
 * Writes a bundle to a folder, file by file, as the zip has it.
 * @param contents what each file holds, by its path
 * @returns the paths written, relative to the folder
 */
export async function writeBundle(
  contents: Readonly<Record<string, string | Uint8Array>>,
  folder: string,
): Promise<string[]> {
  for (const [path, content] of Object.entries(contents)) {
    const target = join(folder, path);
    await mkdir(dirname(target), { recursive: true });
    await writeFile(target, content);
  }
  return Object.keys(contents);
}
