// `npm run demo`: installs, builds, loads the sample project, starts the foundry and the application.
import { ensureBuilt } from './build.mjs';
import { startProgram } from './processes.mjs';

await ensureBuilt();
await startProgram('build/lettera.mjs', ['demo', ...process.argv.slice(2)]);
