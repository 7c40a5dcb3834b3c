// `npm run engines`: the bundle in three browser engines, installing what is missing where it can.
import { ensureBuilt } from './build.mjs';
import { ensureChromium, ensureDebian, run, stop } from './install.mjs';

await ensureBuilt();
const chromium = ensureChromium();
if (!chromium) stop('There is no Chromium here. Name one with LETTERA_CHROMIUM.');
ensureDebian({
  '/usr/bin/firefox-esr': 'firefox-esr',
  '/usr/bin/WebKitWebDriver': 'webkit2gtk-driver',
  '/usr/bin/Xvfb': 'xvfb',
  '/usr/bin/fc-cache': 'fontconfig',
});
run(process.execPath, ['--import', 'tsx', 'e2e/engines/run.ts'], {
  env: { LETTERA_CHROMIUM: chromium },
});
