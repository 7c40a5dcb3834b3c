import { sharesOf, type Audience } from './audience';
import { candidateError, type TunedCandidate } from './fallbackFace';
import { LOCAL_SETS, PLATFORMS, platformsOf, type LocalPlatform } from './localFonts';
import type { StackEntry } from './stack';

/** Where the visitors of one platform land in a stack while the web face is not there. */
export interface Landing {
  platform: LocalPlatform;
  /** Share of the visits, 0 to 1. */
  share: number;
  /** Index of the entry. */
  entry: number;
}

/** Platforms that have an entry of a stack; a generic family is everywhere. */
export function entryPlatforms(entry: StackEntry): readonly LocalPlatform[] {
  switch (entry.kind) {
    case 'web':
      return [];
    case 'fallback':
      return platformsOf(entry.local);
    case 'local':
      return (
        Object.values(LOCAL_SETS)
          .flatMap(({ fonts }) => fonts)
          .find(({ name }) => name.toLowerCase() === entry.name.toLowerCase())?.platforms ?? []
      );
    case 'generic':
      return PLATFORMS;
  }
}

/** Where each platform's visitors land: on the first entry that their platform carries. */
export function landings(stack: readonly StackEntry[], audience?: Audience): Landing[] {
  const shares = sharesOf(audience);
  return PLATFORMS.flatMap((platform) => {
    const entry = stack.findIndex((one) => entryPlatforms(one).includes(platform));
    return entry < 0 ? [] : [{ platform, share: shares[platform], entry }];
  });
}

/** The share of visits that lands on an entry. */
export const shareOf = (all: readonly Landing[], entry: number): number =>
  all.reduce((sum, landing) => (landing.entry === entry ? sum + landing.share : sum), 0);

/** The share that is given a tuned face. */
export const tunedShare = (stack: readonly StackEntry[], audience?: Audience): number =>
  landings(stack, audience)
    .filter(({ entry }) => stack[entry]?.kind === 'fallback')
    .reduce((sum, { share }) => sum + share, 0);

/** The share of visits whose platform carries a font of a set, whatever stands before it. */
export function reachOf(local: string, audience?: Audience): number {
  const shares = sharesOf(audience);
  return platformsOf(local).reduce((sum, platform) => sum + shares[platform], 0);
}

/** Errors under this are alike to the eye, so that a font that few have does not go first for a trifle. */
const ALIKE = 0.002;

/** Fit × reach: the share of visits that a local font serves for each part that its words are off by. */
export const meritOf = (candidate: TunedCandidate, audience?: Audience): number =>
  reachOf(candidate.local, audience) / Math.max(ALIKE, candidateError(candidate));

/** Candidates in order of fit × reach, equal ones by key, so that the order never changes. */
export const orderCandidates = (
  candidates: readonly TunedCandidate[],
  audience?: Audience,
): TunedCandidate[] =>
  [...candidates].sort(
    (a, b) => meritOf(b, audience) - meritOf(a, audience) || a.local.localeCompare(b.local),
  );

/** Why an entry of a stack comes to nothing, or to less than it could: what stands before it serves its platforms. */
export interface OrderRemark {
  entry: number;
  /** Index of the entry that shadows it, or null where no platform has it. */
  shadowedBy: number | null;
  platforms: readonly LocalPlatform[];
}

/** Entries over local fonts that none or fewer reach than carry them, and what stands in their way. */
export function orderRemarks(stack: readonly StackEntry[]): OrderRemark[] {
  return stack.flatMap((entry, i): OrderRemark[] => {
    if (entry.kind !== 'fallback' && entry.kind !== 'local') return [];
    const own = entryPlatforms(entry);
    if (own.length === 0) {
      return entry.kind === 'local' ? [] : [{ entry: i, shadowedBy: null, platforms: [] }];
    }
    const firsts = stack
      .slice(0, i)
      .map((before, at) => ({
        at,
        kind: before.kind,
        shared: own.filter((platform) => entryPlatforms(before).includes(platform)),
      }))
      .filter(({ shared }) => shared.length > 0);
    const [first] = firsts;
    // A plain name is there for what its fallback face does not have.
    if (!first || entry.kind === 'local') return [];
    return [{ entry: i, shadowedBy: first.at, platforms: first.shared }];
  });
}
