// `npm start`: the application alone, for use.
import { ensureBuilt } from './build.mjs';
import { startProgram } from './processes.mjs';

await ensureBuilt();
await startProgram('build/lettera.mjs', ['start', ...process.argv.slice(2)]);
