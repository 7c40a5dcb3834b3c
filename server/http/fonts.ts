import { readFile } from 'node:fs/promises';
import { Router, type Request } from 'express';
import pLimit from 'p-limit';
import { slug } from '@lettera/core/deliver';
import { faceOf, takeFilesIn, type RefusedFamily } from '@lettera/core/change';
import { type ProjectDocument, sharedPlaces } from '@lettera/core/document';
import { FontError, parseUnicodeRange, type FaceReading } from '@lettera/core/font';
import type { Services } from '../services';
import type { ReadFont } from '../job/tasks';
import { Problem } from './problem';
import { instanceOf, projectOf, untilGone } from './requests';
import { fileName, filesOf, receivingFiles } from './uploads';
import * as describe from './describe';

const MEGABYTE = 1024 * 1024;
const LARGEST_FILE = 20 * MEGABYTE;
const LARGEST_UPLOAD = 120 * MEGABYTE;
const MOST_FILES = 250;

/** One file after another is brought into memory to be stored. */
const storing = pLimit(1);

/** What became of one font of an upload. */
type Outcome =
  | { name: string; font: Pick<ReadFont, 'reading' | 'class'> & { bytes: number } }
  | { name: string; refused: { reason: string; detail: string } };

/** The licence that a file itself carries. */
const ownLicence = ({ licence, licenceUrl, copyright }: FaceReading): string | null =>
  [copyright, licence, licenceUrl].filter(Boolean).join('\n\n') || null;

const refusal = (name: string, { reason, message }: FontError): Outcome => ({
  name,
  refused: { reason, detail: message },
});

/** What became of fonts once their families were to be taken in. */
const withRefused = (outcomes: readonly Outcome[], refused: readonly RefusedFamily[]): Outcome[] =>
  outcomes.map((outcome) => {
    if (!('font' in outcome)) return outcome;
    const fault = refused.find(({ name }) => name === outcome.font.reading.family);
    return fault ? refusal(outcome.name, new FontError('damaged', fault.why)) : outcome;
  });

/** That none of the files of an upload can be used, and why not. */
function noneUsable(outcomes: readonly Outcome[], files: number): Problem {
  const [first] = outcomes;
  const detail = first && 'refused' in first ? first.refused.detail : '';
  return new Problem(
    'unusable-font',
    files === 1
      ? `${first?.name ?? ''}: ${detail} The case is as it was.`
      : `None of the ${files} files can be used. The case is as it was.`,
    {
      files: outcomes.flatMap((outcome) =>
        'refused' in outcome ? [{ file: outcome.name, refused: outcome.refused }] : [],
      ),
    },
  );
}

/**
 * What characters files are for, by their names, from a field `ranges` of a form: JSON, each a `unicode-range`.
 * @throws Problem 400
 */
function rangesIn(body: unknown): ReadonlyMap<string, string> {
  const { ranges } = (body ?? {}) as { ranges?: unknown };
  if (ranges === undefined) return new Map();
  try {
    const entries = Object.entries(JSON.parse(String(ranges)) as Record<string, unknown>);
    return new Map(
      entries.map(([name, range]) => {
        parseUnicodeRange(String(range));
        return [name, String(range)] as const;
      }),
    );
  } catch {
    throw new Problem(
      'bad-request',
      '“ranges” must be JSON with a unicode-range for names of files.',
    );
  }
}

/** Which other faces claim the place that a file's face claims in its family, by their full names. */
function conflictsOf(
  document: ProjectDocument,
  sha256: string,
  nameOf: (sha256: string) => string,
): string[] {
  return Object.values(document.case).flatMap(({ faces }) => {
    const own = faces.findIndex(({ files }) => files.some((file) => file.sha256 === sha256));
    return sharedPlaces(faces).flatMap((pair) => {
      const other = pair.find((at) => at !== own);
      return pair.includes(own) && other !== undefined
        ? [nameOf(faces[other]?.files[0]?.sha256 ?? '')]
        : [];
    });
  });
}

