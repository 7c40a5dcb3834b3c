import { Router, type Request } from 'express';
import type { Services } from '../services';
import * as describe from './describe';
import { Problem } from './problem';
import { bodyOf, projectOf } from './requests';

const hosts = describe.answer('The hosts', describe.list(describe.ref('AllowedHost')));

/** What the routes take and answer. */
export const siteHostPaths = {
  '/projects/{id}/hosts': {
    parameters: [describe.project],
    get: {
      summary: 'The inner hosts that pages may be fetched from',
      responses: { 200: hosts, ...describe.problems(404) },
    },
  },
  '/projects/{id}/hosts/{host}': {
    parameters: [
      describe.project,
      describe.inPath('host', 'This machine or a neighbour, as name or name:port'),
    ],
    put: {
      summary: 'Allow an inner host for this project, on a Lettera that is not shared',
      requestBody: { content: describe.json(describe.ref('HostPermission')) },
      responses: { 200: hosts, ...describe.problems(400, 403, 404, 422) },
    },
    delete: {
      summary: 'Withdraw it; what was fetched stays',
      responses: { 200: hosts, ...describe.problems(400, 404) },
    },
  },
} as const;

/** A host as it stands in an address. */
const HOST = /^(\[[\da-f:.]{2,60}\]|[a-z\d]([a-z\d.-]{0,250}[a-z\d])?)(:\d{1,5})?$/;
const MOST_HOSTS = 20;

function hostOf(request: Request): string {
  const host = String(request.params['host']).toLowerCase();
  if (!HOST.test(host)) {
    throw new Problem(
      'bad-request',
      `“${host.slice(0, 80)}” is no host. Give one such as localhost:3000.`,
    );
  }
  return host;
}

/** The inner hosts that a designer has allowed for a project. */
export function siteHostRoutes({
  projects,
  hosts: allowed,
  config,
}: Pick<Services, 'projects' | 'hosts' | 'config'>): Router {
  const router = Router();

  router.get('/projects/:id/hosts', async (request, response) => {
    const { id } = await projectOf(projects, request);
    response.json(await allowed.list(id));
  });

  router.put('/projects/:id/hosts/:host', async (request, response) => {
    const { id } = await projectOf(projects, request);
    const host = hostOf(request);
    const { allowedBy } = bodyOf(request, 'HostPermission');
    if (config.token !== null || !config.fetches) {
      throw new Problem(
        'fetching-off',
        `This Lettera is shared: it fetches from ${host} only when it is started with --fetch-hosts ${host}.`,
      );
    }
    const known = await allowed.list(id);
    if (known.length >= MOST_HOSTS && !known.some((one) => one.host === host)) {
      throw new Problem(
        'bad-request',
        `${MOST_HOSTS} hosts are allowed for this project: withdraw one first.`,
      );
    }
    await allowed.allow(id, host, allowedBy);
    response.json(await allowed.list(id));
  });

  router.delete('/projects/:id/hosts/:host', async (request, response) => {
    const { id } = await projectOf(projects, request);
    await allowed.withdraw(id, hostOf(request));
    response.json(await allowed.list(id));
  });

  return router;
}
