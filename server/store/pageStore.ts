import { CLEANER_VERSION } from '@lettera/core/page/file';
import { and, asc, eq, lt } from 'drizzle-orm';
import { Cleaned } from './cleaned';
import type { Database } from './database';
import { pages } from './schema';

export interface Page {
  slug: string;
  title: string;
  /** The contents of the body; scripts and styles are not part of a page. */
  html: string;
  /** The page's own style sheet: its layout. Type comes from the project. */
  css: string;
}

/** The pages on which projects are proofed. */
export class PageStore {
  readonly #cleaned = new Cleaned();

  /** @param clean cleans pages that an earlier version of the cleaner has seen, or none */
  constructor(
    private readonly database: Database,
    private readonly clean: (projectId: string, pages: readonly Page[]) => Promise<Page[]>,
  ) {}

  /** Pages of a project as they may be shown. @throws SiteError where they cannot be cleaned */
  async list(projectId: string): Promise<Page[]> {
    await this.#cleaned.once(projectId, () => this.#cleanAgain(projectId));
    return this.database
      .select({ slug: pages.slug, title: pages.title, html: pages.html, css: pages.css })
      .from(pages)
      .where(eq(pages.projectId, projectId))
      .orderBy(asc(pages.position));
  }

  async get(projectId: string, slug: string): Promise<Page | null> {
    await this.#cleaned.once(projectId, () => this.#cleanAgain(projectId));
    const [page] = await this.database
      .select({ slug: pages.slug, title: pages.title, html: pages.html, css: pages.css })
      .from(pages)
      .where(and(eq(pages.projectId, projectId), eq(pages.slug, slug)));
    return page ?? null;
  }

  async #cleanAgain(projectId: string): Promise<void> {
    const old = await this.database
      .select({ slug: pages.slug, title: pages.title, html: pages.html, css: pages.css })
      .from(pages)
      .where(and(eq(pages.projectId, projectId), lt(pages.cleaned, CLEANER_VERSION)));
    if (old.length === 0) return;
    for (const { slug, html, css } of await this.clean(projectId, old)) {
      await this.database
        .update(pages)
        .set({ html, css, cleaned: CLEANER_VERSION })
        .where(and(eq(pages.projectId, projectId), eq(pages.slug, slug)));
    }
  }
}
