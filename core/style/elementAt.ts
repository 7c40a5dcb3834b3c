import type { ProjectDocument } from '../document/projectDocument';

/** States that a pointer or a key brings about for a moment. Selectors 4 §9, user action pseudo-classes. */
const MOMENTARY = /:(hover|active|focus|focus-visible|focus-within)\b/;

/**
 * Which text element a node of a page is. Element rules carry no specificity, so of those that match,
 * the last in the document's order has its way. What a node is does not change while it is pointed at.
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
    if (selectors.some((one) => !MOMENTARY.test(one) && matches(one))) found = key;
  }
  return found;
}
