import { SHAPES, type ShapeName } from '@lettera/core/wire';

type Schema = Record<string, unknown>;

const text: Schema = { type: 'string' };
const integer: Schema = { type: 'integer' };
const number: Schema = { type: 'number' };
const list = (items: Schema): Schema => ({ type: 'array', items });
const object = (properties: Record<string, Schema>): Schema => ({
  type: 'object',
  properties,
  required: Object.keys(properties),
});
/** A shape of the contract, by its name. */
const ref = (name: ShapeName): Schema => ({ $ref: `#/components/schemas/${name}` });

const json = (schema: Schema, type = 'application/json') => ({ [type]: { schema } });
const answer = (description: string, schema: Schema) => ({ description, content: json(schema) });
const file = (description: string, type: string) => ({
  description,
  content: { [type]: { schema: { type: 'string', format: 'binary' } } },
});
/** Files of a form. @param more fields that it may have beside them */
const filesWith = (more: Record<string, Schema> = {}) => ({
  'multipart/form-data': {
    schema: { type: 'object', properties: { file: SENT_FILES, ...more }, required: ['file'] },
  },
});
const SENT_FILES = list({ type: 'string', format: 'binary' });
const problems = (...statuses: number[]) =>
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
const layerOfSite = {
  name: 'layer',
  in: 'query',
  schema: { type: 'string' },
  description: 'Cascade layer that the page’s own style sheets are put into',
};

