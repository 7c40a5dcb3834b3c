import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Browser } from 'puppeteer-core';
import { matchFace, type FaceRequest, type MatchableFace } from '@lettera/core/style';
import { launchBrowser, newPage } from './browser';

/** Fonts that Chromium names apart, each standing for one face of the family under test. */
const FONTS = ['gloock', 'anton', 'bungee', 'krona-one', 'yeseva-one', 'abril-fatface'].map(
  (id) => ({
    name: id.replace(/-/g, ''),
    data: readFileSync(
      `node_modules/@fontsource/${id}/files/${id}-latin-400-normal.woff2`,
    ).toString('base64'),
  }),
);

const face = (
  style: MatchableFace['style'],
  weightMin: number,
  weightMax = weightMin,
  width = 100,
): MatchableFace => ({ style, weightMin, weightMax, widthMin: width, widthMax: width });

const SETS: Record<string, MatchableFace[]> = {
  'regular and bold': [face('normal', 400), face('normal', 700)],
  'light, medium, black': [face('normal', 300), face('normal', 500), face('normal', 900)],
  'ranges with a gap': [face('normal', 200, 450), face('normal', 600, 800)],
  'upright in two weights, italic in one': [
    face('normal', 400),
    face('normal', 700),
    face('italic', 500),
  ],
  'semibold and thin': [face('normal', 100), face('normal', 600), face('normal', 650)],
  'both styles over a range': [face('normal', 200, 900), face('italic', 200, 900)],
  'italics of other weights than the uprights': [
    face('normal', 300),
    face('normal', 800),
    face('italic', 200),
    face('italic', 600),
  ],
  'italics alone, and a gap around 450': [face('italic', 100, 400), face('italic', 500, 900)],
  'an upright range and one bold italic': [face('normal', 350, 650), face('italic', 750)],
  'heavy uprights and a light italic range': [
    face('normal', 700),
    face('normal', 900),
    face('italic', 100, 300),
  ],
  'three widths': [
    face('normal', 400, 400, 75),
    face('normal', 700, 700, 100),
    face('normal', 400, 400, 125),
    face('italic', 400, 400, 75),
  ],
};

/** From 1 to 1000 in steps of 50, and on both sides of where the search turns. */
const WEIGHTS = [
  ...new Set([
    1,
    ...Array.from({ length: 20 }, (_, i) => 50 * (i + 1)),
    ...[399, 401, 449, 451, 499, 501, 599, 601],
  ]),
];
const WIDTHS = [50, 75, 90, 100, 110, 125, 200];

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(() => browser?.close());

/** Which face of the family Chromium takes for each request, by its place among the faces. */
async function facesTaken(faces: MatchableFace[], requests: FaceRequest[]): Promise<number[]> {
  const { page } = await newPage(browser);
  const rules = faces.map(
    ({ style, weightMin, weightMax, widthMin }, i) => `@font-face { font-family: Match;
      font-style: ${style}; font-weight: ${weightMin} ${weightMax}; font-stretch: ${widthMin}%;
      src: url(data:font/woff2;base64,${FONTS[i]?.data}) }`,
  );
  const spans = requests.map(
    ({ weight, slant, width = 100 }, i) =>
      `<i id="r${i}" style="font: ${slant} 20px Match; font-weight: ${weight}; font-stretch: ${width}%">tide</i>`,
  );
  await page.setContent(`<style>${rules.join('\n')}</style>${spans.join(' ')}`);
  await page.evaluate(() => document.fonts.ready.then(() => undefined));
  const session = await page.createCDPSession();
  await session.send('DOM.enable');
  await session.send('CSS.enable');
  const { root } = await session.send('DOM.getDocument', { depth: -1 });
  const taken: number[] = [];
  for (let i = 0; i < requests.length; i++) {
    const { nodeId } = await session.send('DOM.querySelector', {
      nodeId: root.nodeId,
      selector: `#r${i}`,
    });
    const { fonts } = await session.send('CSS.getPlatformFontsForNode', { nodeId });
    const name = (fonts[0]?.familyName ?? '').replace(/\s/g, '').toLowerCase();
    taken.push(FONTS.findIndex((font) => name.startsWith(font.name)));
  }
  await page.close();
  return taken;
}

describe('matchFace takes the face that Chromium takes', () => {
  test.each(Object.entries(SETS))('from %s', async (name, faces) => {
    const widths = name === 'three widths' ? WIDTHS : [100];
    const weights = name === 'three widths' ? [300, 400, 500, 700] : WEIGHTS;
    const requests: FaceRequest[] = widths.flatMap((width) =>
      (['normal', 'italic', 'oblique'] as const).flatMap((slant) =>
        weights.map((weight) => ({ weight, slant, width })),
      ),
    );
    const chromium = await facesTaken(faces, requests);
    const different = requests.filter((request, i) => {
      const match = matchFace(faces, request);
      return !match || faces.indexOf(match.face) !== chromium[i];
    });
    expect(chromium).not.toContain(-1);
    expect(different).toEqual([]);
  });
});
