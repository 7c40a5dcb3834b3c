import { FontError } from '@lettera/core/font';
import type { Project } from '@lettera/core/wire';
import { PROJECT_FILE_FORMAT, type ProjectManifest } from '@lettera/core/wire/projectFile';
import type { ProjectDocument } from '@lettera/core/document';
import {
  fontHashesOf,
  MANIFEST,
  ownPagesOf,
  readProjectDocument,
  type ReadProject,
} from './job/projectTasks';
import type { Services } from './services';
import type { NewFont } from './store/fontStore';

/** What a project file is called at its end. */
export const PROJECT_FILE_SUFFIX = '.lettera';

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
  const hashes = fontHashesOf(documents);
  const [files, licences, given, localFonts] = await Promise.all([
    fonts.files(hashes),
    fonts.licences(hashes),
    pages.list(id),
    localReadings.list(id),
  ]);
  const own = [
    ...new Map(
      ownPagesOf(documents).map(([, page]) => [`${page.site} ${page.path}`, page]),
    ).values(),
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
  const manifest: ProjectManifest = {
    lettera: PROJECT_FILE_FORMAT,
    document,
    pages: given.map(({ slug, title, html, css }) => ({ slug, title, html, css })),
    sites: kept.map((site) => ({ ...site, files: site.files.map(({ path }) => path) })),
    licences: Object.fromEntries(
      [...licences].flatMap(([hash, text]) => (text ? [[hash, text]] : [])),
    ),
    waypoints: states,
    localFonts,
  };
  return jobs.for(id).zip({
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

/**
 * The document of a project file that lies on this machine, which is opened nowhere.
 * @throws ProjectFileError
 */
export async function projectDocumentIn(at: string): Promise<ProjectDocument> {
  const read = await readProjectDocument(at).catch((error: unknown) => {
    const { code } = error as NodeJS.ErrnoException;
    throw code === 'ENOENT' ? new ProjectFileError(`There is no ${at}.`) : error;
  });
  if ('unread' in read) throw new ProjectFileError(read.unread);
  return read.document;
}

/** Turns of work on project files that are opened: they are no project's yet. */
const OPENING = 'project files';

/** A font file as it is stored. @throws ProjectFileError */
async function readFont(
  { jobs }: Pick<Stores, 'jobs'>,
  { bytes, licence }: ReadProject['fonts'][number],
): Promise<NewFont> {
  try {
    const { reading } = await jobs.for(OPENING).readFont(bytes);
    return { bytes, reading, licence };
  } catch (error) {
    if (error instanceof FontError) throw new ProjectFileError(error.message);
    throw error;
  }
}

/**
 * Makes a project of a project file, beside those that are there. It is read in a process beside this one.
 * @param at where the file lies
 * @throws ProjectFileError; nothing is stored then
 */
export async function openProject(stores: Stores, at: string): Promise<Project> {
  const read = await stores.jobs.for(OPENING).readProject(at);
  if ('unread' in read) throw new ProjectFileError(read.unread);
  const { document, pages, sites, waypoints, localFonts } = read;
  const fonts = await Promise.all(read.fonts.map((font) => readFont(stores, font)));
  const project = await stores.projects.create(document, pages, {
    alongside: (id) => stores.fonts.statements(id, fonts),
  });
  try {
    for (const { site, ...readOfSite } of sites) {
      await stores.sites.add(project.id, site, readOfSite);
    }
    await stores.waypoints.keep(project, waypoints);
    await stores.localReadings.keep(project.id, localFonts);
  } catch (error) {
    await stores.projects.remove(project.id);
    throw error;
  }
  return project;
}
