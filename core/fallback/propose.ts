import { onceFor } from '../document/once';
import { DEFAULT_AUDIENCE, sharesOf, type Audience } from './audience';
import { candidateError, type TunedCandidate } from './fallbackFace';
import { PLATFORMS, platformsOf } from './localFonts';
import { orderCandidates } from './reach';

/** A proposed stack gives a tuned face to this share of the visits at least, where the known fonts allow it. */
export const ENOUGH = 0.95;
/** More entries than this are never proposed: each is one more face for every weight. */
const MOST_ENTRIES = 4;
/** Candidates that are looked at together, the first in order of fit × reach. */
const LOOKED_AT = 10;

/** All choices of `size` of the items, in their order. */
function choices<T>(items: readonly T[], size: number): T[][] {
  if (size === 0) return [[]];
  return items.flatMap((item, i) =>
    choices(items.slice(i + 1), size - 1).map((rest) => [item, ...rest]),
  );
}

/** What a choice gives: the share it serves, and the error that a visitor meets in the mean. */
function serves(chosen: readonly TunedCandidate[], audience?: Audience) {
  const shares = sharesOf(audience);
  let [share, error] = [0, 0];
  for (const platform of PLATFORMS) {
    const first = chosen.find(({ local }) => platformsOf(local).includes(platform));
    if (first) share += shares[platform];
    error += shares[platform] * (first ? candidateError(first) : unserved(chosen));
  }
  return { share, error };
}

/** The error of visitors who land on no tuned face: as the worst of the local fonts that are left as they are. */
const unserved = (chosen: readonly TunedCandidate[]): number =>
  Math.max(...chosen.map(({ faces }) => faces[0]?.untuned.mean ?? 0));

/**
 * The least stack that gives enough of the audience a tuned face: of those with the fewest entries, the one
 * in which words are off by least, weighed by who sees them. Each platform lands on its closest, so the
 * closest stands first. Where no stack reaches enough, the one that reaches most.
 * @returns keys of the sets of local fonts, first to last
 */
export const proposedStack = (
  candidates: readonly TunedCandidate[],
  audience: Audience = DEFAULT_AUDIENCE,
): readonly string[] => proposals(candidates)(audience);

/** Worked out once for what was tried and an audience: a plan asks for it with every change of a document. */
const proposals = onceFor((candidates: readonly TunedCandidate[]) =>
  onceFor((audience: Audience) => propose(candidates, audience)),
);

function propose(candidates: readonly TunedCandidate[], audience: Audience): readonly string[] {
  const able = orderCandidates(
    candidates.filter(({ local, faces }) => faces.length > 0 && platformsOf(local).length > 0),
    audience,
  ).slice(0, LOOKED_AT);
  const byError = (chosen: readonly TunedCandidate[]) =>
    [...chosen].sort((a, b) => candidateError(a) - candidateError(b));
  let most: { keys: string[]; share: number } = { keys: [], share: 0 };
  for (let size = 1; size <= Math.min(MOST_ENTRIES, able.length); size++) {
    const tried = choices(able, size)
      .map(byError)
      .map((chosen) => ({ keys: chosen.map(({ local }) => local), ...serves(chosen, audience) }));
    const enough = tried.filter(({ share }) => share >= ENOUGH - 1e-9);
    if (enough.length > 0) {
      return enough.reduce((best, one) => (one.error < best.error ? one : best)).keys;
    }
    const reaching = tried.reduce((best, one) => (one.share > best.share + 1e-9 ? one : best));
    if (reaching.share > most.share + 1e-9) most = reaching;
  }
  return most.keys;
}
