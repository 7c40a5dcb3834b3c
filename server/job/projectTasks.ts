import { createHash } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { documentErrors } from '@lettera/core/change';
import { DOCUMENT_FORMAT, type ProjectDocument, type SitePage } from '@lettera/core/document';
import { checkLocalReading, type LocalReading } from '@lettera/core/fallback';
import { SiteError } from '@lettera/core/page';
import {
  isZip,
  pageAgain,
  siteAgain,
  unzip,
  type ReadFile,
  type ReadPage,
} from '@lettera/core/page/file';
import {
  isProjectManifest,
  PROJECT_FILE_FORMAT,
  type ProjectManifest,
} from '@lettera/core/wire/projectFile';
import type { Page } from '../store/pageStore';
import type { NamedState } from '../store/waypointStore';

/** Where a project file says what it holds, and what one may unpack to. */
export const MANIFEST = 'project.json';
export const PROJECT_FILE_LIMITS = { bytes: 256 * 1024 * 1024, files: 20_000 };
const LARGEST_MANIFEST = 96 * 1024 * 1024;

/** Why a project file cannot be read, as a value: errors lose their class on the way from a worker. */
export interface UnreadProject {
  unread: string;
}

/** What a project file holds: valid, within its limits, and cleaned. Fonts are not read yet. */
export interface ReadProject {
  document: ProjectDocument;
  pages: Page[];
  sites: { site: string; pages: ReadPage[]; files: ReadFile[] }[];
  waypoints: NamedState[];
  localFonts: LocalReading[];
  /** Of each font file its hash, which is that of its bytes, and its licence text. */
  fonts: { sha256: string; bytes: Uint8Array; licence: string | null }[];
}

/** What is wrong with a project file, as a sentence. */
class Fault extends Error {}

/** Reads a project file, or says why it cannot be read. */
export async function readProject(at: string): Promise<ReadProject | UnreadProject> {
  try {
    const files = unpacked(new Uint8Array(await readFile(at)));
    const manifest = manifestIn(files.get(MANIFEST));
    const document = documentIn(manifest.document, 'Its document');
    const waypoints = (manifest.waypoints ?? []).map(({ name, at: named, document: state }) => ({
      name,
      at: named,
      document: documentIn(state, `Its waypoint “${name}”`),
    }));
    const documents = [document, ...waypoints.map((state) => state.document)];
    return {
      document,
      waypoints,
      pages: manifest.pages.map(({ slug, title, html, css }) =>
        pageAgain({ slug, title, html, css }),
      ),
      sites: sitesIn(manifest, files, documents),
      localFonts: (manifest.localFonts ?? []).map(readingIn),
      fonts: fontHashesOf(documents).map((sha256) => ({
        sha256,
        bytes: fontIn(files, sha256),
        licence: Object.hasOwn(manifest.licences, sha256)
          ? (manifest.licences[sha256] ?? null)
          : null,
      })),
    };
  } catch (error) {
    if (error instanceof Fault) return { unread: error.message };
    if (error instanceof SiteError)
      return { unread: `One of its pages cannot be shown. ${error.message}` };
    throw error;
  }
}

/** Reads the document of a project file and nothing else of it, or says why it cannot be read. */
export async function readProjectDocument(
  at: string,
): Promise<{ document: ProjectDocument } | UnreadProject> {
  try {
    const files = unpacked(new Uint8Array(await readFile(at)));
    return { document: documentIn(manifestIn(files.get(MANIFEST)).document, 'Its document') };
  } catch (error) {
    if (error instanceof Fault) return { unread: error.message };
    throw error;
  }
}

/** The files of an archive, by their paths. */
function unpacked(bytes: Uint8Array): Map<string, Uint8Array> {
  if (!isZip(bytes)) throw new Fault('It is no project file of Lettera.');
  const { bytes: most, files } = PROJECT_FILE_LIMITS;
  const all = unzip(
    bytes,
    { ...PROJECT_FILE_LIMITS },
    {
      tooMuch: () => new Fault(`It may have ${most / 1024 / 1024} MB in ${files} files, unpacked.`),
      broken: () => new Fault('It is damaged.'),
    },
  );
  // One that was cut short has no directory at its end, whatever came out of it.
  if (!hasDirectory(bytes)) throw new Fault('It is cut short.');
  return new Map(all.map((file) => [file.path, file.bytes]));
}

