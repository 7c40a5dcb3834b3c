import { createServer, type RequestListener, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { gzipSync } from 'node:zlib';
import { afterEach, describe, expect, test } from '@jest/globals';
import { readSite, requestsOf } from '@lettera/core/page/file';
import type { Jobs } from '../job/jobs';
import { isPublicAddress } from './publicAddress';
import {
  FETCH_LIMITS,
  InnerHostError,
  isLetIn,
  SiteFetcher,
  type FetchedFile,
  type Resolver,
} from './siteFetcher';

/** Pages from addresses, held to servers of this test's own. */

const servers: Server[] = [];
afterEach(async () => {
  for (const server of servers.splice(0)) {
    server.closeAllConnections();
    await new Promise((resolve) => server.close(resolve));
  }
});

async function serving(listener: RequestListener): Promise<string> {
  const server = createServer(listener);
  servers.push(server);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return `site.test:${(server.address() as AddressInfo).port}`;
}

/** Names of this test's own; what is asked of them is kept. */
const names =
  (known: Record<string, string[]>, asked: string[] = []): Resolver =>
  (host, answer) => {
    asked.push(host);
    const addresses = known[host];
    if (!addresses) answer(Object.assign(new Error('none'), { code: 'ENOTFOUND' }), []);
    else {
      answer(
        null,
        addresses.map((address) => ({ address, family: address.includes(':') ? 6 : 4 })),
      );
    }
  };
const HERE = names({ 'site.test': ['127.0.0.1'] });
/** Reads what comes as the server's workers do. */
const READING: Pick<Jobs, 'requestsOf'> = {
  requestsOf: ({ bytes, kind }) => Promise.resolve(requestsOf(bytes, kind)),
};
const never = () => new AbortController().signal;

const whereFrom = (files: readonly FetchedFile[]) =>
  Object.fromEntries(files.map(({ path, address, base }) => [path, { address, base }]));

const HTML = { 'Content-Type': 'text/html' };
/** A site by its paths. */
const site =
  (files: Record<string, string>): RequestListener =>
  (request, response) => {
    const path = request.url ?? '';
    const body = files[path];
    response.writeHead(body === undefined ? 404 : 200, /\.css/.test(path) ? {} : HTML);
    response.end(body);
  };

describe('a page', () => {
  test('comes with the style sheets and fonts that set its type, and is read as one', async () => {
    const host = await serving(
      site({
        '/log/?year=1861':
          '<title>The log</title><link rel="stylesheet" href="/css/all.css?v=2"><link rel=stylesheet href="gone.css"><style>@import "own.css";</style><p>Fog</p><img src="/a.png"><script src="/x.js"></script>',
        '/css/all.css?v=2':
          '@import url("base.css"); @font-face { font-family: A; src: url(../fonts/a.woff2) } p { background: url(p.png) }',
        '/css/base.css': '@import "all.css?v=2"; p { font-size: 18px }',
        '/log/own.css': 'p { color: red }',
        '/fonts/a.woff2': 'wOF2 no font at all',
      }),
    );
    const files = await new SiteFetcher([host], HERE).fetch(
      `http://${host}/log/?year=1861#top`,
      READING,
      never(),
    );
    const port = host.replace(':', '-');
    expect(files.map(({ path }) => path)).toEqual([
      `${port}/log/index-year-1861.html`,
      `${port}/css/all-v-2.css`,
      `${port}/log/own.css`,
      `${port}/css/base.css`,
      `${port}/fonts/a.woff2`,
    ]);
    const { pages, files: kept } = readSite(files, '../sites/x/', whereFrom(files));
    expect(pages[0]?.sheets.map(({ path }) => path.split('/').at(-1))).toEqual([
      'all-v-2.css',
      'index-year-1861.html.style-1.css',
    ]);
    const css = Object.fromEntries(
      kept.map(({ path, bytes }) => [path.split('/').at(-1), new TextDecoder().decode(bytes)]),
    );
    expect(css['all-v-2.css']).toContain('@import url("base.css")');
    expect(css['base.css']).toContain('font-size: 18px');
    expect(pages[0]?.removed.map(({ kind, what }) => `${kind} ${what}`)).toContain(
      `request http://${host}/log/gone.css`,
    );
  });

  test('says what its addresses are resolved against, and a sheet that was sent on is where it came from', async () => {
    const host = await serving((request, response) => {
      const answers: Record<string, [string, string]> = {
        '/log/entry': [
          'text/html',
          '<base href="/assets/v2/"><link rel=stylesheet href="a.css"><style>@import "b.css";</style><p>Fog</p><base href="/not/">',
        ],
        '/other/a.css': ['text/css', '@import "c.css"; p { color: red }'],
        '/assets/v2/b.css': ['text/css', 'p { color: blue }'],
        '/other/c.css': ['text/css', 'p { color: green }'],
      };
      const [type, body] = answers[request.url ?? ''] ?? [];
      if (request.url === '/assets/v2/a.css') {
        response.writeHead(301, { Location: '/other/a.css' }).end();
      } else {
        response.writeHead(type ? 200 : 404, { 'Content-Type': type ?? 'text/plain' });
        response.end(body);
      }
    });
    const files = await new SiteFetcher([host], HERE).fetch(
      `http://${host}/log/entry`,
      READING,
      never(),
    );
    const { pages, files: kept } = readSite(files, '../sites/x/', whereFrom(files));
    expect(pages[0]?.removed.filter(({ kind }) => kind === 'missing')).toEqual([]);
    const css = kept.map(({ bytes }) => new TextDecoder().decode(bytes)).join('\n');
    for (const colour of ['red', 'blue', 'green']) expect(css).toContain(`color: ${colour}`);
    // Each is asked for where it is kept.
    expect(css).toMatch(/@import "(\.\.\/)+[^"]*c\.css"/);
    expect(css).toMatch(/@import "[^"]*b\.css"/);
    expect(css).not.toMatch(/https?:/);
  });

  test('comes unpacked, over redirects, and from another host too', async () => {
    const other = await serving(site({ '/t.css': 'p { color: blue }' }));
    const host = await serving((request, response) => {
      if (request.url === '/') {
        response.writeHead(302, { Location: '/home' }).end();
        return;
      }
      response.writeHead(200, { ...HTML, 'Content-Encoding': 'gzip' });
      response.end(gzipSync(`<link rel=stylesheet href="http://${other}/t.css"><p>Fog</p>`));
    });
    const files = await new SiteFetcher([host, other], HERE).fetch(
      `http://${host}/`,
      READING,
      never(),
    );
    expect(files.map(({ address }) => address)).toEqual([
      `http://${host}/home`,
      `http://${other}/t.css`,
    ]);
  });
});

describe('where Lettera does not go', () => {
  test.each([
    'http://127.0.0.1/',
    'http://127.1/',
    'http://2130706433/',
    'http://0x7f000001/',
    'http://0177.0.0.1/',
    'http://[::1]/',
    'http://[::ffff:127.0.0.1]/',
    'http://[::ffff:7f00:1]/',
    'http://[64:ff9b::7f00:1]/',
    'http://0.0.0.0/',
    'http://10.0.0.7/',
    'http://172.16.3.4/',
    'http://192.168.1.1/',
    'http://169.254.169.254/latest/meta-data/',
    'http://100.64.0.1/',
    'http://224.0.0.1/',
    'http://255.255.255.255/',
    'http://[fe80::1]/',
    'http://[fd00::1]/',
    'http://[ff02::1]/',
    'http://[2002:7f00:1::]/',
    'http://inner.test/',
    'http://INNER.test./',
    'http://mixed.test/',
    'http://six.test/',
  ])('%s', async (address) => {
    const resolve = names({
      'inner.test': ['127.0.0.1'],
      'inner.test.': ['10.1.2.3'],
      'mixed.test': ['93.184.216.34', '127.0.0.1'],
      'six.test': ['::ffff:10.0.0.1'],
    });
    await expect(new SiteFetcher([], resolve).fetch(address, READING, never())).rejects.toThrow(
      /this machine or one of its neighbours/,
    );
  });

  test.each(['file:///etc/passwd', 'ftp://site.test/', 'gopher://site.test/', 'javascript:0'])(
    '%s',
    async (address) => {
      await expect(new SiteFetcher().fetch(address, READING, never())).rejects.toThrow(
        /https:\/\/ or http/,
      );
    },
  );

  test.each([
    ['http://a:b@site.test/', /name and password/],
    ['no address', /is no address/],
    [`http://site.test/${'x'.repeat(3000)}`, /too long/],
    ['http://none.test/', /There is no none.test/],
  ])('%s', async (address, says) => {
    await expect(new SiteFetcher([], HERE).fetch(address, READING, never())).rejects.toThrow(says);
  });

  test('not by a redirect either, nor by what a page asks for', async () => {
    const asked: string[] = [];
    const inner = await serving((request, response) => {
      asked.push(request.url ?? '');
      response.writeHead(200, HTML).end('secret');
    });
    const port = inner.split(':')[1];
    const host = await serving((request, response) => {
      if (request.url === '/away') {
        response.writeHead(302, { Location: `http://127.0.0.1:${port}/` }).end();
      } else {
        response
          .writeHead(200, HTML)
          .end(`<link rel=stylesheet href="http://127.0.0.1:${port}/x.css"><p>Fog</p>`);
      }
    });
    const fetcher = new SiteFetcher([host], HERE);
    await expect(fetcher.fetch(`http://${host}/away`, READING, never())).rejects.toThrow(
      /neighbours/,
    );
    expect(await fetcher.fetch(`http://${host}/`, READING, never())).toHaveLength(1);
    expect(asked).toEqual([]);
  });

  test('a name is asked once for a connection, which goes to what was looked at', async () => {
    // The second answer would lead inward, were it asked for.
    const host = await serving(site({ '/': '<p>Fog</p>' }));
    let answers = 0;
    const changing: Resolver = (_name, answer) => {
      answers++;
      answer(null, [{ address: answers === 1 ? '127.0.0.1' : '127.0.0.2', family: 4 }]);
    };
    await new SiteFetcher([host], changing).fetch(`http://${host}/`, READING, never());
    expect(answers).toBe(1);
  });

  test('a visit may be allowed a host, for itself alone', async () => {
    const host = await serving(site({ '/': '<p>Fog</p>' }));
    const fetcher = new SiteFetcher([], HERE);
    const visiting = (allowed: string[]) =>
      fetcher.fetch(`http://${host}/`, READING, never(), { allowed });
    expect(await visiting([host])).toHaveLength(1);
    await expect(visiting(['site.test:1'])).rejects.toThrow(InnerHostError);
    await expect(fetcher.fetch(`http://${host}/`, READING, never())).rejects.toMatchObject({
      host,
    });
  });

  test('a host is allowed by its name and port, and no other', async () => {
    const host = await serving(site({ '/': '<p>Fog</p>' }));
    await expect(
      new SiteFetcher(['site.test:1'], HERE).fetch(`http://${host}/`, READING, never()),
    ).rejects.toThrow(/neighbours/);
    expect(
      await new SiteFetcher(['site.test'], HERE).fetch(`http://${host}/`, READING, never()),
    ).toHaveLength(1);
  });
});

describe('what answers badly', () => {
  const quick = { ...FETCH_LIMITS, answer: 300, all: 600 };
  const fetchFrom = async (
    listener: RequestListener,
    limits: typeof FETCH_LIMITS,
  ): Promise<unknown> => {
    const host = await serving(listener);
    return new SiteFetcher([host], HERE, limits).fetch(`http://${host}/`, READING, never());
  };

  test.each<[string, RequestListener, RegExp]>([
    [
      'no page',
      (_request, response) => response.writeHead(200, { 'Content-Type': 'image/png' }).end(),
      /is no page.*image\/png/,
    ],
    ['nothing', (_request, response) => response.writeHead(404, HTML).end(), /answered 404/],
    ['never', () => undefined, /took longer than 0.3 seconds/],
    [
      'without end, slowly',
      (_request, response) => {
        response.writeHead(200, HTML);
        const drip = setInterval(() => response.write('<p>Fog</p>'), 20);
        response.on('close', () => clearInterval(drip));
      },
      /took longer/,
    ],
    [
      'on and on',
      (request, response) =>
        response
          .writeHead(302, { Location: `/${Number((request.url ?? '/').slice(1)) + 1}` })
          .end(),
      /after 5 times/,
    ],
    [
      'more than may be',
      (_request, response) => response.writeHead(200, HTML).end('x'.repeat(6 * 1024 * 1024)),
      /larger than 5 MB/,
    ],
    [
      'more than it says',
      (_request, response) =>
        response
          .writeHead(200, { ...HTML, 'Content-Encoding': 'gzip' })
          .end(gzipSync('x'.repeat(60 * 1024 * 1024))),
      /larger than 5 MB/,
    ],
    [
      'packed wrongly',
      (_request, response) =>
        response.writeHead(200, { ...HTML, 'Content-Encoding': 'gzip' }).end('no gzip'),
      /does not answer/,
    ],
    [
      'breaking off',
      (_request, response) => {
        response.writeHead(200, { ...HTML, 'Content-Length': '9999' });
        response.write('<p>');
        setTimeout(() => response.destroy(), 10);
      },
      /does not answer/,
    ],
  ])('%s', async (_what, listener, says) => {
    // What comes whole takes as long as this machine needs for it.
    const limits = /longer/.test(says.source) ? quick : FETCH_LIMITS;
    await expect(fetchFrom(listener, limits)).rejects.toThrow(says);
  });

  test('is followed as often as a site may send on, and no further', async () => {
    const sendingOn =
      (times: number): RequestListener =>
      (request, response) => {
        const step = Number(request.url?.slice(1) ?? '0') || 0;
        if (step < times) response.writeHead(302, { Location: `/${step + 1}` }).end();
        else response.writeHead(200, HTML).end('<p>Fog</p>');
      };
    const most = await serving(sendingOn(FETCH_LIMITS.redirects));
    const get = (host: string) =>
      new SiteFetcher([host], HERE).fetch(`http://${host}/0`, READING, never());
    expect(await get(most)).toHaveLength(1);
    const more = await serving(sendingOn(FETCH_LIMITS.redirects + 1));
    await expect(get(more)).rejects.toThrow('sends on and on');
    // What says where it is and sends nobody there is the page, or a refusal.
    const staying = await serving((_request, response) => {
      response.writeHead(200, { ...HTML, Location: '/elsewhere' }).end('<p>Fog</p>');
    });
    expect(await get(staying)).toHaveLength(1);
    const refusing = await serving((_request, response) => {
      response.writeHead(404, { ...HTML, Location: '/elsewhere' }).end();
    });
    await expect(get(refusing)).rejects.toThrow('answered 404');
  });

  test('three thousand style sheets that are missing are asked for so many times and no more', async () => {
    let asked = 0;
    const links = Array.from({ length: 3000 }, (_, i) => `<link rel=stylesheet href=${i}.css>`);
    const host = await serving((request, response) => {
      asked++;
      const isPage = request.url === '/';
      response.writeHead(isPage ? 200 : 404, HTML);
      response.end(isPage ? links.join('') : '');
    });
    await new SiteFetcher([host], HERE).fetch(`http://${host}/`, READING, never());
    expect(asked).toBe(FETCH_LIMITS.requests);
  });

  test('who stops it is not told of a fault of the site’s', async () => {
    const host = await serving(() => undefined);
    const stopping = new AbortController();
    const fetching = new SiteFetcher([host], HERE).fetch(
      `http://${host}/`,
      READING,
      stopping.signal,
    );
    stopping.abort();
    await expect(fetching).rejects.toThrow(/abort/i);
  });
});

test.each<[string, boolean]>([
  ['93.184.216.34', true],
  ['172.15.255.255', true],
  ['172.32.0.0', true],
  ['100.63.255.255', true],
  ['223.255.255.255', true],
  ['2606:2800:220:1::1', true],
  ['172.31.255.255', false],
  ['100.127.255.255', false],
  ['::', false],
  ['2001:db8::1', false],
  ['no address', false],
])('%s leads to the world: %p', (address, holds) => {
  expect(isPublicAddress(address)).toBe(holds);
});

describe('an address without a scheme', () => {
  test('is that of an inner host, which seldom has https', async () => {
    const host = await serving(site({ '/log': '<p>Fog</p>' }));
    const port = host.split(':')[1];
    for (const typed of [`site.test:${port}/log`, `//site.test:${port}/log`]) {
      const [page] = await new SiteFetcher(['site.test'], HERE).fetch(typed, READING, never());
      expect(page?.address).toBe(`http://${host}/log`);
    }
    for (const typed of [`localhost:${port}/log`, `127.0.0.1:${port}/log`]) {
      const fetcher = new SiteFetcher(['localhost', '127.0.0.1']);
      const [page] = await fetcher.fetch(typed, READING, never());
      expect(page?.address).toBe(`http://${typed}`);
    }
  });

  test('is that of a site of the world, which has', async () => {
    const asked: string[] = [];
    const fetcher = new SiteFetcher([], names({ 'tarnholm.example': [] }, asked));
    await expect(fetcher.fetch('tarnholm.example/tides', READING, never())).rejects.toThrow();
    expect(asked).toEqual(['tarnholm.example']);
    await expect(fetcher.fetch('tarnholm.example:x', READING, never())).rejects.toThrow();
  });

  test.each(['javascript:alert(1)', 'data:text/html,x', 'file:/etc/passwd'])(
    'but %s has one',
    async (address) => {
      await expect(new SiteFetcher().fetch(address, READING, never())).rejects.toThrow(
        /https:\/\/ or http/,
      );
    },
  );
});

describe('what lets in', () => {
  test.each([
    ['https://a.test/', 'https://a.test/log', true],
    ['http://a.test/', 'https://a.test/', true],
    ['https://a.test/', 'http://a.test/', false],
    ['https://a.test/', 'https://a.test:8443/', false],
    ['https://a.test/', 'https://b.a.test/', false],
    ['http://a.test:80/', 'http://a.test/', true],
  ])('given for %s, is sent to %s: %p', (from, to, isSent) => {
    expect(isLetIn(new URL(to), { start: new URL(from) })).toBe(isSent);
  });

  test('goes to the host of the page alone, wherever that sends on to or asks', async () => {
    const told: string[] = [];
    const elsewhere = await serving((request, response) => {
      told.push(`elsewhere ${request.headers.cookie ?? 'nothing'}`);
      response.end('p { color: red }');
    });
    const host = await serving((request, response) => {
      told.push(`${request.url} ${request.headers.cookie ?? 'nothing'}`);
      if (request.headers.cookie !== 'keeper=1') response.writeHead(401).end();
      else if (request.url === '/') {
        response
          .writeHead(200, HTML)
          .end(
            `<link rel=stylesheet href="/own.css"><link rel=stylesheet href="http://${elsewhere}/x.css"><p>Fog</p>`,
          );
      } else response.end('p { color: blue }');
    });
    const fetcher = new SiteFetcher(['site.test'], HERE);
    await expect(fetcher.fetch(`http://${host}/`, READING, never())).rejects.toThrow(
      /asks who you are \(401\)/,
    );
    told.length = 0;
    const files = await fetcher.fetch(`http://${host}/`, READING, never(), {
      headers: { Cookie: 'keeper=1' },
    });
    expect(files).toHaveLength(3);
    expect(told).toEqual(['/ keeper=1', '/own.css keeper=1', 'elsewhere nothing']);
  });
});
