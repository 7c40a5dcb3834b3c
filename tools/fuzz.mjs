// `npm run fuzz`: the properties and mutated files of the tests in their thousands, of which every test run tries 200.
import { execFileSync, spawnSync } from 'node:child_process';
import { ensureBuilt } from './build.mjs';
import { ensureChromium, ensurePackages, ROOT, stop } from './install.mjs';
import { jestOf } from './jest.mjs';

ensurePackages();
const chromium = ensureChromium();
if (!chromium) stop('There is no Chromium to try selectors in. Name one with LETTERA_CHROMIUM.');
await ensureBuilt();
const files = execFileSync('git', ['grep', '-l', 'testing/runs', '--', '*.test.ts'], { cwd: ROOT })
  .toString()
  .trim()
  .split('\n');
const failed = ['unit', 'browser'].filter((project) => {
  const own = files.filter((path) => path.startsWith('e2e/') === (project === 'browser'));
  const { status } = spawnSync(process.execPath, [...jestOf(project), '--runInBand', ...own], {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, LETTERA_FUZZ: 'all', LETTERA_CHROMIUM: chromium },
  });
  return status !== 0;
});
process.exitCode = failed.length > 0 ? 1 : 0;
