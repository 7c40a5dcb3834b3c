import { join } from 'node:path';
import { ROOT } from './install.mjs';

/**
 * What Node is given to run the tests of one of Jest's projects. A test that fails half way may leave a server
 * open; the run ends all the same.
 */
export const jestOf = (project) => [
  '--experimental-vm-modules',
  '--disable-warning=ExperimentalWarning',
  join(ROOT, 'node_modules/jest/bin/jest.js'),
  '--selectProjects',
  project,
  '--forceExit',
];
