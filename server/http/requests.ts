import type { Request, RequestHandler, Response } from 'express';
import { readBody, type Project, type RequestBody, type RequestName } from '@lettera/core/wire';
import type { ProjectStore } from '../store/projectStore';
import type { Instance } from '@lettera/core/font';
import { kept, Problem } from './problem';

export const noProject = (id: string): Problem =>
  new Problem('not-found', `There is no project “${id}”.`);

/** The project that a route's `:id` names, by id or slug. @throws Problem 404 */
export async function projectOf(projects: ProjectStore, request: Request): Promise<Project> {
  const id = String(request.params['id']);
  const project = await projects.get(id);
  if (!project) throw noProject(id);
  return project;
}

/** The revision in If-Match, written as the ETag is. @throws Problem 428, 400 */
export function revisionGiven(request: Request): number {
  const header = request.headers['if-match'];
  if (header === undefined) {
    throw new Problem(
      'revision-missing',
      'Give the revision that the change was made on in If-Match, as the project’s ETag has it.',
    );
  }
  const match = /^(?:W\/)?"?(\d+)"?$/.exec(header.trim());
  if (!match) {
    throw new Problem(
      'bad-request',
      `If-Match holds ${header.slice(0, 80)}, which is no revision.`,
    );
  }
  return Number(match[1]);
}

/** Answers with a project and its revision as ETag. */
export function sendProject(response: Response, project: Project, status = 200): void {
  response.status(status).set('ETag', `"${project.revision}"`).json(project);
}

/** Whether as little as will do is asked for. RFC 7240 §4.2, `return=minimal`. */
const wantsLittle = (request: Request): boolean =>
  /(^|[,\s])return=minimal([,;\s]|$)/.test(request.get('Prefer') ?? '');

/** Answers with a project that was changed; who has it as it was before can ask for the change alone. */
export async function sendChanged(
  request: Request,
  response: Response,
  projects: ProjectStore,
  project: Project,
): Promise<void> {
  response.vary('Prefer');
  const change = wantsLittle(request) ? await projects.changeOf(project) : null;
  if (!change) return sendProject(response, project);
  response
    .set({ ETag: `"${project.revision}"`, 'Preference-Applied': 'return=minimal' })
    .json(change);
}

/** Refuses bodies that say they are longer than a limit, before they are read. What is read is counted too. */
export const bodyLimit =
  (bytes: number, what: string): RequestHandler =>
  (request, response, next) => {
    if (Number(request.headers['content-length'] ?? 0) > bytes) {
      response.set('Connection', 'close');
      request.resume();
      throw new Problem(
        'too-large',
        kept(`${what} may be at most ${Math.round(bytes / 1024 / 1024)} MB.`),
      );
    }
    next();
  };

/** What a request brings as JSON, of a shape of the contract. @throws Problem 422 naming what is wrong */
export function bodyOf<N extends RequestName>(request: Request, name: N): RequestBody<N> {
  const read = readBody(name, request.body);
  if ('body' in read) return read.body;
  const { path, message } = read.fault;
  const where = path.slice(1).replaceAll('/', ' › ');
  throw new Problem('invalid-change', `${where ? `“${where}”` : 'What is sent'} ${message}.`, {
    errors: [{ path, message }],
  });
}

/** Aborts when whoever asked goes away before the answer: long work is then given up. */
export function untilGone(response: Response): AbortSignal {
  const gone = new AbortController();
  response.on('close', () => {
    if (!response.writableFinished) gone.abort();
  });
  return gone.signal;
}

const AXIS_TAG = /^[A-Za-z0-9 ]{4}$/;

/** The point of a variable face's axes that a query gives: `?wght=650&wdth=80`. */
export function instanceOf(query: Request['query']): Instance {
  return Object.fromEntries(
    Object.entries(query).map(([tag, value]) => {
      const number = Number(value);
      if (!AXIS_TAG.test(tag) || !Number.isFinite(number)) {
        throw new Problem('bad-request', `“${tag}” must be an axis of four letters with a number.`);
      }
      return [tag, number];
    }),
  );
}
