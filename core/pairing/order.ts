import { judgePair, type PairJudgement } from './judge';
import type { PairScale } from './library';
import type { Partner, Role } from './partner';

/** A family in the order of partners for a held one. */
export interface RankedPartner extends PairJudgement {
  key: string;
}

/**
 * All families in order as partners for a held one, the best first. Equal scores stand by key, so that
 * the same library gives the same order on every machine.
 *
 * @param held the family that stays
 * @param sought the part that its partner is to play
 */
export function orderPartners(
  held: Partner,
  sought: Role,
  candidates: readonly Partner[],
  scale: PairScale,
): RankedPartner[] {
  return candidates
    .filter(({ key }) => key !== held.key)
    .map((candidate) => ({
      key: candidate.key,
      ...(sought === 'text'
        ? judgePair(held, candidate, scale)
        : judgePair(candidate, held, scale)),
    }))
    .sort((a, b) => b.score - a.score || (a.key < b.key ? -1 : 1));
}
