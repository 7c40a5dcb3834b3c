import type { Patch } from '../document/patch';
import type { Scale } from '../document/scale';
import { MOST_STEPS, ROUNDINGS, SCALE_BOUNDS, type Rounding } from '../document/scaleBounds';
import { INTERVALS } from './intervals';
import { ENDS, modularSize, roundSize, type End } from './steps';

/** A size that a site has already, CSS px, at one end or at both. */
export type GivenSize = Partial<Record<End, number>>;

/** A size given, the step that it would become, and what the step would be. CSS px. */
export interface FoundStep {
  number: number;
  given: GivenSize;
  found: GivenSize;
}

/** The base, ratio and rounding that come closest to sizes given. */
export interface FoundScale {
  rounding: Rounding;
  ends: Partial<Record<End, { base: number; ratio: number }>>;
  steps: FoundStep[];
  /** Mean distance of what was given from what was found, CSS px. */
  meanOff: number;
}

/** Of roundings that come as close, the coarsest says most. */
const COARSEST_FIRST = [...ROUNDINGS].reverse();

/** As many sizes as a scale has steps. */
export const MOST_SIZES = 2 * MOST_STEPS + 1;
export const FEWEST_SIZES = 3;

/** Sizes that text is commonly set in, CSS px: the base is sought among those given that lie here. */
const TEXT_SIZES = [14, 24] as const;
const USUAL_TEXT = 16;

/** Ratios tried, and how finely. */
const RATIOS = { from: 1.04, to: 2.2, by: 0.002 };
/** What each step that nothing was given for weighs against closeness, as a part of the size. */
const IDLE_COST = 0.006;
/**
 * Sizes that body text is usually set in, CSS px, and what a base weighs for each power of e beyond them;
 * among those that do as well, the one nearest to the usual.
 */
const BODY_SIZES = [16, 21] as const;
const BASE_COST = { beyond: 0.006, within: 0.001 };
/** Numberings that are worked out in full. */
const SHORTLIST = 24;
/** Part of the ratio either way in which it is sought again once sizes are rounded. */
const REFINE = { by: 0.00005, reach: 160 };

/** Closeness within this is the same, CSS px or a part of the size. */
const SAME = 1e-9;

/** Sizes at an end, each of which the numbering gives a step. */
type Sizes = readonly number[];

/** @param above how far each size lies above the base, as a power of e */
function numbering(above: readonly number[], ratio: number): number[] | null {
  const step = Math.log(ratio);
  const numbers = above.map((power) => Math.round(power / step) || 0);
  const rising = numbers.every((number, i) => i === 0 || number > (numbers[i - 1] ?? 0));
  return rising && numbers.every((number) => Math.abs(number) <= MOST_STEPS) ? numbers : null;
}

