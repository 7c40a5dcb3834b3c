import { Router, type Request, type RequestHandler } from 'express';
import { escapeHtml } from '@lettera/core/deliver';
import type { Services } from '../services';
import type { KeptSheet } from '../store/liveStore';
import { Problem } from './problem';
import { ownOrigin } from './security';
import { layeredSheet, layerNamed, pageLinking, samplePage } from './shownPages';

/** What its pages have in their heads. */
const script = '<script src="../lettera.js" defer></script>';
const start = '<link rel="stylesheet" href="../lettera.css" crossorigin>';

/** Nothing runs there but the script of the live sheet: scripts, forms and outside requests of pages were removed. */
const proofSecurity: RequestHandler = (request, response, next) => {
  const at = `${ownOrigin(request)}/live/${String(request.params['key'])}/`;
  response.set(
    'Content-Security-Policy',
    [
      "default-src 'none'",
      `script-src ${at}`,
      `style-src ${at}`,
      "style-src-attr 'unsafe-inline'",
      `font-src ${at} data:`,
      `img-src ${at} data:`,
      `connect-src ${at}`,
      "frame-ancestors 'none'",
      "base-uri 'none'",
      "form-action 'none'",
    ].join('; '),
  );
  next();
};

type Paged = Request<{ page: string }>;

/**
 * The proof as a page of its own: the project's pages in the present type, for devices in the same network.
 * @param sheetOf the live sheet that a request has the key of
 */
export function liveProofRoutes(
  { projects, pages, sites }: Pick<Services, 'projects' | 'pages' | 'sites'>,
  sheetOf: (request: object) => KeptSheet,
): Router {
  const router = Router({ mergeParams: true });

  router.get('/', proofSecurity, async (request, response) => {
    const { key, projectId } = sheetOf(request);
    const project = await projects.get(projectId);
    if (!project) throw new Problem('not-found', 'There is no such project.');
    const titles = [
      ...Object.entries(project.document.pages ?? {}).map(([slug, { name }]) => [slug, name]),
      ...(await pages.list(projectId)).map(({ slug, title }) => [slug, title]),
    ];
    const at = `/live/${key}`;
    response.type('html').send(`<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escapeHtml(project.name)}</title>
<link rel="stylesheet" href="${at}/proof/lettera.css" crossorigin>
<script src="${at}/proof/lettera.js" defer></script>
</head>
<body style="margin: 24px">
<h1>${escapeHtml(project.name)}</h1>
<ul>
${titles.map(([slug = '', title = '']) => `<li><a href="${at}/proof/pages/${encodeURIComponent(slug)}">${escapeHtml(title)}</a></li>`).join('\n')}
</ul>
</body>
</html>
`);
  });

  router.get('/pages/:page', proofSecurity, async (request: Paged, response) => {
    const { projectId } = sheetOf(request);
    const project = await projects.get(projectId);
    const own = project?.document.pages;
    const { page: name } = request.params;
    response.type('html');
    if (project && own && Object.hasOwn(own, name) && own[name]) {
      const { site, path } = own[name];
      const read = await sites.page(projectId, site, path);
      if (!read) throw new Problem('not-found', 'This project has no such page.');
      const { linked = 'before', siteLayer = null } = project.document.delivery;
      const html = pageLinking(read.html, { linked, layer: siteLayer, start });
      response.send(html.replace(/<\/head>/, (end) => script + end));
      return;
    }
    const page = project && (await pages.get(projectId, name));
    if (!page) throw new Problem('not-found', 'This project has no such page.');
    response.send(samplePage(page, project.document.languages[0] ?? 'en', start + script));
  });

  router.get('/pages/:page/page.css', async (request: Paged, response) => {
    const page = await pages.get(sheetOf(request).projectId, request.params.page);
    if (!page) throw new Problem('not-found', 'This project has no such page.');
    response.type('css').send(page.css);
  });

  router.get(
    '/sites/:site/*path',
    async (request: Request<{ site: string; path: string[] }>, response) => {
      const { projectId } = sheetOf(request);
      const { site } = request.params;
      const path = request.params.path.join('/');
      const project = await projects.get(projectId);
      const isShown = Object.values(project?.document.pages ?? {}).some((one) => one.site === site);
      const file = isShown ? await sites.file(projectId, site, path) : null;
      if (!file) throw new Problem('not-found', 'The proof has no such file.');
      const layer = layerNamed(request.query['layer']);
      if (layer) response.type('css').send(layeredSheet(path, layer));
      else response.type(file.type).send(Buffer.from(file.bytes));
    },
  );

  return router;
}
