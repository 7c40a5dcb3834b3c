import { characterOf, closednessOf, standing } from './character';
import { likenessIn, type Compared, type PairScale } from './library';
import { loudnessOf } from './loudness';
import { distanceBetween } from './lookAlikes';
import { cutNamed, sameSuperfamily } from './partner';
import { phraseOf } from './phrases';
import { genusOf, type Kind, type Seated } from './seated';
import { PAIR_WEIGHTS, type PairTerm } from './weights';

/** One thing that speaks for or against a pair, in words with its figure. */
export interface PairReason {
  term: PairTerm;
  text: string;
  /** Positive speaks for it, negative against; how far it moves the order. */
  weight: number;
  /** The key of the family that it is about, where it is about one of the two alone. */
  about?: string;
}

/** A pair as it was judged. */
export interface PairJudgement {
  /** What the order goes by among pairs that are equally fit; never shown. */
  score: number;
  /** How many of the two are unfit for their part: such a pair stands behind every fit one. */
  unfit: number;
  /** Every reason, the weightiest first. */
  reasons: PairReason[];
}

/** Half way between the same and far: from here a difference counts as one. */
const MIDDLE = 0.5;

/** Where difference is a reason for two, and where agreement is kinship. */
const CONTRASTS: readonly (Compared & PairTerm)[] = ['contrast', 'colour', 'width', 'slope'];
const KINSHIPS: readonly (Compared & PairTerm)[] = [
  'xHeight',
  'proportion',
  'squareness',
  'aperture',
];

/** Two of one kind gain by being far apart, but never as much as two of different kinds. */
const MOST_OF_ONE_KIND = 0.1;
/** A monospaced heading belongs to code, a written one to a note; elsewhere they are a costume. */
const COSTUME: readonly Kind[] = ['monospaced', 'written'];
const COSTUME_ABOVE = 0.15;
/** Two of one genus and of two kinds, a slab and another serif, are half a reason. */
const WITHIN_GENUS = 0.1;
/** Up to so many times the 10th percentile two are too alike; how much, by how close they are. */
const ALIKE_REACH = 2;
/** A heading drawn for size alone is never set beside text of its size, where kinship would show. */
const KINSHIP_FOR_SIZE = 0.4;

/** Two families as they are compared. */
interface Pair {
  upper: Seated;
  lower: Seated;
  ofOneKind: boolean;
  superfamily: boolean;
  /** Distance between the two at their regular: how they are drawn. */
  distance: number;
}

const nounOf = (kind: Kind): string =>
  kind === 'written' || kind === 'display' || kind === 'monospaced' ? `${kind} face` : kind;
const aKind = (kind: Kind): string => `a ${nounOf(kind)}`;

/** How much of a reason for two their kinds are, from -0.5 for one kind and one drawing to 0.5. */
function kindShare(
  { upper, lower, ofOneKind, superfamily, distance }: Pair,
  scale: PairScale,
): number {
  if (!ofOneKind) {
    if (genusOf(upper.kind) === genusOf(lower.kind)) return WITHIN_GENUS;
    return COSTUME.includes(upper.kind) ? COSTUME_ABOVE : MIDDLE;
  }
  if (superfamily) return -MIDDLE;
  const apart = Math.max(0, standing(distance, scale.ofOneKind));
  return Math.min(MOST_OF_ONE_KIND, apart - MIDDLE);
}

/** How much their kinship counts: what is drawn alike throughout agrees in everything, which tells nothing. */
function kinshipShare({ upper, ofOneKind, superfamily, distance }: Pair, scale: PairScale): number {
  if (ofOneKind && !superfamily && distance < scale.ofOneKind.middle) return 0;
  return upper.forSize && upper.role === 'heading' ? KINSHIP_FOR_SIZE : 1;
}

/** How far two of one kind could be taken for one another: 0 not at all, 1 for the same drawing. */
function alikeness({ ofOneKind, superfamily, distance }: Pair, { alike }: PairScale): number {
  if (!ofOneKind || superfamily || alike === 0) return 0;
  return Math.max(0, 1 - distance / (alike * ALIKE_REACH));
}

/**
 * Judges one family over another, each as it is set: the reason for two, what they have in common, and
 * whether each is fit for its part.
 */
