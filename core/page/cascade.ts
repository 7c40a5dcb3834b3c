import { compareSpecificity, type Specificity } from '../css';
import type { SheetPlace } from '../document/vocabulary';
import { atOnce, type Pieces } from './pieces';
import type {
  Condition,
  LayerStatement,
  Scope,
  TypeDeclaration,
  TypeRule,
  TypeRules,
} from './typeRules';

/** What only a browser knows of a page. */
export interface PageView<Node> {
  /** Every element that a selector meets; none where it is no selector. */
  find: (selector: string) => Iterable<Node>;
  /** Whether a browser would take a selector at all: one that it does not know undoes the whole rule. */
  knows: (selector: string) => boolean;
  /** Whether a condition on the window or on the browser holds. */
  holds: (condition: Condition) => boolean;
  /** Whether a condition on the container that an element stands in holds. */
  holdsAround: (node: Node, container: string) => boolean;
  matches: (node: Node, selector: string) => boolean;
  /** Whether a browser takes a value for a property. */
  takes: (property: string, value: string) => boolean;
  parent: (node: Node) => Node | null;
  /** What the element's own style attribute says of a property. */
  inline: (node: Node, property: string) => { value: string; important: boolean } | null;
}

/** Type that is set on a page beside its own style sheets: the rules of the project, in their order. */
export interface ProjectRule {
  /** Key of the text element. */
  element: string;
  /** The cascade layer that it stands in; null for none. */
  layer: string | null;
  /** Whether it is about what a style leaves open, so that anything of the page's may say otherwise. */
  isOpen?: boolean;
  /** What has to hold for it; nothing when left out. */
  conditions?: readonly Condition[];
  /** Whether it says `!important`. */
  important: boolean;
  selectors: readonly { text: string; specificity: Specificity }[];
  /** Properties that the rule declares, with the value as it is written. */
  declarations: ReadonlyMap<string, string>;
}

export interface ProjectRules {
  rules: readonly ProjectRule[];
  /** Whether they come before the page's own style sheets or after them. */
  linked: SheetPlace;
  /** The cascade layer that the page's own style sheets are put into, all of them; null for none. */
  siteLayer: string | null;
}

/** A declaration that is made for an element. */
export type Declared =
  | { by: 'project'; element: string; value: string }
  | {
      by: 'page';
      rule: TypeRule;
      selector: string;
      specificity: Specificity;
      declaration: TypeDeclaration;
      value: string;
    }
  | { by: 'inline'; important: boolean; value: string };

/** The strongest that a page itself declares for an element. */
export interface Rival {
  important: boolean;
  /** Whether it stands in a cascade layer, or in a style attribute. */
  layered: boolean;
  inline: boolean;
  specificity: Specificity;
}

/**
 * What decides a property of an element: a declaration, or the browser's own style sheet, and the element that
 * it is made for; null where nothing does.
 */
export type Decision<Node> = { declared: Declared | 'browser'; node: Node } | null;

/** A property of type, as CSS has it. */
export interface TypeProperty {
  css: string;
  inherited: boolean;
  /** Whether the `font` shorthand sets or resets it. CSS Fonts 4 §2.7. */
  inFontShorthand: boolean;
  shorthands?: readonly string[];
}

const isSetBy = (
  { property }: TypeDeclaration,
  { css, inFontShorthand, shorthands = [] }: TypeProperty,
): boolean =>
  property === css ||
  property === 'all' ||
  (property === 'font' && inFontShorthand) ||
  shorthands.includes(property);

/** Where a declaration stands among all that are made for an element. CSS Cascade 5 §6.1. */
interface Rank {
  important: boolean;
  layer: number;
  specificity: Specificity;
  /** How far above the element the root of the rule's scope stands; without a scope, infinitely. */
  proximity: number;
  order: number;
}

/** A declaration, and where it stands. */
interface Offer {
  rank: Rank;
  declared: Declared;
}

