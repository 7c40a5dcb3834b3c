import {
  Cascade,
  type Decision,
  type Declared,
  type PageView,
  type ProjectRules,
  type TypeProperty,
} from '../page/cascade';
import { Decisions } from '../page/overruled';
import { typeProperty } from '../page/typeProperty';
import type { TypeRules } from '../page/typeRules';
import type { Provenance, Provenances, StockBook, StockProperty, StockSource } from './stock';

const NO_PROJECT: ProjectRules = { rules: [], linked: 'before', siteLayer: null };

/** The properties of a stock as the cascade knows them. */
const READ: readonly TypeProperty[] = (
  ['voice', 'step', 'weight', 'slant', 'lineHeight', 'letterSpacing', 'case', 'colour'] as const
).map(typeProperty);

/** Most properties of most texts come from these: each is one object, which the book knows by itself. */
const NOTHING: StockSource = { by: 'nothing' };
const BROWSER: StockSource = { by: 'browser' };

/** Where properties of texts come from, each source under its number in the book. */
export class ProvenanceReader<Node> {
  readonly #decisions: Decisions<Node>;
  /** Numbers of sources, by the declaration and the selector that it is made by. */
  readonly #known = new Map<object, Map<string, number>>();
  readonly #same = new Map<string, Provenances>();

  constructor(
    private readonly book: StockBook,
    view: PageView<Node>,
    rules: TypeRules,
    private readonly named: (node: Node) => string,
  ) {
    this.#decisions = new Decisions(Cascade.of(rules, NO_PROJECT, view, READ), view.matches);
  }

  /** @returns the same object for texts whose properties come from the same */
  provenances(node: Node): Provenances {
    const provenances: [StockProperty, Provenance][] = [];
    let key = '';
    for (const property of READ) {
      const decision = this.#decisions.of(node, property);
      const source = this.#source(decision);
      const from = decision && decision.node !== node ? this.named(decision.node) : null;
      provenances.push([property.css as StockProperty, { source, from }]);
      key += `${source} ${from}|`;
    }
    const known = this.#same.get(key) ?? (Object.fromEntries(provenances) as Provenances);
    this.#same.set(key, known);
    return known;
  }

  #source(decision: Decision<Node>): number {
    if (!decision) return this.book.source(NOTHING);
    const { declared } = decision;
    if (declared === 'browser' || declared.by !== 'page') {
      return this.book.source(sourceOf(declared));
    }
    const { selector, declaration } = declared;
    const bySelector = this.#known.get(declaration) ?? new Map<string, number>();
    this.#known.set(declaration, bySelector);
    const known = bySelector.get(selector);
    if (known !== undefined) return known;
    const number = this.book.source(sourceOf(declared));
    bySelector.set(selector, number);
    return number;
  }
}

/**
 * What is declared for a text, or for what it inherits a property from, and does not win.
 * @returns by property, the strongest first, as sources of a stock are reported
 */
export function overriddenIn<Node>(
  view: PageView<Node>,
  rules: TypeRules,
): (node: Node) => Partial<Record<StockProperty, StockSource[]>> {
  const cascade = Cascade.of(rules, NO_PROJECT, view, READ, { keepsAll: true });
  const decisions = new Decisions(cascade, view.matches);
  return (node) =>
    Object.fromEntries(
      READ.map((property) => {
        const at = decisions.of(node, property)?.node ?? node;
        return [property.css, cascade.overridden(at, property.css).map(sourceOf)];
      }),
    );
}

/** A declaration as a stock tells it. */
function sourceOf(declared: Declared | 'browser'): StockSource {
  if (declared === 'browser' || declared.by === 'project') return BROWSER;
  if (declared.by === 'inline') return declared;
  const { rule, selector, specificity, declaration } = declared;
  const { sheet, line, layer } = rule;
  const { important, property, value } = declaration;
  return {
    by: 'rule',
    sheet,
    line,
    selector,
    specificity,
    layer,
    important,
    property,
    value,
  };
}
