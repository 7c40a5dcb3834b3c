import type { ProjectDocument } from '../document/projectDocument';

/**
 * Which text element a node of a page is. Element rules carry no specificity, so of those that match,
 * the last in the document's order has its way.
 *
 * @param matches whether the node matches a CSS selector
 * @returns the element's key, or null when the node is none of them
 */
export function elementAt(
  document: ProjectDocument,
  matches: (selector: string) => boolean,
): string | null {
  let found: string | null = null;
  for (const [key, { selectors }] of Object.entries(document.elements)) {
    if (selectors.some(matches)) found = key;
  }
  return found;
}
