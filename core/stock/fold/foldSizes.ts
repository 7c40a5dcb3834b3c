import type { Scale } from '../../document/scale';
import { MOST_STEPS, SCALE_BOUNDS } from '../../document/scaleBounds';
import { FEWEST_SIZES, findScale, nearScales } from '../../scale/find';
import { modularSize, roundSize } from '../../scale/steps';

/** A size that text has at the two widths that a site was read at, CSS px, and how much text. */
export interface SizeShare {
  small: number;
  large: number;
  characters: number;
}

/** What a scale is folded to. */
export interface FoldLimits {
  /** Most steps, those that no text has among them. */
  steps: number;
  /** How far a size may move, CSS px, */
  within: number;
  /** and for how much of the text, from 0 to 1. */
  share: number;
  /** How far the rest may move while there are steps left, of its size: more is another level. */
  far: number;
}
export const FOLD_LIMITS: FoldLimits = { steps: 9, within: 1, share: 0.95, far: 0.15 };

/** A scale that is given, and that sizes are to fold into: base and ratio at both ends, and how sizes are rounded. */
export interface GivenSeries {
  small: { base: number; ratio: number };
  large: { base: number; ratio: number };
  rounding: Scale['rounding'];
}

/** A scale that sizes fold into. */
export interface FoldedScale {
  scale: Pick<Scale, 'small' | 'large' | 'down' | 'up' | 'rounding' | 'overrides'>;
  /** The step that a size becomes, by its two ends. */
  stepOf: (size: Pick<SizeShare, 'small' | 'large'>) => number;
  /** Steps that keep a size of their own. */
  odd: number[];
}

/** Sizes that become one step. */
interface Cluster {
  small: number;
  large: number;
  characters: number;
  sizes: SizeShare[];
}

/** Sizes this near are one size, written twice: no screen shows the difference. CSS px. */
const SAME = 0.26;
/** Sizes that are told apart at most, weightiest first: a page has seldom more, and each costs. */
const MOST_SIZES = 120;

const apart = (
  a: Pick<SizeShare, 'small' | 'large'>,
  b: Pick<SizeShare, 'small' | 'large'>,
): number => Math.max(Math.abs(a.small - b.small), Math.abs(a.large - b.large));

const byWeight = (a: SizeShare, b: SizeShare): number => b.characters - a.characters;
const bySize = (a: Pick<SizeShare, 'small' | 'large'>, b: Pick<SizeShare, 'small' | 'large'>) =>
  a.large - b.large || a.small - b.small;

/** Sizes as they are, with those that are the same to the eye as one, the weightiest standing for them. */
function distinct(sizes: readonly SizeShare[]): Cluster[] {
  const clusters: Cluster[] = [];
  for (const size of [...sizes].sort(byWeight)) {
    const near =
      clusters.find((one) => apart(one, size) <= SAME) ??
      (clusters.length >= MOST_SIZES
        ? [...clusters].sort((a, b) => apart(a, size) - apart(b, size))[0]
        : undefined);
    if (near) {
      near.sizes.push(size);
      near.characters += size.characters;
    } else clusters.push({ ...size, sizes: [size] });
  }
  return clusters.sort(bySize);
}

/** What moving text costs, by how far: what stays within the limit costs little, what does not costs much. */
const costOf = (moved: number, within: number): number =>
  moved <= within ? (moved / within) * 0.1 : 1 + (moved - within) / within;

/** The size that a row of sizes is best gathered on, and what that costs. */
function gather(
  row: readonly Cluster[],
  within: number,
): { centre: Pick<Cluster, 'small' | 'large'>; cost: number } {
  let best = { centre: row[0] ?? { small: 16, large: 16 }, cost: Infinity };
  for (const { small, large } of row) {
    const cost = row.reduce(
      (sum, one) => sum + one.characters * costOf(apart(one, { small, large }), within),
      0,
    );
    if (cost < best.cost) best = { centre: { small, large }, cost };
  }
  return best;
}

/**
 * Sizes gathered on as few as keep enough of the text near enough, by dynamic programming over the sizes in
 * order: for each number of steps the division that costs least (W. D. Fisher, On grouping for maximum
 * homogeneity, JASA 53 (1958)).
 */
