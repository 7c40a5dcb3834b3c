// `npm run screenshots`: one picture of each main view, made from the sample project.
import { ensureBuilt } from './build.mjs';
import { ensureChromium, run, stop } from './install.mjs';

await ensureBuilt();
const chromium = ensureChromium();
if (!chromium) stop('There is no Chromium to take pictures with. Name one with LETTERA_CHROMIUM.');
run(process.execPath, ['--import', 'tsx', 'e2e/screenshots.ts'], {
  env: { LETTERA_CHROMIUM: chromium },
});
