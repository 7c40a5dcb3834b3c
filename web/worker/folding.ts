import type { ProjectDocument, SitePage } from '@lettera/core/document';
import { proposeFold, type FoldChoice, type Proposal, type StockFacts } from '@lettera/core/stock';
import { expose } from 'comlink';

let facts: StockFacts | null = null;

/** Folds a site: it is held, and folded anew for each choice. */
export interface FoldingWorker {
  hold(site: StockFacts): void;
  /** @throws RangeError where no site is held, or one without text */
  propose(
    document: ProjectDocument,
    choice: FoldChoice,
    pages: Readonly<Record<string, SitePage>>,
  ): Proposal;
}

const worker: FoldingWorker = {
  hold(site) {
    facts = site;
  },
  propose(document, choice, pages) {
    if (!facts) throw new RangeError('There is no site to fold');
    return proposeFold(facts, document, choice, pages);
  },
};

expose(worker);
