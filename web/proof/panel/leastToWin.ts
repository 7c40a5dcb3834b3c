import { applyChange } from '@lettera/core/change';
import type { Patch, ProjectDocument, RuleWeight } from '@lettera/core/document';
import type { Account } from '@lettera/core/page';

/** A way for the project's rules to win more often, and what comes of it on a page. */
export interface WayToWin<Node> {
  says: string;
  patch: Patch;
  account: Account<Node>;
}

/** What can be chosen for the rules as a whole, the least force first. */
const WAYS: readonly { says: string; layer: null; weight: RuleWeight }[] = [
  { says: 'outside any cascade layer', layer: null, weight: 'none' },
  { says: 'outside any layer, with the weight of their selectors', layer: null, weight: 'own' },
  { says: 'outside any layer, over classes', layer: null, weight: 'over' },
];

/**
 * The ways that win more texts than the project's rules do now, the least force first; one that wins no more
 * than one before it is left out.
 * @param now the account as the rules stand
 * @param accountWith the account of the page for a document
 */
export function waysToWin<Node>(
  document: ProjectDocument,
  now: Account<Node>,
  accountWith: (document: ProjectDocument) => Account<Node>,
): WayToWin<Node>[] {
  const { layer, weight = 'none' } = document.delivery;
  const ways: WayToWin<Node>[] = [];
  let most = now.following;
  for (const way of WAYS) {
    if (layer === way.layer && weight === way.weight) continue;
    const patch: Patch = [
      { op: 'replace', path: '/delivery/layer', value: null },
      { op: 'add', path: '/delivery/weight', value: way.weight },
    ];
    const account = accountWith(applyChange(document, patch).document);
    if (account.following <= most) continue;
    most = account.following;
    ways.push({ says: way.says, patch, account });
  }
  return ways;
}
