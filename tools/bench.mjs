// `npm run bench`: the benchmarks, as a table and as JSON; with `--against COMMIT` in turn with an earlier state.
import { ensureBuilt } from './build.mjs';
import { ensureChromium, run, stop } from './install.mjs';
import { flagValue } from './processes.mjs';

const args = process.argv.slice(2);
const against = flagValue(args, '--against');
const chromium = ensureChromium();
if (!chromium) stop('There is no Chromium to measure in. Name one with LETTERA_CHROMIUM.');
if (against) {
  const { compareWith } = await import('./against.mjs');
  const names = args.filter((arg, i) => !arg.startsWith('--') && !args[i - 1]?.startsWith('--'));
  compareWith(against, names, Number(flagValue(args, '--turns') ?? 3));
} else {
  await ensureBuilt();
  run(process.execPath, ['--import', 'tsx', 'bench/run.ts', ...args], {
    env: { LETTERA_CHROMIUM: chromium },
  });
}
