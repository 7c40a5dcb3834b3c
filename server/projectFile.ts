import { createHash } from 'node:crypto';
import { documentErrors } from '@lettera/core/change';
import { checkLocalReading, type LocalReading } from '@lettera/core/fallback';
import { DOCUMENT_FORMAT, type ProjectDocument, type SitePage } from '@lettera/core/document';
import { FontError } from '@lettera/core/font';
import { innerPath, mediaTypeOf } from '@lettera/core/page';
import type { ReadFile, ReadPage } from '@lettera/core/page/file';
import type { Project } from '@lettera/core/wire';
import type { Services } from './services';
import type { NewFont } from './store/fontStore';
import type { Page } from './store/pageStore';
import { MOST_WAYPOINTS, type NamedState } from './store/waypointStore';

/** What a project file is called at its end. */
export const PROJECT_FILE_SUFFIX = '.lettera';

/** The format of project files that is written, and the newest that is read. docs/project-file.md. */
const FILE_FORMAT = 1;
const MANIFEST = 'project.json';

/** What a project file says beside the files that it holds. */
interface Manifest {
  lettera: number;
  document: ProjectDocument;
  /** Pages that came with the project. */
  pages: Page[];
  /** Pages of the site's own, by what they were brought in with. */
  sites: { site: string; pages: ReadPage[]; files: string[] }[];
  /** Licence texts, by the font file's hash. */
  licences: Record<string, string>;
  /** Named states, the oldest first; left out by files of an earlier version, as what follows. */
  waypoints?: NamedState[];
  /** Local fonts that were measured on a designer's machine. */
  localFonts?: LocalReading[];
}

/** A project file that cannot be opened, with what is wrong with it. */
export class ProjectFileError extends Error {
  override readonly name = 'ProjectFileError';

  constructor(why: string) {
    super(`The project file was not opened, and nothing was changed. ${why}`);
  }
}

type Stores = Pick<
  Services,
  'projects' | 'fonts' | 'pages' | 'sites' | 'waypoints' | 'localReadings' | 'jobs'
>;

/** The font files of documents, each once. */
const hashesOf = (documents: readonly ProjectDocument[]): string[] => [
  ...new Set(
    documents.flatMap(({ case: families }) =>
      Object.values(families).flatMap(({ faces }) =>
        faces.flatMap(({ files }) => files.map(({ sha256 }) => sha256)),
      ),
    ),
  ),
];

/** The pages of the site's own in documents. */
const ownPages = (documents: readonly ProjectDocument[]): [key: string, page: SitePage][] =>
  documents.flatMap(({ pages = {} }) => Object.entries(pages));

/**
 * A project in one file: its document and waypoints with their font files, the pages that it is proofed on,
 * and the local fonts that were measured for it. Its history stays, and what was delivered.
 */
export async function saveProject(
  { fonts, pages, sites, waypoints, localReadings, jobs }: Stores,
  { id, document }: Pick<Project, 'id' | 'document'>,
): Promise<Uint8Array> {
  const states = await waypoints.states(id);
  const documents = [document, ...states.map((state) => state.document)];
  const hashes = hashesOf(documents);
  const [files, licences, given, localFonts] = await Promise.all([
    fonts.files(hashes),
    fonts.licences(hashes),
    pages.list(id),
    localReadings.list(id),
  ]);
  const own = [
    ...new Map(ownPages(documents).map(([, page]) => [`${page.site} ${page.path}`, page])).values(),
  ];
  const kept = await Promise.all(
    [...new Set(own.map(({ site }) => site))].map(async (site) => ({
      site,
      pages: (
        await Promise.all(
          own.filter((page) => page.site === site).map(({ path }) => sites.page(id, site, path)),
        )
      ).filter((page) => page !== null),
      files: await sites.files(id, site),
    })),
  );
  const manifest: Manifest = {
    lettera: FILE_FORMAT,
    document,
    pages: given.map(({ slug, title, html, css }) => ({ slug, title, html, css })),
    sites: kept.map((site) => ({ ...site, files: site.files.map(({ path }) => path) })),
    licences: Object.fromEntries(
      [...licences].flatMap(([hash, text]) => (text ? [[hash, text]] : [])),
    ),
    waypoints: states,
    localFonts,
  };
  return jobs.zip({
    [MANIFEST]: `${JSON.stringify(manifest, null, 1)}\n`,
    ...Object.fromEntries(
      [...files].map(([hash, bytes]) => [`fonts/${hash}`, new Uint8Array(bytes)]),
    ),
    ...Object.fromEntries(
      kept.flatMap(({ site, files: all }) =>
        all.map(({ path, bytes }) => [`sites/${site}/${path}`, new Uint8Array(bytes)]),
      ),
    ),
  });
}

const isText = (value: unknown): value is string => typeof value === 'string';
const isList = (value: unknown): value is unknown[] => Array.isArray(value);
const members = (value: unknown): Record<string, unknown> =>
  typeof value === 'object' && value !== null ? (value as Record<string, unknown>) : {};

