import { compareSpecificity, type Specificity } from '../css';
import { onceFor } from '../document/once';
import type { ProjectDocument, TextElement } from '../document/projectDocument';
import { ruleSpecificity, selectorsOf } from './ruleWeight';

/** States that a pointer or a key brings about for a moment. Selectors 4 §9, user action pseudo-classes. */
const MOMENTARY = /:(hover|active|focus|focus-visible|focus-within)\b/;

/** An element without the selectors that are about such a state. */
export const lasting = onceFor(({ selectors }: TextElement) => ({
  selectors: selectors.filter((selector) => !MOMENTARY.test(selector)),
}));

/**
 * Which text element a node of a page is: of the rules that match the one of most weight, of several as
 * heavy the last in the document's order. What a node is does not change while it is pointed at.
 *
 * @param matches whether the node matches a CSS selector
 * @returns the element's key, or null when the node is none of them
 */
export function elementAt(
  document: ProjectDocument,
  matches: (selector: string) => boolean,
): string | null {
  let found: { key: string; weight: Specificity } | null = null;
  for (const [key, element] of Object.entries(document.elements)) {
    for (const selector of selectorsOf(document, lasting(element))) {
      if (!matches(selector)) continue;
      const weight = ruleSpecificity(document, selector);
      if (!found || compareSpecificity(weight, found.weight) >= 0) found = { key, weight };
    }
  }
  return found?.key ?? null;
}