/** Whether a zip has the record that ends its directory, with nothing but a comment after it. */
function hasDirectory(bytes: Uint8Array): boolean {
  const [SIGNATURE, SIZE, LONGEST_COMMENT] = [[0x50, 0x4b, 0x05, 0x06], 22, 65_535];
  for (
    let at = bytes.length - SIZE;
    at >= Math.max(0, bytes.length - SIZE - LONGEST_COMMENT);
    at--
  ) {
    if (SIGNATURE.every((byte, i) => bytes[at + i] === byte)) return true;
  }
  return false;
}

const members = (value: unknown): Record<string, unknown> =>
  typeof value === 'object' && value !== null ? (value as Record<string, unknown>) : {};

function manifestIn(bytes: Uint8Array | undefined): ProjectManifest {
  let value: unknown;
  try {
    if (!bytes || bytes.byteLength > LARGEST_MANIFEST) throw new RangeError();
    value = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    throw new Fault(`Its ${MANIFEST} is not there, or cannot be read.`);
  }
  const { lettera, document, waypoints } = members(value);
  const states = Array.isArray(waypoints) ? (waypoints as unknown[]) : [];
  const isNewer = [document, ...states.map((state) => members(state)['document'])].some(
    (one) => Number(members(one)['format']) > DOCUMENT_FORMAT,
  );
  if (Number(lettera) > PROJECT_FILE_FORMAT || isNewer) {
    throw new Fault('It was saved by a newer version of Lettera: open it there.');
  }
  if (!isProjectManifest(value)) {
    throw new Fault(
      `Its ${MANIFEST} does not say what a project file says, or more than one may hold.`,
    );
  }
  return value;
}

function documentIn(value: unknown, what: string): ProjectDocument {
  const [error] = documentErrors(value);
  if (error) throw new Fault(`${what} is not valid: ${error.path} ${error.message}.`);
  return value as ProjectDocument;
}

function readingIn(value: unknown): LocalReading {
  try {
    return checkLocalReading(value);
  } catch (error) {
    throw new Fault((error as Error).message);
  }
}

function sitesIn(
  { sites }: ProjectManifest,
  files: ReadonlyMap<string, Uint8Array>,
  documents: readonly ProjectDocument[],
): ReadProject['sites'] {
  const known = new Set(
    sites.flatMap(({ site, pages }) => pages.map(({ path }) => `${site} ${path}`)),
  );
  for (const [key, { site, path }] of ownPagesOf(documents)) {
    if (!known.has(`${site} ${path}`)) throw new Fault(`The page “${key}” is not in it.`);
  }
  return sites.map(({ site, pages, files: paths }) => ({
    site,
    ...siteAgain(
      {
        pages,
        files: paths.flatMap((path) => {
          const bytes = files.get(`sites/${site}/${path}`);
          return bytes ? [{ path, bytes }] : [];
        }),
      },
      site,
    ),
  }));
}

function fontIn(files: ReadonlyMap<string, Uint8Array>, sha256: string): Uint8Array {
  const bytes = files.get(`fonts/${sha256}`);
  if (!bytes) throw new Fault(`The font file ${sha256.slice(0, 12)} is not in it.`);
  if (createHash('sha256').update(bytes).digest('hex') !== sha256) {
    throw new Fault(`The font file ${sha256.slice(0, 12)} is damaged.`);
  }
  return bytes;
}

/** The font files of documents, each once. */
export const fontHashesOf = (documents: readonly ProjectDocument[]): string[] => [
  ...new Set(
    documents.flatMap(({ case: families }) =>
      Object.values(families).flatMap(({ faces }) =>
        faces.flatMap(({ files }) => files.map(({ sha256 }) => sha256)),
      ),
    ),
  ),
];

/** The pages of the site's own in documents. */
export const ownPagesOf = (
  documents: readonly ProjectDocument[],
): [key: string, page: SitePage][] => documents.flatMap(({ pages = {} }) => Object.entries(pages));
