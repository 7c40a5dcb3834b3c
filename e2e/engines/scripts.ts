import { startLettera } from '../lettera';
import { serveSite } from '../site';
import { ENGINES } from './engine';

const SLUG = 'tarnholm-welcome';

/** A line in Latin alone, and lines with letters of other scripts; each script alone and large, by its width. */
const PAGE = `<!doctype html><html lang="en"><meta charset="utf-8"><title>Scripts</title><link rel="stylesheet" href="lettera.css">
<style>.wide { font-size: 200px; white-space: nowrap; display: inline-block; }</style>
<p id="latin">The light</p>
<p id="mixed">The light نور 灯 दीप</p>
<p lang="ar" dir="rtl" id="arabic">نور</p>
<div><span class="wide" id="w-arabic" lang="ar">منارة</span></div>
<div><span class="wide" id="w-japanese" lang="ja">灯台の島</span></div>
<div><span class="wide" id="w-hindi" lang="hi">प्रकाशस्तंभ</span></div></html>`;

interface Read {
  latin: number;
  mixed: number;
  arabic: number;
  widths: number[];
}

const READ = `async () => {
  await document.fonts.ready;
  const high = (id) => document.getElementById(id).getBoundingClientRect().height;
  const wide = (id) => document.getElementById(id).getBoundingClientRect().width;
  // The faces are asked for by the text; they are there once each is measured alike twice.
  let widths = [];
  for (let i = 0; i < 200; i++) {
    const next = ['w-arabic', 'w-japanese', 'w-hindi'].map(wide);
    if (i > 3 && next.every((one, k) => one === widths[k]) && document.fonts.status === 'loaded') break;
    widths = next;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  return {
    latin: high('latin'),
    mixed: high('mixed'),
    arabic: high('arabic'),
    widths,
  };
}`;

/** What lines may differ by, CSS px, and widths from engine to engine: WebKit rounds advances to whole px. */
const LINES_WITHIN = 0.1;
const WIDTHS_WITHIN = 0.01;
/** How much higher a line in Arabic is than one in Latin, as the project has it. */
const ARABIC_LINE = 1.15;

/**
 * Holds, in each engine, that letters of other scripts leave a line as high as it is, that a language has the line that
 * it is given, and that each script is set in the face that is delivered for it: as wide as in the first engine.
 * @returns how much did not hold
 */
export async function scriptsInEngines(): Promise<number> {
  const lettera = await startLettera(undefined, { settled: true });
  const site = await serveSite(lettera, SLUG, PAGE);
  let faults = 0;
  let first: Read | null = null;
  try {
    for (const { name, start } of ENGINES) {
      const engine = await start();
      if (!engine) continue;
      try {
        const read = await engine.ask<Read>(site.url, READ);
        first ??= read;
        const wanted = first.widths;
        const found = [
          ...(Math.abs(read.mixed - read.latin) > LINES_WITHIN
            ? [`a line with other scripts is ${read.mixed} px high, without ${read.latin}`]
            : []),
          ...(Math.abs(read.arabic / read.latin - ARABIC_LINE) > WIDTHS_WITHIN
            ? [`a line in Arabic is ${read.arabic} px high, one in Latin ${read.latin}`]
            : []),
          ...read.widths.flatMap((width, i) =>
            Math.abs(width / (wanted[i] ?? 0) - 1) > WIDTHS_WITHIN
              ? [`text ${i + 1} is ${width} px wide, in the first engine ${wanted[i]}`]
              : [],
          ),
        ];
        faults += found.length;
        const widths = read.widths.map((one) => one.toFixed(0)).join(', ');
        console.log(
          [found.length === 0 ? 'holds' : 'FAILS', name.padEnd(9), 'scripts', `${widths} px`].join(
            '  ',
          ),
        );
        for (const line of found) console.log(`       ${line}`);
      } finally {
        await engine.close();
      }
    }
  } finally {
    await site.close();
    await lettera.close();
  }
  return faults;
}
