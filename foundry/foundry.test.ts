import { readFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { beforeAll, describe, expect, test } from '@jest/globals';
import type { Express } from 'express';
import request from 'supertest';
import { createFoundry, type FamilyDetails, type FamilySummary } from '.';

let foundry: Express;
beforeAll(async () => {
  foundry = await createFoundry();
});

interface Page {
  page: number;
  pages: number;
  total: number;
  families: FamilySummary[];
}

const page = async (query: string): Promise<Page> =>
  (await request(foundry).get(`/v1/families?${query}`).expect(200)).body as Page;

describe('the foundry', () => {
  test('lists every family once, a page at a time, by name', async () => {
    const { pages, total } = await page('size=20');
    const names: string[] = [];
    for (let n = 1; n <= pages; n++) {
      names.push(...(await page(`size=20&page=${n}`)).families.map(({ name }) => name));
    }
    expect(names).toHaveLength(total);
    expect(new Set(names).size).toBe(111);
    expect(names).toEqual([...names].sort((a, b) => a.localeCompare(b, 'en')));
    expect(names).not.toContain('Arimo');
  });

  test('takes nonsense for a page as the first', async () => {
    expect((await page('page=none&size=-4')).page).toBe(1);
    expect((await page('page=1&size=9999')).families.length).toBeLessThanOrEqual(200);
  });

  test('says when a page has not changed', async () => {
    const { headers } = await request(foundry).get('/v1/families').expect(200);
    await request(foundry)
      .get('/v1/families')
      .set('If-None-Match', headers['etag'] ?? '')
      .expect(304);
  });

  test('describes a family by files that are what their checksums say', async () => {
    const { body } = await request(foundry).get('/v1/families/literata').expect(200);
    const family = body as FamilyDetails;
    expect(family).toMatchObject({
      name: 'Literata',
      class: 'serif',
      variable: true,
      licence: 'OFL-1.1',
    });
    expect(family.licenceText).toContain('OPEN FONT LICENSE');
    const file = family.files.find(({ script, style }) => script === 'greek' && style === 'italic');
    expect(file).toMatchObject({ weightMin: 200, weightMax: 900 });
    const bytes = readFileSync(`node_modules/@fontsource-variable/literata/files/${file?.name}`);
    expect(createHash('sha256').update(bytes).digest('hex')).toBe(file?.sha256);
    expect(file?.bytes).toBe(bytes.length);
  });

  test('has every family in Latin, with an upright', async () => {
    const { families } = await page('size=200');
    for (const { name, files } of families) {
      expect({
        name,
        latin: files.some(({ script, style }) => script === 'latin' && style === 'normal'),
      }).toEqual({ name, latin: true });
    }
  });

  test.each([
    '/v1/families/none',
    '/v1/families/literata/files/none.woff2',
    '/v1/families/literata/files/..%2fLICENSE',
  ])('has nothing at %s', async (path) => {
    await request(foundry).get(path).expect(404);
  });
});
