import { leastToWin as say } from './words';
import { selectorsFault } from '@lettera/core/css';
import { applyChange } from '@lettera/core/change';
import type { Patch, ProjectDocument } from '@lettera/core/document';
import type { Account, Overruling, Pieces } from '@lettera/core/page';

/** A way for the project's rules to win more often, and what comes of it on a page. */
export interface WayToWin<Node> {
  says: string;
  patch: Patch;
  account: Account<Node>;
  /** Texts that it is about, and those of them that follow then. */
  won: number;
}

/** What is known of a page that ways are tried on. */
export interface TriedOn<Node> {
  document: ProjectDocument;
  /** The account as the rules stand. */
  now: Account<Node>;
  /** The account of the page for a document. */
  accountWith: (document: ProjectDocument) => Pieces<Account<Node>>;
  /** Names of cascade layers that the site's own style sheets have, the first the weakest. */
  layers: readonly string[];
}

type Way = Pick<WayToWin<unknown>, 'says' | 'patch'>;
type Settings = Partial<ProjectDocument['delivery']>;

const SITE_LAYER = 'site';
/** Of more layers than these not each is tried. */
const MOST_LAYERS = 6;

const way = (says: string, settings: Settings): Way => ({
  says,
  patch: Object.entries(settings).map(([member, value]) => ({
    op: 'add' as const,
    path: `/delivery/${member}`,
    value: value as string | null,
  })),
});

/** What can be chosen for the rules as a whole, the least force first. */
const waysForAll = (layers: readonly string[]): Way[] => [
  way(say.linkedAfterYourOwn, { linked: 'after' }),
  ...layers
    .slice(-MOST_LAYERS)
    .map((layer) => way(say.linkedAfterYourOwnYour(layer), { linked: 'after', layer })),
  way(say.outsideAnyCascadeLayer, { layer: null, weight: 'none' }),
  way(say.outsideAnyLayerWeight, { layer: null, weight: 'own' }),
  way(say.outsideAnyLayerWeightTheir, {
    layer: null,
    weight: 'own',
    linked: 'after',
  }),
  way(say.outsideAnyLayerOver, { layer: null, weight: 'over' }),
  way(say.outsideAnyLayerYour(SITE_LAYER), {
    layer: null,
    siteLayer: SITE_LAYER,
  }),
];

/** Accounts that have been worked out for a page, by the change: many ways are tried more than once. */
const tried = new WeakMap<object, Map<string, Account<unknown>>>();

function* accountAfter<Node>(patch: Patch, on: TriedOn<Node>): Generator<null, Account<Node>> {
  const known = (tried.get(on) ?? new Map<string, Account<Node>>()) as Map<string, Account<Node>>;
  tried.set(on, known);
  const key = JSON.stringify(patch);
  const before = known.get(key);
  if (before) return before;
  const work = on.accountWith(applyChange(on.document, patch).document);
  for (;;) {
    const { done, value } = work.next();
    if (done) {
      known.set(key, value);
      return value;
    }
    yield null;
  }
}

/**
 * Ways as they are tried, which takes a while each: one that wins more texts than those before it, or null.
 * Whoever asks can rest at each, and leave.
 */
export type Trying<Node> = Generator<WayToWin<Node> | null, void>;

/** @param score texts won by an account */
function* better<Node>(
  ways: readonly Way[],
  on: TriedOn<Node>,
  score: (account: Account<Node>) => number,
): Trying<Node> {
  let most = score(on.now);
  for (const one of ways) {
    const account = yield* accountAfter(one.patch, on);
    const won = score(account);
    yield won > most ? { ...one, account, won } : null;
    most = Math.max(most, won);
  }
}

/**
 * The ways that win more texts than the project's rules do now, the least force first; one that wins no more
 * than one before it is left out.
 */
export const waysToWin = <Node>(on: TriedOn<Node>): Trying<Node> =>
  better(waysForAll(on.layers), on, ({ following }) => following);

/** What overrules, told from others: a rule, style attributes, or the browser. */
const sameRule = <Node>(a: Overruling<Node>['by'], b: Overruling<Node>['by']): boolean =>
  a === b ||
  (a !== 'browser' &&
    b !== 'browser' &&
    (a.by === 'page' && b.by === 'page' ? a.rule === b.rule : a.by === b.by));

/** Selectors of a rule that a project can leave alone. */
const leftBy = ({ by }: Overruling<unknown>): string[] =>
  by === 'browser' || by.by !== 'page'
    ? []
    : by.rule.selectors.map(({ text }) => text).filter((text) => selectorsFault(text) === null);

/**
 * The ways to put one thing that overrules the project out of its way, the least force first: what can be
 * chosen for all rules, `!important` on the elements that it overrules, and last to leave its texts alone.
 *
 * @param elementOf key of the text element that a text is of; null for none
 */
export function* waysRound<Node>(
  overruling: Overruling<Node>,
  on: TriedOn<Node>,
  elementOf: (node: Node) => string | null,
): Trying<Node> {
  const { document } = on;
  const texts = new Set(overruling.texts);
  const won = ({ overruling: others }: Account<Node>): number => {
    const still = others.find(({ by }) => sameRule(by, overruling.by));
    return texts.size - (still?.texts.filter((node) => texts.has(node)).length ?? 0);
  };
  const keys = [...new Set(overruling.texts.flatMap((node) => elementOf(node) ?? []))];
  const names = keys.map((key) => document.elements[key]?.name ?? key);
  const important: Way = {
    says: say.withImportantOn(names.join(', ')),
    patch: keys.map((key) => ({ op: 'add', path: `/elements/${key}/important`, value: true })),
  };
  const leave = [...new Set([...(document.delivery.leave ?? []), ...leftBy(overruling)])];
  const alone: Way = {
    says: say.thatLeaveTheseTexts,
    patch: [{ op: 'add', path: '/delivery/leave', value: leave }],
  };
  yield* better(waysForAll(on.layers), on, won);
  // What is said of a few elements is offered beside what is said of all.
  if (keys.length > 0) yield* better([important], on, won);
  if (leftBy(overruling).length > 0) {
    yield { ...alone, account: yield* accountAfter(alone.patch, on), won: 0 };
  }
}
