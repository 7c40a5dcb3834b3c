import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import {
  judgeProject,
  openProject,
  openServices,
  readConfig,
  saveProject,
  type Project,
  type Services,
} from '@lettera/server';
import fc from 'fast-check';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { temporaryFolder } from '../server/testing/server';
import { loadSample } from './loadSample';
import { withProject } from './projectAt';

/** A project saved to one file, and opened elsewhere. */

let here: Services;
let elsewhere: Services;
let sample: Project;
let saved: Uint8Array;
beforeAll(async () => {
  here = await openServices(readConfig({ data: temporaryFolder() }, {}));
  elsewhere = await openServices(readConfig({ data: temporaryFolder() }, {}));
  sample = await loadSample(here);
  await here.waypoints.add(sample, 'In three languages');
  const other = { ...sample, document: { ...sample.document, words: 'Fog' } };
  await here.waypoints.add(other, 'Fog');
  await here.localReadings.keep(sample.id, [
    {
      local: 'georgia',
      variant: 'regular',
      advances: { advances: { a: 0.5 }, pairs: {}, colour: null, lines: null },
    },
  ]);
  saved = await saveProject(here, sample);
});
afterAll(async () => {
  await here.close();
  await elsewhere.close();
});

const folder = temporaryFolder();
let files = 0;
const fileOf = (bytes: Uint8Array): string => {
  const path = join(folder, `${files++}.lettera`);
  writeFileSync(path, bytes);
  return path;
};
const page = (slug: string) => ({ slug, title: 'Log', html: '<p>Fog</p>', css: '' });
const FOG = { name: 'Fog', at: '1871-10-01T05:00:00.000Z' };
const open = (bytes: Uint8Array) => openProject(elsewhere, fileOf(bytes));
/** The file with its manifest, or with its files, changed. */
const changed = (
  change: (manifest: Record<string, unknown>, all: Record<string, Uint8Array>) => void,
): Uint8Array => {
  const all = unzipSync(saved);
  const manifest = JSON.parse(Buffer.from(all['project.json'] ?? []).toString()) as Record<
    string,
    unknown
  >;
  change(manifest, all);
  return zipSync({ ...all, 'project.json': strToU8(JSON.stringify(manifest)) });
};

