import { createHash } from 'node:crypto';
import { Router, type Request, type Response } from 'express';
import type { ProjectDocument, SitePage } from '@lettera/core/document';
import { livePageOf, livePathOf, NOT_LIVE, SITE_LIMITS, type ReadRules } from '@lettera/core/page';
import { siteBase, type ReadPage, type ReadSite } from '@lettera/core/page/file';
import type { LookedPages, PageAccount } from '@lettera/core/wire';
import type { Services } from '../services';
import { InnerHostError } from '../supply/siteFetcher';
import { Problem } from './problem';
import { bodyOf, projectOf, untilGone } from './requests';
import { pageSecurity } from './security';
import { fileName, filesOf, receivingFiles } from './uploads';
import * as describe from './describe';
import { layeredSheet, layerNamed, pageLinking, samplePage } from './shownPages';
import { pagesIn, plainName, siteHash } from './sitePages';

const MEGABYTE = 1024 * 1024;
/** Sites are sent packed or not; what they unpack to is counted as they are read. */
const SITE_UPLOAD = {
  file: SITE_LIMITS.bytes,
  all: SITE_LIMITS.bytes + MEGABYTE,
  files: SITE_LIMITS.files,
  what: 'The files of a site',
};
/** Rules of so many pages are remembered: they are read once and never change. */
const RULES_REMEMBERED = 40;

/** What the routes take and answer. */
export const pagePaths = {
  '/projects/{id}/pages': {
    parameters: [describe.project],
    get: {
      summary: 'The pages that the project is proofed on',
      responses: {
        200: describe.answer('Pages', describe.list(describe.ref('PageTitle'))),
        ...describe.problems(404),
      },
    },
    post: {
      summary: 'Brings pages of the site’s own in: files with their paths, or archives',
      requestBody: { content: describe.filesWith() },
      responses: {
        201: describe.answer('What became of them', describe.ref('BroughtPages')),
        ...describe.problems(400, 404, 413, 422, 503),
      },
    },
  },
  '/projects/{id}/looked': {
    parameters: [describe.project],
    post: {
      summary: 'Reads pages to be looked at: the project stays as it is',
      requestBody: { content: describe.filesWith() },
      responses: {
        201: describe.answer('What they are', describe.ref('LookedPages')),
        ...describe.problems(400, 404, 413, 422, 503),
      },
    },
  },
  '/projects/{id}/looked/address': {
    parameters: [describe.project],
    post: {
      summary:
        'Fetches a page, its style sheets and its fonts to be looked at: from this machine or its neighbours only where that host is allowed',
      requestBody: { content: describe.json(describe.ref('PageAddress')) },
      responses: {
        201: describe.answer('What they are', describe.ref('LookedPages')),
        ...describe.problems(400, 403, 404, 422, 503),
      },
    },
  },
  '/projects/{id}/pages/{page}': {
    parameters: [describe.project, describe.inPath('page', 'Short name of a page')],
    get: {
      summary: 'A page for the proof, without type',
      parameters: [
        ...describe.placeOfPage,
        {
          name: 'linked',
          in: 'query',
          schema: { enum: ['before', 'after'] },
          description: 'Where the project’s rules stand beside the page’s own; before if left out',
        },
        describe.layerOfSite,
      ],
      responses: { 200: describe.file('HTML', 'text/html'), ...describe.problems(400, 404) },
    },
  },
  '/projects/{id}/pages/{page}/page.css': {
    parameters: [describe.project, describe.inPath('page', 'Short name of a page')],
    get: {
      summary: 'The layout of a page',
      responses: { 200: describe.file('CSS', 'text/css'), ...describe.problems(404) },
    },
  },
  '/projects/{id}/start.css': {
    parameters: [describe.project],
    get: {
      summary: 'An empty style sheet before all of a page’s own, for the proof to fill',
      responses: { 200: describe.file('CSS', 'text/css'), ...describe.problems(404) },
    },
  },
  '/projects/{id}/pages/{page}/account': {
    parameters: [
      describe.project,
      describe.inPath('page', 'Short name of a page of the site’s own'),
    ],
    get: {
      summary: 'What was removed from a page, and what its style sheets do to type',
      parameters: describe.placeOfPage,
      responses: {
        200: describe.answer('Account', describe.ref('PageAccount')),
        ...describe.problems(404),
      },
    },
  },
  '/projects/{id}/sites/{site}/{path}': {
    parameters: [
      describe.project,
      describe.inPath('site', 'SHA-256 of the files that pages were added with'),
      describe.inPath('path', 'Path of one of those files'),
    ],
    get: {
      summary: 'A style sheet, picture or font that a page asks for',
      parameters: [describe.layerOfSite],
      responses: { 200: describe.file('File', '*/*'), ...describe.problems(400, 404) },
    },
  },
} as const;

