import { CLEANER_VERSION, type ReadFile, type ReadPage } from '@lettera/core/page/file';
import { and, eq, like, lt, sql, type SQLWrapper } from 'drizzle-orm';
import { Cleaned } from './cleaned';
import type { Database } from './database';
import { changes, lookedSites, projects, siteFiles, sitePages, stocks, waypoints } from './schema';

/** Files that are stored in one statement: their bytes are bound values, of which a statement takes many. */
const FILES_AT_ONCE = 20;

const PAGE = {
  path: sitePages.path,
  title: sitePages.title,
  html: sitePages.html,
  sheets: sitePages.sheets,
  removed: sitePages.removed,
  notes: sitePages.notes,
};
const FILE = { path: siteFiles.path, type: siteFiles.type, bytes: siteFiles.bytes };

/** Pages of a site's own and what they ask for, by the hash of the files that they were brought in with. */
export class SiteStore {
  readonly #cleaned = new Cleaned();

  /** @param clean cleans a site that an earlier version of the cleaner has seen, or none */
  constructor(
    private readonly database: Database,
    private readonly clean: (
      projectId: string,
      stored: { site: string; pages: readonly ReadPage[]; files: readonly ReadFile[] },
    ) => Promise<{ pages: ReadPage[]; files: ReadFile[] }>,
  ) {}

  /** Stores what was read of a site; what is there already stays. */
  async add(
    projectId: string,
    site: string,
    { pages, files }: { pages: readonly ReadPage[]; files: readonly ReadFile[] },
  ): Promise<void> {
    for (let at = 0; at < files.length; at += FILES_AT_ONCE) {
      await this.database
        .insert(siteFiles)
        .values(
          files.slice(at, at + FILES_AT_ONCE).map(({ path, type, bytes }) => ({
            projectId,
            site,
            path,
            type,
            bytes: Buffer.from(bytes),
          })),
        )
        .onConflictDoNothing();
    }
    for (const page of pages) {
      await this.database
        .insert(sitePages)
        .values({ projectId, site, ...page, cleaned: CLEANER_VERSION })
        .onConflictDoNothing();
    }
  }

  /** Stores what was read of a site that is only looked at. @param at ISO 8601 */
  async addLooked(
    projectId: string,
    site: string,
    read: Parameters<SiteStore['add']>[2],
    at = new Date().toISOString(),
  ): Promise<void> {
    // Noted first: what is stored half way goes too.
    await this.database
      .insert(lookedSites)
      .values({ projectId, site, at })
      .onConflictDoUpdate({ target: [lookedSites.projectId, lookedSites.site], set: { at } });
    await this.add(projectId, site, read);
  }

  /** Lets go of sites that were looked at before a time, and left. @param before ISO 8601 */
  async forgetLooked(before: string): Promise<void> {
    const old = await this.database
      .select({ projectId: lookedSites.projectId, site: lookedSites.site })
      .from(lookedSites)
      .where(lt(lookedSites.at, before));
    for (const { projectId, site } of old) await this.forget(projectId, [site]);
  }

  /** A page as it may be shown. @throws SiteError where it cannot be cleaned */
  async page(projectId: string, site: string, path: string): Promise<ReadPage | null> {
    await this.#isClean(projectId, site);
    const [page] = await this.database
      .select(PAGE)
      .from(sitePages)
      .where(
        and(eq(sitePages.projectId, projectId), eq(sitePages.site, site), eq(sitePages.path, path)),
      );
    return page ?? null;
  }

  async file(projectId: string, site: string, path: string): Promise<ReadFile | null> {
    await this.#isClean(projectId, site);
    const [file] = await this.database
      .select(FILE)
      .from(siteFiles)
      .where(
        and(eq(siteFiles.projectId, projectId), eq(siteFiles.site, site), eq(siteFiles.path, path)),
      );
    return file ?? null;
  }

  /** All files of a site. */
  async files(projectId: string, site: string): Promise<ReadFile[]> {
    await this.#isClean(projectId, site);
    return this.#filesAsStored(projectId, site);
  }