/** The ratio that comes closest to sizes of given steps over a base: least squares of logarithms. */
function ratioOf(sizes: Sizes, numbers: readonly number[], base: number): number {
  let above = 0;
  let below = 0;
  sizes.forEach((size, i) => {
    const n = numbers[i] ?? 0;
    above += n * Math.log(size / base);
    below += n * n;
  });
  const ratio = below === 0 ? 1 : Math.exp(above / below);
  return Math.min(SCALE_BOUNDS.ratio[1], Math.max(SCALE_BOUNDS.ratio[0], ratio));
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

/** How far sizes are from a scale's, as a part of each. */
const misfit = (sizes: Sizes, numbers: readonly number[], base: number, ratio: number): number =>
  mean(
    sizes.map((size, i) => Math.abs(Math.log(size / modularSize(base, ratio, numbers[i] ?? 0)))),
  );

/** Mean distance of sizes from a scale's, CSS px; Infinity as soon as it is more than a limit. */
function offs(
  sizes: Sizes,
  numbers: readonly number[],
  { base, ratio }: { base: number; ratio: number },
  rounding: Rounding,
  most = Infinity,
): number {
  // This is where a scale is sought: plain loops, since it is asked for some 100,000 ratios.
  let sum = 0;
  for (let i = 0; i < sizes.length; i++) {
    const step = roundSize(modularSize(base, ratio, numbers[i] ?? 0), rounding);
    sum += Math.abs((sizes[i] ?? 0) - step);
    if (sum > most * sizes.length) return Infinity;
  }
  return sum / sizes.length;
}

const costOf = (base: number, idle: number): number => {
  const [least, most] = BODY_SIZES;
  const beyond = Math.max(Math.log(least / base), Math.log(base / most), 0);
  const off = Math.abs(Math.log(base / USUAL_TEXT));
  return IDLE_COST * idle + BASE_COST.beyond * beyond + BASE_COST.within * off;
};

interface Candidate {
  numbers: number[];
  /** Index of the size that is the base. */
  base: number;
  /** Steps that nothing was given for. */
  idle: number;
  cost: number;
}

/** Numberings of the sizes that come close at both ends, closest first. */
function candidates(ends: Partial<Record<End, Sizes>>, wanted: number | null): Candidate[] {
  const leading = ends.large ?? ends.small ?? [];
  const inText = leading.flatMap((size, i) =>
    size >= TEXT_SIZES[0] && size <= TEXT_SIZES[1] ? [i] : [],
  );
  const nearest = leading.reduce(
    (best, size, i) =>
      Math.abs(size - USUAL_TEXT) < Math.abs((leading[best] ?? 0) - USUAL_TEXT) ? i : best,
    0,
  );
  const chosen = wanted === null ? -1 : leading.indexOf(wanted);
  const bases = chosen >= 0 ? [chosen] : inText.length > 0 ? inText : [nearest];
  const found = new Map<string, Candidate>();
  for (const at of bases) {
    const base = leading[at] ?? USUAL_TEXT;
    if (base < SCALE_BOUNDS.base[0] || base > SCALE_BOUNDS.base[1]) continue;
    const above = leading.map((size) => Math.log(size / base));
    for (let ratio = RATIOS.from; ratio <= RATIOS.to; ratio += RATIOS.by) {
      const numbers = numbering(above, ratio);
      const key = `${at} ${numbers?.join()}`;
      if (!numbers || found.has(key)) continue;
      const idle = (numbers.at(-1) ?? 0) - (numbers[0] ?? 0) + 1 - numbers.length;
      const fits = ENDS.flatMap((end) => {
        const sizes = ends[end];
        const own = sizes?.[at];
        return sizes && own ? [misfit(sizes, numbers, own, ratioOf(sizes, numbers, own))] : [];
      });
      found.set(key, { numbers, base: at, idle, cost: mean(fits) + costOf(base, idle) });
    }
  }
  return [...found.values()].sort((a, b) => a.cost - b.cost).slice(0, SHORTLIST);
}

/** A ratio near one that comes closest once sizes are rounded; one with a name where it does as well. */
function refine(
  sizes: Sizes,
  numbers: readonly number[],
  base: number,
  near: number,
  rounding: Rounding,
): number {
  const named = INTERVALS.map(({ ratio }) => ratio);
  const short = [2, 3].map((places) => Number(near.toFixed(places)));
  const around =
    rounding === 'none'
      ? [near]
      : Array.from(
          { length: 2 * REFINE.reach + 1 },
          (_, i) => near * (1 + (i - REFINE.reach) * REFINE.by),
        );
  let least = Infinity;
  const off = (ratio: number, most?: number) =>
    offs(sizes, numbers, { base, ratio }, rounding, most);
  const offsAround = around.map((ratio) => {
    const one = off(ratio, least + SAME);
    least = Math.min(least, one);
    return one;
  });
  const plain = [...named, ...short].filter(
    (ratio) => ratio >= SCALE_BOUNDS.ratio[0] && ratio <= SCALE_BOUNDS.ratio[1],
  );
  const known = plain.find((ratio) => off(ratio) <= least + 0.005);
  if (known !== undefined) return known;
  // Of all that do equally well, the one in the middle stays right when a size is added.
  const best = around.filter((_, i) => (offsAround[i] ?? Infinity) <= least + SAME);
  return best[Math.floor(best.length / 2)] ?? near;
}

/** The scale that a numbering of the sizes makes with a rounding. */
function scaleFor(
  sizes: readonly GivenSize[],
  ends: Partial<Record<End, Sizes>>,
  { numbers, base: at }: Candidate,
  rounding: Rounding,
): FoundScale {
  const fitted: FoundScale['ends'] = {};
  const steps = sizes.map((given, i): FoundStep => ({ number: numbers[i] ?? 0, given, found: {} }));
  for (const end of ENDS) {
    const list = ends[end];
    if (!list) continue;
    const base = list[at] ?? USUAL_TEXT;
    const ratio = refine(list, numbers, base, ratioOf(list, numbers, base), rounding);
    fitted[end] = { base, ratio };
    for (const { number, found } of steps) {
      found[end] = roundSize(modularSize(base, ratio, number), rounding);
    }
  }
  const meanOff = mean(
    ENDS.filter((end) => fitted[end]).flatMap((end) => steps.map((step) => offAt(step, end))),
  );
  return { rounding, ends: fitted, steps, meanOff };
}

/** Sizes by the ends at which all of them are given. */
function endsOf(sizes: readonly GivenSize[]): Partial<Record<End, Sizes>> {
  const ends: Partial<Record<End, Sizes>> = {};
  for (const end of ENDS) {
    const at = sizes.flatMap((size) => size[end] ?? []);
    if (at.length === sizes.length && at.length > 0) ends[end] = at;
  }
  return ends;
}

/** A scale that sizes are near to: the step of each, and what it is made of, without rounding. */
export interface NearScale {
  numbers: number[];
  ends: Partial<Record<End, { base: number; ratio: number }>>;
}

/**
 * Scales that come near to sizes a site has, closest first: what is quick to know, before ratios are sought
 * that round well.
 *
 * @param sizes three or more, in rising order, all at the same end or all at both
 * @param base the size that is to be the base, at the large end where there is one
 */
export function nearScales(sizes: readonly GivenSize[], base: number): NearScale[] {
  const ends = endsOf(sizes);
  return candidates(ends, base).map(({ numbers, base: at }) => ({
    numbers,
    ends: Object.fromEntries(
      ENDS.flatMap((end) => {
        const list = ends[end];
        const own = list?.[at];
        return list && own !== undefined
          ? [[end, { base: own, ratio: ratioOf(list, numbers, own) }]]
          : [];
      }),
    ),
  }));
}

/**
 * The base, ratio and rounding that come closest to sizes a site has, at one end or at both. The base is
 * one of the sizes given, since text is what a site has most of; every size becomes a step of its own.
 *
 * @param sizes three or more, in rising order, all at the same end or all at both
 * @param base the size that is to be the base, at the large end where there is one; null seeks it
 * @returns null when no ratio gives each size a step of its own within twelve of the base
 */
export function findScale(
  sizes: readonly GivenSize[],
  base: number | null = null,
): FoundScale | null {
  const ends = endsOf(sizes);
  const size = mean(ENDS.flatMap((end) => ends[end] ?? []));
  let best: { found: FoundScale; cost: number } | null = null;
  for (const candidate of candidates(ends, base)) {
    const leading = (ends.large ?? ends.small ?? [])[candidate.base] ?? USUAL_TEXT;
    const least = costOf(leading, candidate.idle);
    // However close it came, it would not do better.
    if (best && least >= best.cost - SAME) continue;
    for (const rounding of COARSEST_FIRST) {
      const found = scaleFor(sizes, ends, candidate, rounding);
      const cost = found.meanOff / size + least;
      if (!best || cost < best.cost - SAME) best = { found, cost };
    }
  }
  return best?.found ?? null;
}

/** How far a size given is from the step found for it at an end, CSS px. */
export const offAt = ({ given, found }: FoundStep, end: End): number =>
  Math.abs((given[end] ?? 0) - (found[end] ?? 0));

/**
 * The change that makes a scale the one found. The other end stays as it is when only one was given.
 *
 * @param keep numbers of steps that keep the size given, set by hand
 * @param needed the lowest and highest step that styles use, which stay
 */
export function foundScalePatch(
  scale: Scale,
  { rounding, ends, steps }: FoundScale,
  keep: readonly number[],
  needed: readonly [number, number],
): Patch {
  const numbers = [...steps.map(({ number }) => number), ...needed, ...(scale.added ?? [])];
  const overrides: Scale['overrides'] = {};
  for (const [key, override] of Object.entries(scale.overrides)) {
    const left = Object.entries(override).filter(([end]) => !ends[end as End]);
    if (left.length > 0) overrides[key] = Object.fromEntries(left);
  }
  for (const { number, given } of steps) {
    if (!keep.includes(number)) continue;
    overrides[String(number)] = { ...overrides[String(number)], ...given };
  }
  return [
    ...ENDS.flatMap((end) => {
      const found = ends[end];
      return found
        ? [
            {
              op: 'replace' as const,
              path: `/scale/${end}`,
              value: { width: scale[end].width, ...found },
            },
          ]
        : [];
    }),
    { op: 'replace', path: '/scale/rounding', value: rounding },
    { op: 'replace', path: '/scale/down', value: Math.max(0, -Math.floor(Math.min(...numbers))) },
    { op: 'replace', path: '/scale/up', value: Math.max(0, Math.ceil(Math.max(...numbers))) },
    { op: 'replace', path: '/scale/overrides', value: overrides },
    ...(scale.display ? [{ op: 'remove' as const, path: '/scale/display' }] : []),
  ];
}
