// `npm run check`: types, lint, format, and the unit tests of what changed since the last commit.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { checks } from './checks.mjs';
import { ensurePackages, ROOT } from './install.mjs';

ensurePackages();
const { failed } = await checks();
const { status } = spawnSync(
  process.execPath,
  [
    '--experimental-vm-modules',
    '--disable-warning=ExperimentalWarning',
    join(ROOT, 'node_modules/jest/bin/jest.js'),
    '--selectProjects',
    'unit',
    '--onlyChanged',
    '--passWithNoTests',
    '--forceExit',
    '--maxWorkers=2',
    ...process.argv.slice(2),
  ],
  { cwd: ROOT, stdio: 'inherit' },
);
process.exitCode = failed === 0 && status === 0 ? 0 : 1;
