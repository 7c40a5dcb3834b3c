import { createHash } from 'node:crypto';
import { mkdir, rename, rm, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';

type Contents = Readonly<Record<string, string | Uint8Array>>;

const hashOf = (content: string | Uint8Array): string =>
  createHash('sha256').update(content).digest('hex');

/** The style sheet names the font files: it is put there once they are. */
const inOrder = (paths: readonly string[]): string[] =>
  [...paths].sort((a, b) => Number(a.endsWith('.css')) - Number(b.endsWith('.css')));

/**
 * A bundle in a folder, which is written anew as the project changes: just what changed, each file whole or not at
 * all, the style sheet once the files are there that it names.
 */
export class BundleFolder {
  /** Hashes of what was written, by path. */
  readonly #written = new Map<string, string>();

  constructor(private readonly folder: string) {}

  /**
   * Writes what is not there as it is to be, and takes away what was written here and is of the bundle no more.
   * @param contents what each file holds, by its path
   * @returns the paths written, and those taken away
   */
  async write(contents: Contents): Promise<{ written: string[]; gone: string[] }> {
    const written = inOrder(
      Object.keys(contents).filter(
        (path) => this.#written.get(path) !== hashOf(contents[path] ?? ''),
      ),
    );
    const beside = (path: string): string => join(this.folder, `${path}.new-${process.pid}`);
    try {
      for (const path of written) {
        await mkdir(dirname(join(this.folder, path)), { recursive: true });
        await writeFile(beside(path), contents[path] ?? '');
      }
    } catch (error) {
      // Of a bundle that cannot be written whole nothing is put in place.
      await Promise.all(written.map((path) => rm(beside(path), { force: true })));
      throw error;
    }
    for (const path of written) {
      await rename(beside(path), join(this.folder, path));
      this.#written.set(path, hashOf(contents[path] ?? ''));
    }
    const gone = [...this.#written.keys()].filter((path) => !(path in contents));
    for (const path of gone) {
      await rm(join(this.folder, path), { force: true });
      this.#written.delete(path);
    }
    return { written, gone };
  }
}

/**
 * Writes a bundle to a folder, file by file, as the zip has it.
 * @param contents what each file holds, by its path
 * @returns the paths written, relative to the folder
 */
export async function writeBundle(contents: Contents, folder: string): Promise<string[]> {
  await new BundleFolder(folder).write(contents);
  return Object.keys(contents);
}
