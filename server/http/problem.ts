import type { ErrorRequestHandler, RequestHandler, Response } from 'express';
import multer from 'multer';
import { ChangeError } from '@lettera/core/change';
import type { FieldError } from '@lettera/core/document';
import { FontError } from '@lettera/core/font';
import { SiteError } from '@lettera/core/page';
import { DamagedProjectError, NothingToDoError, StaleRevisionError } from '../store/projectStore';
import { TooMuchError } from '../incoming';
import { ProjectFileError } from '../projectFile';
import { BundleTooLargeError } from '../delivery';
import { StoppedError } from '../job/stopping';
import { DatabaseBusyError } from '../store/database';
import { NotListedError, SupplyError } from '../supply/foundryClient';
import { PickError } from '../supply/taking';

/** What went wrong, by a name that stays the same. Written as `urn:lettera:problem:<name>`. */
export type ProblemName =
  | 'not-found'
  | 'bad-request'
  | 'invalid-change'
  | 'stale-revision'
  | 'revision-missing'
  | 'nothing-to-do'
  | 'unusable-font'
  | 'unusable-page'
  | 'unusable-project'
  | 'too-large'
  | 'too-many-requests'
  | 'media-type'
  | 'foreign-request'
  | 'token-missing'
  | 'foundry-not-allowed'
  | 'foundry-failed'
  | 'fetching-off'
  | 'inner-host'
  | 'damaged-project'
  | 'storage-failed'
  | 'database-busy'
  | 'busy'
  | 'starting'
  | 'stopped'
  | 'unreadable-upload'
  | 'internal';

const TITLES: Record<ProblemName, [status: number, title: string]> = {
  'not-found': [404, 'Not found'],
  'bad-request': [400, 'The request could not be read'],
  'invalid-change': [422, 'The change was refused'],
  'stale-revision': [409, 'The project has changed meanwhile'],
  'revision-missing': [428, 'The revision is missing'],
  'nothing-to-do': [409, 'There is nothing to undo or redo'],
  'unusable-font': [422, 'The font cannot be used'],
  'unusable-page': [422, 'The page cannot be used'],
  'unusable-project': [422, 'The project file cannot be opened'],
  'too-large': [413, 'Too large'],
  'too-many-requests': [429, 'Too many requests'],
  'media-type': [415, 'Not the media type expected'],
  'foreign-request': [403, 'The request comes from elsewhere'],
  'token-missing': [401, 'An access token is needed'],
  'foundry-not-allowed': [403, 'The foundry is not allowed for this project'],
  'fetching-off': [403, 'Pages are not fetched here'],
  'inner-host': [403, 'The host is an inner one'],
  'foundry-failed': [502, 'The foundry failed'],
  'damaged-project': [500, 'The project is damaged'],
  'storage-failed': [507, 'The data could not be written'],
  'database-busy': [503, 'The database is busy'],
  busy: [503, 'Too much at once'],
  starting: [503, 'Lettera is starting'],
  stopped: [409, 'The work was stopped'],
  'unreadable-upload': [422, 'The upload could not be read'],
  internal: [500, 'Something went wrong in Lettera'],
};

/** A refusal that is answered as `application/problem+json` (RFC 9457). */
export class Problem extends Error {
  override readonly name = 'Problem';

  constructor(
    readonly problem: ProblemName,
    readonly detail: string,
    readonly extra: Record<string, unknown> = {},
  ) {
    super(detail);
  }

  get status(): number {
    return TITLES[this.problem][0];
  }

  /** The members of the problem details object. */
  toJSON(): Record<string, unknown> {
    const [status, title] = TITLES[this.problem];
    return {
      type: `urn:lettera:problem:${this.problem}`,
      title,
      status,
      detail: this.detail,
      ...this.extra,
    };
  }
}

/** What is said of every refusal, once. */
const NOTHING_CHANGED = 'Nothing was changed.';
export const kept = (detail: string): string =>
  detail.includes(NOTHING_CHANGED) ? detail : `${detail} ${NOTHING_CHANGED}`;

const fieldErrors = (errors: FieldError[]) => ({ errors });

interface HttpError extends Error {
  status?: number;
  type?: string;
  code?: string;
}

/** SQLite and the file system on a store that cannot be written to. */
const STORAGE_FAILURE = /SQLITE_(FULL|READONLY|IOERR|CANTOPEN|CORRUPT)|ENOSPC|EROFS/;

