import { afterAll, beforeAll, expect, test } from '@jest/globals';
import request from 'supertest';
import type { SheetMessage, ShownMessage } from '@lettera/core/running';
import type { Project } from '@lettera/core/wire';
import { LiveSheets } from './liveSheets';
import { startTestServer, type TestServer } from './testing/server';

let server: TestServer;
let project: Project;
beforeAll(async () => {
  server = await startTestServer();
  const { body } = await request(server.app)
    .post('/api/v1/projects')
    .send({ name: 'Skerry' })
    .expect(201);
  project = body as Project;
});
afterAll(() => server.close());

const sheetsThatForget = (after: number): LiveSheets => {
  const { projects, deliveries, liveStore, outbox, foundry } = server.services;
  return new LiveSheets(projects, deliveries, liveStore, outbox, foundry, after);
};

/** Follows a sheet, and gives what comes as it comes. */
async function following(sheets: LiveSheets) {
  const [told, shown]: [SheetMessage[], ShownMessage[]] = [[], []];
  const order: string[] = [];
  let came = () => undefined as void;
  const stop = await sheets.follow(
    project.id,
    {
      sheet(message) {
        told.push(message);
        order.push('sheet');
        came();
      },
      shown(message) {
        shown.push(message);
        order.push('shown');
        came();
      },
      ended: () => undefined,
    },
    { address: 'http://localhost:5173/', engine: 'Firefox' },
    null,
  );
  return {
    told,
    shown,
    order,
    stop,
    /** Waits until something holds of what came. */
    async until(holds: () => boolean): Promise<void> {
      while (!holds()) await new Promise<void>((resolve) => (came = resolve));
    },
  };
}
const TRIED = {
  tried: [{ op: 'replace', path: '/scale/large/base', value: 31 }],
  style: 'heading-1',
  marks: [],
};

test('what a window looked at that says no more is let go of', async () => {
  const sheets = sheetsThatForget(60);
  const page = await following(sheets);
  expect(page.shown.at(-1)?.selected).toBeNull();
  await sheets.show(project.id, TRIED);
  await page.until(() => page.shown.at(-1)?.selected?.style === 'heading-1');
  expect(page.told).toHaveLength(2);
  await page.until(() => page.shown.at(-1)?.selected === null);
  // The sheet is again as it is stored.
  const [first, , last] = page.told;
  expect(last?.id).toBe(first?.id);
  page.stop();
});

test('what is said again stays', async () => {
  const sheets = sheetsThatForget(300);
  const page = await following(sheets);
  for (let i = 0; i < 6; i++) {
    await sheets.show(project.id, TRIED);
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  expect(page.shown.at(-1)?.selected?.style).toBe('heading-1');
  expect(page.told).toHaveLength(2);
  page.stop();
});

test('a try that does not fit the project shows what is stored', async () => {
  const sheets = sheetsThatForget(60_000);
  const page = await following(sheets);
  for (const tried of [
    [{ op: 'replace', path: '/scale/large/base', value: -1 }],
    [{ op: 'remove', path: '/no/such/place' }],
    [{ op: 'add', path: '/__proto__/x', value: 1 }],
    [7],
  ]) {
    await sheets.show(project.id, { tried, style: null, marks: [] });
  }
  await sheets.show(project.id, { tried: null, style: 'body', marks: [] });
  await page.until(() => page.shown.at(-1)?.selected?.style === 'body');
  expect(page.told).toHaveLength(1);
  page.stop();
});

test('pages are those that follow now', async () => {
  const sheets = sheetsThatForget(60_000);
  expect(sheets.pages(project.id)).toEqual([]);
  const page = await following(sheets);
  // Where the sheet is to stand is told before it comes.
  expect(page.order).toEqual(['shown', 'sheet']);
  expect(sheets.pages(project.id)).toEqual([
    { address: 'http://localhost:5173/', engine: 'Firefox' },
  ]);
  page.stop();
  expect(sheets.pages(project.id)).toEqual([]);
});

test('a family of the library that is only tried comes from there, where that is allowed', async () => {
  const api = `/api/v1/projects/${project.id}`;
  const [{ id, files } = { id: '', files: [] }] = await server.services.foundry.families();
  const [listed] = files;
  if (!listed) throw new Error('The library has no family.');
  const { sha256, name } = listed;
  const face = { style: 'normal', weightMin: listed.weightMin, weightMax: listed.weightMax };
  const look = {
    tried: [
      {
        op: 'add',
        path: '/case/tried',
        value: {
          name: 'Tried',
          class: 'serif',
          source: 'foundry',
          licence: 'OFL-1.1',
          place: 9,
          faces: [
            { ...face, files: [{ sha256, script: 'latin', unicodeRange: null, bytes: 1000 }] },
          ],
        },
      },
      { op: 'replace', path: '/voices/heading/family', value: 'tried' },
    ],
    offered: [{ sha256, family: id, name }],
    style: null,
    marks: [],
  };
  const sheets = sheetsThatForget(60_000);
  const page = await following(sheets);
  const { foundry, projects } = server.services;
  const fileTried = async () => {
    await sheets.show(project.id, look);
    const css = await sheets.css(project.id);
    expect(css).toContain('font-family: "Tried"');
    const [, file = ''] = /font-family: "Tried"[^}]*fonts\/([^"]+)"/.exec(css) ?? [];
    return sheets.file(project.id, file);
  };
  expect(await fileTried()).toBeNull();
  await request(server.app).put(`${api}/foundry`).send({ allowedBy: 'Ása' }).expect(200);
  const bytes = await fileTried();
  expect(bytes).toEqual(await foundry.file(await foundry.family(id), name));
  // It is no part of the project.
  expect((await projects.get(project.id))?.document.case).toEqual({});
  page.stop();
});