function gathered(all: readonly Cluster[], limits: FoldLimits): Cluster[] {
  const { steps, within, share, far } = limits;
  const n = all.length;
  const rows = Array.from({ length: n }, (_, from) =>
    Array.from({ length: n - from }, (__, i) => gather(all.slice(from, from + i + 1), within)),
  );
  const costs: number[][] = [[0, ...new Array<number>(n).fill(Infinity)]];
  const froms: number[][] = [[]];
  for (let k = 1; k <= Math.min(steps, n); k++) {
    const [cost, from] = [
      new Array<number>(n + 1).fill(Infinity),
      new Array<number>(n + 1).fill(0),
    ];
    for (let to = 1; to <= n; to++) {
      for (let at = 0; at < to; at++) {
        const whole =
          (costs[k - 1]?.[at] ?? Infinity) + (rows[at]?.[to - at - 1]?.cost ?? Infinity);
        if (whole < (cost[to] ?? Infinity)) {
          cost[to] = whole;
          from[to] = at;
        }
      }
    }
    costs.push(cost);
    froms.push(from);
    const clusters = divided(all, rows, froms, k);
    const characters = all.reduce((sum, one) => sum + one.characters, 0);
    const isNear = nearEnough(clusters, within) >= share * characters && farthest(clusters) <= far;
    if (isNear || k === Math.min(steps, n)) return clusters;
  }
  return [];
}

function divided(
  all: readonly Cluster[],
  rows: readonly (readonly ReturnType<typeof gather>[])[],
  froms: readonly (readonly number[])[],
  count: number,
): Cluster[] {
  const clusters: Cluster[] = [];
  for (let k = count, to = all.length; k > 0; k--) {
    const from = froms[k]?.[to] ?? 0;
    const row = all.slice(from, to);
    const { centre } = rows[from]?.[to - from - 1] ?? { centre: { small: 16, large: 16 } };
    clusters.unshift({
      ...centre,
      characters: row.reduce((sum, { characters }) => sum + characters, 0),
      sizes: row.flatMap(({ sizes }) => sizes),
    });
    to = from;
  }
  return clusters;
}

/** Characters of the text that moves no further than the limit when each cluster takes its size. */
const nearEnough = (clusters: readonly Cluster[], within: number): number =>
  clusters
    .flatMap((cluster) => cluster.sizes.filter((size) => apart(size, cluster) <= within))
    .reduce((sum, { characters }) => sum + characters, 0);

/** The most that a size moves when each cluster takes its size, of its own. */
const farthest = (clusters: readonly Cluster[]): number =>
  Math.max(
    ...clusters.flatMap((cluster) =>
      cluster.sizes.map((size) => apart(size, cluster) / Math.max(1, size.large)),
    ),
  );

const bounded = (value: number, [least, most]: readonly [number, number]): number =>
  Math.min(most, Math.max(least, value));

const rounded = (value: number, places = 2): number => Number(value.toFixed(places));

/** The ratio that comes closest to sizes which follow one another from the base, each a step: least squares of logarithms. */
function ratioOf(sizes: readonly number[], at: number): number {
  const base = sizes[at] ?? 16;
  let [above, below] = [0, 0];
  sizes.forEach((size, i) => {
    above += (i - at) * Math.log(size / base);
    below += (i - at) ** 2;
  });
  return bounded(below === 0 ? 1.2 : Math.exp(above / below), SCALE_BOUNDS.ratio);
}

/** What a scale would be before its odd steps: numbers of the clusters, and both ends. */
interface Series extends GivenSeries {
  numbers: number[];
}

const asGiven = (clusters: readonly Cluster[]) =>
  clusters.map(({ small, large }) => ({ small: rounded(small), large: rounded(large) }));

const isRising = (clusters: readonly Cluster[]): boolean =>
  clusters.every(
    ({ small, large }, i) => i === 0 || (large > (clusters[i - 1]?.large ?? 0) && small > 0),
  );

/** The scale that the sizes are of, with the ratio and rounding that fit best; null where that has more steps than may be. */
function foundSeries(
  clusters: readonly Cluster[],
  base: number,
  limits: FoldLimits,
): Series | null {
  if (clusters.length < FEWEST_SIZES || !isRising(clusters)) return null;
  const found = findScale(asGiven(clusters), rounded(clusters[base]?.large ?? 16));
  if (!found?.ends.small || !found.ends.large) return null;
  const numbers = found.steps.map(({ number }) => number);
  return spanOf(numbers) <= limits.steps
    ? { numbers, small: found.ends.small, large: found.ends.large, rounding: found.rounding }
    : null;
}

const spanOf = (numbers: readonly number[]): number =>
  Math.max(...numbers) - Math.min(...numbers) + 1;

/** Scales that the sizes are near to, without rounding. */
function nearSeries(clusters: readonly Cluster[], base: number, limits: FoldLimits): Series[] {
  if (clusters.length < FEWEST_SIZES || !isRising(clusters)) return [];
  return nearScales(asGiven(clusters), rounded(clusters[base]?.large ?? 16)).flatMap(
    ({ numbers, ends: { small, large } }): Series[] =>
      small && large && spanOf(numbers) <= limits.steps
        ? [{ numbers, small, large, rounding: 'none' }]
        : [],
  );
}

