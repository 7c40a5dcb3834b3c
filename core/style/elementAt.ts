import { compareSpecificity, selectorTexts, subjectsOf, type Specificity } from '../css';
import { onceFor } from '../document/once';
import { onceForParts } from '../document/onceForParts';
import type { ProjectDocument, TextElement } from '../document/projectDocument';
import { ruleSpecificity, selectorsOf } from './ruleWeight';

/** States that a pointer or a key brings about for a moment. Selectors 4 §9, user action pseudo-classes. */
const MOMENTARY = /:(hover|active|focus|focus-visible|focus-within)\b/;

/** An element without the selectors that are about such a state. */
export const lasting = onceFor(({ selectors }: TextElement) => ({
  selectors: selectors.filter((selector) => !MOMENTARY.test(selector)),
}));

/** A node of a page, as far as selectors are held to it: `Element` of the DOM is one. */
export interface SelectableNode {
  localName: string;
  id: string;
  classList: Iterable<string>;
  matches(selector: string): boolean;
}

/** A selector of a text element. */
interface Claim {
  element: string;
  selector: string;
  weight: Specificity;
  /** Where it stands among all. */
  order: number;
}

/** Claims by what a node must have that they meet: `.class`, `#id` or a name in small letters; any node under ''. */
type Claims = ReadonlyMap<string, readonly Claim[]>;

/**
 * All selectors of a project's elements, by what stands in the compound that they are about, so that a node is held
 * to those alone that may meet it. Documents without a doctype tell no capitals of classes and names of their own,
 * and those that have one are held to the selector itself.
 */
const claimsOf = onceForParts(['elements', 'delivery'], (document): Claims => {
  const claims = new Map<string, Claim[]>();
  let order = 0;
  for (const [element, parts] of Object.entries(document.elements)) {
    for (const selector of selectorsOf(document, lasting(parts))) {
      const claim = {
        element,
        selector,
        weight: ruleSpecificity(document, parts, selector),
        order,
      };
      order++;
      for (const key of new Set(selectorTexts(selector).map(keyOf))) {
        const known = claims.get(key);
        if (known) known.push(claim);
        else claims.set(key, [claim]);
      }
    }
  }
  return claims;
});

/** What a node must have to be met by a complex selector. */
function keyOf(selector: string): string {
  const { id, classes: [first] = [], element } = subjectsOf(selector).at(-1) ?? {};
  // Of a name in a namespace, what is behind the bar. Selectors 4 §5.3.
  const name = element?.replace(/^.*\|/, '') ?? '';
  const key = first !== undefined ? `.${first}` : id !== undefined ? `#${id}` : name;
  return key === '*' ? '' : key.toLowerCase();
}

/** The claims that may meet a node, in no order. */
function* claimsNear(
  document: Pick<ProjectDocument, 'elements' | 'delivery'>,
  { id, localName, classList }: SelectableNode,
): Generator<Claim> {
  const claims = claimsOf(document);
  const keys = ['', localName, ...(id ? [`#${id}`] : []), ...[...classList].map((c) => `.${c}`)];
  for (const key of keys) yield* claims.get(key.toLowerCase()) ?? [];
}

/**
 * Which text element a node of a page is: of the rules that match the one of most weight, of several as
 * heavy the last in the document's order. What a node is does not change while it is pointed at.
 *
 * @returns the element's key, or null when the node is none of them
 */
export function elementAt(
  document: Pick<ProjectDocument, 'elements' | 'delivery'>,
  node: SelectableNode,
): string | null {
  let found: Claim | null = null;
  for (const claim of claimsNear(document, node)) {
    if (found && !standsBefore(found, claim)) continue;
    if (node.matches(claim.selector)) found = claim;
  }
  return found?.element ?? null;
}

/**
 * All text elements that a node of a page is, the one first whose rule is the strongest: what its style leaves open
 * the next may say.
 */
export function elementsAt(
  document: Pick<ProjectDocument, 'elements' | 'delivery'>,
  node: SelectableNode,
): string[] {
  const meeting = [...claimsNear(document, node)].filter(({ selector }) => node.matches(selector));
  meeting.sort((a, b) => (standsBefore(a, b) ? 1 : -1));
  return [...new Set(meeting.map(({ element }) => element))];
}

/** Whether a claim gives way to another. */
function standsBefore(one: Claim, other: Claim): boolean {
  const by = compareSpecificity(one.weight, other.weight);
  return by < 0 || (by === 0 && one.order < other.order);
}
