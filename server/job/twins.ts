import { existsSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import type { LocalVariant } from '@lettera/core/fallback';

const require = createRequire(import.meta.url);

/** A file of an open font that has a local font's advance widths. */
export interface TwinFile {
  script: string;
  unicodeRange: string;
  path: string;
}

/** Files that letters of alphabets are in; those of a font of another script are that script's alone. */
const SCRIPTS = ['latin', 'latin-ext', 'vietnamese', 'greek', 'cyrillic'];

const STYLES: Record<LocalVariant, string> = {
  regular: '400-normal',
  bold: '700-normal',
  italic: '400-italic',
  boldItalic: '700-italic',
};

/** Where a package stands; null for one that is not there. */
function folderOf(twin: string): string | null {
  try {
    return dirname(require.resolve(`@fontsource/${twin}/package.json`));
  } catch {
    return null;
  }
}

/** The files of a twin in one of its four styles, a file a script; none for a twin that is not there. */
export function twinFiles(twin: string | null, variant: LocalVariant, script?: string): TwinFile[] {
  if (!twin || !/^[a-z-]+$/.test(twin)) return [];
  const folder = folderOf(twin);
  if (folder === null) return [];
  const ranges = JSON.parse(readFileSync(join(folder, 'unicode.json'), 'utf8')) as Record<
    string,
    string
  >;
  return (script ? [script] : SCRIPTS)
    .map((of) => ({
      script: of,
      unicodeRange: ranges[of] ?? 'U+0-10FFFF',
      path: join(folder, 'files', `${twin}-${of}-${STYLES[variant]}.woff2`),
    }))
    .filter(({ path }) => existsSync(path));
}
