import { readdirSync, readFileSync } from 'node:fs';
import { drawnFor } from '../../../foundry/drawnFor';
import { join } from 'node:path';
import { libraryFaces, type LibraryFile } from '../../document';
import type { FaceClass } from '../../document/vocabulary';
import { weightsMeasured } from '../../measure/weights';
import { nearestFace, regularFace, weightWithin } from '../../measure/family';
import { familySheet } from '../../measure/familySheet';
import { bytesAt } from '../../measure/testing/faces';
import type { TextUse } from '../../style';
import type { Partner } from '../partner';

const modules = join(process.cwd(), 'node_modules');
const SCOPES = ['@fontsource-variable', '@fontsource'];

interface Metadata {
  family: string;
  category: FaceClass;
  variable?: { wght?: { min: string; max: string } } | false;
}

/** A family as its package holds it, measured on its Latin regular. */
async function partnerOf(scope: string, id: string): Promise<Partner> {
  const folder = join(modules, scope, id);
  const metadata = JSON.parse(readFileSync(join(folder, 'metadata.json'), 'utf8')) as Metadata;
  const axis = metadata.variable ? metadata.variable.wght : undefined;
  const files = readdirSync(join(folder, 'files')).flatMap((name): LibraryFile[] => {
    const [, weight, style] = /-latin-(\d+|wght)-(normal|italic)\.woff2$/.exec(name) ?? [];
    if (!weight || !style) return [];
    const range =
      weight === 'wght' ? [Number(axis?.min), Number(axis?.max)] : [Number(weight), Number(weight)];
    return [
      {
        name,
        script: 'latin',
        style: style as LibraryFile['style'],
        weightMin: range[0] ?? 400,
        weightMax: range[1] ?? 400,
        bytes: 1,
        sha256: '',
      },
    ];
  });
  const faces = libraryFaces({ files });
  const bytesOf = ([file]: readonly LibraryFile[]) =>
    bytesAt(join(folder, 'files', file?.name ?? ''));
  const read = (face: (typeof faces)[number]) => ({
    files: [bytesOf(face.files)],
    weight: weightWithin(face, 400),
  });
  const regular = regularFace(faces);
  const italic = nearestFace(faces, 'italic');
  if (!regular) throw new Error(`${id} has no face`);
  const uprights = faces.filter(({ style }) => style === 'normal');
  const sheet = await familySheet(
    read(regular),
    italic ? read(italic) : null,
    uprights.map((face) => ({ file: bytesOf(face.files), weights: weightsMeasured(face) })),
  );
  return {
    key: id,
    name: metadata.family,
    class: metadata.category,
    faces,
    measures: sheet.measures,
  };
}

/** Local fonts' twins, which are never offered as partners; those of one script other than Latin too. */
const TWINS = new Set(
  'arimo tinos cousine carlito caladea gelasio roboto noto-sans noto-serif dejavu-sans'.split(' '),
);
const TWIN_OF_SCRIPT = /^noto-(sans|serif|naskh)-(?!mono$)/;

/** Every family of the library that was drawn for Latin, as the order sees it. */
export const testLibrary = (): Promise<Partner[]> =>
  Promise.all(
    SCOPES.flatMap((scope) =>
      readdirSync(join(modules, scope))
        .filter((id) => !TWINS.has(id) && !TWIN_OF_SCRIPT.test(id) && drawnFor(id) === 'latin')
        .map((id) => partnerOf(scope, id)),
    ),
  );

/** A site that sets its headings in 680 and its text in 400, of a size in CSS px. */
export const testUse = (size: number): TextUse => ({
  sizes: {
    running: { size, weight: 400 },
    short: { size: size / 1.2, weight: 400 },
    headings: { size: size * 1.2 ** 3, weight: 680 },
    subheadings: { size: size * 1.2 ** 2, weight: 680 },
  },
  languages: ['en'],
});
