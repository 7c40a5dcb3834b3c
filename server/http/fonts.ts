import { Router } from 'express';
import multer from 'multer';
import { slug } from '@lettera/core/deliver';
import { takeFilesIn } from '@lettera/core/document';
import { FontError, type FaceReading } from '@lettera/core/font';
import type { Services } from '../services';
import type { NewFont } from '../store/fontStore';
import { Problem } from './problem';
import { bodyLimit, projectOf } from './requests';

const MEGABYTE = 1024 * 1024;
const LARGEST_FILE = 20 * MEGABYTE;
const LARGEST_UPLOAD = 80 * MEGABYTE;
const MOST_FILES = 60;

/** What became of one file of an upload. */
type Outcome =
  { name: string; font: NewFont } | { name: string; refused: { reason: string; detail: string } };

/** The licence that a file itself carries. */
const ownLicence = ({ licence, licenceUrl, copyright }: FaceReading): string | null =>
  [copyright, licence, licenceUrl].filter(Boolean).join('\n\n') || null;

/** The font files of a project: taking them in, what they say of themselves, and the files. */
export function fontRoutes({
  projects,
  fonts,
  jobs,
}: Pick<Services, 'projects' | 'fonts' | 'jobs'>): Router {
  const router = Router();
  const upload = multer({
    storage: multer.memoryStorage(),
    limits: { fileSize: LARGEST_FILE, files: MOST_FILES, fields: 0 },
  });

  const readUpload = async (name: string, bytes: Uint8Array): Promise<Outcome> => {
    try {
      const { reading, woff2 } = await jobs.readFont(bytes);
      return {
        name,
        font: {
          bytes,
          woff2: reading.format === 'woff2' ? bytes : woff2,
          reading,
          licence: ownLicence(reading),
        },
      };
    } catch (error) {
      if (!(error instanceof FontError)) throw error;
      return { name, refused: { reason: error.reason, detail: error.message } };
    }
  };

  router.post(
    '/projects/:id/fonts',
    bodyLimit(LARGEST_UPLOAD, 'Font files sent at once'),
    upload.array('file', MOST_FILES),
    async (request, response) => {
      const project = await projectOf(projects, request);
      const files = (request.files ?? []) as Express.Multer.File[];
      if (files.length === 0) {
        throw new Problem('bad-request', 'Send one or more font files in parts named “file”.');
      }
      const outcomes = await Promise.all(
        // Multer reads names as Latin-1; browsers send UTF-8.
        files.map(({ originalname, buffer }) =>
          readUpload(Buffer.from(originalname, 'latin1').toString('utf8'), buffer),
        ),
      );
      const usable = outcomes.flatMap((outcome) => ('font' in outcome ? [outcome.font] : []));
      const results = outcomes.map((outcome) =>
        'font' in outcome
          ? { file: outcome.name, ...outcome.font.reading }
          : { file: outcome.name, refused: outcome.refused },
      );
      if (usable.length === 0) {
        const [first] = outcomes;
        const detail = first && 'refused' in first ? first.refused.detail : '';
        throw new Problem(
          'unusable-font',
          files.length === 1
            ? `${first?.name}: ${detail} The case is as it was.`
            : `None of the ${files.length} files can be used. The case is as it was.`,
          { files: results },
        );
      }
      await fonts.add(project.id, usable);
      const taken = usable.map(({ reading, woff2 }) => ({ reading, woff2Bytes: woff2.byteLength }));
      const names = [...new Set(usable.map(({ reading }) => reading.family))];
      await projects.change(project.id, null, (document) => takeFilesIn(document, taken, slug), {
        label: `Case: ${names.join(', ').slice(0, 120)} taken in`,
      });
      response.status(201).json(results);
    },
  );

  router.get('/projects/:id/fonts', async (request, response) => {
    const { document } = await projectOf(projects, request);
    const hashes = Object.values(document.case).flatMap(({ faces }) =>
      faces.flatMap(({ files }) => files.map(({ sha256 }) => sha256)),
    );
    const readings = await fonts.readings(hashes);
    response.json(hashes.flatMap((sha256) => readings.get(sha256) ?? []));
  });

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
