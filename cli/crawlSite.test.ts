import { createServer, type RequestListener, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterEach, describe, expect, test } from '@jest/globals';
import { crawlSite, isAddress } from './crawlSite';

/** Sites that are gone through by their addresses, from a server of this test's own. */

const servers: Server[] = [];
afterEach(() => {
  for (const server of servers.splice(0)) {
    server.closeAllConnections();
    server.close();
  }
});

async function serving(listener: RequestListener): Promise<string> {
  const server = createServer(listener);
  servers.push(server);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
}

/** A site by its paths, and what was asked of it. */
async function site(files: Record<string, string>) {
  const asked: string[] = [];
  const address = await serving((request, response) => {
    const path = request.url ?? '';
    asked.push(path);
    const type = path.endsWith('.css') ? 'text/css' : 'text/html';
    response.writeHead(files[path] === undefined ? 404 : 200, { 'Content-Type': type });
    response.end(files[path]);
  });
  return { address, asked };
}

const SHEET = '<link rel="stylesheet" href="/type.css">';
const PAGES = {
  '/': `${SHEET}<a href="/log#top">Log</a> <a href="tides/">Tides</a> <a href="/plan.pdf">Plan</a> <a href="mailto:a@tarnholm.example">Write</a>`,
  '/log': `${SHEET}<p>Fog</p><a href="/">Home</a><a href="/gone">Gone</a>`,
  '/tides/': `${SHEET}<base href="/tides/deep/"><a href="one">One</a>`,
  '/tides/deep/one': `${SHEET}<p>Ebb</p>`,
  '/type.css': 'p { font-size: 18px }',
};

describe('a site that is crawled', () => {
  test('is gone through within its host, each file asked for once', async () => {
    const { address, asked } = await site(PAGES);
    const other = await site({ '/': '<p>Elsewhere</p>' });
    PAGES['/log'] += `<a href="${other.address}/">Elsewhere</a>`;
    const told: string[] = [];
    const { files, addresses } = await crawlSite([`${address}/`], {
      crawl: true,
      says: (line) => told.push(line),
    });
    const host = address.replace('http://', '');
    expect(Object.values(addresses).map((from) => from.address)).toEqual(
      ['/', '/type.css', '/log', '/tides/', '/tides/deep/one'].map((path) => `${address}${path}`),
    );
    expect(files).toHaveLength(5);
    expect(files[0]?.path).toBe(`${host.replace(':', '-')}/index.html`);
    expect(asked.sort()).toEqual(
      ['/', '/gone', '/log', '/tides/', '/tides/deep/one', '/type.css'].sort(),
    );
    expect(other.asked).toEqual([]);
    expect(told).toEqual([expect.stringMatching(/\/gone was left out: .*404/)]);
  });

  test('has as many pages as are wanted, and those alone that are named where links are not followed', async () => {
    const { address, asked } = await site(PAGES);
    const pagesOf = async (crawling: Parameters<typeof crawlSite>[1]) =>
      (await crawlSite([`${address}/`], crawling)).files.filter(({ path }) => /html$/.test(path));
    expect(await pagesOf({})).toHaveLength(1);
    expect(await pagesOf({ crawl: true, pages: 2 })).toHaveLength(2);
    asked.length = 0;
    const { files } = await crawlSite([`${address}/log`, `${address}/tides/`]);
    expect(files.filter(({ path }) => /html$/.test(path))).toHaveLength(2);
    expect(asked).toEqual(['/log', '/type.css', '/tides/']);
  });

  test('fails where a page that was named does not come', async () => {
    const { address } = await site({ '/': '<p>Fog</p>' });
    await expect(crawlSite([`${address}/`, `${address}/no`])).rejects.toThrow(/404/);
  });

  test('is asked with what lets in', async () => {
    const address = await serving((request, response) => {
      const isIn = request.headers.cookie === 'keeper=1';
      response.writeHead(isIn ? 200 : 401, { 'Content-Type': 'text/html' }).end('<p>Fog</p>');
    });
    await expect(crawlSite([address])).rejects.toThrow(/401/);
    expect((await crawlSite([address], { headers: { Cookie: 'keeper=1' } })).files).toHaveLength(1);
  });
});

test('addresses are told from paths', () => {
  expect(['https://a.example/', 'HTTP://a.example'].every(isAddress)).toBe(true);
  expect(['dist', './http', 'C:/site', 'https'].some(isAddress)).toBe(false);
});
