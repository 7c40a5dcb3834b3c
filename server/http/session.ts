import { Router } from 'express';
import rateLimit from 'express-rate-limit';
import type { Config } from '../config';
import { Problem } from './problem';
import { stringField } from './requests';
import { isSignedIn, sameToken, SESSION_COOKIE, sessionValue } from './security';

const WINDOW = 60_000;
const TRIES_A_WINDOW = 10;

/** Signing in with the access token, where one was set at start. */
export function sessionRoutes(config: Config): Router {
  const router = Router();

  router.get('/session', (request, response) => {
    response.json({ tokenNeeded: config.token !== null, signedIn: isSignedIn(config, request) });
  });

  router.post(
    '/session',
    rateLimit({
      windowMs: WINDOW,
      limit: TRIES_A_WINDOW,
      handler: () => {
        throw new Problem('too-many-requests', 'Too many tries. Wait a minute.');
      },
    }),
    (request, response) => {
      const given = stringField(request.body, 'token', 400);
      if (!config.token || !sameToken(given, config.token)) {
        throw new Problem('token-missing', 'This is not the access token.');
      }
      response.cookie(SESSION_COOKIE, sessionValue(config.token), {
        httpOnly: true,
        sameSite: 'strict',
        path: '/',
      });
      response.json({ tokenNeeded: true, signedIn: true });
    },
  );

  return router;
}
