import { Router } from 'express';
import { LOCAL_SETS, localSet, VARIANTS } from '@lettera/core/fallback';
import { twinFiles } from '../job/twins';
import { Problem } from './problem';
import * as describe from './describe';

/** What the routes take and answer. */
export const localFontPaths = {
  '/local-fonts': {
    get: {
      summary: 'Scripts that an open font of the same widths has, by local font',
      responses: {
        200: describe.answer('Scripts', describe.ref('TwinScripts')),
      },
    },
  },
  '/local-fonts/{key}/{variant}/{script}': {
    parameters: [
      describe.inPath('key', 'Key of a local font'),
      describe.inPath('variant', 'regular, bold, italic or boldItalic'),
      describe.inPath('script', 'A script and .woff2'),
    ],
    get: {
      summary: 'The open font that has a local font’s widths',
      responses: { 200: describe.file('WOFF2', 'font/woff2'), ...describe.problems(404) },
    },
  },
} as const;

/** The open fonts that stand in, on the proof, for local fonts that this machine may not carry. */
export function localFontRoutes(): Router {
  const router = Router();

  router.get('/local-fonts', (_request, response) => {
    response.json(
      Object.fromEntries(
        Object.entries(LOCAL_SETS).map(([key, { twin, script: of }]) => [
          key,
          twinFiles(twin, 'regular', of).map(({ script, unicodeRange }) => ({
            script,
            unicodeRange,
          })),
        ]),
      ),
    );
  });

  router.get('/local-fonts/:key/:variant/:script', (request, response) => {
    const variant = VARIANTS.find((name) => name === request.params.variant);
    const set = localSet(request.params.key);
    const file =
      set && variant
        ? twinFiles(set.twin, variant, set.script).find(
            ({ script }) => `${script}.woff2` === request.params.script,
          )
        : undefined;
    if (!file) throw new Problem('not-found', 'There is no such local font.');
    response.set('Cache-Control', 'private, max-age=86400');
    response.type('font/woff2').sendFile(file.path);
  });

  return router;
}
