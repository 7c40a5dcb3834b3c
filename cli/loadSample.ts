import type { Face, ProjectDocument } from '@lettera/core/document';
import type { NewFont, Project, Services } from '@lettera/server';
import {
  SAMPLE_SLUG,
  sampleDocument,
  sampleFamilies,
  samplePages,
  type SampleFamily,
} from '@lettera/sample';

type Needs = Pick<Services, 'projects' | 'fonts' | 'jobs'>;

/** Puts families into a document's case. @returns their files, to be stored with it */
export async function takeFamilies(
  { jobs }: Pick<Needs, 'jobs'>,
  document: ProjectDocument,
  families: readonly SampleFamily[],
): Promise<NewFont[]> {
  const fonts: NewFont[] = [];
  for (const { key, faces, licenceText, ...family } of families) {
    const read = await Promise.all(
      faces.map(async (face): Promise<Face> => {
        const files = await Promise.all(
          face.files.map(async ({ bytes, ...file }) => {
            const { reading } = await jobs.readFont(new Uint8Array(bytes));
            fonts.push({ bytes, reading, licence: licenceText });
            return { ...file, sha256: reading.sha256, bytes: bytes.byteLength };
          }),
        );
        return { ...face, files };
      }),
    );
    document.case[key] = { ...family, source: 'foundry', faces: read };
  }
  return fonts;
}

/** Seats the first two families of the case: for headings, and for text. */
export function seatFirst({ case: families, voices }: ProjectDocument): void {
  const [heading, text] = Object.keys(families);
  if (voices['heading']) voices['heading'].family = heading ?? null;
  if (voices['text']) voices['text'].family = text ?? null;
}

/** Loads the Tarnholm Light Trust's project if it is not there. */
export async function loadSample(services: Needs): Promise<Project> {
  const there = await services.projects.get(SAMPLE_SLUG);
  if (there) return there;
  const document = sampleDocument();
  const fonts = await takeFamilies(services, document, await sampleFamilies());
  seatFirst(document);
  return services.projects.create(document, await samplePages(), {
    slug: SAMPLE_SLUG,
    alongside: (id) => services.fonts.statements(id, fonts),
  });
}
