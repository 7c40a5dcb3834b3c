import { BROWSER_SETS } from './browserDefaults';
import type { Cascade, Decision, Declared, TypeProperty } from './cascade';
import type { Pieces } from './pieces';

/** What overrules the project somewhere: a rule of the page's, a style attribute, or the browser's own. */
export interface Overruling<Node> {
  by: Exclude<Declared, { by: 'project' }> | 'browser';
  /** The properties that it decides, as CSS has them. */
  properties: string[];
  /** The elements whose text it decides, in the order of the page. */
  texts: Node[];
}

export interface Account<Node> {
  /** Elements that hold text, and those of them that follow the project in every property. */
  texts: number;
  following: number;
  /** Those that something else decides only where they are left to it. */
  left: number;
  /** What overrules, first what decides most texts. */
  overruling: Overruling<Node>[];
}

/** What decides properties of the texts of a page, with what browsers' own style sheets set. */
export class Decisions<Node> {
  readonly #known = new Map<string, Map<Node, Decision<Node>>>();

  constructor(
    private readonly cascade: Cascade<Node>,
    private readonly matches: (node: Node, selector: string) => boolean,
  ) {}

  of(node: Node, { css, inherited }: Pick<TypeProperty, 'css' | 'inherited'>): Decision<Node> {
    const known = this.#known.get(css) ?? new Map<Node, Decision<Node>>();
    this.#known.set(css, known);
    const own = BROWSER_SETS[css];
    const stops = (at: Node): boolean => own !== undefined && this.matches(at, own);
    return this.cascade.decided(node, css, { inherited, stops, known });
  }
}

/** What tells one thing that overrules from another: a rule with the selector that it wins by. */
const sameAs = (by: Overruling<unknown>['by']): unknown =>
  by === 'browser' || by.by === 'inline' ? (by === 'browser' ? by : by.by) : by.rule;

/**
 * Who overrules the project on a page: for each text and property what decides it, gathered by rule. Text by text,
 * since a page may have many.
 *
 * @param texts elements that hold text of their own, in the order of the page
 * @param leave selectors of what is left to the page
 */
export function* accountOf<Node>(
  cascade: Cascade<Node>,
  texts: readonly Node[],
  properties: readonly TypeProperty[],
  matches: (node: Node, selector: string) => boolean,
  leave: readonly string[] = [],
): Pieces<Account<Node>> {
  const decisions = new Decisions(cascade, matches);
  const found = new Map<unknown, Overruling<Node>>();
  let following = 0;
  let left = 0;
  for (const node of texts) {
    let follows = true;
    let isLeft = false;
    for (const property of properties) {
      if (!cascade.isOurs(node, property)) continue;
      const decision = decisions.of(node, property);
      if (!decision || (decision.declared !== 'browser' && decision.declared.by === 'project')) {
        continue;
      }
      if (leave.some((selector) => matches(decision.node, selector))) {
        isLeft = true;
        continue;
      }
      follows = false;
      const by = decision.declared as Overruling<Node>['by'];
      const known = found.get(sameAs(by)) ?? { by, properties: [], texts: [] };
      found.set(sameAs(by), known);
      if (!known.properties.includes(property.css)) known.properties.push(property.css);
      if (known.texts.at(-1) !== node) known.texts.push(node);
    }
    yield;
    if (follows && isLeft) left++;
    else if (follows) following++;
  }
  const overruling = [...found.values()].sort((a, b) => b.texts.length - a.texts.length);
  return { texts: texts.length, following, left, overruling };
}
