// What the descriptions of routes are made of, in the terms of OpenAPI 3.1; each stands beside its routes.
import type { ShapeName } from '@lettera/core/wire';

export type Schema = Record<string, unknown>;

export const text: Schema = { type: 'string' };
export const integer: Schema = { type: 'integer' };
export const number: Schema = { type: 'number' };
export const list = (items: Schema): Schema => ({ type: 'array', items });
export const object = (properties: Record<string, Schema>): Schema => ({
  type: 'object',
  properties,
  required: Object.keys(properties),
});
/** A shape of the contract, by its name. */
export const ref = (name: ShapeName): Schema => ({ $ref: `#/components/schemas/${name}` });

export const json = (schema: Schema, type = 'application/json') => ({ [type]: { schema } });
export const answer = (description: string, schema: Schema) => ({
  description,
  content: json(schema),
});
export const file = (description: string, type: string) => ({
  description,
  content: { [type]: { schema: { type: 'string', format: 'binary' } } },
});
/** Files of a form. @param more fields that it may have beside them */
export const filesWith = (more: Record<string, Schema> = {}) => ({
  'multipart/form-data': {
    schema: { type: 'object', properties: { file: SENT_FILES, ...more }, required: ['file'] },
  },
});
const SENT_FILES = list({ type: 'string', format: 'binary' });
export const problems = (...statuses: number[]) =>
  Object.fromEntries(
    statuses.map((status) => [
      status,
      {
        description: PROBLEMS[status],
        content: json(ref('Problem'), 'application/problem+json'),
      },
    ]),
  );

const PROBLEMS: Record<number, string> = {
  400: 'The request could not be read',
  401: 'An access token is needed',
  403: 'Not allowed: the request comes from another site, or the foundry has not been allowed',
  404: 'There is no such thing',
  409: 'Made on a stale revision (the current state is under `current`), or nothing to undo or redo',
  413: 'Too large; nothing was changed',
  415: 'Not the media type expected',
  422: 'Invalid; nothing was stored',
  428: 'If-Match is missing',
  429: 'Too many tries',
  503: 'Busy, or starting: try again after Retry-After',
  502: 'The foundry failed',
};

/** A cascade layer that a page's own style sheets are put into. */
export const layerOfSite = {
  name: 'layer',
  in: 'query',
  schema: { type: 'string' },
  description: 'Cascade layer that the page’s own style sheets are put into',
};

/** A page of the site's own by where it came from, whether or not it is one of the project's. */
export const placeOfPage = [
  {
    name: 'site',
    in: 'query',
    schema: { type: 'string' },
    description: 'SHA-256 of the files that the page came with',
  },
  {
    name: 'path',
    in: 'query',
    schema: { type: 'string' },
    description: 'Its path among them',
  },
];

export const inPath = (name: string, description: string) => ({
  name,
  in: 'path',
  required: true,
  description,
  schema: text,
});
export const project = inPath('id', 'Id or short name of a project');
export const ifMatch = {
  name: 'If-Match',
  in: 'header',
  required: true,
  description: 'The revision that the change is made on, as the ETag of the project',
  schema: text,
};
export const axisPoint = {
  name: 'point',
  in: 'query',
  style: 'form',
  explode: true,
  description: 'Axes by their tags: wght=650&wdth=80',
  schema: { type: 'object', additionalProperties: number },
};
export const family = inPath('family', 'Id of a family of the foundry');

export const theProject = answer('The project as it stands, its revision as ETag', ref('Project'));
export const prefer = {
  name: 'Prefer',
  in: 'header',
  schema: text,
  description:
    '`return=minimal` (RFC 7240) for the change alone, to be made of the project at the revision before',
};
export const theProjectOrChange = answer(
  'The project as it stands, its revision as ETag; the change alone where `return=minimal` is preferred',
  { oneOf: [ref('Project'), ref('Change')] },
);
