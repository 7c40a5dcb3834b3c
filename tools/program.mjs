// How the programs are bundled: all of Lettera's own in one file, which starts in a third of the time.
import {
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './install.mjs';

/** The newest change to a source, milliseconds. */
function newestSource(path) {
  const { mtimeMs } = statSync(path);
  if (!statSync(path).isDirectory()) return mtimeMs;
  return readdirSync(path)
    .filter((name) => name !== 'node_modules')
    .reduce((newest, name) => Math.max(newest, newestSource(join(path, name))), mtimeMs);
}

/** The newest change in folders and files of the repository, milliseconds. */
export const newestOf = (names) => Math.max(...names.map((name) => newestSource(join(ROOT, name))));

/** Packages of many small files: found and opened one by one, they would take a third of the time that a start takes. */
const TAKEN_IN = ['@sinclair/typebox', 'class-validator', 'css-tree', 'culori', 'drizzle-orm'];

/** Packages that a built program loads from node_modules, each with the version that its workspace asks for. */
export function loadedPackages() {
  const asked = ['core', 'server', 'foundry', 'sample', 'cli'].flatMap((workspace) =>
    Object.entries(
      JSON.parse(readFileSync(join(ROOT, workspace, 'package.json'), 'utf8')).dependencies ?? {},
    ),
  );
  return Object.fromEntries(
    asked
      .filter(([name]) => !name.startsWith('@lettera/') && !TAKEN_IN.includes(name))
      .sort(([a], [b]) => a.localeCompare(b)),
  );
}

/** Settings of the bundler for a program that runs in Node: other packages are loaded from node_modules. */
export const program = () => ({
  absWorkingDir: ROOT,
  bundle: true,
  platform: 'node',
  target: 'node20',
  format: 'esm',
  external: Object.keys(loadedPackages()),
  logLevel: 'warning',
});

const BUNDLES = join(ROOT, 'node_modules/.cache/lettera');

/** The worker of the sources as they are, in one file, which is made when there is none of them. @returns its path */
export async function bundledWorker() {
  const name = `worker-${newestOf(['core', 'server', 'sample'])}.mjs`;
  const bundle = join(BUNDLES, name);
  if (existsSync(bundle)) return bundle;
  const { build } = await import('esbuild');
  mkdirSync(BUNDLES, { recursive: true });
  for (const old of readdirSync(BUNDLES).filter((one) => one.startsWith('worker-'))) {
    rmSync(join(BUNDLES, old), { force: true });
  }
  // Processes that begin at once each make their own, and the last stays.
  const made = join(BUNDLES, `${process.pid}.mjs`);
  await build({ ...program(), entryPoints: ['server/job/worker.ts'], outfile: made });
  renameSync(made, bundle);
  return bundle;
}
