import { createHash } from 'node:crypto';
import { drawnFor } from './drawnFor';
import { readFileSync } from 'node:fs';
import { readdir, readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { fileURLToPath } from 'node:url';
import { dirname, join } from 'node:path';

/** A file as the catalogue lists it. */
export interface CatalogueFile {
  name: string;
  script: string;
  style: 'normal' | 'italic';
  weightMin: number;
  weightMax: number;
  bytes: number;
  sha256: string;
}

/** A family as the index lists it: enough to show it and to count what it would cost. */
export interface FamilySummary {
  id: string;
  name: string;
  /** The class that its makers claim. */
  class: string;
  licence: string;
  scripts: string[];
  /** The script that it was drawn for. */
  drawnFor: string;
  variable: boolean;
  files: CatalogueFile[];
}

/** A family with what is needed to take it in. */
export interface FamilyDetails extends Omit<FamilySummary, 'files'> {
  version: string;
  licenceText: string;
  files: (CatalogueFile & { unicodeRange: string })[];
}

interface PackageMetadata {
  family: string;
  category: string;
  subsets: string[];
  weights: number[];
  styles: string[];
  variable?: Record<string, { min: string; max: string }> | false;
  license: { type: string };
  version: string;
}

const VARIABLE_SCOPE = '@fontsource-variable/';
const SCOPES = [VARIABLE_SCOPE, '@fontsource/'];

/** Ideographs, kana and syllables with their punctuation: packages give the ranges of parts of these files alone. */
const IDEOGRAPHIC =
  'U+1100-11FF,U+2E80-9FFF,U+A960-A97F,U+AC00-D7FF,U+F900-FAFF,U+FE30-FE4F,U+FF00-FFEF,U+20000-3FFFF';
const WHOLE_SCRIPTS: Readonly<Record<string, string>> = {
  japanese: IDEOGRAPHIC,
  korean: IDEOGRAPHIC,
  'chinese-simplified': IDEOGRAPHIC,
  'chinese-traditional': IDEOGRAPHIC,
};

const require = createRequire(import.meta.url);

const readJson = <T>(path: string): T => JSON.parse(readFileSync(path, 'utf8')) as T;

/** What the foundry is made from stands beside its sources, or beside the folder that a built program stands in. */
const MANIFEST = fileURLToPath(
  new URL(
    import.meta.url.endsWith('.ts') ? 'package.json' : '../foundry/package.json',
    import.meta.url,
  ),
);

/** The packages of open-licensed families that the foundry is made from: its own dependencies. */
function packageNames(): string[] {
  const { dependencies } = readJson<{ dependencies: Record<string, string> }>(MANIFEST);
  return Object.keys(dependencies).filter((name) => SCOPES.some((scope) => name.startsWith(scope)));
}

interface Source {
  summary: FamilySummary;
  folder: string;
  version: string;
}

/** File names are `<id>-<script>-<weight or axes>-<style>.woff2`; of variable ones, those with the weight axis alone. */
function parseFileName(
  id: string,
  name: string,
  metadata: PackageMetadata,
): Omit<CatalogueFile, 'bytes' | 'sha256'> | null {
  const match = /^(.+)-(\d+|wght)-(normal|italic)\.woff2$/.exec(name.slice(id.length + 1));
  const [, script = '', weight = '', style = ''] = match ?? [];
  if (!match || !metadata.subsets.includes(script)) return null;
  const axis = metadata.variable ? metadata.variable['wght'] : undefined;
  const range: [number, number] =
    weight === 'wght' ? [Number(axis?.min), Number(axis?.max)] : [Number(weight), Number(weight)];
  return {
    name,
    script,
    style: style as CatalogueFile['style'],
    weightMin: range[0],
    weightMax: range[1],
  };
}

async function withContents(
  file: Omit<CatalogueFile, 'bytes' | 'sha256'>,
  path: string,
): Promise<CatalogueFile> {
  const bytes = await readFile(path);
  return {
    ...file,
    bytes: bytes.length,
    sha256: createHash('sha256').update(bytes).digest('hex'),
  };
}

async function readSource(packageName: string): Promise<Source> {
  const folder = dirname(require.resolve(`${packageName}/package.json`));
  const id = packageName.slice(packageName.indexOf('/') + 1);
  const metadata = readJson<PackageMetadata>(join(folder, 'metadata.json'));
  const names = (await readdir(join(folder, 'files'))).sort();
  const files = await Promise.all(
    names.flatMap((name) => {
      const file = parseFileName(id, name, metadata);
      return file ? [withContents(file, join(folder, 'files', name))] : [];
    }),
  );
  return {
    folder,
    version: metadata.version,
    summary: {
      id,
      name: metadata.family,
      class: metadata.category,
      licence: metadata.license.type,
      scripts: metadata.subsets,
      drawnFor: drawnFor(id),
      variable: packageName.startsWith(VARIABLE_SCOPE),
      files,
    },
  };
}

/** The families repeated under further names until there are so many: a library as large as a test wants. */
const repeated = (sources: Source[], count: number): Source[] =>
  Array.from({ length: Math.max(count, sources.length) }, (_, i) => {
    const source = sources[i % sources.length] as Source;
    const round = Math.floor(i / sources.length) + 1;
    if (round === 1) return source;
    const { id, name } = source.summary;
    return {
      ...source,
      summary: { ...source.summary, id: `${id}-${round}`, name: `${name} ${round}` },
    };
  });

/** Everything the foundry holds, read from the packages that it depends on. */
export class Catalogue {
  private constructor(private readonly sources: Map<string, Source>) {}

  /** @param families how many there are to be at least; further ones repeat those there are */
  static async open(families = 0): Promise<Catalogue> {
    const packages = await Promise.all(packageNames().map(readSource));
    const sources = repeated(packages, families);
    sources.sort((a, b) => a.summary.name.localeCompare(b.summary.name, 'en'));
    return new Catalogue(new Map(sources.map((source) => [source.summary.id, source])));
  }

  get families(): FamilySummary[] {
    return [...this.sources.values()].map(({ summary }) => summary);
  }

  /** A family with the checksum and the characters of each file, or null when there is none by that id. */
  async details(id: string): Promise<FamilyDetails | null> {
    const source = this.sources.get(id);
    if (!source) return null;
    const { folder, summary, version } = source;
    const ranges = readJson<Record<string, string>>(join(folder, 'unicode.json'));
    const files = summary.files.map((file) => ({
      ...file,
      unicodeRange: ranges[file.script] ?? WHOLE_SCRIPTS[file.script] ?? 'U+0-10FFFF',
    }));
    const licenceText = await readFile(join(folder, 'LICENSE'), 'utf8');
    return { ...summary, version, licenceText, files };
  }

  /** A file's bytes, or null when the family has no such file. */
  async file(id: string, name: string): Promise<Buffer | null> {
    const source = this.sources.get(id);
    if (!source?.summary.files.some((file) => file.name === name)) return null;
    return readFile(join(source.folder, 'files', name));
  }
}
