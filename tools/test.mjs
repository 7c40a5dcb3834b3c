// `npm test`: installs what is missing, checks types and style, runs all tests, and ends with the count.
import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuilt } from './build.mjs';
import { checks } from './checks.mjs';
import { ensureChromium, ensurePackages, ROOT } from './install.mjs';
import { jestOf } from './jest.mjs';

const NO_BROWSER = process.env.LETTERA_CHROMIUM
  ? `The browser tests cannot run: LETTERA_CHROMIUM names ${process.env.LETTERA_CHROMIUM}, which is not there.`
  : 'The browser tests cannot run: there is no Chromium here, and Debian’s package manager cannot be used to install it. Name one with LETTERA_CHROMIUM.';

ensurePackages();

/** Jest's projects of one name, counted from its own report. */
function jest(project, env = {}) {
  console.log(`\nTests: ${project}`);
  const report = join(mkdtempSync(join(tmpdir(), 'lettera-test-')), 'report.json');
  const child = spawn(
    process.execPath,
    [
      ...jestOf(project),
      '--json',
      `--outputFile=${report}`,
      // A browser and the application that it drives keep two cores busy by themselves.
      ...(project === 'browser' ? ['--runInBand'] : ['--maxWorkers=2']),
      ...process.argv.slice(2),
    ],
    { cwd: ROOT, stdio: ['ignore', 'ignore', 'inherit'], env: { ...process.env, ...env } },
  );
  return new Promise((resolve) => {
    child.on('close', (status) => {
      if (!existsSync(report)) {
        resolve({ passed: 0, failed: 1 });
        return;
      }
      const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(
        readFileSync(report, 'utf8'),
      );
      const failed = numFailedTests + numRuntimeErrorTestSuites;
      resolve({ passed: numPassedTests, failed: failed || (status === 0 ? 0 : 1) });
    });
  });
}

const results = [await checks(), await jest('unit')];

await ensureBuilt();
const chromium = ensureChromium();
if (chromium) {
  results.push(await jest('browser', { LETTERA_CHROMIUM: chromium }));
} else {
  console.error(`\n${NO_BROWSER}`);
  results.push({ passed: 0, failed: 1 });
}

const sum = (key) => results.reduce((total, result) => total + result[key], 0);
console.log(`\n${sum('passed')} passed, ${sum('failed')} failed`);
process.exitCode = sum('failed') === 0 ? 0 : 1;
