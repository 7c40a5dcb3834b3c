import { barePage } from '@lettera/core/deliver/trying';
import type { ProjectDocument } from '@lettera/core/document';
import type { Project } from '@lettera/server';
import { startLettera, type RunningLettera } from '../lettera';
import { ask, changeProject } from '../project';
import { serveSite } from '../site';
import { dropCaps } from './dropCap';
import { ENGINES } from './engine';
import { foldedSiteInEngines } from './foldedSite';
import { liveSheets } from './liveSheet';
import { differenceOf, measuring, type Difference, type Measured } from './measured';
import { withPlatformFonts } from './platformFonts';
import { scriptsInEngines } from './scripts';
import { serveInTwo } from './siteInTwo';
import { verifyingIn, type Outcome } from './verified';

/**
 * Opens the bundle in three engines: in each of its forms in a bare page, whose every text element is held to
 * the project; a large first letter; the live sheet on a running page; scripts beside one another; and the sample's pages at three widths, in the web faces and in what stands in for them, and
 * how the one differs from the other.
 */

const WIDTHS = [360, 800, 1280];
/** The platforms' fonts that the sample's stacks are over, in turn: as a visitor of one platform has them. */
const PLATFORM_FONTS: Record<string, string[]> = {
  'Windows, macOS, iOS': ['georgia', 'arial', 'times-new-roman', 'courier-new'],
  Android: ['noto-serif', 'roboto'],
};

/** What a page may differ by. */
const MOST = { height: 0.012, changed: 1 / 20, size: 0.03 };

const within = ({ height, changed, blocks, size }: Difference): boolean =>
  height <= MOST.height && changed <= blocks * MOST.changed && size <= MOST.size;

/** Forms that the bundle is delivered in. */
const FORMS: Record<string, Partial<ProjectDocument['delivery']>> = {
  whole: {},
  'outside any layer, over classes': { layer: null, weight: 'over' },
  'tokens with a prefix': { prefix: 'tl' },
  'files as they were taken in': { letters: 'whole' },
  'features in use, bold inside italics': { features: 'used', boldItalics: true },
};

const percent = (share: number): string => `${(share * 100).toFixed(2)} %`;

/** Holds each text element to the project in a bare page, form by form. @returns how many did not hold */
async function verifyForms(lettera: RunningLettera): Promise<number> {
  const sample = 'tarnholm-light';
  const { document: before } = await ask<Project>(lettera, `/projects/${sample}`);
  let faults = 0;
  for (const [form, settings] of Object.entries(FORMS)) {
    const { document } = await changeProject(lettera, sample, [
      { op: 'replace', path: '/delivery', value: { ...before.delivery, ...settings } },
    ]);
    const bare = await serveSite(lettera, sample, barePage(document));
    for (const { name, start } of ENGINES) {
      const engine = await start();
      if (!engine) continue;
      try {
        const { elements, differences, missing } = await engine.ask<Outcome>(
          bare.url,
          await verifyingIn(document),
        );
        const found = [
          ...missing,
          ...differences.map(
            ({ element, width, what, project, browser }) =>
              `${element} at ${width} px: ${what} ${browser}, not ${project}`,
          ),
        ];
        faults += found.length;
        const holds = found.length === 0 ? 'holds' : 'FAILS';
        console.log([holds, name.padEnd(9), form.padEnd(36), `${elements} elements`].join('  '));
        for (const line of found) console.log(`       ${line}`);
      } finally {
        await engine.close();
      }
    }
    await bare.close();
  }
  await changeProject(lettera, sample, [
    { op: 'replace', path: '/delivery', value: before.delivery },
  ]);
  return faults;
}

const lettera = await startLettera();
let failed =
  (await verifyForms(lettera)) +
  (await dropCaps(lettera)) +
  (await liveSheets(lettera)) +
  (await scriptsInEngines()) +
  (await foldedSiteInEngines());
const site = await serveInTwo(lettera);
try {
  for (const [platform, fonts] of Object.entries(PLATFORM_FONTS)) {
    await withPlatformFonts(fonts, async () => {
      for (const { name, start } of ENGINES) {
        const starting = start();
        if (!starting) {
          console.log(`${name} is not on this machine, and was left out.`);
          failed++;
          continue;
        }
        const engine = await starting;
        try {
          for (const page of site.pages) {
            for (const width of WIDTHS) {
              const at = (side: string) =>
                engine.ask<Measured>(`${site.url}/`, measuring(`/${side}/${page}`, width));
              const difference = differenceOf(await at('web'), await at('fallback'));
              if (!within(difference)) failed++;
              console.log(
                [
                  within(difference) ? 'holds' : 'FAILS',
                  engine.name.padEnd(9),
                  platform.padEnd(20),
                  page.padEnd(10),
                  `${width} px`.padStart(7),
                  `height ${percent(difference.height)}`,
                  `${difference.changed} of ${difference.blocks} blocks`,
                  `sizes ${difference.size.toFixed(3)} px`,
                ].join('  '),
              );
            }
          }
        } finally {
          await engine.close();
        }
      }
    });
  }
} finally {
  await site.close();
  await lettera.close();
}
console.log(
  failed === 0
    ? '\nEvery page holds: its height within 1.2 %, at most one block in twenty changed, sizes within 0.03 px.'
    : `\n${failed} did not hold.`,
);
process.exitCode = failed === 0 ? 0 : 1;
