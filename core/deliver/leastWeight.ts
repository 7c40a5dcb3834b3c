import { compareSpecificity, specificityOf, type Specificity } from '../css';
import type { Patch } from '../document/patch';
import type { ProjectDocument, TextElement } from '../document/projectDocument';
import type { SheetPlace } from '../document/vocabulary';
import type { Cascade, PageView, Rival } from '../page/cascade';
import type { Pieces } from '../page/pieces';
import type { TypeRules } from '../page/typeRules';
import { projectRules } from './elementRules';

/** Weight that a rule has: null for none, else its selectors' own and so many ids and classes more. */
export type RuleLift = NonNullable<TextElement['weight']> | null;

/** What a rule has to win over on some texts. */
interface Demand {
  element: string;
  /** The weight of the selector that meets them. */
  own: Specificity;
  rival: Rival;
}

/** Two rules of the project that meet the same text and say the same property: the first is to win. */
interface Order {
  first: { element: string; own: Specificity };
  second: { element: string; own: Specificity };
}

/** What the rules of a project have to win over on the pages that were looked at. */
export interface Demands {
  demands: ReadonlyMap<string, Demand>;
  orders: ReadonlyMap<string, Order>;
  /** Whether style sheets of the site's own have cascade layers. */
  isLayered: boolean;
}

/**
 * What the rules of a project have to win over on a page as it is laid out, so that each text is as they say: of
 * several that meet a text the strongest now, for each property the strongest of those that say it.
 *
 * @param cascade of the page with the project's rules, with all that does not win
 * @param rules of the page's own style sheets
 */
export function* demandsOn<Node>(
  document: ProjectDocument,
  cascade: Cascade<Node>,
  rules: Pick<TypeRules, 'layers'>,
  view: Pick<PageView<Node>, 'find'>,
): Pieces<Demands> {
  const order = Object.keys(document.elements);
  interface Said {
    element: string;
    own: Specificity;
    /** What decides now which of several wins. */
    now: Specificity;
    properties: Set<string>;
  }
  const saying = new Map<Node, Map<string, Said>>();
  for (const rule of projectRules(document).rules) {
    // What is left open is to lose to all.
    if (rule.isOpen) continue;
    for (const { text, specificity: now } of rule.selectors) {
      const own = specificityOf(text);
      for (const node of view.find(text)) {
        const all = saying.get(node) ?? new Map<string, Said>();
        saying.set(node, all);
        const known = all.get(rule.element);
        const said = known && compareSpecificity(known.own, own) > 0 ? known : { own, now };
        const properties = new Set([...(known?.properties ?? []), ...rule.declarations.keys()]);
        all.set(rule.element, { element: rule.element, own: said.own, now: said.now, properties });
      }
    }
    yield;
  }
  const demands = new Map<string, Demand>();
  const orders = new Map<string, Order>();
  for (const [node, all] of saying) {
    const sorted = [...all.values()].sort(
      (a, b) =>
        compareSpecificity(b.now, a.now) || order.indexOf(b.element) - order.indexOf(a.element),
    );
    for (const property of new Set(sorted.flatMap(({ properties }) => [...properties]))) {
      const [first, ...others] = sorted.filter(({ properties }) => properties.has(property));
      if (!first) continue;
      const rival = cascade.rival(node, property);
      if (rival) {
        const demand: Demand = { element: first.element, own: first.own, rival };
        demands.set(JSON.stringify(demand), demand);
      }
      for (const second of others) {
        const one: Order = {
          first: { element: first.element, own: first.own },
          second: { element: second.element, own: second.own },
        };
        orders.set(JSON.stringify(one), one);
      }
    }
    yield;
  }
  return { demands, orders, isLayered: rules.layers.length > 0 };
}

/** What several pages demand together. */
export const demandsTogether = (all: readonly Demands[]): Demands => ({
  isLayered: all.some(({ isLayered }) => isLayered),
  demands: new Map(all.flatMap(({ demands }) => [...demands])),
  orders: new Map(all.flatMap(({ orders }) => [...orders])),
});

/** The most that is added to a selector. */
const MOST = { ids: 3, classes: 12 };

/** Weights that a rule can have, the least first. */
const LIFTS: readonly RuleLift[] = [
  null,
  ...Array.from({ length: MOST.ids + 1 }, (_, ids) =>
    Array.from({ length: MOST.classes + 1 }, (_none, classes): RuleLift => [ids, classes]),
  ).flat(),
];

const lifted = ([ids, classes, types]: Specificity, lift: RuleLift): Specificity =>
  lift === null ? [0, 0, 0] : [ids + lift[0], classes + lift[1], types];

interface Placement {
  linked: SheetPlace;
  layer: string | null;
}

/** The force that rules need in one placement. */
interface Settled {
  placement: Placement;
  lifts: Map<string, number>;
  important: Set<string>;
  /** Demands that nothing meets. */
  unmet: number;
}

