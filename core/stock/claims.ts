import { compareSpecificity, type Specificity } from '../css';
import type { ProjectDocument } from '../document/projectDocument';
import { lasting } from '../style/elementAt';
import { onGrounds, ruleSpecificity, selectorsOf } from '../style/ruleWeight';

/** A selector by which a text element of a project claims what it meets. */
export interface Claim {
  /** Key of the text element; null where it claims the colours of what it meets for the site. */
  element: string | null;
  selector: string;
  weight: Specificity;
}

/** Something that stands around a text: which text elements claim it, and its number where it is a text itself. */
export interface Around {
  /** Keys of the text elements, the one first whose rule is the strongest. */
  elements: readonly string[];
  /** Whether the site's own colours stay there. */
  keepsColours: boolean;
  text: number | null;
}

/** What claims a text, and what stands around it, the nearest first, as far as that is claimed or a text. */
export interface Lineage {
  /** Keys of the text elements, the one first whose rule is the strongest: what it leaves open the next may say. */
  elements: readonly string[];
  /** Whether the site's own colours stay there. */
  keepsColours: boolean;
  around: readonly Around[];
}

/** What the text elements of a project claim, in the document's order, and where the site's own colours stay. */
export const claimsIn = (document: ProjectDocument): Claim[] => [
  ...Object.entries(document.elements).flatMap(([element, one]) =>
    selectorsOf(document, lasting(one)).map((selector) => ({
      element,
      selector,
      weight: ruleSpecificity(document, one, selector),
    })),
  ),
  ...onGrounds(document.delivery.keepColoursOn ?? []).map((selector): Claim => ({
    element: null,
    selector,
    weight: [0, 0, 0],
  })),
];

/**
 * What claims each text of a site, as the cascade has it: of what meets one the heaviest first, of several as heavy
 * the last.
 *
 * @param texts by their numbers; null for one whose page is not at hand
 */
export function lineages<Node>(
  texts: readonly (Node | null)[],
  claims: readonly Claim[],
  find: (selector: string) => Iterable<Node>,
  parent: (node: Node) => Node | null,
): Lineage[] {
  const meeting = new Map<Node, Claim[]>();
  const kept = new Set<Node>();
  for (const claim of claims) {
    for (const node of find(claim.selector)) {
      if (claim.element === null) {
        kept.add(node);
        continue;
      }
      const known = meeting.get(node);
      if (known) known.unshift(claim);
      else meeting.set(node, [claim]);
    }
  }
  const claimed = new Map(
    [...meeting].map(([node, all]) => {
      const sorted = all.sort((a, b) => compareSpecificity(b.weight, a.weight));
      return [node, [...new Set(sorted.flatMap(({ element }) => element ?? []))]];
    }),
  );
  const numbers = new Map<Node, number>();
  texts.forEach((node, number) => node && numbers.set(node, number));
  const known = new Map<Node, readonly Around[]>();
  const aroundOf = (node: Node): readonly Around[] => {
    const passed: Node[] = [];
    let found: readonly Around[] = [];
    for (let at = parent(node); at !== null; at = parent(at)) {
      const before = known.get(at);
      if (before) {
        found = before;
        break;
      }
      passed.push(at);
    }
    for (const at of passed.reverse()) {
      const elements = claimed.get(at) ?? [];
      const text = numbers.get(at) ?? null;
      if (elements.length > 0 || text !== null) {
        found = [{ elements, keepsColours: kept.has(at), text }, ...found];
      }
      known.set(at, found);
    }
    return found;
  };
  return texts.map((node) =>
    node === null
      ? { elements: [], keepsColours: false, around: [] }
      : {
          elements: claimed.get(node) ?? [],
          keepsColours: kept.has(node),
          around: aroundOf(node),
        },
  );
}
