import { existsSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** Whether this runs from TypeScript sources or from one built file. */
export const fromSources = import.meta.url.endsWith('.ts');

/** The repository's root: from the sources the folder above, from `build/` the same. */
const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));

/** A folder of the server's sources that is needed at run time, and is not bundled. */
export const folder = (path: string): string => join(ROOT, 'server', path);

/** The built web application, or null when it has not been built. */
export function webFolder(): string | null {
  const built = join(ROOT, 'build/web');
  return existsSync(join(built, 'index.html')) ? built : null;
}

/** Which version of Lettera this is, as its package says. */
export const version = (): string =>
  (JSON.parse(readFileSync(join(ROOT, 'package.json'), 'utf8')) as { version: string }).version;
