import compression from 'compression';
import express, { type Express } from 'express';
import rateLimit from 'express-rate-limit';
import { pinoHttp } from 'pino-http';
import { webFolder } from './folders';
import { deliveryRoutes } from './http/delivery';
import { familyRoutes } from './http/families';
import { fontRoutes } from './http/fonts';
import { foundryRoutes } from './http/foundry';
import { siteHostRoutes } from './http/siteHosts';
import { languageRoutes } from './http/languages';
import { liveRoutes } from './http/live';
import { livePageRoutes } from './http/livePages';
import { localFontRoutes } from './http/localFonts';
import { openApi } from './http/openapi';
import { pageRoutes } from './http/pages';
import { stockRoutes } from './http/stock';
import { projectFileRoutes } from './http/projectFiles';
import { notFound, Problem, problemHandler } from './http/problem';
import { projectRoutes } from './http/projects';
import { Admission, contentSecurity, onlyOwnName, onlyOwnOrigin } from './http/security';
import { sessionRoutes } from './http/session';
import { waypointRoutes } from './http/waypoints';
import { visitorRoutes, visitRoutes } from './http/visits';
import { webApp } from './http/webApp';
import type { Services } from './services';
import type { Page } from './store/pageStore';

const REQUESTS_A_MINUTE = 6000;

export interface AppOptions {
  services: Services;
  /** The pages that a new project is proofed on until it has its own. */
  startingPages: () => Promise<Page[]>;
  /** Whether all that is to be there at the start is; until then it is not healthy. */
  isReady?: () => boolean;
  /** Aborted when the server is to end: streams that go on for ever end then. */
  ending?: AbortSignal;
}

/** The whole HTTP application: the API under `/api/v1`, and the web application everywhere else. */
export function createApp({
  services,
  startingPages,
  isReady = () => true,
  ending = new AbortController().signal,
}: AppOptions): Express {
  const { config } = services;
  const app = express();
  app.disable('x-powered-by');
  if (config.trustedProxy !== null) app.set('trust proxy', config.trustedProxy);
  app.use(pinoHttp({ level: process.env['LETTERA_LOG'] ?? 'error', autoLogging: false }));
  app.use(contentSecurity(null));
  app.use(onlyOwnName(config));
  app.use(
    compression({
      filter: (request, response) =>
        !request.path.endsWith('/events') && compression.filter(request, response),
    }),
  );

  // Pages of the site that a designer has named have it; all else here is for Lettera's own pages alone.
  app.use('/live', livePageRoutes(services, ending));
  app.use('/visits', visitorRoutes(services));
  app.use(onlyOwnOrigin);

  const api = express.Router();
  api.use((_request, response, next) => {
    response.set('Cache-Control', 'no-store');
    next();
  });
  api.use(
    rateLimit({
      windowMs: 60_000,
      limit: REQUESTS_A_MINUTE,
      standardHeaders: 'draft-8',
      legacyHeaders: false,
      handler: () => {
        throw new Problem('too-many-requests', 'Too many requests. Wait a minute.');
      },
    }),
  );
  api.use(express.json({ limit: '1mb' }));
  api.get('/health', (_request, response) => {
    if (!isReady()) throw new Problem('starting', 'Lettera is starting.');
    response.json({ status: 'ok' });
  });
  api.get('/openapi.json', (_request, response) => {
    response.json(openApi);
  });
  const admission = new Admission(config.token, services.sessions, services.database);
  api.use(sessionRoutes(config, services.sessions, admission));
  api.use(admission.onlySignedIn);
  api.use(projectRoutes(services, startingPages, admission, ending));
  api.use(waypointRoutes(services));
  api.use(fontRoutes(services));
  api.use(familyRoutes(services));
  api.use(foundryRoutes(services));
  api.use(siteHostRoutes(services));
  api.use(liveRoutes(services));
  api.use(visitRoutes(services));
  api.use(projectFileRoutes(services));
  api.use(pageRoutes(services));
  api.use(stockRoutes(services));
  api.use(deliveryRoutes(services));
  api.use(localFontRoutes());
  api.use(languageRoutes());
  api.use(notFound);
  app.use('/api/v1', api);

  const web = webFolder();
  if (web) app.use(webApp(web));
  app.use(notFound);
  app.use(problemHandler);
  return app;
}
