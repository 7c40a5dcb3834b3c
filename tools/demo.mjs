// `npm run demo`: installs, builds, loads the sample project, starts the foundry and the application.
import { ensureBuilt } from './build.mjs';
import { startFoundry, startProgram } from './processes.mjs';

await ensureBuilt();
const args = process.argv.slice(2);
await startFoundry('build/foundry.mjs', args);
await startProgram('build/lettera.mjs', ['start', '--settled-sample', ...args]);
