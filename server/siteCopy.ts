import type { ProjectDocument } from '@lettera/core/document';
import type { Jobs } from './job/jobs';
import { Remembered } from './remembered';
import type { PageStore } from './store/pageStore';
import type { SiteStore } from './store/siteStore';

/** Projects whose copy is remembered. */
const REMEMBERED = 50;

/** What the pages of projects set: read once for the same pages, which never change. */
export class SiteCopy {
  readonly #known = new Remembered<string>(REMEMBERED);

  constructor(
    private readonly pages: PageStore,
    private readonly sites: SiteStore,
    private readonly jobs: Jobs,
  ) {}

  /** Every character of a project's pages, the site's own and those that came with it, each once. */
  characters(projectId: string, { pages: own = {} }: ProjectDocument): Promise<string> {
    const places = Object.values(own).map(({ site, path }) => ({ site, path }));
    return this.#known.get(`${projectId} ${JSON.stringify(places)}`, async () => {
      const ownPages = await Promise.all(
        places.map(async ({ site, path }) => {
          const [page, sheets] = await Promise.all([
            this.sites.page(projectId, site, path),
            this.sites.sheets(projectId, site),
          ]);
          return { html: page?.html ?? '', css: [...sheets.values()].join('') };
        }),
      );
      const given = await this.pages.list(projectId);
      return this.jobs
        .for(projectId)
        .pageCharacters([...given.map(({ html, css }) => ({ html, css })), ...ownPages]);
    });
  }
}
