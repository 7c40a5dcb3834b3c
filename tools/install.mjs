// Installs what is missing. Plain Node: it runs before node_modules exists.
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));

/** Ends the script with a plain message. */
export function stop(message) {
  console.error(message);
  process.exit(1);
}

/** Runs a command in the root, showing its output; ends the script when it fails. */
export function run(command, args, { env, quiet = false } = {}) {
  const { status, error } = spawnSync(command, args, {
    cwd: ROOT,
    stdio: quiet ? 'ignore' : 'inherit',
    env: { ...process.env, ...env },
  });
  if (error || status !== 0) {
    stop(`“${command} ${args.join(' ')}” failed${error ? `: ${error.message}` : ''}.`);
  }
}

/**
 * Packages of the lock file that are not there in the version it names: at the root, and in any workspace.
 * What npm notes of an installation is not asked: a package that has gone since stands in it all the same.
 */
export function missingPackages(root = ROOT) {
  const { packages } = JSON.parse(readFileSync(join(root, 'package-lock.json'), 'utf8'));
  return Object.entries(packages)
    .filter(([path, { optional, peer, link }]) => {
      if (!path.includes('node_modules/') || optional || peer) return false;
      const manifest = join(root, path, 'package.json');
      if (!existsSync(manifest)) return true;
      if (link) return false;
      return JSON.parse(readFileSync(manifest, 'utf8')).version !== packages[path].version;
    })
    .map(([path]) => path);
}

/** Installs the packages of the lock file when they are not there. */
export function ensurePackages() {
  const [major] = process.versions.node.split('.').map(Number);
  if (major < 20) stop(`Lettera needs Node 20 or later; this is Node ${process.versions.node}.`);
  if (missingPackages().length === 0) return;
  console.log('Installing packages …');
  // Not `npm ci`: it fails where a registry lacks the packages for other systems than this one.
  run('npm', ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel=error']);
}

const CHROMIUM_PLACES = ['/usr/bin/chromium', '/usr/bin/chromium-browser'];

/** The browser of the tests: LETTERA_CHROMIUM, or Debian's. Null when there is none. */
export function findChromium() {
  const named = process.env.LETTERA_CHROMIUM;
  if (named) return existsSync(named) ? named : null;
  return CHROMIUM_PLACES.find((path) => existsSync(path)) ?? null;
}

/** Finds a browser, installing Debian's where its package manager can be used; null when it cannot. */
export function ensureChromium() {
  const found = findChromium();
  if (found || process.env.LETTERA_CHROMIUM) return found;
  ensureDebian({ '/usr/bin/chromium': 'chromium' });
  return findChromium();
}

/**
 * Installs Debian's packages for programs that are missing, where its package manager can be used.
 * @param {Record<string, string>} packages by the program that each brings
 */
export function ensureDebian(packages) {
  const missing = Object.entries(packages).filter(([path]) => !existsSync(path));
  const isRoot = process.getuid?.() === 0;
  if (missing.length === 0 || !isRoot || !existsSync('/usr/bin/apt-get')) return;
  const names = missing.map(([, name]) => name);
  console.log(`Installing ${names.join(', ')} from Debian’s packages …`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const options = { stdio: ['ignore', 'ignore', 'inherit'], env };
  spawnSync('apt-get', ['update', '-q'], options);
  spawnSync('apt-get', ['install', '-q', '-y', '--no-install-recommends', ...names], options);
}