/** What a demand takes: a place in the list of weights, `!important`, or more than can be had. */
function force(
  { own, rival }: Demand,
  { linked, layer }: Placement,
): { lift: number; important: boolean } | null {
  const isOver = (lift: number): boolean => {
    const by = compareSpecificity(lifted(own, LIFTS[lift] ?? null), rival.specificity);
    return by > 0 || (by === 0 && linked === 'after');
  };
  const least = (): number => LIFTS.findIndex((_, lift) => isOver(lift));
  const byWeight = (important: boolean) => {
    const lift = least();
    return lift < 0 ? null : { lift, important };
  };
  if (rival.important) {
    if (rival.inline) return null;
    // Of what is important, what stands in a layer wins, and of two layers the first. CSS Cascade 5 §6.4.4.
    if (layer !== null) {
      return rival.layered && linked === 'after' ? null : { lift: 0, important: true };
    }
    return rival.layered ? null : byWeight(true);
  }
  if (rival.inline) return { lift: 0, important: true };
  if (layer === null) return rival.layered ? { lift: 0, important: false } : byWeight(false);
  return rival.layered && linked === 'after'
    ? { lift: 0, important: false }
    : { lift: 0, important: true };
}

function settledFor(
  order: readonly string[],
  { demands, orders }: Pick<Demands, 'demands' | 'orders'>,
  placement: Placement,
): Settled {
  const settled: Settled = { placement, lifts: new Map(), important: new Set(), unmet: 0 };
  const { lifts, important } = settled;
  const raise = (element: string, lift: number) =>
    lifts.set(element, Math.max(lifts.get(element) ?? 0, lift));
  for (const demand of demands.values()) {
    const needed = force(demand, placement);
    if (!needed) {
      settled.unmet++;
      continue;
    }
    raise(demand.element, needed.lift);
    if (needed.important) important.add(demand.element);
  }
  // What is made heavier is not to win over what won over it: raised as long as there is such.
  for (let isRaised = true; isRaised;) {
    isRaised = false;
    for (const { first, second } of orders.values()) {
      if (important.has(second.element) && !important.has(first.element)) {
        important.add(first.element);
        isRaised = true;
      }
      const isLater = order.indexOf(first.element) > order.indexOf(second.element);
      const below = lifted(second.own, LIFTS[lifts.get(second.element) ?? 0] ?? null);
      const from = lifts.get(first.element) ?? 0;
      const wanted = LIFTS.findIndex((lift, i) => {
        const by = compareSpecificity(lifted(first.own, lift), below);
        return i >= from && (by > 0 || (by === 0 && isLater));
      });
      if (wanted > from) {
        raise(first.element, wanted);
        isRaised = true;
      }
    }
  }
  return settled;
}

/** What is chosen by, the first that differs: what is not won, what is important, what weighs. */
const costOf = ({ unmet, important, lifts }: Settled): number[] => [
  unmet,
  important.size,
  [...lifts.values()].reduce((sum, lift) => sum + lift, 0),
];

const isLess = (a: Settled, b: Settled): boolean => {
  const [one, other] = [costOf(a), costOf(b)];
  const at = one.findIndex((cost, i) => cost !== other[i]);
  return at >= 0 && (one[at] ?? 0) < (other[at] ?? 0);
};

/** The least force with which a project's rules win, as a change of the project. */
export interface LeastWeight {
  /** Empty where they win as they are. */
  patch: Patch;
  /** Elements whose rules say `!important` then. */
  important: string[];
  /** Elements whose rules carry weight then, with it. */
  weights: Record<string, NonNullable<RuleLift>>;
  /** Where the style sheet stands then. */
  linked: SheetPlace;
  layer: string | null;
  /** How many of the things to win over cannot be won over. */
  unmet: number;
}

/**
 * The least force with which the rules of a project win what they are to: first by the style sheet's place in the
 * order and by its layer, then, element by element, by the weight of its selectors, and by `!important` where nothing
 * else wins. What needs none has none.
 */
export function leastWeight(document: ProjectDocument, demands: Demands): LeastWeight {
  const { linked = 'before', layer } = document.delivery;
  const order = Object.keys(document.elements);
  const placements: Placement[] = [
    { linked, layer },
    { linked: 'after', layer },
    { linked: 'after', layer: null },
  ];
  const best = placements
    .map((placement) => settledFor(order, demands, placement))
    .reduce((least, one) => (isLess(one, least) ? one : least));
  const weights: LeastWeight['weights'] = Object.fromEntries(
    [...best.lifts].flatMap(([element, at]) => {
      const lift = LIFTS[at] ?? null;
      return lift === null ? [] : [[element, lift]];
    }),
  );
  const inheritOpen = best.placement.linked === 'after' && !demands.isLayered;
  const delivery = { ...best.placement, weight: 'none', inheritOpen };
  const before: Record<string, unknown> = {
    linked,
    layer,
    weight: document.delivery.weight ?? 'none',
    inheritOpen: document.delivery.inheritOpen ?? false,
  };
  const patch: Patch = [
    ...Object.entries(delivery)
      .filter(([member, value]) => before[member] !== value)
      .map(([member, value]) => ({ op: 'add' as const, path: `/delivery/${member}`, value })),
    ...Object.entries(document.elements).flatMap(([key, { weight, important = false }]): Patch => {
      const [lift, says] = [weights[key], best.important.has(key)];
      const path = `/elements/${key}`;
      return [
        ...(lift && String(lift) !== String(weight)
          ? [{ op: 'add' as const, path: `${path}/weight`, value: [...lift] }]
          : []),
        ...(!lift && weight ? [{ op: 'remove' as const, path: `${path}/weight` }] : []),
        ...(says && !important
          ? [{ op: 'add' as const, path: `${path}/important`, value: true }]
          : []),
        ...(!says && important ? [{ op: 'remove' as const, path: `${path}/important` }] : []),
      ];
    }),
  ];
  return { patch, important: [...best.important], weights, ...best.placement, unmet: best.unmet };
}
