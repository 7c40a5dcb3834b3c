// `npm test`: installs what is missing, checks types and style, runs all tests, and ends with the count.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, existsSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuilt } from './build.mjs';
import { ensureChromium, ensurePackages, ROOT } from './install.mjs';

const NO_BROWSER = process.env.LETTERA_CHROMIUM
  ? `The browser tests cannot run: LETTERA_CHROMIUM names ${process.env.LETTERA_CHROMIUM}, which is not there.`
  : 'The browser tests cannot run: there is no Chromium here, and Debian’s package manager cannot be used to install it. Name one with LETTERA_CHROMIUM.';

const bin = (name) => join(ROOT, 'node_modules/.bin', name);

ensurePackages();

/** A check that passes or fails as a whole. */
function check(title, command, args) {
  console.log(`\n${title}`);
  const { status } = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit' });
  return { passed: status === 0 ? 1 : 0, failed: status === 0 ? 0 : 1 };
}

/** Jest's projects of one name, counted from its own report. */
function jest(project, env = {}) {
  console.log(`\nTests: ${project}`);
  const report = join(mkdtempSync(join(tmpdir(), 'lettera-test-')), 'report.json');
  const { status } = spawnSync(
    process.execPath,
    [
      '--experimental-vm-modules',
      '--disable-warning=ExperimentalWarning',
      join(ROOT, 'node_modules/jest/bin/jest.js'),
      '--selectProjects',
      project,
      // A test that fails half way may leave a server open; the run ends all the same.
      '--forceExit',
      '--json',
      `--outputFile=${report}`,
      ...(project === 'browser' ? ['--runInBand'] : []),
      ...process.argv.slice(2),
    ],
    { cwd: ROOT, stdio: ['ignore', 'ignore', 'inherit'], env: { ...process.env, ...env } },
  );
  if (!existsSync(report)) return { passed: 0, failed: 1 };
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(
    readFileSync(report, 'utf8'),
  );
  const failed = numFailedTests + numRuntimeErrorTestSuites;
  return { passed: numPassedTests, failed: failed || (status === 0 ? 0 : 1) };
}

const results = [
  check('Types', bin('tsc'), ['--noEmit']),
  check('Types of the web application', bin('vue-tsc'), ['--noEmit', '-p', 'web']),
  check('Lint', bin('eslint'), ['.']),
  check('Format', bin('prettier'), ['--check', '--log-level', 'warn', '.']),
  jest('unit'),
];

await ensureBuilt();
const chromium = ensureChromium();
if (chromium) {
  results.push(jest('browser', { LETTERA_CHROMIUM: chromium }));
} else {
  console.error(`\n${NO_BROWSER}`);
  results.push({ passed: 0, failed: 1 });
}

const sum = (key) => results.reduce((total, result) => total + result[key], 0);
console.log(`\n${sum('passed')} passed, ${sum('failed')} failed`);
process.exitCode = sum('failed') === 0 ? 0 : 1;
