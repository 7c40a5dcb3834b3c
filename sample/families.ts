import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

const require = createRequire(import.meta.url);

/** A family that the sample project has taken in, as its package holds it. */
export interface SampleFamily {
  key: string;
  name: string;
  class: 'serif' | 'sans-serif';
  licence: string;
  licenceText: string;
  faces: {
    style: 'normal' | 'italic';
    weightMin: number;
    weightMax: number;
    files: { script: string; unicodeRange: string; bytes: Buffer }[];
  }[];
}

/** What of a package's family is taken in. */
export interface Wanted {
  key: string;
  class: SampleFamily['class'];
  /** Weights of a family that is not variable. */
  weights?: number[];
  scripts: string[];
  styles: ('normal' | 'italic')[];
}

/** Ideographs with their punctuation, whose ranges packages give by parts alone. */
const IDEOGRAPHIC = 'U+1100-11FF,U+2E80-9FFF,U+AC00-D7FF,U+F900-FAFF,U+FE30-FE4F,U+FF00-FFEF';

/** A family as its package holds it. */
export async function readFamily({
  key,
  scripts,
  styles,
  weights,
  ...wanted
}: Wanted): Promise<SampleFamily> {
  const scope = weights ? '@fontsource' : '@fontsource-variable';
  const folder = dirname(require.resolve(`${scope}/${key}/package.json`));
  const json = async <T>(name: string) =>
    JSON.parse(await readFile(join(folder, name), 'utf8')) as T;
  const metadata = await json<{
    family: string;
    license: { type: string };
    variable?: { wght: { min: string; max: string } };
  }>('metadata.json');
  const ranges = await json<Record<string, string>>('unicode.json');
  const { min = '400', max = '400' } = metadata.variable?.wght ?? {};
  const faces = styles.flatMap((style) =>
    weights
      ? weights.map((weight) => ({
          style,
          weightMin: weight,
          weightMax: weight,
          named: `${weight}`,
        }))
      : [{ style, weightMin: Number(min), weightMax: Number(max), named: 'wght' }],
  );
  return {
    key,
    name: metadata.family,
    class: wanted.class,
    licence: metadata.license.type,
    licenceText: await readFile(join(folder, 'LICENSE'), 'utf8'),
    faces: await Promise.all(
      faces.map(async ({ named, ...face }) => ({
        ...face,
        files: await Promise.all(
          scripts.map(async (script) => ({
            script,
            unicodeRange: ranges[script] ?? IDEOGRAPHIC,
            bytes: await readFile(
              join(folder, 'files', `${key}-${script}-${named}-${face.style}.woff2`),
            ),
          })),
        ),
      })),
    ),
  };
}
