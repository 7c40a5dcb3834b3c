import { Router } from 'express';
import { escapeHtml } from '@lettera/core/deliver';
import type { Services } from '../services';
import { Problem } from './problem';
import { projectOf } from './requests';
import { pageSecurity } from './security';

/** The pages that a project is proofed on. */
export function pageRoutes({ projects, pages }: Pick<Services, 'projects' | 'pages'>): Router {
  const router = Router();

  router.get('/projects/:id/pages', async (request, response) => {
    const { id } = await projectOf(projects, request);
    response.json((await pages.list(id)).map(({ slug, title }) => ({ slug, title })));
  });

  router.get('/projects/:id/pages/:page', pageSecurity, async (request, response) => {
    const project = await projectOf(projects, request);
    const page = await pages.get(project.id, request.params.page);
    if (!page) throw new Problem('not-found', 'This project has no such page.');
    const language = escapeHtml(project.document.languages[0] ?? 'en');
    response.set('Cache-Control', 'no-store').type('html').send(`<!doctype html>
<html lang="${language}">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escapeHtml(page.title)}</title>
<link rel="stylesheet" href="${encodeURIComponent(page.slug)}/page.css">
</head>
<body>
${page.html}
</body>
</html>
`);
  });

  router.get('/projects/:id/pages/:page/page.css', async (request, response) => {
    const { id } = await projectOf(projects, request);
    const page = await pages.get(id, request.params.page);
    if (!page) throw new Problem('not-found', 'This project has no such page.');
    response.type('css').send(page.css);
  });

  return router;
}
