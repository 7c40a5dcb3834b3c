import { sharesOf, type Audience } from './audience';
import { candidateError, type TunedCandidate } from './fallbackFace';
import { systemWord } from './plainNames';
import { LOCAL_SETS, PLATFORMS, platformsOf, type LocalPlatform } from './localFonts';
import type { StackEntry } from './stackEntry';

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
        systemWord(entry.name)?.platforms ??
        Object.values(LOCAL_SETS)
          .flatMap(({ fonts }) => fonts)
          .find(({ name }) => name.toLowerCase() === entry.name.toLowerCase())?.platforms ??
        []
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

/** What stands in the way of an entry of a stack: earlier ones that serve platforms of its own. */
export interface OrderRemark {
  entry: number;
  /** Earlier entries that serve platforms of its own, and which; empty where no platform carries it. */
  shadows: { entry: number; platforms: LocalPlatform[] }[];
  /** Whether nobody is left to land on it. */
  unreached: boolean;
}

/**
 * Fallback faces whose place matters: fewer visitors land on them than have the font, or none. A plain name
 * is there for what its fallback face does not have, and is left aside.
 */
export function orderRemarks(stack: readonly StackEntry[]): OrderRemark[] {
  return stack.flatMap((entry, i): OrderRemark[] => {
    if (entry.kind !== 'fallback') return [];
    const left = new Set(entryPlatforms(entry));
    const none = left.size === 0;
    const shadows = stack.slice(0, i).flatMap((before, at) => {
      const platforms = entryPlatforms(before).filter((platform) => left.delete(platform));
      return platforms.length > 0 ? [{ entry: at, platforms }] : [];
    });
    return none || shadows.length > 0 ? [{ entry: i, shadows, unreached: left.size === 0 }] : [];
  });
}
