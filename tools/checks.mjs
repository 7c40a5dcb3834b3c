// Types, lint and format: at once, each with a cache of what it saw last, so that only what changed is seen again.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ROOT } from './install.mjs';

const bin = (name) => join(ROOT, 'node_modules/.bin', name);
const CACHE = 'node_modules/.cache';

const CHECKS = [
  ['Types', 'tsc', ['--noEmit', '--incremental', '--tsBuildInfoFile', `${CACHE}/types.json`]],
  [
    'Types of the web application',
    'vue-tsc',
    ['--noEmit', '-p', 'web', '--incremental', '--tsBuildInfoFile', `${CACHE}/types-web.json`],
  ],
  ['Lint', 'eslint', ['.', '--cache', '--cache-location', `${CACHE}/eslint/`]],
  [
    'Format',
    'prettier',
    [
      '--check',
      '--log-level',
      'warn',
      '--cache',
      '--cache-location',
      `${CACHE}/prettier.json`,
      '.',
    ],
  ],
];

/** Runs one check; what it says is shown once it has ended, so that two do not speak at once. */
function check([title, command, args]) {
  const child = spawn(bin(command), args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] });
  let said = '';
  for (const stream of [child.stdout, child.stderr]) {
    stream.setEncoding('utf8').on('data', (text) => (said += text));
  }
  return new Promise((resolve) => {
    child.on('close', (status) => {
      const passed = status === 0;
      console.log(`${title}: ${passed ? 'passed' : 'failed'}`);
      if (said.trim()) console.log(said.trim());
      resolve(passed);
    });
  });
}

/** Runs all checks. @returns how many passed and failed */
export async function checks() {
  const passed = (await Promise.all(CHECKS.map(check))).filter(Boolean).length;
  return { passed, failed: CHECKS.length - passed };
}
