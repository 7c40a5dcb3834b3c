import { once } from 'node:events';
import type { ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, jest, test } from '@jest/globals';
import { strToU8, zipSync } from 'fflate';
import supertest from 'supertest';
import type { BroughtPages, PageAccount, PageTitle } from '@lettera/core/wire';
import { Jobs } from '../job/jobs';
import { startTestServer, type TestServer } from '../testing/server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const api = () => supertest(server.app);

async function newProject(): Promise<string> {
  const { body } = await api().post('/api/v1/projects').send({ name: 'Own pages' }).expect(201);
  return `/api/v1/projects/${(body as { id: string }).id}`;
}
type Files = Record<string, string | Buffer>;
function send(address: string, files: Files) {
  return Object.entries(files).reduce(
    (request, [path, content]) =>
      request.attach('file', Buffer.from(content), { filepath: path } as object),
    api().post(`${address}/pages`),
  );
}
const bring = async (address: string, files: Files): Promise<BroughtPages> =>
  (await send(address, files).expect(201)).body as BroughtPages;
const titles = async (address: string): Promise<string[]> =>
  ((await api().get(`${address}/pages`).expect(200)).body as PageTitle[]).map(({ title }) => title);
const SITE = {
  'site/index.html':
    '<!doctype html><head class=x><title>The light</title><link rel=stylesheet href=css/site.css><h1 onclick=x()>Þokuljós</h1><script>x()</script>',
  'site/log/entry.html': '<title>The light</title><p>a',
  'site/css/site.css': '@media screen { h1 { font-size: 3em } } h1 { display: block }',
};

describe('pages that an earlier version let through', () => {
  const EVIL = '<p>Fog<img src="https://elsewhere.example/a" onerror="x()"><script>x()</script>';
  const run = (sql: string, args: string[]) =>
    server.services.database.$client.execute({ sql, args });

  test('are cleaned before they are shown, what came with a project too, and stay so', async () => {
    const address = await newProject();
    const id = address.split('/').at(-1) ?? '';
    // Before anything has been asked of them.
    await run(`UPDATE pages SET cleaned = 0, html = html || ? WHERE project_id = ?`, [EVIL, id]);
    await bring(address, SITE);
    await run(
      `UPDATE site_pages SET cleaned = 0, html = replace(html, '</body>', ? || '</body>') WHERE project_id = ?`,
      [EVIL, id],
    );
    const sheet = '@import "https://elsewhere.example/b.css"; h1 { font-size: 3em }';
    await run(`UPDATE site_files SET bytes = CAST(? AS BLOB) WHERE project_id = ?`, [sheet, id]);
    for (const page of ['the-light', 'the-light-2', 'log']) {
      const { text } = await api().get(`${address}/pages/${page}`).expect(200);
      expect(text).not.toMatch(/elsewhere|onerror|x\(\)/);
      expect(text).toContain('<p>Fog');
    }
    const { text } = await api().get(`${address}/pages/the-light`);
    const [, linked = ''] = /href="\.\.(\/sites[^"]+)"/.exec(text) ?? [];
    const css = await api().get(`${address}${linked}`).expect(200);
    expect(css.text).not.toContain('elsewhere');
    expect(css.text).toContain('font-size: 3em');
    const { rows } = await run(
      `SELECT cleaned, html FROM site_pages WHERE project_id = ?1
       UNION ALL SELECT cleaned, html FROM pages WHERE project_id = ?1`,
      [id],
    );
    expect(rows.length).toBeGreaterThan(2);
    for (const { cleaned, html } of rows) {
      expect(cleaned).toBeGreaterThan(0);
      expect(String(html)).not.toContain('elsewhere');
    }
  });
});