export function judgePair(upper: Seated, lower: Seated, scale: PairScale): PairJudgement {
  const reasons: PairReason[] = [];
  const add = (term: PairTerm, share: number, text: string, about?: Seated) =>
    reasons.push({
      term,
      text,
      weight: PAIR_WEIGHTS[term] * share,
      ...(about && { about: about.partner.key }),
    });
  const pair: Pair = {
    upper,
    lower,
    ofOneKind: upper.kind === lower.kind,
    superfamily: sameSuperfamily(upper.partner, lower.partner),
    distance: distanceBetween(upper.regular, lower.regular, scale.spread),
  };
  const likeness = (key: Compared) => likenessIn(upper, lower, key, scale);
  const phrase = (key: Compared, alike: number) =>
    phraseOf(key, upper, lower, alike > 0 ? 'near' : 'far');

  add(
    'kind',
    kindShare(pair, scale),
    pair.ofOneKind
      ? `both drawn as ${aKind(upper.kind)}`
      : `${aKind(upper.kind)} over ${aKind(lower.kind)}`,
  );
  for (const key of CONTRASTS) {
    const alike = likeness(key);
    // That both are upright goes without saying.
    if (alike && (key !== 'slope' || alike < 0)) add(key, -MIDDLE * alike, phrase(key, alike));
  }
  const counts = kinshipShare(pair, scale);
  let kin = false;
  for (const key of KINSHIPS) {
    const alike = likeness(key);
    if (!alike) continue;
    kin ||= alike > 0;
    add(key, MIDDLE * alike * counts, phrase(key, alike));
  }
  if (pair.superfamily) add('superfamily', 1, 'of one superfamily');
  else if (!kin) {
    add('tooFar', -counts, 'nothing in common: neither size, proportion, bowls nor openings');
  }
  const alike = alikeness(pair, scale);
  if (alike > 0) {
    const [one, other] = [upper, lower].map((seat) => ({ ...seat, face: seat.regular }));
    const same = (['width', 'contrast', 'squareness', 'aperture'] as const).flatMap((key) =>
      one && other && (likenessIn(one, other, key, scale) ?? 0) > 0
        ? [phraseOf(key, one, other, 'near')]
        : [],
    );
    add('tooAlike', -alike, ['too alike: the same class', ...same.slice(0, 2)].join(', '));
  }

  for (const seat of [upper, lower]) {
    const term = seat.role === 'text' ? 'textFitness' : 'headingFitness';
    for (const { text, cost } of seat.fitness.reasons) add(term, -Math.min(1, cost), text, seat);
  }
  if (lower.role === 'text') for (const text of lower.offer) add('onOffer', -1, text, lower);
  for (const seat of [upper, lower]) {
    // One voice may be loud: a subheading that stands out competes with the heading, as text would.
    const term = seat.role === 'heading' ? 'character' : 'quietness';
    const { share, by } = characterOf(seat, scale);
    const kind = `${nounOf(seat.kind)}s`;
    const said =
      share > 0 ? `stands out among ${kind}${by && `: ${by}`}` : `drawn as most ${kind} are`;
    if (term === 'quietness') add(term, -share, said, seat);
    else {
      // A loud face has its character by being loud: it is one thing, and said once.
      const loud = loudnessOf(seat, scale);
      if (loud.share < 1) add(term, share * (1 - loud.share), said, seat);
      if (loud.share > 0) add('loudness', -loud.share, `loud, for a word or two: ${loud.by}`, seat);
    }
    const cut = cutNamed(seat.partner);
    const fits = (cut === 'text') === (seat.role === 'text');
    if (cut) {
      const named = `by its name a cut for ${cut}`;
      add('cutName', fits ? MIDDLE : -MIDDLE, named, seat);
    }
  }
  const closed = upper.role === 'heading' ? closednessOf(upper, scale) : null;
  if (closed !== null) {
    const figure = `openings of ${upper.regular.aperture?.toFixed(2) ?? ''} of the x-height`;
    const words =
      closed > 0
        ? 'closed letters above, which hold together at size'
        : 'open letters above, as text wants them';
    add('closedness', closed, `${words}: ${figure}`, upper);
  }
  return {
    score: reasons.reduce((sum, { weight }) => sum + weight, 0),
    unfit: [upper, lower].filter(({ fitness }) => fitness.verdict === 'unfit').length,
    reasons: reasons.sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight)),
  };
}