function plainSeries(clusters: readonly Cluster[], base: number): Series {
  const of = (end: 'small' | 'large') => {
    const sizes = clusters.map((one) => one[end]);
    return {
      base: bounded(rounded(sizes[base] ?? 16), SCALE_BOUNDS.base),
      ratio: rounded(ratioOf(sizes, base), 3),
    };
  };
  return {
    numbers: clusters.map((_, i) => bounded(i - base, [-MOST_STEPS, MOST_STEPS])),
    small: of('small'),
    large: of('large'),
    rounding: 'none',
  };
}

/** The steps of a series that is given which are nearest to the sizes, from its base outward, each a step of its own. */
function onGiven(clusters: readonly Cluster[], series: GivenSeries): Series {
  const { base, ratio } = series.large;
  // Without a ratio all steps are the base, and each size keeps its own.
  const nearest = clusters.map(({ large }) =>
    ratio > 1 ? Math.round(Math.log(large / base) / Math.log(ratio)) : 0,
  );
  const from = nearest.reduce(
    (best, number, i) => (Math.abs(number) < Math.abs(nearest[best] ?? 0) ? i : best),
    0,
  );
  const numbers = [...nearest];
  for (let i = from + 1; i < numbers.length; i++) {
    numbers[i] = Math.max(numbers[i] ?? 0, (numbers[i - 1] ?? 0) + 1);
  }
  for (let i = from - 1; i >= 0; i--) {
    numbers[i] = Math.min(numbers[i] ?? 0, (numbers[i + 1] ?? 0) - 1);
  }
  return { ...series, numbers: numbers.map((one) => bounded(one, [-MOST_STEPS, MOST_STEPS])) };
}

/** The step of a series that a cluster takes, CSS px. */
const stepAt = (series: Series, i: number): Pick<Cluster, 'small' | 'large'> => {
  const at = ({ base, ratio }: Series['small']) =>
    roundSize(modularSize(base, ratio, series.numbers[i] ?? 0), series.rounding);
  return { small: at(series.small), large: at(series.large) };
};
const onSeries = (cluster: Cluster, series: Series, i: number): number =>
  apart(cluster, stepAt(series, i));

/** Whether enough of a cluster's text stays near enough on the series. */
function isOn(cluster: Cluster, series: Series, i: number, { within, share }: FoldLimits): boolean {
  const step = stepAt(series, i);
  const near = cluster.sizes
    .filter((size) => apart(size, step) <= within)
    .reduce((sum, { characters }) => sum + characters, 0);
  return near >= share * cluster.characters;
}

const weightiest = (clusters: readonly Cluster[]): number =>
  clusters.reduce(
    (best, one, i) => (one.characters > (clusters[best]?.characters ?? 0) ? i : best),
    0,
  );

/** Sizes that may be no part of the scale that the others make. */
const MOST_OUTSIDE = 3;

/**
 * A series that the sizes make without some, which take the steps that are free between their neighbours;
 * null where none are.
 */
function withOutside(
  clusters: readonly Cluster[],
  out: ReadonlySet<Cluster>,
  series: Series,
  limits: FoldLimits,
): Series | null {
  const numbers: number[] = [];
  let next = 0;
  for (const cluster of clusters) {
    const before = numbers.at(-1);
    const after = series.numbers[next] ?? 0;
    if (!out.has(cluster)) {
      numbers.push(after);
      next++;
    } else numbers.push(before === undefined ? after - 1 : before + 1);
  }
  const rising = numbers.every((number, i) => i === 0 || number > (numbers[i - 1] ?? 0));
  return rising && spanOf(numbers) <= limits.steps ? { ...series, numbers } : null;
}

/** Of the series that the sizes, or most of them, make, the one that leaves fewest a size of their own. */
function leastOdd(clusters: readonly Cluster[], limits: FoldLimits): Series {
  const oddIn = (series: Series): number =>
    clusters.filter((cluster, i) => !isOn(cluster, series, i, limits)).length;
  const base = clusters[weightiest(clusters)];
  let best = plainSeries(clusters, weightiest(clusters));
  let odd = oddIn(best);
  let out = new Set<Cluster>();
  /** Takes the best of the series that the sizes make without some, if it is better. */
  const trying = (
    without: Set<Cluster>,
    seriesOfRest: (rest: readonly Cluster[], base: number) => readonly Series[],
    isBetter: (count: number) => boolean,
  ): void => {
    const rest = clusters.filter((one) => !without.has(one));
    for (const near of seriesOfRest(rest, weightiest(rest))) {
      const series = withOutside(clusters, without, near, limits);
      const count = series ? oddIn(series) : Infinity;
      if (series && isBetter(count)) [best, odd, out] = [series, count, without];
    }
  };
  for (let left = 0; left <= MOST_OUTSIDE && odd > left; left++) {
    const from = out;
    const all = left === 0 ? [from] : clusters.map((one) => new Set([...from, one]));
    for (const without of all) {
      if (base && without.has(base)) continue;
      trying(
        without,
        (rest, at) => nearSeries(rest, at, limits),
        (count) => count < odd,
      );
    }
  }
  // A ratio with a name, or sizes that round, where they do as well.
  trying(
    out,
    (rest, at) => [foundSeries(rest, at, limits)].filter((one) => one !== null),
    (count) => count <= odd,
  );
  return best;
}