/** @throws ProjectFileError for what is no manifest, or one of a newer version */
function manifestIn(bytes: Uint8Array | undefined): Manifest {
  let value: unknown;
  try {
    value = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    throw new ProjectFileError(`Its ${MANIFEST} is not there, or cannot be read.`);
  }
  const {
    lettera,
    document,
    pages,
    sites,
    licences,
    waypoints = [],
    localFonts = [],
  } = members(value);
  const states = isList(waypoints) ? waypoints.map(members) : null;
  const formats = [document, ...(states ?? []).map((state) => state['document'])].map((one) =>
    Number(members(one)['format']),
  );
  if (Number(lettera) > FILE_FORMAT || formats.some((format) => format > DOCUMENT_FORMAT)) {
    throw new ProjectFileError('It was saved by a newer version of Lettera: open it there.');
  }
  const pagesHold =
    isList(pages) &&
    pages.every((page) => {
      const { slug, title, html, css } = members(page);
      return [slug, title, html, css].every(isText);
    });
  const sitesHold =
    isList(sites) &&
    sites.every((one) => {
      const { site, pages: read, files } = members(one);
      return (
        isText(site) &&
        /^[0-9a-f]{64}$/.test(site) &&
        isList(files) &&
        files.every(isText) &&
        isList(read) &&
        read.every((page) => {
          const { path, title, html, sheets, removed, notes } = members(page);
          return [path, title, html].every(isText) && [sheets, removed, notes].every(isList);
        })
      );
    });
  const licencesHold = Object.values(members(licences)).every(isText);
  const statesHold =
    states !== null &&
    states.length <= MOST_WAYPOINTS &&
    states.every(
      ({ name, at }) => isText(name) && name !== '' && isText(at) && !isNaN(Date.parse(at)),
    );
  const isWhole = pagesHold && sitesHold && licencesHold && statesHold && isList(localFonts);
  if (lettera !== FILE_FORMAT || !isWhole) {
    throw new ProjectFileError(`Its ${MANIFEST} does not say what a project file says.`);
  }
  const [error] = documentErrors(document);
  if (error)
    throw new ProjectFileError(`Its document is not valid: ${error.path} ${error.message}.`);
  for (const { name, document: state } of states) {
    const [wrong] = documentErrors(state);
    if (!wrong) continue;
    throw new ProjectFileError(
      `Its waypoint “${String(name)}” is not valid: ${wrong.path} ${wrong.message}.`,
    );
  }
  try {
    for (const reading of localFonts) checkLocalReading(reading);
  } catch (fault) {
    throw new ProjectFileError((fault as Error).message);
  }
  return value as Manifest;
}

/** @throws ProjectFileError where a file is not there, or is another than its name says */
async function fontIn(
  { jobs }: Pick<Stores, 'jobs'>,
  files: Record<string, Uint8Array>,
  hash: string,
  licence: string | null,
): Promise<NewFont> {
  const bytes = files[`fonts/${hash}`];
  if (!bytes) throw new ProjectFileError(`The font file ${hash.slice(0, 12)} is not in it.`);
  if (createHash('sha256').update(bytes).digest('hex') !== hash) {
    throw new ProjectFileError(`The font file ${hash.slice(0, 12)} is damaged.`);
  }
  try {
    const { reading } = await jobs.readFont(bytes);
    return { bytes, reading, licence };
  } catch (error) {
    if (error instanceof FontError) throw new ProjectFileError(error.message);
    throw error;
  }
}

/**
 * Makes a project of a project file, beside those that are there.
 * @param at where the file lies
 * @throws ProjectFileError; nothing is stored then
 */
export async function openProject(stores: Stores, at: string): Promise<Project> {
  const unpacked = await stores.jobs.unpackProject(at);
  if ('unread' in unpacked && isText(unpacked.unread)) throw new ProjectFileError(unpacked.unread);
  const files = unpacked as Record<string, Uint8Array>;
  const {
    document,
    pages,
    sites,
    licences,
    waypoints = [],
    localFonts = [],
  } = manifestIn(files[MANIFEST]);
  const documents = [document, ...waypoints.map((state) => state.document)];
  const fonts = await Promise.all(
    hashesOf(documents).map((hash) => fontIn(stores, files, hash, licences[hash] ?? null)),
  );
  for (const [key, { site, path }] of ownPages(documents)) {
    const known = sites.find((one) => one.site === site)?.pages.some((page) => page.path === path);
    if (!known) throw new ProjectFileError(`The page “${key}” is not in it.`);
  }
  const filesOf = (site: string, paths: readonly string[]): ReadFile[] =>
    paths.flatMap((path) => {
      const bytes = files[`sites/${site}/${path}`];
      const type = innerPath(path) === path ? mediaTypeOf(path) : null;
      return bytes && type ? [{ path, type, bytes }] : [];
    });
  const project = await stores.projects.create(document, pages, {
    alongside: (id) => stores.fonts.statements(id, fonts),
  });
  try {
    for (const { site, pages: read, files: paths } of sites) {
      await stores.sites.add(project.id, site, { pages: read, files: filesOf(site, paths) });
    }
    await stores.waypoints.keep(project, waypoints);
    await stores.localReadings.keep(project.id, localFonts.map(checkLocalReading));
  } catch (error) {
    await stores.projects.remove(project.id);
    throw error;
  }
  return project;
}