function fromUpload({ code }: multer.MulterError): Problem {
  if (code === 'LIMIT_FILE_SIZE') {
    return new Problem('too-large', kept('One of the files is larger than may be sent.'));
  }
  if (code === 'LIMIT_FILE_COUNT') {
    return new Problem('too-large', kept('There are more files than may be sent at once.'));
  }
  return new Problem('bad-request', kept('The form holds parts other than “file”.'));
}

/** What the reader of forms says of one that ends early, or is none. */
const BROKEN_FORM =
  /^(Unexpected end of form|Multipart: |Malformed |Unexpected end of file|Missing Content-Type)/;

function fromHttp(error: HttpError): Problem | null {
  const busy = [error, error.cause].find((one) => one instanceof DatabaseBusyError);
  if (busy) return new Problem('database-busy', kept(`${busy.message} Try again in a moment.`));
  if (error instanceof TooMuchError) {
    return error.all
      ? new Problem('busy', kept('Too many files arrive at once. Try again in a moment.'))
      : new Problem('too-large', kept('Font files sent at once may have at most 120 MB.'));
  }
  if (BROKEN_FORM.test(error.message)) {
    return new Problem(
      'unreadable-upload',
      kept('The upload is cut short, or is no multipart form.'),
    );
  }
  if (error.type === 'entity.too.large') {
    return new Problem('too-large', kept('The request’s body is larger than 1 MB.'));
  }
  if (error.type === 'entity.parse.failed') {
    return new Problem('bad-request', kept('The body is not JSON.'));
  }
  if (error.status !== undefined && error.status >= 400 && error.status < 500) {
    return new Problem('bad-request', kept('The request could not be read.'));
  }
  if (STORAGE_FAILURE.test(`${error.code ?? ''} ${error.message} ${String(error.cause)}`)) {
    return new Problem(
      'storage-failed',
      kept('The data folder cannot be written: it may be full or read-only.'),
    );
  }
  return null;
}

/** Any error as a problem; what is not foreseen becomes `internal`, without its insides. */
export function toProblem(error: unknown): Problem {
  if (error instanceof Problem) return error;
  if (error instanceof ChangeError) {
    return new Problem('invalid-change', kept(error.message), fieldErrors(error.errors));
  }
  if (error instanceof StaleRevisionError) {
    const { revision, document, undo, redo } = error.current;
    return new Problem(
      'stale-revision',
      kept(`The project stands at revision ${revision}, which is newer than the one given.`),
      { current: { revision, document, undo, redo } },
    );
  }
  if (error instanceof DamagedProjectError) return new Problem('damaged-project', error.message);
  if (error instanceof NothingToDoError) return new Problem('nothing-to-do', error.message);
  if (error instanceof FontError) {
    return new Problem('unusable-font', kept(error.message), { reason: error.reason });
  }
  if (error instanceof SiteError) return new Problem('unusable-page', kept(error.message));
  if (error instanceof ProjectFileError) return new Problem('unusable-project', error.message);
  if (error instanceof PickError) return new Problem('bad-request', kept(error.message));
  if (error instanceof NotListedError) return new Problem('not-found', error.message);
  if (error instanceof BundleTooLargeError) return new Problem('too-large', error.message);
  if (error instanceof StoppedError) return new Problem('stopped', error.message);
  if (error instanceof SupplyError) return new Problem('foundry-failed', error.message);
  if (error instanceof multer.MulterError) return fromUpload(error);
  return (
    fromHttp(error as HttpError) ??
    new Problem('internal', kept('Something in Lettera failed. Its log says more.'))
  );
}

/** Seconds after which it is worth trying again. */
const RETRY_AFTER = '2';

export function sendProblem(response: Response, problem: Problem): void {
  if (problem.status === 503) response.set('Retry-After', RETRY_AFTER);
  response
    .status(problem.status)
    .type('application/problem+json')
    .send(JSON.stringify(problem.toJSON()));
}

/** Answers for addresses that are not there. */
export const notFound: RequestHandler = (request) => {
  throw new Problem('not-found', `There is nothing at ${request.path}.`);
};

/** Answers every error as a problem, and logs those that are not the caller's. */
export const problemHandler: ErrorRequestHandler = (error: unknown, request, response, next) => {
  // Whoever asked has gone: nobody reads the answer, and giving up was their wish.
  if (response.destroyed) return;
  const problem = toProblem(error);
  // Busy and starting are states, and no failures.
  if (problem.status >= 500 && problem.status !== 503)
    request.log.error({ err: error }, problem.detail);
  if (response.headersSent) {
    next(error);
    return;
  }
  sendProblem(response, problem);
};
