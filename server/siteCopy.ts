import type { ProjectDocument } from '@lettera/core/document';
import type { PageLetters } from '@lettera/core/page/file';
import { lasting, selectorsOf } from '@lettera/core/style';
import type { Jobs } from './job/jobs';
import { Remembered } from './remembered';
import type { PageStore } from './store/pageStore';
import type { SiteStore } from './store/siteStore';

/** Projects whose copy is remembered. */
const REMEMBERED = 50;
/** The page that shows every text element: it is Lettera's, and no part of the site. */
const SHEET_OF_ELEMENTS = 'sheet';

/** What the pages of projects set: read once for the same pages, which never change. */
export class SiteCopy {
  readonly #known = new Remembered<PageLetters>(REMEMBERED);

  constructor(
    private readonly pages: PageStore,
    private readonly sites: SiteStore,
    private readonly jobs: Jobs,
  ) {}

  /** What the text of a project's pages is made of: of the site's own, or else of those that came with it. */
  letters(projectId: string, document: ProjectDocument): Promise<PageLetters> {
    const { pages: own = {}, elements, delivery } = document;
    // All of elements and of the delivery that tells where letters stand: other changes read no page again.
    const claimed = Object.entries(elements).map(([key, parts]) => [
      key,
      selectorsOf(document, lasting(parts)),
    ]);
    const places = Object.values(own).map(({ site, path }) => ({ site, path }));
    return this.#known.get(`${projectId} ${JSON.stringify([places, claimed])}`, async () => {
      const ownPages = await Promise.all(
        places.map(async ({ site, path }) => {
          const [page, sheets] = await Promise.all([
            this.sites.page(projectId, site, path),
            this.sites.sheets(projectId, site),
          ]);
          return { html: page?.html ?? '', css: [...sheets.values()].join('') };
        }),
      );
      const given = ownPages.length > 0 ? [] : await this.pages.list(projectId);
      return this.jobs.for(projectId).pageCharacters({
        pages: [
          ...given
            .filter(({ slug }) => slug !== SHEET_OF_ELEMENTS)
            .map(({ html, css }) => ({ html, css })),
          ...ownPages,
        ],
        document: { elements, delivery },
      });
    });
  }
}
