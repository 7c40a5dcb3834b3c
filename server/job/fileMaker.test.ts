import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { cutName, PACKED } from '@lettera/core/deliver';
import type { DerivedStore } from '../store/derivedStore';
import type { FontStore } from '../store/fontStore';
import type { Leases } from '../store/leases';
import type { Progress } from '../store/progress';
import { startTestServer, type TestServer } from '../testing/server';
import { FileMaker } from './fileMaker';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

test('a font is read while the files of its project are made, and not after all of them', async () => {
  const { jobs } = server.services;
  const bytes = readFileSync(
    'node_modules/@fontsource-variable/literata/files/literata-latin-wght-normal.woff2',
  );
  const files = Array.from({ length: 40 }, (_, i) => ({
    source: 'literata',
    cut: cutName({ ...PACKED, characters: `U+20-${(0x40 + i).toString(16)}` }),
  }));
  const kept: string[] = [];
  let isBegun = (): void => undefined;
  const begun = new Promise<void>((resolve) => (isBegun = resolve));
  const derived = {
    sizes: () => Promise.resolve([]),
    size: () => Promise.resolve(null),
    keep: ({ cut }: { cut: string }) => {
      kept.push(cut);
      isBegun();
      return Promise.resolve();
    },
  } as unknown as DerivedStore;
  const maker = new FileMaker(
    { files: () => Promise.resolve(new Map([['literata', bytes]])) } as unknown as FontStore,
    derived,
    jobs,
    { report: () => undefined } as unknown as Progress,
    { once: (_key: string, { make }: { make: () => unknown }) => make() } as unknown as Leases,
  );
  const making = maker.make('tarnholm', files);
  // All of them wait for their turns when the first is there.
  await begun;
  const slab = readFileSync('core/font/golden/tarnholm-slab.otf');
  await jobs.for('tarnholm').readFont(new Uint8Array(slab));
  expect(kept.length).toBeLessThan(files.length / 2);
  await making;
  expect(kept).toHaveLength(files.length);
}, 120_000);