  #filesAsStored(projectId: string, site: string): Promise<ReadFile[]> {
    return this.database
      .select(FILE)
      .from(siteFiles)
      .where(and(eq(siteFiles.projectId, projectId), eq(siteFiles.site, site)));
  }

  #isClean(projectId: string, site: string): Promise<void> {
    return this.#cleaned.once(`${projectId} ${site}`, async () => {
      const ofSite = and(eq(sitePages.projectId, projectId), eq(sitePages.site, site));
      const pages = await this.database
        .select({ ...PAGE, cleaned: sitePages.cleaned })
        .from(sitePages)
        .where(ofSite);
      if (pages.every(({ cleaned }) => cleaned >= CLEANER_VERSION)) return;
      const files = await this.#filesAsStored(projectId, site);
      const clean = await this.clean(projectId, { site, pages, files });
      const kept = new Map(clean.files.map((file) => [file.path, Buffer.from(file.bytes)]));
      for (const { path, bytes } of files) {
        const here = and(
          eq(siteFiles.projectId, projectId),
          eq(siteFiles.site, site),
          eq(siteFiles.path, path),
        );
        const now = kept.get(path);
        if (!now) await this.database.delete(siteFiles).where(here);
        else if (!now.equals(Buffer.from(bytes))) {
          await this.database.update(siteFiles).set({ bytes: now }).where(here);
        }
      }
      // Pages last: what is broken off half way is begun with again.
      for (const { path, html, sheets } of clean.pages) {
        await this.database
          .update(sitePages)
          .set({ html, sheets, cleaned: CLEANER_VERSION })
          .where(and(ofSite, eq(sitePages.path, path)));
      }
    });
  }

  /** The style sheets of a site, by path. */
  async sheets(projectId: string, site: string): Promise<Map<string, string>> {
    await this.#isClean(projectId, site);
    const files = await this.database
      .select({ path: siteFiles.path, bytes: siteFiles.bytes })
      .from(siteFiles)
      .where(
        and(
          eq(siteFiles.projectId, projectId),
          eq(siteFiles.site, site),
          like(siteFiles.type, 'text/css%'),
        ),
      );
    return new Map(files.map(({ path, bytes }) => [path, bytes.toString('utf8')]));
  }

  /**
   * Lets go of sites that were only looked at: those that neither the project nor anything that it can be brought
   * back to has pages of, and that were not taken stock of last.
   */
  async forget(projectId: string, looked: readonly string[]): Promise<void> {
    for (const site of new Set(looked)) {
      const named = (json: SQLWrapper) => sql`instr(${json}, ${site}) > 0`;
      const [{ uses = 0 } = {}] = await this.database.all<{ uses: number }>(sql`
        SELECT (SELECT count(*) FROM ${projects}
                 WHERE ${projects.id} = ${projectId} AND ${named(projects.document)})
             + (SELECT count(*) FROM ${waypoints}
                 WHERE ${waypoints.projectId} = ${projectId} AND ${named(waypoints.document)})
             + (SELECT count(*) FROM ${stocks}
                 WHERE ${stocks.projectId} = ${projectId} AND ${named(stocks.pages)})
             + (SELECT count(*) FROM ${changes}
                 WHERE ${changes.projectId} = ${projectId}
                   AND (${named(changes.patch)} OR ${named(changes.inverse)})) AS uses`);
      if (uses > 0) continue;
      for (const table of [siteFiles, sitePages, lookedSites]) {
        await this.database
          .delete(table)
          .where(and(eq(table.projectId, projectId), eq(table.site, site)));
      }
    }
  }

  /** Which of some pages are not there, by their place in the list. */
  async missing(
    projectId: string,
    wanted: readonly { site: string; path: string }[],
  ): Promise<number[]> {
    if (wanted.length === 0) return [];
    const there = await this.database
      .select({ key: sql<string>`${sitePages.site} || ' ' || ${sitePages.path}` })
      .from(sitePages)
      .where(eq(sitePages.projectId, projectId));
    const known = new Set(there.map(({ key }) => key));
    return wanted.flatMap(({ site, path }, i) => (known.has(`${site} ${path}`) ? [] : [i]));
  }
}
