import { Router } from 'express';
import multer from 'multer';
import { slug } from '@lettera/core/deliver';
import { faceOf, takeFilesIn } from '@lettera/core/change';
import { type ProjectDocument, sharedPlaces } from '@lettera/core/document';
import { FontError, type FaceReading } from '@lettera/core/font';
import type { Services } from '../services';
import type { ReadFont } from '../job/tasks';
import type { NewFont } from '../store/fontStore';
import { Problem } from './problem';
import { bodyLimit, instanceOf, projectOf, untilGone } from './requests';

const MEGABYTE = 1024 * 1024;
const LARGEST_FILE = 20 * MEGABYTE;
const LARGEST_UPLOAD = 120 * MEGABYTE;
const MOST_FILES = 250;

/** What became of one font of an upload. */
type Outcome =
  | { name: string; font: NewFont & Pick<ReadFont, 'class'> }
  | { name: string; refused: { reason: string; detail: string } };

/** The licence that a file itself carries. */
const ownLicence = ({ licence, licenceUrl, copyright }: FaceReading): string | null =>
  [copyright, licence, licenceUrl].filter(Boolean).join('\n\n') || null;

const refusal = (name: string, { reason, message }: FontError): Outcome => ({
  name,
  refused: { reason, detail: message },
});

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

/** The font files of a project: taking them in, what they say of themselves, and the files. */
export function fontRoutes({
  projects,
  fonts,
  jobs,
  progress,
}: Pick<Services, 'projects' | 'fonts' | 'jobs' | 'progress'>): Router {
  const router = Router();
  const upload = multer({
    storage: multer.memoryStorage(),
    limits: { fileSize: LARGEST_FILE, files: MOST_FILES, fields: 0 },
  });

  const readUpload = async (name: string, file: Uint8Array): Promise<Outcome[]> => {
    try {
      const read = await jobs.readFonts(file);
      return read.map((one) =>
        one instanceof FontError
          ? refusal(name, one)
          : { name, font: { ...one, licence: ownLicence(one.reading) } },
      );
    } catch (error) {
      if (!(error instanceof FontError)) throw error;
      return [refusal(name, error)];
    }
  };

  router.post(
    '/projects/:id/fonts',
    bodyLimit(LARGEST_UPLOAD, 'Font files sent at once'),
    upload.array('file', MOST_FILES),
    async (request, response) => {
      const project = await projectOf(projects, request);
      const gone = untilGone(response);
      const files = (request.files ?? []) as Express.Multer.File[];
      if (files.length === 0) {
        throw new Problem('bad-request', 'Send one or more font files in parts named “file”.');
      }
      let done = 0;
      const outcomes = (
        await Promise.all(
          files.map(async ({ originalname, buffer }) => {
            if (gone.aborted) return [];
            // Multer reads names as Latin-1; browsers send UTF-8.
            const name = Buffer.from(originalname, 'latin1').toString('utf8');
            const read = await readUpload(name, new Uint8Array(buffer));
            progress.report({ task: 'reading', done: ++done, of: files.length }, project.id);
            return read;
          }),
        )
      ).flat();
      if (gone.aborted) return;
      const usable = outcomes.flatMap((outcome) => ('font' in outcome ? [outcome.font] : []));
      if (usable.length === 0) {
        const [first] = outcomes;
        const detail = first && 'refused' in first ? first.refused.detail : '';
        throw new Problem(
          'unusable-font',
          files.length === 1
            ? `${first?.name}: ${detail} The case is as it was.`
            : `None of the ${files.length} files can be used. The case is as it was.`,
          {
            files: outcomes.flatMap((outcome) =>
              'refused' in outcome ? [{ file: outcome.name, refused: outcome.refused }] : [],
            ),
          },
        );
      }
      await fonts.add(project.id, usable);
      const taken = usable.map(({ reading, woff2, class: faceClass }) => ({
        reading,
        woff2Bytes: woff2.byteLength,
        class: faceClass,
      }));
      const names = [...new Set(usable.map(({ reading }) => reading.family))];
      const { document } = await projects.change(
        project.id,
        null,
        (current) => takeFilesIn(current, taken, slug),
        { label: `Case: ${names.join(', ').slice(0, 120)} taken in` },
      );
      const readings = await fonts.readings(hashesOf(document));
      const nameOf = (sha256: string) => readings.get(sha256)?.fullName ?? 'another file';
      response.status(201).json(
        outcomes.map((outcome) =>
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
    response.json(await jobs.measure({ bytes: new Uint8Array(file), instance }));
  });

  /** Measures a font that stays where it is: to look for what looks like it. Nothing is kept. */
  router.post(
    '/projects/:id/measures',
    bodyLimit(LARGEST_FILE, 'A font file'),
    upload.single('file'),
    async (request, response) => {
      await projectOf(projects, request);
      if (!request.file) throw new Problem('bad-request', 'Send a font file in a part “file”.');
      const { bytes, reading } = await jobs.readFont(new Uint8Array(request.file.buffer));
      response.json({
        family: reading.family,
        face: faceOf({ reading, woff2Bytes: bytes.byteLength }),
        measures: await jobs.measure({ bytes, instance: { wght: 400 } }),
      });
    },
  );

  router.get('/projects/:id/fonts/:file', async (request, response) => {
    const { id } = await projectOf(projects, request);
    const sha256 = request.params.file.replace(/\.woff2$/, '');
    const file = await fonts.projectFile(id, sha256);
    if (!file) throw new Problem('not-found', 'This project has no such font file.');
    response.set('Cache-Control', 'private, max-age=31536000, immutable');
    response.type('font/woff2').send(file);
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
