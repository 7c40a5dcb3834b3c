import { SHAPES } from '@lettera/core/wire';
import { answer, object, problems, text } from './describe';
import { sessionPaths } from './session';
import { projectPaths } from './projects';
import { waypointPaths } from './waypoints';
import { projectFilePaths } from './projectFiles';
import { deliveryPaths } from './delivery';
import { fontPaths } from './fonts';
import { familyPaths } from './families';
import { foundryPaths } from './foundry';
import { siteHostPaths } from './siteHosts';
import { livePaths } from './live';
import { pagePaths } from './pages';
import { stockPaths } from './stock';
import { visitPaths } from './visits';
import { localFontPaths } from './localFonts';
import { languagePaths } from './languages';

/** The API in OpenAPI 3.1. Routes and this description are held together by a test. */
export const openApi = {
  openapi: '3.1.0',
  info: {
    title: 'Lettera',
    version: '1',
    description:
      'The typography of a site: faces, scale, fallbacks, styles, and what is delivered.',
    license: { name: 'MIT', identifier: 'MIT' },
  },
  servers: [{ url: '/api/v1' }],
  components: {
    schemas: SHAPES,
    securitySchemes: { token: { type: 'http', scheme: 'bearer' } },
  },
  security: [{}, { token: [] }],
  paths: {
    '/health': {
      get: {
        summary: 'Can it serve',
        responses: { 200: answer('Yes', object({ status: text })), ...problems(503) },
      },
    },
    '/openapi.json': {
      get: {
        summary: 'This description',
        responses: { 200: answer('OpenAPI 3.1', { type: 'object' }) },
      },
    },
    ...sessionPaths,
    ...projectPaths,
    ...waypointPaths,
    ...projectFilePaths,
    ...deliveryPaths,
    ...fontPaths,
    ...familyPaths,
    ...foundryPaths,
    ...siteHostPaths,
    ...livePaths,
    ...visitPaths,
    ...pagePaths,
    ...stockPaths,
    ...localFontPaths,
    ...languagePaths,
  },
} as const;
