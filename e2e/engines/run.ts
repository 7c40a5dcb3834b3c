import { startLettera } from '../lettera';
import { ENGINES } from './engine';
import { differenceOf, measuring, type Difference, type Measured } from './measured';
import { withPlatformFonts } from './platformFonts';
import { serveInTwo } from './siteInTwo';

/**
 * Opens the bundle in three engines: the sample's pages at three widths, in the web faces and in what stands
 * in for them, and how the one differs from the other.
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

const percent = (share: number): string => `${(share * 100).toFixed(2)} %`;

const lettera = await startLettera();
const site = await serveInTwo(lettera);
let failed = 0;
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