const outranks = (a: Rank, b: Rank): boolean => {
  if (a.important !== b.important) return a.important;
  if (a.layer !== b.layer) return a.important ? a.layer < b.layer : a.layer > b.layer;
  const bySpecificity = compareSpecificity(a.specificity, b.specificity);
  if (bySpecificity !== 0) return bySpecificity > 0;
  if (a.proximity !== b.proximity) return a.proximity < b.proximity;
  return a.order >= b.order;
};

const pathOf = (layer: readonly string[]): string => layer.join('.');

/**
 * The place of each layer, the first the weakest: in the order in which they are named first, what is in a
 * layer before what stands in it directly. CSS Cascade 5 §6.4.3.
 */
export function layerPlaces(layers: readonly (readonly string[])[]): Map<string, number> {
  interface Branch {
    path: string[];
    inner: Map<string, Branch>;
  }
  const root: Branch = { path: [], inner: new Map() };
  for (const layer of layers) {
    let branch = root;
    for (const name of layer) {
      const next = branch.inner.get(name) ?? { path: [...branch.path, name], inner: new Map() };
      branch.inner.set(name, next);
      branch = next;
    }
  }
  const places = new Map<string, number>();
  const place = ({ path, inner }: Branch): void => {
    for (const branch of inner.values()) place(branch);
    if (path.length > 0) places.set(pathOf(path), places.size);
  };
  place(root);
  return places;
}

/** Rules outside all layers are the strongest, but for style attributes. */
const UNLAYERED = Number.MAX_SAFE_INTEGER - 1;
const INLINE = Number.MAX_SAFE_INTEGER;

const isOfContainer = ({ kind }: Condition): boolean => kind === 'container';

/**
 * What a page's own style sheets and the project's rules give each element together, as the cascade has it:
 * importance, style attributes, layers, specificity and order (CSS Cascade 5 §6). The browser is asked what
 * its selectors meet and which conditions hold; the cascade is reckoned here.
 */
export class Cascade<Node> {
  /** What is declared for each element, by property, the strongest first. */
  readonly #offers = new Map<Node, Map<string, Offer[]>>();
  /**
   * Whether what does not win is kept too: where it is asked for, and where some declaration goes back to what a
   * weaker layer says.
   */
  readonly #keepsAll: boolean;
  readonly #view: PageView<Node>;
  readonly #properties: readonly TypeProperty[];
  /** What the project says of each element, whether or not it wins. */
  readonly #ours = new Map<Node, Set<string>>();

  private constructor(
    { rules }: TypeRules,
    view: PageView<Node>,
    properties: readonly TypeProperty[],
    { keepsAll = false }: { keepsAll?: boolean },
  ) {
    this.#view = view;
    this.#properties = properties;
    this.#keepsAll =
      keepsAll ||
      rules.some(({ declarations }) =>
        declarations.some(({ value }) => value.startsWith('revert')),
      );
  }

  /** The cascade of a page, made rule by rule: of many rules on a large page it takes its time. */
  static *inPieces<Node>(
    rules: TypeRules,
    project: ProjectRules,
    view: PageView<Node>,
    properties: readonly TypeProperty[],
    options: { keepsAll?: boolean } = {},
  ): Pieces<Cascade<Node>> {
    const cascade = new Cascade(rules, view, properties, options);
    yield* cascade.#addAll(rules, project);
    return cascade;
  }

  /** The cascade of a page. @see inPieces */
  static of<Node>(...given: Parameters<typeof Cascade.inPieces<Node>>): Cascade<Node> {
    return atOnce(Cascade.inPieces(...given));
  }

