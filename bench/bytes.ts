import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { formatUnicodeRange } from '@lettera/core/css';
import { cutOf, PACKED, type Cut } from '@lettera/core/deliver';
import { unpack } from '@lettera/core/font/file';
import { LANGUAGES, SCRIPTS, type Script } from '@lettera/core/script';
import { lettersTogether } from '@lettera/core/script/together';
import { openServices, readConfig, type Services } from '@lettera/server';
import { loadSample } from '../cli/loadSample';
import { Catalogue } from '../foundry/catalogue';
import { KEPT_NAME_IDS } from '../server/job/keptNames';
import { summarise, type Row } from './timing';

/** Debian's Python, whose packages have another subsetter (python3-fonttools, python3-brotli). */
const PYTHON = '/usr/bin/python3';

function hasOtherSubsetter(): boolean {
  try {
    execFileSync(PYTHON, ['-c', 'import fontTools, brotli'], { stdio: 'ignore' });
    return true;
  } catch {
    return false;
  }
}

/** Bytes of the same cut of a file as another subsetter makes it, its axes limited first. */
async function otherBytes(source: Uint8Array, { axes, characters }: Cut): Promise<number> {
  const folder = mkdtempSync(join(tmpdir(), 'lettera-'));
  try {
    const [whole, limited, cut] = ['whole.ttf', 'limited.ttf', 'cut.woff2'].map((name) =>
      join(folder, name),
    ) as [string, string, string];
    writeFileSync(whole, (await unpack(source)).sfnt);
    const limits = Object.entries(axes).map(([tag, [least, most]]) =>
      least === most ? `${tag}=${least}` : `${tag}=${least}:${most}`,
    );
    const run = (...args: string[]) =>
      execFileSync(PYTHON, ['-m', ...args], { stdio: ['ignore', 'ignore', 'pipe'] });
    if (limits.length > 0) run('fontTools.varLib.instancer', whole, ...limits, '-o', limited);
    run(
      'fontTools.subset',
      limits.length > 0 ? limited : whole,
      `--unicodes=${characters?.replaceAll(' ', '') ?? '*'}`,
      '--layout-features=*',
      `--name-IDs=${KEPT_NAME_IDS.join(',')}`,
      '--flavor=woff2',
      `--output-file=${cut}`,
    );
    return statSync(cut).size;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Bytes of the sample's font files, and each beside what another subsetter makes of the same cut. */
export async function bundleBytes(): Promise<Row[]> {
  const data = mkdtempSync(join(tmpdir(), 'lettera-'));
  const services = await openServices(readConfig({ data }, {}));
  try {
    const { files } = await services.deliveries.of(await loadSample(services));
    const fonts = files.flatMap((file) => (file.kind === 'font' ? [file] : []));
    const sum = (of: typeof fonts) => of.reduce((total, { bytes }) => total + bytes / 1000, 0);
    const withoutGreek = fonts.filter(({ path }) => !path.includes('-greek'));
    const rows = [
      summarise('font files of the sample', [sum(fonts)], 115, 'KB'),
      summarise('those for a page without Greek', [sum(withoutGreek)], 85, 'KB'),
    ];
    if (!hasOtherSubsetter()) {
      console.log('Another subsetter is not here (python3-fonttools, python3-brotli).');
      return rows;
    }
    const sources = await services.fonts.files(fonts.map(({ source }) => source));
    for (const { path, source, cut, bytes } of fonts) {
      const whole = sources.get(source);
      if (!whole || cut === null) continue;
      const other = await otherBytes(whole, cutOf(cut));
      rows.push(summarise(`${path}, times another subsetter’s`, [bytes / other], 1.01, '×'));
    }
    return [...rows, ...(await scriptBytes(services))];
  } finally {
    await services.close();
    rmSync(data, { recursive: true, force: true });
  }
}

/** The characters of a script that a site in a language of it needs at first: its alphabet, or what most texts have. */
function lettersAtFirst({ key, large }: Script): number[] {
  const [language] = LANGUAGES.filter(({ script }) => script === key);
  if (!language) return [];
  return large
    ? lettersTogether(language.tag).slice(0, 5).flat()
    : Array.from(language.characters, (letter) => letter.codePointAt(0) ?? 0);
}

/** One file of each script of the library, cut to its letters, beside what another subsetter makes of the same cut. */
async function scriptBytes(services: Services): Promise<Row[]> {
  const catalogue = await Catalogue.open();
  const rows: Row[] = [];
  for (const script of SCRIPTS) {
    const family = catalogue.families.find(
      ({ drawnFor, variable }) => drawnFor === script.key && (variable || script.large),
    );
    const file = family?.files.find(
      (one) => one.script === script.key && one.weightMin <= 400 && one.weightMax >= 400,
    );
    const letters = lettersAtFirst(script);
    if (!family || !file || letters.length === 0) continue;
    const whole = await catalogue.file(family.id, file.name);
    if (!whole) continue;
    const cut: Cut = {
      ...PACKED,
      axes: file.weightMin < file.weightMax ? { wght: [400, 700] } : {},
      characters: formatUnicodeRange(letters),
    };
    const own = await services.jobs.for('bench').derive({ bytes: whole, cut });
    const other = await otherBytes(whole, cut);
    rows.push(
      summarise(
        `${script.name}, ${family.name}: ${Math.round(own.byteLength / 1000)} KB, times another subsetter’s`,
        [own.byteLength / other],
        1.01,
        '×',
      ),
    );
  }
  return rows;
}
