import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { newDocument, type ProjectDocument } from '@lettera/core/document';

const require = createRequire(import.meta.url);

export const SAMPLE_SLUG = 'tarnholm-light';
export const SAMPLE_NAME = 'Tarnholm Light Trust';

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

interface Wanted {
  key: string;
  class: SampleFamily['class'];
  scripts: string[];
  styles: ('normal' | 'italic')[];
}

/**
 * Headings in a grotesque with some weather in it, text in a bookish serif with a true italic for the
 * names of ships and Greek for the tides.
 */
const WANTED: Wanted[] = [
  {
    key: 'bricolage-grotesque',
    class: 'sans-serif',
    scripts: ['latin', 'latin-ext'],
    styles: ['normal'],
  },
  {
    key: 'literata',
    class: 'serif',
    scripts: ['latin', 'latin-ext', 'greek'],
    styles: ['normal', 'italic'],
  },
];

async function readFamily({ key, scripts, styles, ...wanted }: Wanted): Promise<SampleFamily> {
  const folder = dirname(require.resolve(`@fontsource-variable/${key}/package.json`));
  const json = async <T>(name: string) =>
    JSON.parse(await readFile(join(folder, name), 'utf8')) as T;
  const metadata = await json<{
    family: string;
    license: { type: string };
    variable: { wght: { min: string; max: string } };
  }>('metadata.json');
  const ranges = await json<Record<string, string>>('unicode.json');
  const { min, max } = metadata.variable.wght;
  return {
    key,
    name: metadata.family,
    class: wanted.class,
    licence: metadata.license.type,
    licenceText: await readFile(join(folder, 'LICENSE'), 'utf8'),
    faces: await Promise.all(
      styles.map(async (style) => ({
        style,
        weightMin: Number(min),
        weightMax: Number(max),
        files: await Promise.all(
          scripts.map(async (script) => ({
            script,
            unicodeRange: ranges[script] ?? '',
            bytes: await readFile(join(folder, 'files', `${key}-${script}-wght-${style}.woff2`)),
          })),
        ),
      })),
    ),
  };
}

/** The families of the sample project, with their files. */
export const sampleFamilies = (): Promise<SampleFamily[]> => Promise.all(WANTED.map(readFamily));

/** The Trust's decisions, before its families are in the case. */
export function sampleDocument(): ProjectDocument {
  const document = newDocument(SAMPLE_NAME);
  const { styles, scale } = document;
  document.languages = ['en', 'is', 'nb'];
  document.words = 'Sæfari rounds the Skerry at dusk';
  scale.small = { width: 360, base: 17, ratio: 1.2 };
  scale.large = { width: 1280, base: 19, ratio: 1.28 };
  Object.assign(styles['heading']?.set ?? {}, { weight: 680, letterSpacing: -0.012 });
  Object.assign(styles['heading-1']?.set ?? {}, { letterSpacing: -0.022, lineHeight: 1.06 });
  Object.assign(styles['lead']?.set ?? {}, { lineHeight: 1.42 });
  document.colours = {
    ink: { name: 'Ink', light: '#17222b', dark: '#e6ecef' },
    quiet: { name: 'Slate', light: '#50616d', dark: '#a3b3bd' },
    accent: { name: 'Lantern red', light: '#9c2f1f', dark: '#f2a08c' },
    'on-accent': { name: 'On lantern red', light: '#fffaf7', dark: '#10181d' },
    ground: { name: 'Background', light: '#fdfdfb', dark: '#10181d' },
    panel: { name: 'Panel', light: '#f1f3f1', dark: '#19242b' },
  };
  return document;
}
