import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

const require = createRequire(import.meta.url);

/** Files of a site by their paths; its page is the first. */
export type SiteFiles = Record<string, string | Buffer>;

export const packaged = (name: string, path: string): Buffer =>
  readFileSync(join(dirname(require.resolve(`${name}/package.json`)), path));

const head = (title: string, ...links: string[]): string =>
  `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${title}</title>${links
    .map((link) => `<link rel="stylesheet" href="${link}">`)
    .join('')}</head>`;

const LOG =
  'The glass fell all day without hurry, and by six we could no longer stand on the gallery. ';

/** Everything in px, with ids, importance and style attributes against one another. */
const px = (): SiteFiles => ({
  'index.html': `${head('The boat', 'boat.css')}<body><div id="top"><h1>The boat to Tarnholm</h1><p class="lead">It goes on Fridays.</p></div>
<main><h2>Times</h2><p>${LOG.repeat(5)}</p><p style="font-size: 17px">Bring a coat.</p><h3>Fares</h3>
<ul><li>One way, <b>€ 12</b></li><li class="small">Under six, nothing</li></ul><p class="note">No dogs in <i>May</i>.</p>
<button>Book</button></main><footer><p>Tarnholm Light Trust</p></footer></body></html>`,
  'boat.css': `body { font: 15px/22px Verdana, sans-serif; color: #222; background: #fff }
h1 { font-size: 34px } #top h1 { font-size: 36px; letter-spacing: -0.5px } h2 { font-size: 22px; font-weight: 400 }
h3 { font-size: 21px; font-weight: 400 } .lead { font-size: 18px !important } .small { font-size: 12px }
.note { font-size: 13px; color: #999 } footer p { font-size: 12px } button { font: bold 14px Arial }`,
});

/** Sizes that run with the viewport and with containers, in layers, nested, with named values. */
const fluid = (): SiteFiles => ({
  'index.html': `${head('Stay with us', 'css/all.css')}<body><header><a class="mark" href="/">Tarnholm</a><nav><a href="/a">Rooms</a> <a href="/b">Prices</a></nav></header>
<main><h1>Sleep under the light</h1><p class="lead">Four rooms in the keepers’ house.</p><div class="cards">
<article><h2>The west room</h2><p>${LOG.repeat(2)}</p><p class="price">€ 84</p></article>
<article><h2>The loft</h2><p>Reached by a ladder.</p><p class="price">€ 52</p></article></div>
<details open><summary>What to bring</summary><p>Boots, and something to read.</p></details></main></body></html>`,
  'css/all.css': `@import "base.css" layer(base);
@layer parts { .cards { display: grid; grid-template-columns: repeat(auto-fit, minmax(16rem, 1fr)); gap: 1rem }
article { container-type: inline-size; & h2 { font-size: clamp(1.1rem, 0.8rem + 4cqi, 1.8rem) } & .price { font-weight: 650 } } }
@media (min-width: 48rem) { nav a { letter-spacing: 0.02em; text-transform: uppercase } }
@container (min-width: 400px) { article p { line-height: 1.7 } }`,
  'css/base.css': `:root { --step: clamp(1rem, 0.9rem + 0.4vw, 1.2rem); --ink: #1b2a2f }
body { font: var(--step)/1.6 "Iowan Old Style", Georgia, serif; color: var(--ink); margin: 1rem }
h1 { font-size: calc(var(--step) * 2.4); line-height: 1.05 } .lead { font-size: 1.25em }
nav a, .mark { font-family: system-ui, sans-serif; font-size: 0.9rem } summary { font-weight: 600 }`,
});

/** Sizes that forty hands have typed, most of the text in a few. */
export function fortyOddSizes(): SiteFiles {
  const near = (base: number, by: number[]) => by.map((off) => Number((base + off).toFixed(1)));
  const sizes = [
    ...near(16, [0, 0.2, -0.3, 0.5, 0.8, -0.6, 0.4, -0.1]),
    ...near(13.6, [0, 0.3, -0.4, 0.6, -0.7]),
    ...near(20, [0, -0.6, 0.7, 0.3, -0.2]),
    ...near(24.4, [0, 0.6, -0.8, 0.3]),
    ...near(30, [0, -0.9, 0.8, 0.4]),
    ...near(37.5, [0, 0.7, -0.6]),
    ...near(46, [0, 0.9, -0.9]),
    ...near(11.4, [0, 0.3, -0.2]),
    // What belongs to nothing.
    8.3,
    61,
    72.5,
    88,
    53,
  ];
  const lengths = (i: number): number => (i < 8 ? 14 : i < 18 ? 6 : i < 35 ? 2 : 0);
  return {
    'index.html': `${head('The log', 'log.css')}<body><main>${sizes
      .map(
        (_, i) => `<p class="t${i + 1}">${lengths(i) ? LOG.repeat(lengths(i)).trim() : 'Fog.'}</p>`,
      )
      .join('\n')}</main></body></html>`,
    'log.css': `body { font-family: Georgia, serif; line-height: 1.5 }\n${sizes
      .map((size, i) => `.t${i + 1} { font-size: ${size}px }`)
      .join('\n')}`,
  };
}

