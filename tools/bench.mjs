// `npm run bench`: the benchmarks, as a table and as JSON.
import { ensureBuilt } from './build.mjs';
import { ensureChromium, run, stop } from './install.mjs';

await ensureBuilt();
const chromium = ensureChromium();
if (!chromium) stop('There is no Chromium to measure in. Name one with LETTERA_CHROMIUM.');
run(process.execPath, ['--import', 'tsx', 'bench/run.ts', ...process.argv.slice(2)], {
  env: { LETTERA_CHROMIUM: chromium },
});