/** What the routes take and answer. */
export const fontPaths = {
  '/projects/{id}/fonts': {
    parameters: [describe.project],
    get: {
      summary: 'The readings of the case',
      responses: {
        200: describe.answer('Readings', describe.list(describe.ref('Reading'))),
        ...describe.problems(404),
      },
    },
    post: {
      summary: 'Add font files; a bad file among good ones refuses only itself',
      requestBody: {
        content: describe.filesWith({
          ranges: {
            type: 'string',
            description:
              'JSON: by names of files, the unicode-range that each is for, where files are parts of one face',
          },
        }),
      },
      responses: {
        201: describe.answer(
          'What became of each file, in their order',
          describe.list(describe.ref('TakenFile')),
        ),
        ...describe.problems(400, 404, 413, 422),
      },
    },
  },
  '/projects/{id}/fonts/{file}': {
    parameters: [
      describe.project,
      describe.inPath('file', 'SHA-256 of a file of the case, with or without an ending'),
    ],
    get: {
      summary: 'A font file as it was added',
      responses: { 200: describe.file('The file', 'font/*'), ...describe.problems(404) },
    },
  },
  '/projects/{id}/fonts/{sha256}/measures': {
    parameters: [
      describe.project,
      describe.inPath('sha256', 'SHA-256 of a file of the case'),
      describe.axisPoint,
    ],
    get: {
      summary: 'A face measured at a point of its axes',
      responses: {
        200: describe.answer('Measures', describe.ref('FaceMeasures')),
        ...describe.problems(400, 404),
      },
    },
  },
  '/projects/{id}/measures': {
    parameters: [describe.project],
    post: {
      summary: 'Measure a font file that is not kept',
      requestBody: {
        content: {
          'multipart/form-data': {
            schema: describe.object({ file: { type: 'string', format: 'binary' } }),
          },
        },
      },
      responses: {
        200: describe.answer(
          'Its family, the face it is, and its measures',
          describe.ref('MeasuredFile'),
        ),
        ...describe.problems(400, 404, 413, 422),
      },
    },
  },
} as const;

