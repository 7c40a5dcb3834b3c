import { and, asc, eq } from 'drizzle-orm';
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
  constructor(private readonly database: Database) {}

  async list(projectId: string): Promise<Page[]> {
    return this.database
      .select({ slug: pages.slug, title: pages.title, html: pages.html, css: pages.css })
      .from(pages)
      .where(eq(pages.projectId, projectId))
      .orderBy(asc(pages.position));
  }

  async get(projectId: string, slug: string): Promise<Page | null> {
    const [page] = await this.database
      .select({ slug: pages.slug, title: pages.title, html: pages.html, css: pages.css })
      .from(pages)
      .where(and(eq(pages.projectId, projectId), eq(pages.slug, slug)));
    return page ?? null;
  }
}