describe('a project file', () => {
  test('brings the whole project elsewhere, its faces and pages included', async () => {
    const opened = await open(saved);
    expect(opened.document).toEqual(sample.document);
    const named = (await elsewhere.waypoints.states(opened.id)).map(({ name, document }) => [
      name,
      document.words,
    ]);
    expect(named).toEqual([
      ['In three languages', sample.document.words],
      ['Fog', 'Fog'],
    ]);
    expect(await elsewhere.waypoints.states(opened.id)).toEqual(
      await here.waypoints.states(sample.id),
    );
    expect(await elsewhere.localReadings.list(opened.id)).toEqual(
      await here.localReadings.list(sample.id),
    );
    expect(await elsewhere.pages.list(opened.id)).toEqual(await here.pages.list(sample.id));
    // What it delivers is the same to the byte, fonts and licences among it.
    const [one, other] = [
      await here.deliveries.contents(sample),
      await elsewhere.deliveries.contents(opened),
    ];
    expect(Object.keys(other)).toEqual(Object.keys(one));
    for (const [path, content] of Object.entries(one)) {
      expect(
        Buffer.from(other[path] as Uint8Array).equals(Buffer.from(content as Uint8Array)),
      ).toBe(true);
    }
    // Saved again, it is the same file.
    expect(Buffer.from(await saveProject(elsewhere, opened)).equals(Buffer.from(saved))).toBe(true);
  });

  test('stands beside a project of the same name', async () => {
    const [first, second] = [await open(saved), await open(saved)];
    expect(second.id).not.toBe(first.id);
    expect(second.slug).not.toBe(first.slug);
  });

  test('is worked on where it lies, and leaves nothing behind', async () => {
    const marks = await withProject(fileOf(saved), {}, async (services, project) => {
      expect(await services.projects.list()).toHaveLength(1);
      return judgeProject(services, project);
    });
    expect(marks).toEqual(await judgeProject(here, sample));
  });

  test.each<[string, () => Uint8Array, RegExp]>([
    ['is no zip', () => strToU8('not a zip'), /no project file of Lettera/],
    ['is cut short', () => saved.subarray(0, saved.length - 500), /cut short|damaged/],
    ['has no manifest', () => zipSync({ 'a.txt': strToU8('a') }), /project\.json is not there/],
    ['is of a newer version', () => changed((it) => (it['lettera'] = 2)), /newer version/],
    [
      'has a newer document',
      () => changed((it) => ((it['document'] as { format: number }).format = 9)),
      /newer version/,
    ],
    [
      'has a document that is not valid',
      () => changed((it) => ((it['document'] as { name: unknown }).name = 7)),
      /document is not valid: \/name/,
    ],
    [
      'has a waypoint that is not valid',
      () =>
        changed(
          (it) => ((it['waypoints'] as { document: object }[])[1] = { ...FOG, document: {} }),
        ),
      /waypoint “Fog” is not valid/,
    ],
    [
      'has a waypoint of a newer document',
      () =>
        changed((it) => {
          it['waypoints'] = [{ ...FOG, document: { ...(it['document'] as object), format: 9 } }];
        }),
      /newer version/,
    ],
    [
      'has waypoints without a time',
      () => changed((it) => (it['waypoints'] = [{ ...FOG, at: 'soon', document: it['document'] }])),
      /does not say/,
    ],
    [
      'has a local font that is none',
      () =>
        changed((it) => (it['localFonts'] = [{ local: 'none', variant: 'regular', advances: {} }])),
      /no local font “none”/,
    ],
    ['is of another kind', () => changed((it) => delete it['lettera']), /does not say/],
    [
      'has pages that are none',
      () => changed((it) => (it['pages'] = [{ slug: 1 }])),
      /does not say/,
    ],
    [
      'lacks a font file',
      () =>
        changed((_, all) => delete all[Object.keys(all).find((p) => p.startsWith('fonts/')) ?? '']),
      /font file [0-9a-f]{12} is not in it/,
    ],
    [
      'has a font file that is another',
      () =>
        changed((_, all) => {
          const path = Object.keys(all).find((one) => one.startsWith('fonts/')) ?? '';
          all[path] = strToU8('another');
        }),
      /font file [0-9a-f]{12} is damaged/,
    ],
    [
      'lacks a page of the site’s own',
      () =>
        changed((it) => {
          const page = { name: 'Lamp', site: 'a'.repeat(64), path: 'index.html' };
          (it['document'] as { pages: unknown }).pages = { lamp: page };
        }),
      /page “lamp” is not in it/,
    ],
  ])('that %s is refused with the reason, and nothing is stored', async (_, bytes, why) => {
    const before = await elsewhere.projects.list();
    await expect(open(bytes())).rejects.toThrow(why);
    await expect(open(bytes())).rejects.toThrow('was not opened, and nothing was changed');
    expect(await elsewhere.projects.list()).toEqual(before);
  });

  test.each<[string, (manifest: Record<string, unknown>) => void, RegExp]>([
    [
      'more pages than may be',
      (it) => (it['pages'] = Array.from({ length: 20_000 }, (_, i) => page(`p${i}`))),
      /more than one may hold/,
    ],
    ['one page twice', (it) => (it['pages'] = [page('a'), page('a')]), /does not say/],
    ['a page under no name', (it) => (it['pages'] = [page('../a')]), /does not say/],
    ['a licence of no file', (it) => (it['licences'] = { constructor: 'x' }), /does not say/],
    [
      'more waypoints than may be',
      (it) => (it['waypoints'] = Array.from({ length: 201 }, () => ({ ...FOG, document: {} }))),
      /more than one may hold/,
    ],
    [
      'a page that is too deep',
      (it) => (it['pages'] = [{ ...page('a'), html: '<div>'.repeat(1000) }]),
      /more than 512 deep/,
    ],
  ])('that holds %s is refused at once', async (_, change, why) => {
    const start = Date.now();
    await expect(open(changed(change))).rejects.toThrow(why);
    expect(Date.now() - start).toBeLessThan(10_000);
  });

  test('that anybody made holds nothing that runs or asks elsewhere', async () => {
    const site = 'a'.repeat(64);
    const base = `../sites/${site}/`;
    const evil =
      '<link rel=preconnect href=https://elsewhere.example><script>x()</script><img src=https://elsewhere.example/a onerror=x()>';
    const opened = await open(
      changed((it, all) => {
        it['pages'] = [
          {
            ...page('log'),
            html: `<p>Fog${evil}</p>`,
            css: 'p{background:url(//elsewhere.example/a)}',
          },
          { ...page('plain'), html: '<p class=a>Fog<br/>&amp; more' },
        ];
        it['sites'] = [
          {
            site,
            pages: [
              {
                path: 'a.html',
                title: 'A',
                html: `<!doctype html><html><head><link rel="stylesheet" href="${base}a.css"></head><body><p>Fog${evil}</p></body></html>`,
                sheets: [
                  { path: 'a.css', media: '' },
                  { path: 'b.css', media: '' },
                ],
                removed: [{ kind: 'script', what: 'x.js', times: 2 }],
                notes: [],
              },
            ],
            files: ['a.css', '../b.css', 'c.js'],
          },
        ];
        (it['document'] as { pages: unknown }).pages = { own: { name: 'A', site, path: 'a.html' } };
        all[`sites/${site}/a.css`] = strToU8('@import "//elsewhere.example/b.css"; p{color:red}');
        all[`sites/${site}/../b.css`] = strToU8('p{color:red}');
        all[`sites/${site}/c.js`] = strToU8('x()');
      }),
    );
    const [log, plain] = await elsewhere.pages.list(opened.id);
    const own = await elsewhere.sites.page(opened.id, site, 'a.html');
    const css = await elsewhere.sites.sheets(opened.id, site);
    const all = [log?.html, log?.css, own?.html, ...css.values()].join('\n');
    expect(all).not.toMatch(/elsewhere\.example|<script|onerror|preconnect/);
    expect(own?.html).toContain(`href="${base}a.css"`);
    expect(own?.sheets.map(({ path }) => path)).toEqual(['a.css']);
    // What was taken out before is still told.
    expect(own?.removed).toContainEqual({ kind: 'script', what: 'x.js', times: 2 });
    expect((await elsewhere.sites.files(opened.id, site)).map(({ path }) => path)).toEqual([
      'a.css',
    ]);
    // What asks for nothing stays as it was written.
    expect(plain?.html).toBe('<p class=a>Fog<br/>&amp; more');
  });

  test('with bytes changed anywhere is opened whole or refused', async () => {
    const places = fc.sample(
      fc.tuple(fc.integer({ min: 0, max: saved.length - 1 }), fc.integer({ min: 1, max: 255 })),
      { numRuns: 30, seed: 5 },
    );
    for (const [at, by] of places) {
      const bytes = saved.slice();
      bytes[at] = (bytes[at] ?? 0) ^ by;
      const opened = await open(bytes).catch((error: unknown) => error as Error);
      if (opened instanceof Error) expect(opened.message).toContain('was not opened');
      else {
        expect(opened.document.case).toEqual(sample.document.case);
        await elsewhere.projects.remove(opened.id);
      }
    }
  });
});
