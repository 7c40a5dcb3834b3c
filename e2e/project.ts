import type { Project } from '@lettera/server';
import { eventually } from './browser';
import type { RunningLettera } from './lettera';

/** Asks the API of a running application. */
export const ask = async <T>(
  { url }: RunningLettera,
  path: string,
  init: RequestInit = {},
): Promise<T> => (await (await fetch(`${url}/api/v1${path}`, init)).json()) as T;

const send = <T>(lettera: RunningLettera, method: string, path: string, body: unknown) =>
  ask<T>(lettera, path, {
    method,
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  });

/** Allows the foundry for a project. */
export const allowFoundry = (lettera: RunningLettera, slug: string): Promise<Project> =>
  send<Project>(lettera, 'PUT', `/projects/${slug}/foundry`, { allowedBy: 'Ása' });

/** How long measuring a whole library may take, ms: on a busy machine minutes. */
const WHOLE_LIBRARY = 600_000;

/** Starts a project for which the foundry is allowed and its library measured, and gives its slug. */
export async function measuredProject(lettera: RunningLettera, name: string): Promise<string> {
  const { slug } = await send<Project>(lettera, 'POST', '/projects', { name });
  await allowFoundry(lettera, slug);
  await eventually(
    () => ask<{ state: string }>(lettera, `/projects/${slug}/foundry/measures`),
    ({ state }) => state === 'done',
    WHOLE_LIBRARY,
  );
  return slug;
}

/** Makes a change of a project through the API, as another window would. */
export async function changeProject(
  lettera: RunningLettera,
  slug: string,
  patch: object[],
): Promise<Project> {
  const { revision } = await ask<Project>(lettera, `/projects/${slug}`);
  const answer = await fetch(`${lettera.url}/api/v1/projects/${slug}`, {
    method: 'PATCH',
    headers: { 'Content-Type': 'application/json-patch+json', 'If-Match': `"${revision}"` },
    body: JSON.stringify(patch),
  });
  const body = (await answer.json()) as Project & { detail?: string };
  if (!answer.ok) throw new Error(body.detail);
  return body;
}
