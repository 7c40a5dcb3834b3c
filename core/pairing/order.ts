import { onceFor } from '../document/once';
import { goodFor } from './goodFor';
import { judgePair, type PairJudgement, type PairReason } from './judge';
import type { PairScale } from './library';
import { ROLES, type Partner, type Role } from './partner';
import { seatIn, type Seated } from './seated';

/** A reason as it stands in an order of partners. */
export interface TellingReason extends PairReason {
  /** Name of the held family that it is about beside the sought one, where more than one is held. */
  beside?: string;
  /** How far it moves this partner against those at the head of the list: 0 where it holds for all alike. */
  telling: number;
}

/** A family in the order of partners for those that are held. */
export interface RankedPartner extends PairJudgement {
  key: string;
  /** What it is good for in the part that is sought. */
  goodFor: string;
  reasons: TellingReason[];
}

/** Families that stay while another is sought, by the voices they are held in. */
export type Held = Partial<Record<Role, Partner>>;

/** Families as they are seated on a scale, by part and key: the same for every order of one library. */
const seatsOn = onceFor<PairScale, Map<string, Seated | null>>(() => new Map());

function seatOf(partner: Partner, role: Role, scale: PairScale): Seated | null {
  const known = seatsOn(scale);
  const id = `${role} ${partner.key}`;
  const seat = known.get(id) ?? seatIn(partner, role, scale.use);
  known.set(id, seat);
  return seat;
}

/** Seats all of a library ahead, in the parts that an order asks for. */
export function seatAll(library: readonly Partner[], scale: PairScale): void {
  for (const role of ROLES) for (const partner of library) seatOf(partner, role, scale);
}

/**
 * A family against all that are held, each pair weighed alike. How telling its reasons are is worked out when
 * those of all are there.
 */
function judgeAmong(sought: Seated, held: readonly Seated[], scale: PairScale): RankedPartner {
  const place = ({ role }: Seated) => ROLES.indexOf(role);
  const pairs = held.map((one): [Seated, Seated] =>
    place(one) < place(sought) ? [one, sought] : [sought, one],
  );
  const judged = pairs.map(([upper, lower]) => judgePair(upper, lower, scale));
  const share = 1 / judged.length;
  const reasons = new Map<string, TellingReason>();
  judged.forEach((judgement, i) => {
    const heldName = held.length > 1 ? held[i]?.partner.name : undefined;
    for (const { term, text, weight, about } of judgement.reasons) {
      // What is said of a held family alone is the same for every partner.
      if (about && about !== sought.partner.key) continue;
      const beside = about ? undefined : heldName;
      const id = `${term} ${beside ?? ''} ${text}`;
      const before = reasons.get(id);
      if (before) before.weight += weight * share;
      else {
        const reason: TellingReason = { term, text, weight: weight * share, telling: 0 };
        if (beside !== undefined) reason.beside = beside;
        reasons.set(id, reason);
      }
    }
  });
  return {
    key: sought.partner.key,
    goodFor: goodFor(sought),
    score: judged.reduce((sum, { score }) => sum + score * share, 0),
    unfit: Math.max(...judged.map(({ unfit }) => unfit)),
    reasons: [...reasons.values()],
  };
}

/** Those among which a designer chooses: the upper third of an order. */
const CHOSEN_AMONG = 1 / 3;

/** What a reason is compared by: its term, and what it is about. */
const sameAs = ({ term, beside }: TellingReason): string => `${term} ${beside ?? ''}`;

/** The middle weight of each kind of reason over the upper part of an order: what holds for most there. */
function middleWeights(ordered: readonly RankedPartner[]): Map<string, number> {
  const upper = ordered.slice(0, Math.ceil(ordered.length * CHOSEN_AMONG));
  const weights = new Map<string, number[]>();
  upper.forEach(({ reasons }, i) => {
    for (const reason of reasons) {
      const all = weights.get(sameAs(reason)) ?? upper.map(() => 0);
      all[i] = (all[i] ?? 0) + reason.weight;
      weights.set(sameAs(reason), all);
    }
  });
  const middle = (values: number[]) =>
    [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;
  return new Map([...weights].map(([kind, values]) => [kind, middle(values)]));
}

/**
 * All families in order as partners for the held ones, the best first; those unfit for the part that is
 * sought stand last. Equal scores stand by key, so that the same library gives the same order on every
 * machine.
 *
 * @param held one or two families that stay
 * @param sought the part that their partner is to play
 */
export function orderPartners(
  held: Held,
  sought: Role,
  candidates: readonly Partner[],
  scale: PairScale,
): RankedPartner[] {
  const seats = ROLES.flatMap((role) => {
    const partner = role === sought ? undefined : held[role];
    const seat = partner && seatOf(partner, role, scale);
    return seat ? [seat] : [];
  });
  if (seats.length === 0) return [];
  const others = candidates.filter(({ key }) => !seats.some(({ partner }) => partner.key === key));
  const ordered = others
    .map((candidate) => {
      const seat = seatOf(candidate, sought, scale);
      return seat ? judgeAmong(seat, seats, scale) : unmeasured(candidate, sought);
    })
    .sort((a, b) => a.unfit - b.unfit || b.score - a.score || (a.key < b.key ? -1 : 1));
  const middles = middleWeights(ordered);
  for (const { reasons } of ordered) {
    for (const reason of reasons) {
      reason.telling = reason.weight - (middles.get(sameAs(reason)) ?? 0);
    }
    reasons.sort((a, b) => Math.abs(b.telling) - Math.abs(a.telling));
  }
  return ordered;
}

const unmeasured = ({ key, name }: Partner, sought: Role): RankedPartner => ({
  key,
  goodFor: '',
  score: 0,
  unfit: Infinity,
  reasons: [
    {
      term: sought === 'text' ? 'textFitness' : 'headingFitness',
      text: `${name} could not be measured`,
      weight: -1,
      telling: 0,
    },
  ],
});
