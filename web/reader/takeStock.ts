import type { ProjectDocument } from '@lettera/core/document';
import type { LivePage, TypeRules } from '@lettera/core/page';
import { driftOf, StockBook, type Drift, type Stock } from '@lettera/core/stock';
import { setFrameWidth } from './frameWidth';
import { freeNames } from './freeNames';
import { siteView } from './siteView';
import { readPageInto } from './stockReader';

/** A page that is served beside the one that this runs in. */
export interface ServedPage {
  address: string;
  title: string;
  rules: TypeRules;
  elsewhere: readonly string[];
  unread: readonly string[];
  live: LivePage;
}

/** How long a page may take to come, milliseconds. */
const PATIENCE = 30_000;

function framed(address: string): Promise<HTMLIFrameElement> {
  const frame = document.createElement('iframe');
  frame.setAttribute('sandbox', 'allow-same-origin');
  frame.style.height = '800px';
  return new Promise((resolve, reject) => {
    frame.onload = () => resolve(frame);
    setTimeout(() => reject(new Error(`${address} did not come.`)), PATIENCE);
    frame.src = address;
    document.body.append(frame);
  });
}

/**
 * Takes stock of pages without an interface, in a browser that is driven from outside.
 * @param project what the site is to follow; null where only the stock is wanted
 */
export async function takeStock(
  pages: readonly ServedPage[],
  made: string,
  project: ProjectDocument | null,
): Promise<{ stock: Stock; drift: Drift | null }> {
  const book = new StockBook();
  const shown: Document[] = [];
  for (const { address, ...page } of pages) {
    const frame = await framed(address);
    const { contentDocument } = frame;
    if (!contentDocument) throw new Error(`${address} cannot be looked into.`);
    freeNames(contentDocument);
    shown.push(contentDocument);
    await readPageInto(
      book,
      { ...page, page: contentDocument, setWidth: (width) => setFrameWidth(frame, width) },
      { stopped: () => false, progress: () => undefined },
    );
  }
  const stock = book.close(made);
  return { stock, drift: project && driftOf(stock, project, siteView(stock, shown).lineages) };
}
