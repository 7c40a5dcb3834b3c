import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { openServices, readConfig, type Services } from '@lettera/server';
import { documentErrors } from '@lettera/core/change';
import { marksOf } from '@lettera/core/check';
import { temporaryFolder } from '../server/testing/server';
import { loadSample } from './loadSample';
import { writeBundle } from './writeBundle';

let services: Services;
beforeAll(async () => {
  services = await openServices(readConfig({ data: temporaryFolder() }, {}));
});
afterAll(() => services.close());

test('the sample project is loaded once, valid, without a mark, and asks for its own permission', async () => {
  const first = await loadSample(services);
  const second = await loadSample(services);
  expect(second.id).toBe(first.id);
  expect(await services.projects.list()).toHaveLength(1);
  expect(first.slug).toBe('tarnholm-light');
  expect(first.foundry).toBeNull();
  expect(documentErrors(first.document)).toEqual([]);
  expect(marksOf(first.document)).toEqual([]);
  expect((await services.pages.list(first.id)).map(({ slug }) => slug)).toEqual([
    'home',
    'log-entry',
    'tides',
    'stay',
    'sheet',
  ]);
});

test('the command writes the same files as the bundle holds', async () => {
  const project = await loadSample(services);
  const folder = temporaryFolder();
  const written = await writeBundle(services, 'tarnholm-light', folder);
  const expected = await services.deliveries.contents(project);
  expect(written).toEqual(Object.keys(expected));
  for (const [path, content] of Object.entries(expected)) {
    expect(readFileSync(join(folder, path)).equals(Buffer.from(content as Uint8Array))).toBe(true);
  }
  expect(readdirSync(folder).sort()).toEqual([
    'README.md',
    '_tokens.scss',
    'fonts',
    'head.html',
    'lettera.css',
    'licences',
    'specimen.html',
    'tokens.json',
  ]);
});

test('a project that is not there is named, with those that are', async () => {
  await expect(writeBundle(services, 'skerry', temporaryFolder())).rejects.toThrow(
    'There is no project “skerry”. There are: tarnholm-light.',
  );
});
