import { Router } from 'express';
import { languageSentences } from '../job/languageText';
import { Problem } from './problem';
import * as describe from './describe';

/** BCP 47, as far as it is looked up: a language, and what narrows it. */
const TAG = /^[a-z]{2,3}(-[a-z\d]{1,8}){0,4}$/i;

/** What the routes take and answer. */
export const languagePaths = {
  '/languages/{tag}/text': {
    parameters: [describe.inPath('tag', 'BCP 47')],
    get: {
      summary: 'Running text in a language',
      responses: {
        200: describe.answer('Its sentences', describe.ref('LanguageText')),
        ...describe.problems(404),
      },
    },
  },
} as const;

/** Running text in a language, to see a page in it. */
export function languageRoutes(): Router {
  const router = Router();

  router.get('/languages/:tag/text', (request, response) => {
    const { tag } = request.params;
    const sentences = TAG.test(tag) ? languageSentences(tag) : [];
    if (sentences.length === 0) {
      throw new Problem('not-found', `There is no text in “${tag.slice(0, 40)}” here.`);
    }
    response.set('Cache-Control', 'private, max-age=86400');
    response.json({ tag, sentences });
  });

  return router;
}