/** A page of the site's own by where it came from, whether or not it is one of the project's. */
const placeOfPage = [
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

const inPath = (name: string, description: string) => ({
  name,
  in: 'path',
  required: true,
  description,
  schema: text,
});
const project = inPath('id', 'Id or short name of a project');
const ifMatch = {
  name: 'If-Match',
  in: 'header',
  required: true,
  description: 'The revision that the change is made on, as the ETag of the project',
  schema: text,
};
const axisPoint = {
  name: 'point',
  in: 'query',
  style: 'form',
  explode: true,
  description: 'Axes by their tags: wght=650&wdth=80',
  schema: { type: 'object', additionalProperties: number },
};
const family = inPath('family', 'Id of a family of the foundry');

const theProject = answer('The project as it stands, its revision as ETag', ref('Project'));

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
    '/session': {
      get: {
        summary: 'Whether a token is needed, and given',
        responses: { 200: answer('So', ref('Session')) },
      },
      post: {
        summary: 'Sign in with the access token',
        requestBody: { content: json(ref('SignIn')) },
        responses: {
          200: answer('Signed in, by a cookie', ref('Session')),
          ...problems(401, 422, 429),
        },
      },
      delete: {
        summary: 'Sign out: the session ends',
        responses: { 204: { description: 'Signed out' } },
      },
    },
    '/projects': {
      get: {
        summary: 'All projects',
        responses: { 200: answer('Projects', list(ref('ProjectSummary'))) },
      },
      post: {
        summary: 'Start a project',
        requestBody: { content: json(ref('NewProject')) },
        responses: { 201: theProject, ...problems(400, 413, 422) },
      },
    },
    '/projects/{id}': {
      parameters: [project],
      get: { summary: 'A project', responses: { 200: theProject, ...problems(404) } },
      patch: {
        summary: 'Change a project',
        parameters: [ifMatch],
        requestBody: { content: json(ref('Patch'), 'application/json-patch+json') },
        responses: { 200: theProject, ...problems(400, 404, 409, 413, 415, 422, 428, 503) },
      },
      delete: {
        summary: 'Remove a project for good',
        responses: { 204: { description: 'Removed' }, ...problems(404) },
      },
    },
    '/projects/{id}/undo': {
      parameters: [project, ifMatch],
      post: {
        summary: 'Undo the last change',
        responses: { 200: theProject, ...problems(404, 409, 428) },
      },
    },
    '/projects/{id}/redo': {
      parameters: [project, ifMatch],
      post: {
        summary: 'Make the change again that was undone last',
        responses: { 200: theProject, ...problems(404, 409, 428) },
      },
    },
    '/projects/{id}/changes': {
      parameters: [
        project,
        { name: 'before', in: 'query', schema: integer, description: 'Revisions before this one' },
        { name: 'limit', in: 'query', schema: integer, description: 'At most 200; 50 if left out' },
      ],
      get: {
        summary: 'The history, newest first',
        responses: {
          200: answer('Revisions', list(ref('HistoryEntry'))),
          ...problems(400, 404),
        },
      },
    },
    '/projects/{id}/revisions/{revision}': {
      parameters: [project, { name: 'revision', in: 'path', required: true, schema: integer }],
      get: {
        summary: 'The document as it stood at a revision',
        responses: { 200: answer('The document', ref('Revision')), ...problems(404) },
      },
    },
    '/projects/{id}/waypoints': {
      parameters: [project],
      get: {
        summary: 'States of the project that were given a name, newest first',
        responses: { 200: answer('Waypoints', list(ref('Waypoint'))), ...problems(404) },
      },
      post: {
        summary: 'Give the present state a name',
        requestBody: { content: json(ref('WaypointName')) },
        responses: { 201: answer('Named', ref('Waypoint')), ...problems(404, 422) },
      },
    },
    '/projects/{id}/waypoints/{waypoint}': {
      parameters: [project, inPath('waypoint', 'Id of a waypoint')],
      get: {
        summary: 'What a waypoint holds',
        responses: { 200: answer('The state', ref('WaypointState')), ...problems(404) },
      },
      put: {
        summary: 'Name a waypoint otherwise',
        requestBody: { content: json(ref('WaypointName')) },
        responses: { 204: { description: 'Named' }, ...problems(404, 422) },
      },
      delete: {
        summary: 'Remove a waypoint',
        responses: { 204: { description: 'Removed' }, ...problems(404) },
      },
    },
    '/projects/{id}/waypoints/{waypoint}/return': {
      parameters: [project, inPath('waypoint', 'Id of a waypoint'), ifMatch],
      post: {
        summary: 'Go back to a waypoint, as one change that can be undone',
        responses: { 200: theProject, ...problems(404, 409, 422, 428) },
      },
    },
    '/projects/{id}/project-file': {
      parameters: [project],
      get: {
        summary: 'The project in one file: its document, font files and pages, without its history',
        responses: { 200: file('Project file', 'application/zip'), ...problems(404) },
      },
    },
    '/projects/opened': {
      post: {
        summary: 'Makes a project of a project file, beside those that are there',
        requestBody: { content: filesWith() },
        responses: { 201: theProject, ...problems(400, 413, 422, 503) },
      },
    },
    '/projects/{id}/marks': {
      parameters: [project],
      get: {
        summary: 'The marks on the project, and those that were set aside',
        responses: {
          200: answer(
            'Marks',
            object({ marks: list({ type: 'object' }), aside: list({ type: 'object' }) }),
          ),
          ...problems(404, 409),
        },
      },
    },
    '/projects/{id}/deliveries': {
      parameters: [project],
      get: {
        summary: 'Deliveries that were taken away, newest first',
        responses: { 200: answer('Deliveries', list(ref('MadeDelivery'))), ...problems(404) },
      },
      post: {
        summary: 'Keep that the present revision was delivered',
        responses: { 201: answer('Kept', ref('MadeDelivery')), ...problems(404) },
      },
    },
    '/projects/{id}/deliveries/{revision}': {
      parameters: [project, inPath('revision', 'Revision that was delivered')],
      get: {
        summary: 'What a delivery held, file by file',
        responses: { 200: answer('Files', list(ref('DeliveryFile'))), ...problems(404) },
      },
    },
    '/projects/{id}/deliveries/{revision}/bundle.zip': {
      parameters: [project, inPath('revision', 'Revision that was delivered')],
      get: {
        summary: 'The bundle of a delivery, once more',
        responses: { 200: file('The bundle', 'application/zip'), ...problems(404, 409, 413) },
      },
    },
    '/projects/{id}/events': {
      parameters: [project],
      get: {
        summary:
          'New revisions and the progress of long work as they come about, as server-sent events `hello`, `revision`, `waypoints` and `progress`',
        responses: { 200: file('The stream', 'text/event-stream'), ...problems(404) },
      },
    },
    '/projects/{id}/fonts': {
      parameters: [project],
      get: {
        summary: 'The readings of the case',
        responses: { 200: answer('Readings', list(ref('Reading'))), ...problems(404) },
      },
      post: {
        summary: 'Add font files; a bad file among good ones refuses only itself',
        requestBody: {
          content: filesWith({
            ranges: {
              type: 'string',
              description:
                'JSON: by names of files, the unicode-range that each is for, where files are parts of one face',
            },
          }),
        },
        responses: {
          201: answer('What became of each file, in their order', list(ref('TakenFile'))),
          ...problems(400, 404, 413, 422),
        },
      },
    },
    '/projects/{id}/fonts/{file}': {
      parameters: [
        project,
        inPath('file', 'SHA-256 of a file of the case, with or without an ending'),
      ],
      get: {
        summary: 'A font file as it was added',
        responses: { 200: file('The file', 'font/*'), ...problems(404) },
      },
    },
    '/projects/{id}/fonts/{sha256}/measures': {
      parameters: [project, inPath('sha256', 'SHA-256 of a file of the case'), axisPoint],
      get: {
        summary: 'A face measured at a point of its axes',
        responses: { 200: answer('Measures', ref('FaceMeasures')), ...problems(400, 404) },
      },
    },
    '/projects/{id}/measures': {
      parameters: [project],
      post: {
        summary: 'Measure a font file that is not kept',
        requestBody: {
          content: {
            'multipart/form-data': {
              schema: object({ file: { type: 'string', format: 'binary' } }),
            },
          },
        },
        responses: {
          200: answer('Its family, the face it is, and its measures', ref('MeasuredFile')),
          ...problems(400, 404, 413, 422),
        },
      },
    },
    '/projects/{id}/case/measures': {
      parameters: [project],
      get: {
        summary: 'The measures of the case’s families, by key',
        responses: {
          200: answer('By key; null where a family has no faces', {
            type: 'object',
            additionalProperties: { anyOf: [ref('FamilyMeasures'), { type: 'null' }] },
          }),
          ...problems(404),
        },
      },
    },
    '/projects/{id}/case/{key}/sheet': {
      parameters: [project, inPath('key', 'Key of a family of the case')],
      get: {
        summary: 'Everything read and measured on a family of the case',
        responses: { 200: answer('Its sheet', ref('FamilySheet')), ...problems(404) },
      },
    },
    '/projects/{id}/references': {
      parameters: [project],
      post: {
        summary: 'Add a family by reference, with a look-alike to stand in on the proof',
        requestBody: { content: json(ref('WantedReference')) },
        responses: { 201: theProject, ...problems(400, 403, 404, 422, 502) },
      },
    },
    '/projects/{id}/foundry/measures': {
      parameters: [project],
      get: {
        summary: 'What has been measured of the library',
        parameters: [
          { name: 'after', in: 'query', schema: integer, description: 'Families known already' },
        ],
        responses: { 200: answer('So far', ref('LibraryProgress')), ...problems(400, 403, 404) },
      },
      post: {
        summary: 'Go on measuring the library',
        responses: { 202: answer('So far', ref('LibraryProgress')), ...problems(403, 404) },
      },
      delete: {
        summary: 'Stop measuring; what was measured stays',
        responses: { 204: { description: 'Stopped' }, ...problems(403, 404) },
      },
    },
    '/projects/{id}/foundry/families/{family}/sheet': {
      parameters: [project, family],
      get: {
        summary: 'Everything read and measured on a family of the foundry',
        responses: { 200: answer('Its sheet', ref('FamilySheet')), ...problems(403, 404, 502) },
      },
    },
    '/projects/{id}/foundry/families/{family}/files/{name}/measures': {
      parameters: [project, family, inPath('name', 'Name of a file of the family'), axisPoint],
      get: {
        summary: 'A face of the foundry measured at a point of its axes',
        responses: {
          200: answer('Measures', ref('FaceMeasures')),
          ...problems(400, 403, 404, 502),
        },
      },
    },
    '/projects/{id}/foundry': {
      parameters: [project],
      put: {
        summary: 'Allow the foundry for this project',
        requestBody: { content: json(ref('FoundryPermission')) },
        responses: { 200: theProject, ...problems(404, 422) },
      },
      delete: {
        summary: 'Withdraw the permission; what was added stays',
        responses: { 200: theProject, ...problems(404) },
      },
    },
    '/projects/{id}/foundry/families': {
      parameters: [project],
      get: {
        summary: 'Every family of the foundry',
        responses: {
          200: answer('Families', list(ref('LibraryFamily'))),
          ...problems(403, 404, 502),
        },
      },
    },
    '/projects/{id}/foundry/families/{family}': {
      parameters: [project, family],
      get: {
        summary: 'A family with its files’ checksums, characters and licence',
        responses: { 200: answer('Family', ref('LibraryDetails')), ...problems(403, 404, 502) },
      },
      post: {
        summary: 'Add faces of a family to the case',
        requestBody: { content: json(ref('Picks')) },
        responses: { 201: theProject, ...problems(400, 403, 404, 422, 502) },
      },
    },
    '/projects/{id}/foundry/families/{family}/files/{name}': {
      parameters: [project, family, inPath('name', 'Name of a file of the family')],
      get: {
        summary: 'A file of the foundry, to look at',
        responses: { 200: file('WOFF2', 'font/woff2'), ...problems(403, 404, 502) },
      },
    },
    '/projects/{id}/pages': {
      parameters: [project],
      get: {
        summary: 'The pages that the project is proofed on',
        responses: {
          200: answer('Pages', list(ref('PageTitle'))),
          ...problems(404),
        },
      },
      post: {
        summary: 'Brings pages of the site’s own in: files with their paths, or archives',
        requestBody: { content: filesWith() },
        responses: {
          201: answer('What became of them', ref('BroughtPages')),
          ...problems(400, 404, 413, 422, 503),
        },
      },
    },
    '/projects/{id}/stock': {
      parameters: [project],
      get: {
        summary: 'The site that was taken stock of last',
        responses: { 200: answer('Its pages', ref('KeptStock')), ...problems(404) },
      },
      put: {
        summary: 'Keeps which pages a stock was taken of',
        requestBody: { content: json(ref('PagesOfStock')) },
        responses: { 200: answer('Kept', ref('KeptStock')), ...problems(404, 422) },
      },
      delete: {
        summary: 'Forgets it',
        responses: { 204: { description: 'Forgotten' }, ...problems(404) },
      },
    },
    '/projects/{id}/looked': {
      parameters: [project],
      post: {
        summary: 'Reads pages to be looked at: the project stays as it is',
        requestBody: { content: filesWith() },
        responses: {
          201: answer('What they are', ref('LookedPages')),
          ...problems(400, 404, 413, 422, 503),
        },
      },
    },
    '/projects/{id}/looked/address': {
      parameters: [project],
      post: {
        summary:
          'Fetches a page, its style sheets and its fonts to be looked at: never from this machine or its neighbours',
        requestBody: { content: json(ref('PageAddress')) },
        responses: {
          201: answer('What they are', ref('LookedPages')),
          ...problems(400, 403, 404, 422, 503),
        },
      },
    },
    '/projects/{id}/pages/{page}': {
      parameters: [project, inPath('page', 'Short name of a page')],
      get: {
        summary: 'A page for the proof, without type',
        parameters: [
          ...placeOfPage,
          {
            name: 'linked',
            in: 'query',
            schema: { enum: ['before', 'after'] },
            description:
              'Where the project’s rules stand beside the page’s own; before if left out',
          },
          layerOfSite,
        ],
        responses: { 200: file('HTML', 'text/html'), ...problems(400, 404) },
      },
    },
    '/projects/{id}/pages/{page}/page.css': {
      parameters: [project, inPath('page', 'Short name of a page')],
      get: {
        summary: 'The layout of a page',
        responses: { 200: file('CSS', 'text/css'), ...problems(404) },
      },
    },
    '/projects/{id}/start.css': {
      parameters: [project],
      get: {
        summary: 'An empty style sheet before all of a page’s own, for the proof to fill',
        responses: { 200: file('CSS', 'text/css'), ...problems(404) },
      },
    },
    '/projects/{id}/pages/{page}/account': {
      parameters: [project, inPath('page', 'Short name of a page of the site’s own')],
      get: {
        summary: 'What was removed from a page, and what its style sheets do to type',
        parameters: placeOfPage,
        responses: { 200: answer('Account', ref('PageAccount')), ...problems(404) },
      },
    },
    '/projects/{id}/sites/{site}/{path}': {
      parameters: [
        project,
        inPath('site', 'SHA-256 of the files that pages were added with'),
        inPath('path', 'Path of one of those files'),
      ],
      get: {
        summary: 'A style sheet, picture or font that a page asks for',
        parameters: [layerOfSite],
        responses: { 200: file('File', '*/*'), ...problems(400, 404) },
      },
    },
    '/projects/{id}/fallbacks': {
      parameters: [project],
      get: {
        summary: 'Local fonts tried for each voice in use, by voice and family',
        responses: {
          200: answer('Trials', ref('Trials')),
          ...problems(404, 409),
        },
      },
      post: {
        summary: 'The same for the project as it would stand after a change, which is not made',
        requestBody: { content: json(ref('Patch')) },
        responses: { 200: answer('Trials', ref('Trials')), ...problems(400, 404, 409, 422) },
      },
    },
    '/projects/{id}/fallbacks/fitting': {
      parameters: [project],
      delete: {
        summary: 'Stops the fitting that is under way; whoever waits for it hears so',
        responses: { 204: { description: 'Stopped' }, ...problems(404) },
      },
    },
    '/projects/{id}/delivery/making': {
      parameters: [project],
      delete: {
        summary: 'Stops what is being made for the delivery; whoever waits for it hears so',
        responses: { 204: { description: 'Stopped' }, ...problems(404) },
      },
    },
    '/projects/{id}/fallbacks/{voice}/{local}/curve': {
      parameters: [
        project,
        inPath('voice', 'Key of a voice'),
        inPath('local', 'Key of a set of local fonts'),
      ],
      get: {
        summary: 'One local font at each limit of evenness, as the voice is most used',
        responses: {
          200: answer(
            'Tuned, in order of the limits; null where it cannot be',
            list({ anyOf: [ref('TunedFace'), { type: 'null' }] }),
          ),
          ...problems(404, 409),
        },
      },
    },
    '/projects/{id}/local-fonts': {
      parameters: [project],
      get: {
        summary: 'Local fonts that were measured on a designer’s machine',
        responses: { 200: answer('Measured', list(ref('MeasuredLocal'))), ...problems(404) },
      },
      post: {
        summary: 'Keeps what was measured of local fonts, in place of earlier readings',
        requestBody: { content: json(list(ref('LocalReading'))) },
        responses: {
          201: answer('Kept', list(ref('MeasuredLocal'))),
          ...problems(400, 404, 413, 422),
        },
      },
    },
    '/projects/{id}/delivery': {
      parameters: [project],
      get: {
        summary: 'What the bundle holds, file by file, with the text of text files',
        responses: {
          200: answer('Files', list(ref('DeliveryFile'))),
          ...problems(404, 409),
        },
      },
    },
    '/projects/{id}/delivery/evidence': {
      parameters: [project],
      get: {
        summary: 'Which files have been made for it so far, without waiting for the rest',
        responses: { 200: answer('Files made', ref('DeliveryEvidence')), ...problems(404, 409) },
      },
    },
    '/projects/{id}/delivery/bytes': {
      parameters: [project],
      post: {
        summary: 'Bytes of the font files after each of several changes, none of which is made',
        requestBody: { content: json(list(ref('Patch'))) },
        responses: { 200: answer('Bytes', list(integer)), ...problems(400, 404, 409, 422) },
      },
    },
    '/projects/{id}/delivery/{revision}/files/{path}': {
      parameters: [
        project,
        { name: 'revision', in: 'path', required: true, schema: integer },
        { name: 'path', in: 'path', required: true, schema: text },
      ],
      get: {
        summary:
          'A file of the bundle as a site would serve it; `bare-page` is a page that links it and has an example of each text element',
        responses: { 200: { description: 'The file' }, ...problems(404, 409) },
      },
    },
    '/projects/{id}/bundle.zip': {
      parameters: [project],
      get: {
        summary: 'The bundle',
        responses: { 200: file('Zip', 'application/zip'), ...problems(404, 409, 413) },
      },
    },
    '/local-fonts': {
      get: {
        summary: 'Scripts that an open font of the same widths has, by local font',
        responses: {
          200: answer('Scripts', ref('TwinScripts')),
        },
      },
    },
    '/local-fonts/{key}/{variant}/{script}': {
      parameters: [
        inPath('key', 'Key of a local font'),
        inPath('variant', 'regular, bold, italic or boldItalic'),
        inPath('script', 'A script and .woff2'),
      ],
      get: {
        summary: 'The open font that has a local font’s widths',
        responses: { 200: file('WOFF2', 'font/woff2'), ...problems(404) },
      },
    },
    '/languages/{tag}/text': {
      parameters: [inPath('tag', 'BCP 47')],
      get: {
        summary: 'Running text in a language',
        responses: { 200: answer('Its sentences', ref('LanguageText')), ...problems(404) },
      },
    },
  },
} as const;
