// Builds the server, the command, the foundry and the web application into build/.
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { promisify } from 'node:util';
import { brotliCompress, gzip } from 'node:zlib';
import { ensurePackages, ROOT, run } from './install.mjs';
import { newestOf, program } from './program.mjs';

const STAMP = join(ROOT, 'build/stamp.json');
const SOURCES = ['core', 'server', 'foundry', 'sample', 'web', 'cli', 'tools', 'package-lock.json'];

const sourcesState = () => newestOf(SOURCES);

const isBuilt = () =>
  existsSync(STAMP) && JSON.parse(readFileSync(STAMP, 'utf8')).sources === sourcesState();

async function buildPrograms() {
  const { build } = await import('esbuild');
  await build({
    ...program(),
    entryPoints: {
      lettera: 'cli/main.ts',
      worker: 'server/job/worker.ts',
      foundry: 'foundry/main.ts',
    },
    outdir: 'build',
    outExtension: { '.js': '.mjs' },
    sourcemap: true,
  });
}

async function buildWeb() {
  const { build } = await import('vite');
  await build({ root: join(ROOT, 'web'), logLevel: 'warn' });
}

/** The reader stands alone, and is shown in full where it is offered: it is not made smaller. */
export const READER = {
  absWorkingDir: ROOT,
  entryPoints: ['web/reader/script.ts'],
  outfile: 'build/web/reader.js',
  bundle: true,
  format: 'iife',
  target: 'es2022',
  charset: 'utf8',
  logLevel: 'warning',
};

/** What pages of the running site have beside the live sheet: the script that follows it, small, and what is done there. */
export const LIVE = {
  absWorkingDir: ROOT,
  entryPoints: { lettera: 'web/live/sheet.ts', tools: 'web/live/tools.ts' },
  outdir: 'build/web/live',
  bundle: true,
  minify: true,
  format: 'iife',
  target: 'es2022',
  charset: 'utf8',
  logLevel: 'warning',
  tsconfigRaw: { compilerOptions: { experimentalDecorators: true } },
};

async function buildReader() {
  const { build } = await import('esbuild');
  await build(LIVE);
  await build(READER);
  // What the command runs in a browser that it drives.
  await build({
    absWorkingDir: ROOT,
    entryPoints: ['web/reader/takeStock.ts'],
    outfile: 'build/takeStock.js',
    bundle: true,
    format: 'iife',
    globalName: 'letteraStock',
    target: 'es2022',
    charset: 'utf8',
    logLevel: 'warning',
    tsconfigRaw: { compilerOptions: { experimentalDecorators: true } },
  });
}

/** Files smaller than this are sent as they are, bytes. */
const PACKED_FROM = 1000;

/** What is loaded by every page lies packed beside itself: the server packs nothing anew for each visit. */
async function packAssets() {
  const folder = join(ROOT, 'build/web/assets');
  await Promise.all(
    readdirSync(folder)
      .filter((name) => /\.(js|css|svg)$/.test(name))
      .map(async (name) => {
        const path = join(folder, name);
        const plain = readFileSync(path);
        if (plain.length < PACKED_FROM) return;
        writeFileSync(`${path}.br`, await promisify(brotliCompress)(plain));
        writeFileSync(`${path}.gz`, await promisify(gzip)(plain, { level: 9 }));
      }),
  );
}

async function build() {
  console.log('Building …');
  const sources = sourcesState();
  await buildWeb();
  await buildReader();
  await packAssets();
  await buildPrograms();
  writeFileSync(STAMP, JSON.stringify({ sources }));
}

const SELF = fileURLToPath(import.meta.url);

/**
 * Builds when a source is newer than the last build: in a process of its own, which takes what building
 * holds of memory along when it ends.
 */
export async function ensureBuilt() {
  ensurePackages();
  if (!isBuilt()) run(process.execPath, [SELF]);
}

if (import.meta.url === pathToFileURL(process.argv[1]).href) {
  ensurePackages();
  if (!isBuilt()) await build();
}