/** A long read with figures and two scripts, in fonts of its own, some of which are declared and never come. */
const longRead = (): SiteFiles => ({
  'read/index.html': `${head('The tides', '../type/read.css')}<body><article><h1>The moon’s share</h1><p class="by">By the second keeper</p>
${`<p>${LOG.repeat(6)}Its sign is <span lang="el">Κύμα, λμνρσφψ</span>, and <em>Þokuljós</em> answers.</p>`.repeat(6)}
<figure><figcaption>Tarnholm from the south-east, <time>1861</time></figcaption></figure>
<blockquote><p>Wind came round at four.</p></blockquote>
<table><thead><tr><th>Hour</th><th>Height</th></tr></thead><tbody><tr><td>12.00</td><td class="n">3.4</td></tr></tbody></table>
<pre><code>GET /tides/TH-7</code></pre><p class="end" hidden>Not shown.</p></article></body></html>`,
  'type/read.css': `@font-face { font-family: Literata; src: url(fonts/latin.woff2); font-weight: 200 900; unicode-range: U+0-3FF }
@font-face { font-family: Literata; src: url(fonts/greek.woff2); font-weight: 200 900; unicode-range: U+370-3FF }
@font-face { font-family: Literata; src: url(fonts/italic.woff2); font-weight: 200 900; font-style: italic }
@font-face { font-family: Onest; src: url(fonts/none.woff2) }
@font-face { font-family: Lora; src: url(fonts/lora.woff2); font-weight: 400 700 }
body { font: 1.0625rem/1.62 Literata, Georgia, serif; max-width: 38rem; margin: auto }
h1 { font: 700 2.6rem/1.1 Onest, sans-serif } .by { font-variant: small-caps; font-size: 0.9em }
figcaption, td, th { font-size: 0.85rem } .n { font-variant-numeric: tabular-nums } code { font-family: Litterata, monospace }`,
  'type/fonts/latin.woff2': packaged(
    '@fontsource-variable/literata',
    'files/literata-latin-wght-normal.woff2',
  ),
  'type/fonts/greek.woff2': packaged(
    '@fontsource-variable/literata',
    'files/literata-greek-wght-normal.woff2',
  ),
  'type/fonts/italic.woff2': packaged(
    '@fontsource-variable/literata',
    'files/literata-latin-wght-italic.woff2',
  ),
  'type/fonts/lora.woff2': packaged(
    '@fontsource-variable/lora',
    'files/lora-latin-wght-normal.woff2',
  ),
});

const framework = (): SiteFiles => ({
  'index.html': `${head('On a framework', 'framework.css')}${readFileSync('e2e/sites/everything.html', 'utf8')}</html>`,
  'framework.css': packaged('bootstrap', 'dist/css/bootstrap.css'),
});

/** Pages that were written for this, each in a manner of its own. */
export const WRITTEN: Readonly<Record<string, () => SiteFiles>> = {
  'on a framework': framework,
  'in px': px,
  'fluid, with containers': fluid,
  'forty odd sizes': fortyOddSizes,
  'a long read in two scripts': longRead,
};

/** Pages that come inside packages, with the style sheets that they link there. */
export const PACKAGED: Readonly<Record<string, () => SiteFiles>> = {
  milligram: () => ({
    'm/example.html': packaged('milligram', 'example.html'),
    'dist/milligram.min.css': packaged('milligram', 'dist/milligram.min.css'),
  }),
  skeleton: () => ({
    'index.html': packaged('skeleton-css', 'index.html'),
    'css/normalize.css': packaged('skeleton-css', 'css/normalize.css'),
    'css/skeleton.css': packaged('skeleton-css', 'css/skeleton.css'),
  }),
  flexboxgrid: () => ({ 'index.html': packaged('flexboxgrid', 'index.html') }),
  'picnic, first page': () => ({
    'index.html': packaged('picnic', 'docs/index.html'),
    'style.min.css': packaged('picnic', 'docs/style.min.css'),
  }),
  'picnic, documentation': () => ({
    'documentation.html': packaged('picnic', 'docs/documentation.html'),
    'style.min.css': packaged('picnic', 'docs/style.min.css'),
    'prism.css': packaged('picnic', 'docs/prism.css'),
  }),
  foundation: () => ({
    'prototype/font-styling.html': packaged(
      'foundation-sites',
      'test/visual/prototype/font-styling.html',
    ),
    'assets/css/foundation-prototype.css': packaged(
      'foundation-sites',
      'dist/css/foundation-prototype.css',
    ),
  }),
};
