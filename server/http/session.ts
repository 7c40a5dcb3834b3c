import { Router } from 'express';
import type { Config } from '../config';
import { SESSION_LENGTH, type SessionStore } from '../store/sessionStore';
import { Problem } from './problem';
import { bodyOf } from './requests';
import { SESSION_COOKIE, sessionOf, type Admission } from './security';
import * as describe from './describe';

/** What the routes take and answer. */
export const sessionPaths = {
  '/session': {
    get: {
      summary: 'Whether a token is needed, and given',
      responses: { 200: describe.answer('So', describe.ref('Session')) },
    },
    post: {
      summary: 'Sign in with the access token',
      requestBody: { content: describe.json(describe.ref('SignIn')) },
      responses: {
        200: describe.answer('Signed in, by a cookie', describe.ref('Session')),
        ...describe.problems(401, 422, 429),
      },
    },
    delete: {
      summary: 'Sign out: the session ends',
      responses: { 204: { description: 'Signed out' } },
    },
  },
} as const;

/** Signing in with the access token, where one was set at start, and out again. */
export function sessionRoutes(
  { token }: Pick<Config, 'token'>,
  sessions: SessionStore,
  admission: Admission,
): Router {
  const router = Router();
  const cookie = { httpOnly: true, sameSite: 'strict', path: '/' } as const;

  router.get('/session', async (request, response) => {
    response.json({
      tokenNeeded: admission.tokenNeeded,
      signedIn: await admission.isSignedIn(request),
    });
  });

  router.post('/session', async (request, response) => {
    const { token: given } = bodyOf(request, 'SignIn');
    if (!token || !(await admission.isToken(given, request, response))) {
      throw new Problem('token-missing', 'This is not the access token.');
    }
    response.cookie(SESSION_COOKIE, await sessions.begin(token), {
      ...cookie,
      secure: request.secure,
      maxAge: SESSION_LENGTH,
    });
    response.json({ tokenNeeded: true, signedIn: true });
  });

  router.delete('/session', async (request, response) => {
    const session = sessionOf(request);
    if (session) await sessions.end(session);
    response.clearCookie(SESSION_COOKIE, { ...cookie, secure: request.secure });
    response.status(204).end();
  });

  return router;
}