/** The font files of a project: taking them in, what they say of themselves, and the files. */
export function fontRoutes({
  projects,
  fonts,
  jobs,
  progress,
  incoming,
  deliveries,
}: Pick<Services, 'projects' | 'fonts' | 'jobs' | 'progress' | 'incoming' | 'deliveries'>): Router {
  const router = Router();
  /** Reads what a file holds, and stores each font of it at once, so that none is held for long. */
  const takeUpload = async (
    projectId: string,
    { path, size }: Express.Multer.File,
    name: string,
    unicodeRange: string | undefined,
  ): Promise<Outcome[]> => {
    try {
      const read = await jobs.for(projectId).readFonts({ path });
      return await Promise.all(
        read.map(async (one): Promise<Outcome> => {
          if (one instanceof FontError) return refusal(name, one);
          await storing(async () =>
            fonts.add(projectId, [
              {
                bytes: one.bytes ?? (await readFile(path)),
                reading: one.reading,
                licence: ownLicence(one.reading),
              },
            ]),
          );
          const { reading, class: faceClass } = one;
          return {
            name,
            font: {
              reading,
              class: faceClass,
              bytes: one.bytes?.byteLength ?? size,
              ...(unicodeRange === undefined ? {} : { unicodeRange }),
            },
          };
        }),
      );
    } catch (error) {
      if (!(error instanceof FontError)) throw error;
      return [refusal(name, error)];
    }
  };

  router.post(
    '/projects/:id/fonts',
    ...receivingFiles(incoming, {
      file: LARGEST_FILE,
      all: LARGEST_UPLOAD,
      files: MOST_FILES,
      what: 'Font files sent at once',
      fields: 1,
    }),
    async (request: Request<{ id: string }>, response) => {
      const project = await projectOf(projects, request);
      const gone = untilGone(response);
      const files = filesOf(request);
      if (files.length === 0) {
        throw new Problem('bad-request', 'Send one or more font files in parts named “file”.');
      }
      const ranges = rangesIn(request.body);
      let done = 0;
      const outcomes = (
        await Promise.all(
          files.map(async (file) => {
            if (gone.aborted) return [];
            const name = fileName(file);
            const read = await takeUpload(project.id, file, name, ranges.get(name));
            progress.report({ task: 'reading', done: ++done, of: files.length }, project.id);
            return read;
          }),
        )
      ).flat();
      if (gone.aborted) return;
      const usable = outcomes.flatMap((outcome) => ('font' in outcome ? [outcome.font] : []));
      if (usable.length === 0) throw noneUsable(outcomes, files.length);
      const names = [...new Set(usable.map(({ reading }) => reading.family))];
      let refused: RefusedFamily[] = [];
      const { document } = await projects.change(
        project.id,
        null,
        (current) => {
          const taken = takeFilesIn(current, usable, slug);
          ({ refused } = taken);
          // Nothing is a change, and is not stored as one.
          if (taken.patch.length === 0) {
            throw noneUsable(withRefused(outcomes, refused), files.length);
          }
          return taken.patch;
        },
        { label: `Case: ${names.join(', ').slice(0, 120)} added` },
      );
      // Packing takes its time; the faces can be used before it is done.
      void deliveries.makeFiles({ id: project.id, document }).catch((error: unknown) => {
        request.log.warn({ err: error }, 'A file of the case could not be packed.');
      });
      const readings = await fonts.readings(hashesOf(document));
      const nameOf = (sha256: string) => readings.get(sha256)?.fullName ?? 'another file';
      response.status(201).json(
        withRefused(outcomes, refused).map((outcome) =>
          'font' in outcome
            ? {
                file: outcome.name,
                ...outcome.font.reading,
                conflicts: conflictsOf(document, outcome.font.reading.sha256, nameOf),
              }
            : { file: outcome.name, refused: outcome.refused },
        ),
      );
    },
  );

  router.get('/projects/:id/fonts', async (request, response) => {
    const { document } = await projectOf(projects, request);
    const hashes = hashesOf(document);
    const readings = await fonts.readings(hashes);
    response.json(hashes.flatMap((sha256) => readings.get(sha256) ?? []));
  });

  router.get('/projects/:id/fonts/:sha256/measures', async (request, response) => {
    const { id } = await projectOf(projects, request);
    const file = await fonts.projectFile(id, request.params.sha256);
    if (!file) throw new Problem('not-found', 'This project has no such font file.');
    const instance = instanceOf(request.query);
    response.json(await jobs.for(id).measure({ source: new Uint8Array(file.bytes), instance }));
  });

  /** Measures a font that stays where it is: to look for what looks like it. Nothing is kept. */
  router.post(
    '/projects/:id/measures',
    ...receivingFiles(incoming, {
      file: LARGEST_FILE,
      all: LARGEST_FILE + MEGABYTE,
      files: 1,
      what: 'A font file',
    }),
    async (request: Request<{ id: string }>, response) => {
      const own = jobs.for((await projectOf(projects, request)).id);
      const [file] = filesOf(request);
      if (!file) throw new Problem('bad-request', 'Send a font file in a part “file”.');
      const { path, size } = file;
      const { bytes, reading } = await own.readFont({ path });
      response.json({
        family: reading.family,
        face: faceOf({ reading, bytes: bytes?.byteLength ?? size }),
        fsType: reading.fsType,
        measures: await own.measure({ source: bytes ?? { path }, instance: { wght: 400 } }),
      });
    },
  );

  router.get('/projects/:id/fonts/:file', async (request, response) => {
    const { id } = await projectOf(projects, request);
    const sha256 = request.params.file.replace(/\.[a-z0-9]+$/, '');
    const file = await fonts.projectFile(id, sha256);
    if (!file) throw new Problem('not-found', 'This project has no such font file.');
    response.set('Cache-Control', 'private, max-age=31536000, immutable');
    response.type(`font/${file.format}`).send(file.bytes);
  });

  return router;
}

/** Every file of the case, by hash, each once. */
const hashesOf = ({ case: families }: ProjectDocument): string[] => [
  ...new Set(
    Object.values(families).flatMap(({ faces }) =>
      faces.flatMap(({ files }) => files.map(({ sha256 }) => sha256)),
    ),
  ),
];