  *#addAll({ rules, layers }: TypeRules, project: ProjectRules): Pieces<void> {
    const view = this.#view;
    const holding = (conditions: readonly Condition[]) =>
      conditions.every((condition) => isOfContainer(condition) || view.holds(condition));
    const named = layers.filter(({ conditions }: LayerStatement) => holding(conditions));
    const ours = [...new Set(project.rules.map(({ layer }) => layer))].flatMap((layer) =>
      layer === null ? [] : [layer.split('.')],
    );
    const around = project.siteLayer?.split('.') ?? [];
    const isFirst = project.linked === 'before';
    const places = layerPlaces([
      ...(isFirst ? ours : []),
      ...(project.siteLayer ? [around] : []),
      ...named.map(({ layer }) => [...around, ...layer]),
      ...(isFirst ? [] : ours),
    ]);
    const placeOf = (layer: readonly string[] | null): number =>
      layer ? (places.get(pathOf(layer)) ?? 0) : UNLAYERED;
    const from = isFirst ? 0 : rules.length;
    for (const [i, rule] of project.rules.entries()) {
      if (!holding(rule.conditions ?? [])) continue;
      this.#addProject(rule, from + i, placeOf(rule.layer?.split('.') ?? null));
      yield;
    }
    const pageFrom = isFirst ? project.rules.length : 0;
    for (const [i, rule] of rules.entries()) {
      if (!holding(rule.conditions)) continue;
      const layer = project.siteLayer ? [...around, ...(rule.layer ?? [])] : rule.layer;
      this.#addPage(rule, pageFrom + i, placeOf(layer));
      yield;
    }
  }

  #addProject(
    { element, important, isOpen = false, selectors, declarations }: ProjectRule,
    order: number,
    layer: number,
  ): void {
    for (const { text, specificity } of selectors) {
      const rank: Rank = { important, layer, specificity, proximity: Infinity, order };
      for (const node of this.#view.find(text)) {
        for (const [property, value] of declarations) {
          this.#offer(node, property, rank, { by: 'project', element, value });
        }
        const said = this.#ours.get(node) ?? new Set();
        this.#ours.set(node, said);
        if (!isOpen) for (const property of declarations.keys()) said.add(property);
      }
    }
  }

  #addPage(rule: TypeRule, order: number, layer: number): void {
    const declarations = rule.declarations.filter(({ property, value }) =>
      this.#view.takes(property, value),
    );
    if (declarations.length === 0) return;
    if (!this.#view.knows(rule.selectors.map(({ text }) => text).join(', '))) return;
    const containers = rule.conditions.filter(isOfContainer);
    for (const { text, specificity } of rule.selectors) {
      for (const node of this.#view.find(text)) {
        if (!containers.every((one) => this.#view.holdsAround(node, one.text))) continue;
        const proximity = this.#proximity(node, rule.scope);
        if (proximity === null) continue;
        for (const declaration of declarations) {
          const { important, value } = declaration;
          const rank = { important, layer, specificity, proximity, order };
          const declared = {
            by: 'page',
            rule,
            selector: text,
            specificity,
            declaration,
            value,
          } as const;
          for (const property of this.#properties) {
            if (isSetBy(declaration, property)) this.#offer(node, property.css, rank, declared);
          }
        }
      }
    }
  }

  /**
   * Whether the project has a say in a property of an element: for it, or for what it is inherited from. Where the
   * page sets it on what a text element is, whose style leaves it open, it is the page's.
   */
  isOurs(node: Node, { css, inherited }: TypeProperty): boolean {
    for (let at: Node | null = node; at !== null; at = inherited ? this.#view.parent(at) : null) {
      const said = this.#ours.get(at);
      if (said?.has(css)) return true;
      if (said && this.#offersFor(at, css).some(({ declared }) => declared.by !== 'project')) {
        return false;
      }
    }
    return false;
  }

  /** How many elements lie between an element and the root of its scope; null outside of it. */
  #proximity(node: Node, scope: Scope | undefined): number | null {
    if (!scope) return Infinity;
    let distance = 0;
    for (let at: Node | null = node; at !== null; at = this.#view.parent(at), distance++) {
      const isRoot = this.#view.matches(at, scope.root);
      if (isRoot) return distance;
      if (scope.limit !== null && this.#view.matches(at, scope.limit)) return null;
    }
    return null;
  }

  #offer(node: Node, property: string, rank: Rank, declared: Declared): void {
    const known = this.#offers.get(node) ?? new Map<string, Offer[]>();
    this.#offers.set(node, known);
    const offers = known.get(property) ?? [];
    known.set(property, offers);
    const at = offers.findIndex((before) => outranks(rank, before.rank));
    if (this.#keepsAll) offers.splice(at < 0 ? offers.length : at, 0, { rank, declared });
    else if (at === 0 || offers.length === 0) offers[0] = { rank, declared };
  }

  /** All that is declared for an element itself, the strongest first. */
  #offersFor(node: Node, property: string): Offer[] {
    const offers = this.#offers.get(node)?.get(property) ?? [];
    const inline = this.#view.inline(node, property);
    if (!inline) return offers;
    const { important } = inline;
    const rank = {
      important,
      layer: INLINE,
      specificity: [0, 0, 0],
      proximity: Infinity,
      order: 0,
    } satisfies Rank;
    // A style attribute outranks every rule of its importance, in any layer.
    const stronger = important ? 0 : offers.filter((offer) => offer.rank.important).length;
    return offers.toSpliced(stronger, 0, { rank, declared: { by: 'inline', ...inline } });
  }

  /**
   * What is declared for an element itself and wins; null where nothing is. What goes back to a weaker layer
   * (CSS Cascade 5 §7.3.5) is left out with all of its own, and so is what goes back to the browser's style
   * sheet where there is nothing that it takes away.
   */
  declared(node: Node, property: string): Declared | null {
    let offers = this.#offersFor(node, property);
    for (let [first] = offers; first; [first] = offers) {
      const { rank, declared } = first;
      if (declared.value === 'revert-layer') {
        offers = offers.filter((offer) => offer.rank.layer !== rank.layer);
      } else return declared.value === 'revert' && offers.length === 1 ? null : declared;
    }
    return null;
  }

  /**
   * What is declared for an element itself and does not win, the strongest first: all of it where the cascade
   * was to keep that.
   */
  overridden(node: Node, property: string): Declared[] {
    const winner = this.declared(node, property);
    return this.#offersFor(node, property)
      .map(({ declared }) => declared)
      .filter((declared) => declared !== winner);
  }

  /**
   * The strongest that the page itself declares for an element, whether or not it wins over the project; null where
   * it declares nothing. The cascade must keep what does not win.
   */
  rival(node: Node, property: string): Rival | null {
    const offer = this.#offersFor(node, property).find(({ declared }) => declared.by !== 'project');
    if (!offer) return null;
    const { important, layer, specificity } = offer.rank;
    const inline = offer.declared.by === 'inline';
    return { important, layered: layer < UNLAYERED, inline, specificity };
  }

  /**
   * What decides a property of an element: what is declared for it, else, where CSS inherits the property,
   * for the nearest element around it that something is declared for.
   *
   * @param stops whether the browser's own style sheet sets the property on an element
   * @param known what is known already of that property, which is added to: texts of a page share what is
   * around them
   */
  decided(
    node: Node,
    property: string,
    {
      inherited,
      stops = () => false,
      known = new Map(),
    }: {
      inherited: boolean;
      stops?: (node: Node) => boolean;
      known?: Map<Node, Decision<Node>>;
    },
  ): Decision<Node> {
    const passed: Node[] = [];
    let decision: Decision<Node> = null;
    for (let at: Node | null = node; at !== null; at = this.#view.parent(at)) {
      const before = known.get(at);
      if (before !== undefined) {
        decision = before;
        break;
      }
      passed.push(at);
      const declared = this.declared(at, property);
      if (declared) {
        if (declared.value === 'inherit' || (inherited && declared.value === 'unset')) continue;
        decision = { declared, node: at };
        break;
      }
      if (!inherited) break;
      if (stops(at)) {
        decision = { declared: 'browser', node: at };
        break;
      }
    }
    for (const one of passed) known.set(one, decision);
    return decision;
  }
}
