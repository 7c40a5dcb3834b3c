import type { Project } from '@lettera/server';
import type { LiveState } from '@lettera/core/wire';
import { eventually } from '../browser';
import type { RunningLettera } from '../lettera';
import { ask, changeProject } from '../project';
import { linesOntoPage, serveRunning } from '../runningSite';
import { ENGINES, type Engine } from './engine';

const SAMPLE = 'tarnholm-light';
const CHANGES = 12;
/** How long a change may take until the page has it, milliseconds, in the middle. */
const MOST = 100;

/** What a page of the running site has had of a heading, frame by frame. */
interface Seen {
  sizes: { at: number; size: number }[];
  /** Widths while its family was changed and changed back. */
  widths: number[];
}

/** Source of a function that looks on until the heading has had its changes and has been in another family. */
const LOOKING_ON = `async () => {
  const heading = document.querySelector('h1');
  const sizes = [];
  const widths = [];
  let family = getComputedStyle(heading).fontFamily;
  let turns = 0;
  const until = Date.now() + 50000;
  while (Date.now() < until && turns < 2) {
    await new Promise(requestAnimationFrame);
    const style = getComputedStyle(heading);
    const size = parseFloat(style.fontSize);
    if (sizes.at(-1)?.size !== size) sizes.push({ at: Date.now(), size });
    const { width } = heading.getBoundingClientRect();
    if (sizes.length > ${CHANGES} && widths.at(-1) !== width) widths.push(width);
    if (style.fontFamily !== family) {
      family = style.fontFamily;
      // The first is the sheet itself.
      if (sizes.length > ${CHANGES}) turns++;
    }
  }
  await new Promise((resolve) => setTimeout(resolve, 500));
  const { width } = heading.getBoundingClientRect();
  if (widths.at(-1) !== width) widths.push(width);
  return { sizes, widths };
}`;

const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? Infinity;
const pause = (time: number) => new Promise((resolve) => setTimeout(resolve, time));

/** Sets headings in the family of the text, and back. */
async function inOtherFamily(
  lettera: RunningLettera,
  { voices: { heading, text } }: Project['document'],
  meanwhile: () => Promise<unknown>,
): Promise<void> {
  const family = (value: string | null | undefined) =>
    changeProject(lettera, SAMPLE, [{ op: 'replace', path: '/voices/heading/family', value }]);
  await family(text?.family);
  await meanwhile();
  await family(heading?.family);
}

async function tryIn(
  engine: Engine,
  lettera: RunningLettera,
  url: string,
): Promise<{ took: number[]; widths: number[] }> {
  const { document } = await ask<Project>(lettera, `/projects/${SAMPLE}`);
  const looking = engine.ask<Seen>(url, LOOKING_ON);
  await eventually(
    () => ask<LiveState>(lettera, `/projects/${SAMPLE}/live`),
    ({ pages }) => pages.length > 0,
  );
  await pause(1500);
  const made: number[] = [];
  const base = (value: number) => [
    { op: 'replace', path: '/scale/small/base', value },
    { op: 'replace', path: '/scale/large/base', value },
  ];
  let { revision } = await ask<Project>(lettera, `/projects/${SAMPLE}`);
  for (let i = 1; i <= CHANGES; i++) {
    made.push(Date.now());
    ({ revision } = await ask<Project>(lettera, `/projects/${SAMPLE}`, {
      method: 'PATCH',
      headers: {
        'Content-Type': 'application/json-patch+json',
        'If-Match': `"${revision}"`,
        Prefer: 'return=minimal',
      },
      body: JSON.stringify(base(20 + i / 2)),
    }));
    await pause(300);
  }
  await inOtherFamily(lettera, document, () => pause(2500));
  const { sizes, widths } = await looking;
  await changeProject(lettera, SAMPLE, [{ op: 'replace', path: '/scale', value: document.scale }]);
  const seen = sizes.slice(-CHANGES);
  return { took: made.map((sent, i) => (seen[i]?.at ?? Infinity) - sent), widths };
}

/**
 * Follows the live sheet in each engine: how long a change takes until the page has it, and whether a heading whose
 * family changes is ever set in a third. @returns how many did not hold
 */
export async function liveSheets(lettera: RunningLettera): Promise<number> {
  let [lines, faults] = ['', 0];
  const site = await serveRunning(() => lines);
  lines = await linesOntoPage(lettera, SAMPLE, site);
  // Files of the other family are made before: that takes its time once.
  const { document } = await ask<Project>(lettera, `/projects/${SAMPLE}`);
  const [, sheet = ''] = /href="([^"]+)"/.exec(lines) ?? [];
  await inOtherFamily(lettera, document, async () =>
    (await fetch(sheet, { headers: { Origin: site.url } })).text(),
  );
  for (const { name, start } of ENGINES) {
    const engine = await start();
    if (!engine) continue;
    try {
      const { took, widths } = await tryIn(engine, lettera, site.url);
      // As it was, in the other family, and as it was again.
      const isSteady = widths.length === 3 && widths[0] === widths[2];
      const holds = median(took) <= MOST && isSteady;
      if (!holds) faults++;
      console.log(
        [
          holds ? 'holds' : 'FAILS',
          name.padEnd(9),
          'live sheet',
          `a change after ${median(took)} ms, at most ${Math.max(...took)} ms`,
          `widths in turn ${widths.map((width) => width.toFixed(1)).join(', ')} px`,
        ].join('  '),
      );
    } finally {
      await engine.close();
    }
  }
  await ask(lettera, `/projects/${SAMPLE}/live`, { method: 'DELETE' });
  site.close();
  return faults;
}