describe('pages of the site’s own', () => {
  test('are brought in as files with their paths, shown, and told of', async () => {
    const address = await newProject();
    const { pages, refused, leftOut } = await bring(address, SITE);
    expect(pages).toEqual([
      { slug: 'the-light', title: 'The light' },
      { slug: 'the-light-2', title: 'The light' },
    ]);
    expect([refused, leftOut]).toEqual([[], []]);
    expect(await titles(address)).toEqual(['Log', 'The light', 'The light']);

    const page = await api().get(`${address}/pages/the-light`).expect(200);
    expect(page.headers['content-security-policy']).toContain('sandbox allow-same-origin');
    expect(page.text).toContain('<h1>Þokuljós</h1>');
    // Lettera's rules stand before all of the page's own.
    expect(page.text.indexOf('id="lettera-start"')).toBeLessThan(page.text.indexOf('site.css'));
    const [, sheet = ''] = /href="\.\.(\/sites[^"]+)"/.exec(page.text) ?? [];
    const css = await api().get(`${address}${sheet}`).expect(200);
    expect(css.headers['content-type']).toContain('text/css');
    expect(css.text).toContain('font-size: 3em');
    await api()
      .get(`${address}/sites/${'0'.repeat(64)}/site/css/site.css`)
      .expect(404);

    const { body } = await api().get(`${address}/pages/the-light/account`).expect(200);
    const account = body as PageAccount;
    expect(account.removed.map(({ kind }) => kind)).toEqual(['script', 'handler']);
    expect(account.rules).toEqual([
      {
        sheet: 'site/css/site.css',
        line: 1,
        selectors: [{ text: 'h1', specificity: [0, 0, 1] }],
        conditions: [{ kind: 'media', text: 'screen' }],
        layer: null,
        declarations: [{ property: 'font-size', value: '3em', important: false }],
      },
    ]);
    await api().get(`${address}/pages/log/account`).expect(404);
  });

  test('are one change of the project, named, ordered and taken out as any other', async () => {
    const address = await newProject();
    await bring(address, SITE);
    const patch = (...operations: object[]) =>
      api()
        .patch(address)
        .set('If-Match', '"2"')
        .set('Content-Type', 'application/json-patch+json')
        .send(JSON.stringify(operations));
    await patch({
      op: 'add',
      path: '/pages/other',
      value: { name: 'x', site: 'f'.repeat(64), path: 'a' },
    }).expect(422);
    await patch(
      { op: 'replace', path: '/pages/the-light/name', value: 'Home' },
      { op: 'remove', path: '/pages/the-light-2' },
    ).expect(200);
    expect(await titles(address)).toEqual(['Log', 'Home']);
    await api().get(`${address}/pages/the-light-2`).expect(404);
    await api().post(`${address}/undo`).set('If-Match', '"3"').expect(200);
    await api().post(`${address}/undo`).set('If-Match', '"4"').expect(200);
    expect(await titles(address)).toEqual(['Log']);
    await api().post(`${address}/redo`).set('If-Match', '"5"').expect(200);
    expect(await titles(address)).toEqual(['Log', 'The light', 'The light']);
    await api().get(`${address}/pages/the-light-2`).expect(200);
  });

  test('come in archives too, and the same ones are there once', async () => {
    const address = await newProject();
    const entries = Object.fromEntries(
      Object.entries(SITE).map(([path, text]) => [path, strToU8(text)]),
    );
    const zip = Buffer.from(zipSync(entries));
    expect((await bring(address, { 'site.zip': zip })).pages).toHaveLength(2);
    expect((await bring(address, { 'site.zip': zip })).pages).toHaveLength(0);
    expect(await titles(address)).toHaveLength(3);
  });

  test.each<[string, Files, RegExp]>([
    ['without a page', { 'a.css': 'a{}' }, /no page among them/],
    [
      'too deep',
      { 'a.html': '<div>'.repeat(50_000) },
      /a\.html: Its elements stand more than 512 deep/,
    ],
    ['too large', { 'a.html': `<p>${'a'.repeat(5 * 1024 * 1024)}` }, /larger than 5 MB/],
    ['that climb out', { '../a.html': '<p>a' }, /no page among them/],
    [
      'in a damaged archive',
      { 'a.zip': Buffer.from('PK\x03\x04 and no more') },
      /archive is damaged|no page/,
    ],
    [
      'in a bomb',
      { 'a.zip': Buffer.from(zipSync({ 'a.html': new Uint8Array(65 * 1024 * 1024) })) },
      /64 MB/,
    ],
  ])('%s are refused, and the project is as it was', async (_name, files, why) => {
    const address = await newProject();
    const { body } = await send(address, files).expect(422);
    expect(body).toMatchObject({ type: 'urn:lettera:problem:unusable-page' });
    expect((body as { detail: string }).detail).toMatch(why);
    expect(await titles(address)).toEqual(['Log']);
  });

  test('are not brought in for who has stopped it', async () => {
    const address = await newProject();
    const { jobs, sites } = server.services;
    const reading = jest.spyOn(Jobs.prototype, 'readPages');
    const adding = jest.spyOn(sites, 'add');
    const listening = server.inner.listen(0, '127.0.0.1');
    await once(listening, 'listening');
    const abort = new AbortController();
    // Stopped in the midst: what is read is all there, but nobody waits for it any more.
    let readAll: Promise<unknown> = Promise.resolve();
    reading.mockImplementationOnce(async (work) => {
      abort.abort();
      await gone;
      const read = jobs.readPages(work);
      readAll = read;
      return read;
    });
    const gone = new Promise((resolve) => {
      listening.once('request', (_request, response: ServerResponse) => {
        response.once('close', resolve);
      });
    });
    try {
      const body = new FormData();
      body.append('file', new Blob(['<title>Stopped</title><p>a']), 'index.html');
      const { port } = listening.address() as AddressInfo;
      const asked = fetch(`http://127.0.0.1:${port}${address}/pages`, {
        method: 'POST',
        body,
        signal: abort.signal,
      });
      await expect(asked).rejects.toThrow('aborted');
      await readAll;
      await new Promise((resolve) => setImmediate(resolve));
      expect(adding).not.toHaveBeenCalled();
      expect(await titles(address)).toEqual(['Log']);
    } finally {
      reading.mockRestore();
      adding.mockRestore();
      listening.closeAllConnections();
      await new Promise((resolve) => listening.close(resolve));
    }
  });

  test('have a place for the project’s rules before their own sheets or after them, and those in a layer', async () => {
    const address = await newProject();
    await bring(address, {
      'index.html':
        '<title>Lamp</title><style>p { color: red }</style><link rel="stylesheet" href="a.css" media="print"><p title="</body>">a',
      'a.css': 'p { color: blue }',
    });
    const at = `${address}/pages/lamp`;
    const sheetsIn = async (query: string): Promise<string[]> => {
      const { text } = await api().get(`${at}${query}`).expect(200);
      return [...text.matchAll(/<link rel="stylesheet"[^>]*href="([^"]*)"/g)].map(([, href = '']) =>
        href.replace(/^\.\.\/sites\/[0-9a-f]{64}\//, ''),
      );
    };
    // The one of the project's own has its place by its id.
    const placeIn = async (query: string) => {
      const { text } = await api().get(`${at}${query}`).expect(200);
      return [text.indexOf('lettera-start'), text.indexOf('sites/'), text.lastIndexOf('sites/')];
    };
    const own = ['index.html.style-1.css', 'a.css'];
    expect(await sheetsIn('')).toEqual(['../start.css', ...own]);
    const [start = 0, first = 0] = await placeIn('');
    expect(start).toBeLessThan(first);
    const after = await placeIn('?linked=after');
    expect(after[0]).toBeGreaterThan(after[2] ?? 0);
    const layered = await sheetsIn('?layer=old-site');
    expect(layered.slice(1)).toEqual(own.map((path) => `${path}?layer=old-site`));

    const { text } = await api().get(at);
    const [, sheet = ''] = /href="\.\.(\/sites\/[^"]*a\.css)"/.exec(text) ?? [];
    // A page of frames has no body to end.
    await bring(address, { 'frames.html': '<title>Frames</title><frameset><frame></frameset>' });
    const frames = await api().get(`${address}/pages/frames?linked=after`).expect(200);
    // What is left of a page of frames is one with a body.
    expect(frames.text).toContain('<body><link rel="stylesheet" id="lettera-start"');
    const wrapped = await api().get(`${address}${sheet}?layer=old-site`).expect(200);
    expect(wrapped.text).toBe('@import url("a.css") layer(old-site);\n');
    for (const layer of ['a;b', '{}', 'a b', '']) {
      await api().get(at).query({ layer }).expect(400);
      await api().get(`${address}${sheet}`).query({ layer }).expect(400);
    }
  });

  test('that cannot be shown refuse only themselves', async () => {
    const address = await newProject();
    const { pages, refused } = await bring(address, {
      'a.html': '<p>a',
      'b.html': '<b>'.repeat(600),
    });
    expect(pages).toHaveLength(1);
    expect(refused.map(({ path }) => path)).toEqual(['b.html']);
    await api().post(`${address}/pages`).expect(400);
  });
});
