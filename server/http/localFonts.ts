import { Router } from 'express';
import { LOCAL_SETS, localSet, VARIANTS } from '@lettera/core/fallback';
import { twinFiles } from '../job/twins';
import { Problem } from './problem';

/** The open fonts that stand in, on the proof, for local fonts that this machine may not carry. */
export function localFontRoutes(): Router {
  const router = Router();

  router.get('/local-fonts', (_request, response) => {
    response.json(
      Object.fromEntries(
        Object.entries(LOCAL_SETS).map(([key, { twin }]) => [
          key,
          twinFiles(twin, 'regular').map(({ script, unicodeRange }) => ({ script, unicodeRange })),
        ]),
      ),
    );
  });

  router.get('/local-fonts/:key/:variant/:script', (request, response) => {
    const variant = VARIANTS.find((name) => name === request.params.variant);
    const set = localSet(request.params.key);
    const file =
      set && variant
        ? twinFiles(set.twin, variant).find(
            ({ script }) => `${script}.woff2` === request.params.script,
          )
        : undefined;
    if (!file) throw new Problem('not-found', 'There is no such local font.');
    response.set('Cache-Control', 'private, max-age=86400');
    response.type('font/woff2').sendFile(file.path);
  });

  return router;
}
