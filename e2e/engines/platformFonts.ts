import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { homedir } from 'node:os';
import { join } from 'node:path';
import { localSet, VARIANTS, type LocalVariant } from '@lettera/core/fallback';
import { unpack } from '../../core/font/container';
import { renamed } from '../../core/font/testing/sfnt';
import { twinFiles } from '../../server/job/twins';

/** Where the content processes of all engines read fonts of the user's own. */
const FOLDER = join(homedir(), '.local/share/fonts/lettera-engines');

const STYLE_NAMES: Record<LocalVariant, string> = {
  regular: 'Regular',
  bold: 'Bold',
  italic: 'Italic',
  boldItalic: 'Bold Italic',
};

/**
 * Stands the open twins in for platform fonts, under those fonts' names, as long as something runs: a test
 * machine has none of them. They are made for it and taken away after.
 * @param keys sets of local fonts; the one that leads each is made
 */
export async function withPlatformFonts<T>(
  keys: readonly string[],
  run: () => Promise<T>,
): Promise<T> {
  rmSync(FOLDER, { recursive: true, force: true });
  mkdirSync(FOLDER, { recursive: true });
  try {
    for (const key of keys) {
      const set = localSet(key);
      for (const variant of VARIANTS) {
        const [full = '', postScript = full] = set?.fonts[0]?.localNames[variant] ?? [];
        const file = twinFiles(set?.twin ?? null, variant).find(({ script }) => script === 'latin');
        if (!set || !full || !file) continue;
        const { sfnt } = await unpack(readFileSync(file.path));
        const names = { family: set.name, style: STYLE_NAMES[variant], full, postScript };
        writeFileSync(join(FOLDER, `${postScript}.ttf`), renamed(sfnt, names));
      }
    }
    spawnSync('fc-cache', ['-f', FOLDER]);
    return await run();
  } finally {
    rmSync(FOLDER, { recursive: true, force: true });
    spawnSync('fc-cache', ['-f']);
  }
}
