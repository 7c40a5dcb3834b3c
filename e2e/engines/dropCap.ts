import type { Project } from '@lettera/server';
import type { RunningLettera } from '../lettera';
import { ask, changeProject } from '../project';
import { serveSite } from '../site';
import { ENGINES } from './engine';
import { indentedLines } from '../indentedLines';

const LINES = [2, 3, 5];
const WIDTHS = [360, 700, 1200];
const COPY =
  'Here the light is lit at dusk and put out at dawn, and the keeper on watch writes down the wind, the glass and every sail that passes. ';
const PAGE = `<!doctype html><html lang="en"><meta charset="utf-8"><link rel="stylesheet" href="lettera.css">
<style>body { margin: 0 } .lead { margin: 0; max-width: none }</style><p class="lead">${COPY.repeat(6)}</p></html>`;

/** Looks in each engine at how many lines stand beside a large first letter. @returns how many were others than set */
export async function dropCaps(lettera: RunningLettera): Promise<number> {
  const sample = 'tarnholm-light';
  const { document } = await ask<Project>(lettera, `/projects/${sample}`);
  const before = document.styles['lead']?.at;
  let faults = 0;
  for (const lines of LINES) {
    await changeProject(lettera, sample, [
      { op: 'add', path: '/styles/lead/at', value: { 'first-letter': { dropLines: lines } } },
    ]);
    const site = await serveSite(lettera, sample, PAGE);
    for (const { name, start } of ENGINES) {
      const engine = await start();
      if (!engine) continue;
      try {
        for (const width of WIDTHS) {
          const found = await engine.ask<number>(site.url, inFrame(width, indentedLines('.lead')));
          if (found !== lines) faults++;
          const holds = found === lines ? 'holds' : 'FAILS';
          console.log(
            [
              holds,
              name.padEnd(9),
              `${lines} lines at ${width} px`,
              `${found} beside the letter`,
            ].join('  '),
          );
        }
      } finally {
        await engine.close();
      }
    }
    await site.close();
  }
  await changeProject(lettera, sample, [
    before
      ? { op: 'add', path: '/styles/lead/at', value: before }
      : { op: 'remove', path: '/styles/lead/at' },
  ]);
  return faults;
}

/** Source of a function that runs another in the page itself, in a frame of a width. */
const inFrame = (width: number, source: string): string => `async () => {
  const frame = document.createElement('iframe');
  frame.style.cssText = 'border:0;width:${width}px;height:1000px';
  document.body.replaceChildren(frame);
  await new Promise((resolve) => {
    frame.onload = resolve;
    frame.src = location.href;
  });
  await frame.contentDocument.fonts.ready;
  await new Promise((resolve) => setTimeout(resolve, 150));
  return (${source})(frame.contentDocument);
}`;
