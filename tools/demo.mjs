// `npm run demo`: installs, builds, loads the sample project, starts the foundry and the application.
import { ensureBuilt } from './build.mjs';
import { flagValue, startProgram } from './processes.mjs';

await ensureBuilt();
const args = process.argv.slice(2);
const foundryPort = flagValue(args, '--foundry-port');
await startProgram('build/foundry.mjs', [], {
  env: foundryPort ? { LETTERA_FOUNDRY_PORT: foundryPort } : {},
  quiet: true,
});
await startProgram('build/lettera.mjs', ['start', '--sample', ...args]);