/**
 * Gives steps a size of their own where the scale would turn the order of sizes round, which rise on the site: those
 * that it would, and those that no size becomes and that stand between.
 */
function keepRising(
  clusters: readonly Cluster[],
  series: Series,
  overrides: Scale['overrides'],
): void {
  const own = new Map(series.numbers.map((number, i) => [number, clusters[i]] as const));
  const [least, most] = [Math.min(...series.numbers), Math.max(...series.numbers)];
  const at = (number: number, end: 'small' | 'large'): number => {
    const { base, ratio } = series[end];
    return (
      overrides[String(number)]?.[end] ??
      roundSize(modularSize(base, ratio, number), series.rounding)
    );
  };
  const give = (number: number, sizes: Pick<Cluster, 'small' | 'large'>): void => {
    const size = (end: 'small' | 'large') => bounded(rounded(sizes[end]), SCALE_BOUNDS.size);
    overrides[String(number)] = { small: size('small'), large: size('large') };
  };
  const ENDS = ['small', 'large'] as const;
  const inOrder = [...own.keys()].sort((a, b) => a - b);
  for (let again = true; again;) {
    again = false;
    for (const [i, number] of inOrder.entries()) {
      const next = inOrder[i + 1];
      const [lower, higher] = [own.get(number), next === undefined ? undefined : own.get(next)];
      if (next === undefined || !lower || !higher) continue;
      const turned = ENDS.some(
        (end) => lower[end] < higher[end] && at(number, end) >= at(next, end),
      );
      const isOwn = [number, next].every((one) => overrides[String(one)] !== undefined);
      if (!turned || isOwn) continue;
      give(number, lower);
      give(next, higher);
      again = true;
    }
  }
  for (let number = least + 1; number < most; number++) {
    if (own.has(number)) continue;
    const after = inOrder.find((one) => one > number) ?? most;
    const before = number - 1;
    const isBetween = ENDS.every(
      (end) => at(before, end) <= at(number, end) && at(number, end) <= at(after, end),
    );
    if (isBetween) continue;
    const part = 1 / (after - before);
    const between = (end: 'small' | 'large') =>
      at(before, end) * (at(after, end) / at(before, end)) ** part;
    give(number, { small: between('small'), large: between('large') });
  }
}

/**
 * Folds the sizes of a site into a scale: those that are a scale already into that one; others into as few
 * steps as keep enough of the text near enough, each on the scale where that holds there too, and with a size
 * of its own where it does not.
 *
 * @param sizes at least one
 * @param widths that they were read at, CSS px
 * @param given what a person wants the scale to be, in place of the one that is found
 */
export function foldSizes(
  sizes: readonly SizeShare[],
  widths: { small: number; large: number },
  limits: FoldLimits = FOLD_LIMITS,
  given: GivenSeries | null = null,
): FoldedScale {
  const all = distinct(sizes);
  const exact =
    all.length <= limits.steps && !given ? foundSeries(all, weightiest(all), limits) : null;
  const isScale = exact !== null && all.every((one, i) => onSeries(one, exact, i) <= SAME);
  const clusters = isScale ? all : gathered(all, limits);
  const series = given ? onGiven(clusters, given) : isScale ? exact : leastOdd(clusters, limits);
  const overrides: Scale['overrides'] = {};
  clusters.forEach((cluster, i) => {
    if (isScale || isOn(cluster, series, i, limits)) return;
    const size = (end: 'small' | 'large') => bounded(rounded(cluster[end]), SCALE_BOUNDS.size);
    overrides[String(series.numbers[i] ?? 0)] = { small: size('small'), large: size('large') };
  });
  if (!isScale) keepRising(clusters, series, overrides);
  const numbers = series.numbers;
  return {
    scale: {
      small: { width: widths.small, ...series.small },
      large: { width: widths.large, ...series.large },
      down: Math.max(0, -Math.min(...numbers)),
      up: Math.max(0, ...numbers),
      rounding: series.rounding,
      overrides,
    },
    stepOf: (size) => {
      let [nearest, least] = [0, Infinity];
      clusters.forEach((cluster, i) => {
        const distance = cluster.sizes.some(
          (one) => one.small === size.small && one.large === size.large,
        )
          ? -1
          : apart(cluster, size);
        if (distance < least) [nearest, least] = [series.numbers[i] ?? 0, distance];
      });
      return nearest;
    },
    odd: Object.keys(overrides).map(Number),
  };
}
