// `npm run check`: types, lint, format, and the unit tests of what changed since the last commit.
import { spawnSync } from 'node:child_process';
import { checks } from './checks.mjs';
import { ensurePackages, ROOT } from './install.mjs';
import { jestOf } from './jest.mjs';

ensurePackages();
const { failed } = await checks();
const { status } = spawnSync(
  process.execPath,
  [
    ...jestOf('unit'),
    '--onlyChanged',
    '--passWithNoTests',
    '--maxWorkers=2',
    ...process.argv.slice(2),
  ],
  { cwd: ROOT, stdio: 'inherit' },
);
process.exitCode = failed === 0 && status === 0 ? 0 : 1;