/** What is told of a host that may not be asked, with the ways that are open. */
const innerHost = ({ host }: InnerHostError, isShared: boolean): Problem =>
  new Problem(
    'inner-host',
    isShared
      ? `${host} is this machine or one of its neighbours, and this Lettera is shared: it fetches from there only when it is started with --fetch-hosts ${host}. Nothing was fetched. Save the page, or bring it through the reader.`
      : `${host} is this machine or one of its neighbours. Nothing was fetched: allow that host for this project, save the page, or bring it through the reader.`,
    isShared ? {} : { host },
  );

/** The pages that a project is proofed on: those that came with it, and the site's own. */
export function pageRoutes({
  projects,
  pages,
  sites,
  jobs,
  incoming,
  siteFetcher,
  hosts,
  config,
}: Pick<
  Services,
  'projects' | 'pages' | 'sites' | 'jobs' | 'incoming' | 'siteFetcher' | 'hosts' | 'config'
>): Router {
  const router = Router();
  const rules = new Map<string, Promise<ReadRules>>();

  /** A page of the site's own as it was read. @throws Problem 404 */
  const ownPage = async (id: string, { site, path }: SitePage): Promise<ReadPage> => {
    const page = await sites.page(id, site, path);
    if (!page) throw new Problem('not-found', 'This project has no such page.');
    return page;
  };

  const rulesOf = (id: string, { site, path }: SitePage): Promise<ReadRules> => {
    const key = `${id} ${site} ${path}`;
    const known = rules.get(key);
    if (known) return known;
    const reading = (async () => {
      const [{ sheets }, texts] = await Promise.all([
        ownPage(id, { name: '', site, path }),
        sites.sheets(id, site),
      ]);
      return jobs.for(id).typeRules({ sheets, texts });
    })();
    reading.catch(() => rules.delete(key));
    rules.set(key, reading);
    for (const oldest of rules.keys()) {
      if (rules.size <= RULES_REMEMBERED) break;
      rules.delete(oldest);
    }
    return reading;
  };

  router.get('/projects/:id/pages', async (request, response) => {
    const { id, document } = await projectOf(projects, request);
    response.json([
      ...(await pages.list(id)).map(({ slug: key, title }) => ({ slug: key, title })),
      ...Object.entries(document.pages ?? {}).map(([key, { name }]) => ({
        slug: key,
        title: name,
      })),
    ]);
  });

  /** Reads the pages that are sent; null where whoever sent them has gone. */
  const receiveSite = async (
    request: Request<{ id: string }>,
    response: Response,
  ): Promise<{ id: string; site: string; read: ReadSite } | null> => {
    const { id } = await projectOf(projects, request);
    const files = filesOf(request).map((file) => ({ path: fileName(file), at: file.path }));
    if (files.length === 0) {
      throw new Problem('bad-request', 'Send the files of a site in parts named “file”.');
    }
    const gone = untilGone(response);
    const site = await siteHash(files);
    const read = await jobs.for(id).readPages({ files, base: siteBase(site) });
    // Who stopped it was reported that nothing was added.
    if (gone.aborted) return null;
    return { id, site, read };
  };

  /** Reads pages that are only looked at: the project stays as it is. */
  router.post(
    '/projects/:id/looked',
    ...receivingFiles(incoming, SITE_UPLOAD),
    async (request: Request<{ id: string }>, response) => {
      const received = await receiveSite(request, response);
      if (!received) return;
      const { id, site, read } = received;
      await sites.addLooked(id, site, read);
      response.status(201).json(lookedPages(site, read));
    },
  );

  /** Fetches a page from an address that was typed, to be looked at. */
  router.post('/projects/:id/looked/address', async (request, response) => {
    const { id } = await projectOf(projects, request);
    if (!config.fetches) {
      throw new Problem(
        'fetching-off',
        'This Lettera fetches no pages: it is shared, and was not started with --fetch on. Save the page, or use the reader.',
      );
    }
    const { address, headers = [] } = bodyOf(request, 'PageAddress');
    const gone = untilGone(response);
    const own = jobs.for(id);
    const visit = {
      allowed: config.token === null ? (await hosts.list(id)).map(({ host }) => host) : [],
      headers: Object.fromEntries(headers.map(({ name, value }) => [name, value])),
    };
    const fetched = await siteFetcher.fetch(address, own, gone, visit).catch((error: unknown) => {
      if (gone.aborted) return null;
      throw error instanceof InnerHostError ? innerHost(error, config.token !== null) : error;
    });
    if (!fetched) return;
    const hash = createHash('sha256');
    for (const { path, bytes } of fetched) hash.update(`${path}\0`).update(bytes).update('\0');
    const site = hash.digest('hex');
    const read = await jobs.for(id).readPages({
      files: fetched.map(({ path, bytes }) => ({ path, bytes })),
      addresses: Object.fromEntries(
        fetched.map(({ path, ...from }) => [path, { address: from.address, base: from.base }]),
      ),
      base: siteBase(site),
    });
    if (gone.aborted) return;
    await sites.addLooked(id, site, read);
    response.status(201).json(lookedPages(site, read, address));
  });

  /** Brings pages in: HTML with what belongs to it, as files with their paths, or in archives. */
  router.post(
    '/projects/:id/pages',
    ...receivingFiles(incoming, SITE_UPLOAD),
    async (request: Request<{ id: string }>, response) => {
      const received = await receiveSite(request, response);
      if (!received) return;
      const { id, site, read } = received;
      await sites.add(id, site, read);
      const taken = (await pages.list(id)).map((page) => page.slug);
      let added: [string, SitePage][] = [];
      const inside = (document: ProjectDocument) => {
        added = pagesIn(document, read.pages, site, taken);
        return document.pages
          ? added.map(([key, page]) => ({
              op: 'add' as const,
              path: `/pages/${key}`,
              value: page,
            }))
          : [{ op: 'add' as const, path: '/pages', value: Object.fromEntries(added) }];
      };
      const { document } = await projectOf(projects, request);
      if (pagesIn(document, read.pages, site, taken).length > 0) {
        const names = read.pages.map(({ title }) => plainName(title));
        await projects.change(id, null, inside, {
          label: `Pages: ${names.join(', ').slice(0, 120)} added`,
        });
      }
      response.status(201).json({
        pages: added.map(([slugOf, { name }]) => ({ slug: slugOf, title: name })),
        refused: read.refused,
        leftOut: read.leftOut,
      });
    },
  );

  router.get('/projects/:id/pages/:page', pageSecurity, async (request, response) => {
    const project = await projectOf(projects, request);
    const { page: key } = request.params;
    const own = ownPageOf(project.document, request);
    response.set('Cache-Control', 'no-store').type('html');
    if (own) {
      const { html } = await ownPage(project.id, own);
      const { linked = 'before', layer } = request.query;
      response.send(pageLinking(html, { linked, layer: layerNamed(layer) }));
      return;
    }
    const page = await pages.get(project.id, key);
    if (!page) throw new Problem('not-found', 'This project has no such page.');
    response.send(samplePage(page, project.document.languages[0] ?? 'en'));
  });

  router.get('/projects/:id/start.css', (_request, response) => {
    response.type('css').send('');
  });

  router.get('/projects/:id/pages/:page/page.css', async (request, response) => {
    const { id } = await projectOf(projects, request);
    const page = await pages.get(id, request.params.page);
    if (!page) throw new Problem('not-found', 'This project has no such page.');
    response.type('css').send(page.css);
  });

  /** What was removed from a page of the site's own, and what its style sheets do to type. */
  router.get('/projects/:id/pages/:page/account', async (request, response) => {
    const { id, document } = await projectOf(projects, request);
    const own = ownPageOf(document, request);
    if (!own) throw new Problem('not-found', 'This project has no such page of its own.');
    const [{ removed, notes }, { rules: found, layers, leftOut }, live] = await Promise.all([
      ownPage(id, own),
      rulesOf(id, own),
      sites.file(id, own.site, livePathOf(own.path)),
    ]);
    const shown = live ? livePageOf(Buffer.from(live.bytes).toString('utf8')) : NOT_LIVE;
    response.json({
      removed,
      notes: leftOut > 0 ? [...notes, rulesLeftOut(leftOut)] : notes,
      rules: found,
      layers,
      live: shown,
    } satisfies PageAccount);
  });

  router.get('/projects/:id/sites/:site/*path', pageSecurity, async (request, response) => {
    const { id } = await projectOf(projects, request);
    const path = ([] as string[]).concat(request.params['path'] ?? []).join('/');
    const layer = layerNamed(request.query['layer']);
    if (layer) {
      response.type('css').send(layeredSheet(path, layer));
      return;
    }
    const file = await sites.file(id, request.params['site'] ?? '', path);
    if (!file) throw new Problem('not-found', 'This project has no such file.');
    response.set('Cache-Control', 'private, max-age=31536000, immutable');
    response.type(file.type).send(Buffer.from(file.bytes));
  });

  return router;
}

const rulesLeftOut = (rules: number): string =>
  `${rules.toLocaleString('en')} ${rules === 1 ? 'rule of its style sheets is' : 'rules of its style sheets are'} left out: longer, or more, than any site writes.`;

/** Pages that are looked at, as they are reported. */
const lookedPages = (
  site: string,
  { pages, refused, leftOut }: ReadSite,
  address?: string,
): LookedPages => ({
  pages: pages.map(({ title, path }) => ({
    name: plainName(title),
    site,
    path,
    ...(address === undefined ? {} : { address }),
  })),
  refused,
  leftOut,
});

/**
 * The page of the site's own that is asked for: by its key in the project, or by its path among the files that
 * it came with, where it is only looked at.
 */
function ownPageOf(
  { pages = {} }: ProjectDocument,
  { params, query }: Request<{ page: string }>,
): SitePage | undefined {
  const { site, path } = query;
  return typeof site === 'string' && typeof path === 'string'
    ? { name: '', site, path }
    : Object.hasOwn(pages, params.page)
      ? pages[params.page]
      : undefined;
}
