import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { applyChange } from '@lettera/core/change';
import { marksOf } from '@lettera/core/check';
import { bundleFiles } from '@lettera/core/deliver';
import type { Patch, ProjectDocument } from '@lettera/core/document';
import { STARTING_SETS, startingSetPatch } from '@lettera/core/style';
import { plansOf, seatedDocument } from '../core/testing/documents';
import { stockOfSite } from '../cli/siteStock';

/** What is delivered, on a page of all text elements and nothing else: the site follows in everything. */

let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'lettera-own-sheet-'));
});
afterAll(() => rmSync(folder, { recursive: true }));

const SHEET = readFileSync('sample/pages/sheet.html', 'utf8');

/** The page with the sheet that a project delivers, and how far it follows the project. */
async function driftOn(document: ProjectDocument, site = '') {
  const css = bundleFiles(document, plansOf(document), {}).find(
    ({ path }) => path === 'lettera.css',
  );
  if (css?.kind !== 'text') throw new Error('There is no style sheet');
  writeFileSync(join(folder, 'lettera.css'), css.content);
  writeFileSync(
    join(folder, 'index.html'),
    `<!doctype html><html lang="en"><meta name="viewport" content="width=device-width"><title>Sheet</title><style>${site}</style><link rel="stylesheet" href="lettera.css"><body>${SHEET}</body></html>`,
  );
  const { drift, stock } = await stockOfSite(
    [folder],
    readFileSync('build/takeStock.js', 'utf8'),
    document,
  );
  // The colour of a button goes with the ground that browsers give it, where its style leaves it open.
  const told = (drift?.drifted ?? []).filter(
    ({ by, property }) => by === 'said' || property !== 'color',
  );
  return told.map(
    ({ element, property, width, expected, found, texts }) =>
      `${element} ${property} at ${width}: ${expected} → ${found} (${stock.texts[texts[0] ?? 0]?.words})`,
  );
}

/** A project whose files are each for every character. */
function wholeFiles(): ProjectDocument {
  const document = seatedDocument();
  for (const { faces } of Object.values(document.case)) {
    for (const { files } of faces) for (const file of files) file.unicodeRange = null;
  }
  return document;
}

const withSet = (key: string): ProjectDocument => {
  const document = wholeFiles();
  const set = STARTING_SETS.find((one) => one.key === key);
  if (!set) throw new Error(`There is no set ${key}`);
  return applyChange(document, startingSetPatch(document, set)).document;
};

describe('a starting set', () => {
  test.each(STARTING_SETS.map(({ key }) => key))(
    '“%s” is followed by a page with its sheet alone, and makes no mark itself',
    async (key) => {
      const document = withSet(key);
      expect(await driftOn(document)).toEqual([]);
      // What the faces of the case lack is theirs.
      const own = marksOf(document).filter(({ stage }) => stage === 'styles' || stage === 'scale');
      expect(own.map(({ rule, style, message }) => `${rule} ${style ?? ''} ${message}`)).toEqual(
        [],
      );
    },
  );
});

/** Changes at random: a property set on a style, or taken away. */
const changes = (document: ProjectDocument): fc.Arbitrary<Patch> => {
  const value = fc.constantFrom<[string, unknown]>(
    ['letterSpacing', 0.08],
    ['letterSpacing', -0.02],
    ['letterSpacing', 0],
    ['weight', 300],
    ['weight', 650],
    ['slant', 'italic'],
    ['case', 'uppercase'],
    ['case', 'none'],
    ['lineHeight', 1.3],
    ['step', 2],
    ['step', -1],
    ['colour', 'quiet'],
  );
  return fc
    .array(fc.tuple(fc.constantFrom(...Object.keys(document.styles)), value), {
      minLength: 3,
      maxLength: 10,
    })
    .map((all) =>
      all.flatMap(([style, [property, set]]): Patch => [
        { op: 'add', path: `/styles/${style}/set/${property}`, value: set },
      ]),
    );
};

test('text that the files are not for is told, with its letters', async () => {
  // These are for U+0000-00FF alone, which has no ’.
  const set = STARTING_SETS[0];
  if (!set) throw new Error('There is no set');
  const document = seatedDocument();
  const told = await driftOn(applyChange(document, startingSetPatch(document, set)).document);
  expect(told.length).toBeGreaterThan(0);
  expect(told.every((one) => /unicode-range at \d+: \w+ → ’ \(.*’/.test(one))).toBe(true);
});

describe('a site whose rem is its own', () => {
  const document = withSet('reading');
  const at = (root: number | null): ProjectDocument =>
    applyChange(document, [{ op: 'add', path: '/scale/root', value: root }]).document;

  test('is followed where sizes are delivered by it, at every width', async () => {
    expect(await driftOn(at(10), 'html { font-size: 62.5% }')).toEqual([]);
    expect(await driftOn(at(null), 'html { font-size: clamp(12px, 1vw, 20px) }')).toEqual([]);
    expect(
      await driftOn(
        at(null),
        'html { font-size: 14px } @media (min-width: 60em) { html { font-size: 18px } }',
      ),
    ).toEqual([]);
  });

  test('is not where they are delivered by another', async () => {
    const told = await driftOn(document, 'html { font-size: 62.5% }');
    expect(
      told.some((one) => one.startsWith('body font-size') || one.includes(' font-size at ')),
    ).toBe(true);
  });
});

test('a project at random is followed by a page with its sheet alone', async () => {
  const patches = fc.sample(changes(withSet(STARTING_SETS[0]?.key ?? '')), {
    numRuns: 12,
    seed: 7,
  });
  for (const patch of patches) {
    const { document } = applyChange(withSet(STARTING_SETS[0]?.key ?? ''), patch);
    expect(await driftOn(document)).toEqual([]);
  }
});
