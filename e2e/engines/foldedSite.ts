import { launchBrowser, newPage } from '../browser';
import { foldScripts, servedScripts } from '../foldedScripts';
import { startLettera } from '../lettera';
import { ask } from '../project';
import { serveSite } from '../site';
import { FAMILY_OF, SITE_LANGUAGES } from '../sites/fiveScripts';
import { ENGINES } from './engine';

/** Texts whose letters are all of the page's script. */
const TEXTS = ['h1', '.lead', 'p:not([class])', 'h2', 'blockquote p', '.button'];

/**
 * Whether the longest word of each text is as wide as in the family of its script, and not as without it: no engine but
 * one says which face draws a text. Of spaces and stops, engines choose the face each in their own way.
 */
const reading = (family: string, own: boolean) => `async () => {
  const wide = (node, families) => {
    const copy = document.createElement('span');
    copy.textContent = node.textContent.split(/[^\\p{L}\\p{M}]+/u).sort((a, b) => b.length - a.length)[0];
    const style = getComputedStyle(node);
    for (const name of ['fontWeight', 'fontStyle', 'letterSpacing']) copy.style[name] = style[name];
    copy.style.cssText += 'position:absolute;white-space:nowrap;font-size:100px;';
    copy.style.fontFamily = families ?? style.fontFamily;
    node.append(copy);
    const { width } = copy.getBoundingClientRect();
    copy.remove();
    return width;
  };
  const faults = [];
  const nodes = ${JSON.stringify(TEXTS)}.map((one) => document.querySelector('main ' + one));
  const look = () => nodes.map((node) => [
    wide(node), wide(node, '"${family}", Literata'), wide(node, 'Literata, monospace'),
  ]);
  // A copy asks for faces by itself: they are there once all is measured alike twice.
  let last = '';
  for (let i = 0; i < 200; i++) {
    await document.fonts.ready;
    const now = JSON.stringify(look());
    if (i > 3 && now === last && document.fonts.status === 'loaded') break;
    last = now;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  const alike = look().filter(([there, within, without], i) => {
    const name = ${JSON.stringify(TEXTS)}[i];
    if (Math.abs(there - within) > 1)
      faults.push(name + ' is ' + there + ' px wide, in its family ' + within);
    return Math.abs(there - without) < 1;
  });
  // One word may well be as wide in another face.
  if (${!own} && alike.length > 1) faults.push(alike.length + ' texts are as wide without it');
  return faults;
}`;

/**
 * Holds, in each engine, that a site of five scripts which was taken stock of, folded and delivered is set in the
 * family of each script. @returns how much did not hold
 */
export async function foldedSiteInEngines(): Promise<number> {
  const lettera = await startLettera();
  const browser = await launchBrowser();
  let faults = 0;
  try {
    const { slug } = await ask<{ slug: string }>(lettera, '/projects', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ name: 'Boats in five scripts' }),
    });
    const { page } = await newPage(browser);
    await foldScripts(lettera, page, slug);
    const site = await serveSite(lettera, slug, '', servedScripts());
    for (const { name, start } of ENGINES) {
      const engine = await start();
      if (!engine) continue;
      try {
        for (const language of SITE_LANGUAGES) {
          const family = FAMILY_OF[language];
          const found = await engine.ask<string[]>(
            `${site.url}${language === 'en' ? 'index' : language}.html`,
            reading(family, language === 'en'),
          );
          faults += found.length;
          const holds = found.length === 0 ? 'holds' : 'FAILS';
          console.log([holds, name.padEnd(9), `folded, ${language} in ${family}`].join('  '));
          for (const line of found) console.log(`       ${line}`);
        }
      } finally {
        await engine.close();
      }
    }
    await site.close();
  } finally {
    await browser.close();
    await lettera.close();
  }
  return faults;
}
