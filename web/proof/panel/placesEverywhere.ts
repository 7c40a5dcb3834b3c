import type { ProjectDocument } from '@lettera/core/document';
import { urls } from '../../api/client';
import { readPage } from '../../store/readPage';
import { elementsWithStyle } from '../pageText';

/** Pages that have been read, by their address: what a page holds does not change. */
const known = new Map<string, Promise<Document | null>>();

function pageAt(address: string): Promise<Document | null> {
  const before = known.get(address);
  if (before) return before;
  const reading = readPage(address);
  known.set(address, reading);
  return reading;
}

/** Pages as they were read, by their slugs; those that cannot be read are left out. */
export async function pagesRead(projectId: string, slugs: readonly string[]): Promise<Document[]> {
  const pages = await Promise.all(slugs.map((slug) => pageAt(urls.page(projectId, slug))));
  return pages.filter((page) => page !== null);
}

/** On how many places of all pages a style is worn, and on how many pages. */
export async function placesEverywhere(
  document: ProjectDocument,
  style: string,
  projectId: string,
  slugs: readonly string[],
): Promise<{ places: number; pages: number }> {
  const counts = (await pagesRead(projectId, slugs)).map(
    (page) => elementsWithStyle(document, page, style).length,
  );
  return {
    places: counts.reduce((sum, count) => sum + count, 0),
    pages: counts.filter((count) => count > 0).length,
  };
}
