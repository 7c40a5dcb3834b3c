import { fitRatios, sumFactor, type FitOptions } from './fitRatios';
import { fittedWidth, meanWordError, type Grouping, type WordModel } from './wordModel';

/** More groups win little: the sixth brings a tenth of what the second does. */
export const MOST_GROUPS = 6;

/** Rounds of moving letters and fitting ratios anew. */
const ROUNDS = 4;
/** Rounds in which ratios are brought within the limit of their own mean, which moves a little with them. */
const CLOSING = 4;
/** How strongly a letter is drawn to its own ratio where words leave it open. */
const OWN = 0.002;
/** A round that wins less than this share of the error is the last. */
const LEAST_GAIN = 0.002;
/** Rounds of fitting between moves; the last fit takes as many as it needs. */
const QUICK: FitOptions = { rounds: 3 };

const identity = (length: number): Int32Array => Int32Array.from({ length }, (_, i) => i);

/** Each character's own ratio: its advance in the web face ÷ that in the local font. */
function ownRatios(model: WordModel): Float64Array {
  const ratios = new Float64Array(model.characters.length).fill(1);
  for (let word = 0; word < model.count; word++) {
    const start = model.starts[word] ?? 0;
    if ((model.starts[word + 1] ?? 0) - start !== 1) continue;
    ratios[model.letters[start] ?? 0] = 1 / (model.advances[start] || 1);
  }
  return ratios;
}

/** The words that each character stands in. */
function wordsByCharacter(model: WordModel): Int32Array[] {
  const words = model.characters.map(() => new Set<number>());
  for (let word = 0; word < model.count; word++) {
    for (let i = model.starts[word] ?? 0; i < (model.starts[word + 1] ?? 0); i++) {
      words[model.letters[i] ?? 0]?.add(word);
    }
  }
  return words.map((set) => Int32Array.from(set));
}

/**
 * The best parting of values on a line into k groups: least sum of weighted squares from each group's mean,
 * found exactly by dynamic programming over the values in order (W. D. Fisher, JASA 53, 1958).
 */
export function partInOrder(values: Float64Array, weights: Float64Array, k: number): Int32Array {
  const order = [...values.keys()].sort((a, b) => (values[a] ?? 0) - (values[b] ?? 0));
  const n = order.length;
  const [w, wx, wxx] = [0, 1, 2].map((power) => {
    const sums = new Float64Array(n + 1);
    order.forEach((at, i) => {
      sums[i + 1] = (sums[i] ?? 0) + (weights[at] ?? 0) * (values[at] ?? 0) ** power;
    });
    return sums;
  }) as [Float64Array, Float64Array, Float64Array];
  const spread = (from: number, to: number): number => {
    const weight = (w[to] ?? 0) - (w[from] ?? 0);
    const sum = (wx[to] ?? 0) - (wx[from] ?? 0);
    return weight > 0 ? (wxx[to] ?? 0) - (wxx[from] ?? 0) - (sum * sum) / weight : 0;
  };
  const best = Array.from({ length: k + 1 }, () => new Float64Array(n + 1).fill(Infinity));
  const cuts = Array.from({ length: k + 1 }, () => new Int32Array(n + 1));
  (best[0] as Float64Array)[0] = 0;
  for (let group = 1; group <= k; group++) {
    for (let to = 1; to <= n; to++) {
      for (let from = group - 1; from < to; from++) {
        const cost = (best[group - 1]?.[from] ?? Infinity) + spread(from, to);
        if (cost >= (best[group]?.[to] ?? 0)) continue;
        (best[group] as Float64Array)[to] = cost;
        (cuts[group] as Int32Array)[to] = from;
      }
    }
  }
  const groups = new Int32Array(n);
  let to = n;
  for (let group = k; group > 0; group--) {
    const from = cuts[group]?.[to] ?? 0;
    for (let i = from; i < to; i++) groups[order[i] ?? 0] = group - 1;
    to = from;
  }
  return groups;
}

/** Ratios within the limit of the mean, and then one factor for the whole. */
function fitWithin(
  model: WordModel,
  groups: Int32Array,
  start: Float64Array,
  limit: number,
  { rounds, prior }: FitOptions = {},
): Float64Array {
  const one = sumFactor(model, groups, new Float64Array(start.length).fill(1));
  const bounds = [one * (1 - limit), one * (1 + limit)] as const;
  let ratios = fitRatios(model, groups, start.length, bounds, start, { rounds, prior });
  for (let round = 0; round < CLOSING; round++) {
    const mean = meanRatio(model, groups, ratios);
    const [least, most] = [mean * (1 - limit), mean * (1 + limit)];
    ratios = ratios.map((ratio) => Math.min(most, Math.max(least, ratio)));
  }
  const factor = sumFactor(model, groups, ratios);
  return ratios.map((ratio) => ratio * factor);
}

/** The mean of the ratios, each as much as words are wide of the letters that it is given to. */
export function meanRatio(
  { weights }: WordModel,
  groups: Int32Array,
  ratios: Float64Array,
): number {
  let [sum, total] = [0, 0];
  for (let letter = 0; letter < weights.length; letter++) {
    const weight = weights[letter] ?? 0;
    sum += weight * (ratios[groups[letter] ?? 0] ?? 1);
    total += weight;
  }
  return sum / total;
}

/** A ratio for all letters: the words as wide in sum as in the web face. */
export function oneRatio(model: WordModel): Grouping {
  const groups = new Int32Array(model.characters.length);
  return { groups, ratios: Float64Array.of(sumFactor(model, groups, Float64Array.of(1))) };
}

/** A ratio for each letter, within the limit: nearer than any grouping comes under it. */
export function eachLetter(model: WordModel, limit: number): Grouping {
  const groups = identity(model.characters.length);
  const own = ownRatios(model);
  return {
    groups,
    ratios: fitWithin(model, groups, own, limit, { prior: { ratios: own, weight: OWN } }),
  };
}

/** The groups next to each by ratio: a letter that fits better elsewhere gets there by steps. */
function neighbours(ratios: Float64Array): number[][] {
  const order = [...ratios.keys()].sort((a, b) => (ratios[a] ?? 0) - (ratios[b] ?? 0));
  const beside: number[][] = [];
  order.forEach((group, i) => {
    beside[group] = [order[i - 1], order[i + 1]].filter((one) => one !== undefined);
  });
  return beside;
}

/**
 * Moves letters, each to the group in which the words that it stands in fit best, until none gains by it.
 * Groups and the words' widths are changed in place. @returns whether any was moved
 */
function moveLetters(model: WordModel, grouping: Grouping, words: Int32Array[]): boolean {
  const { groups, ratios } = grouping;
  const errorOf = (letter: number): number => {
    let sum = 0;
    for (const word of words[letter] ?? []) {
      sum += (model.shares[word] ?? 0) * Math.abs(fittedWidth(model, grouping, word) - 1);
    }
    return sum;
  };
  const beside = neighbours(ratios);
  let moved = false;
  for (let letter = 0; letter < groups.length; letter++) {
    const home = groups[letter] ?? 0;
    let [best, least] = [home, errorOf(letter)];
    for (const group of beside[home] ?? []) {
      groups[letter] = group;
      const error = errorOf(letter);
      if (error < least - 1e-9) [best, least] = [group, error];
    }
    groups[letter] = best;
    if (best !== home) moved = true;
  }
  return moved;
}

/** Ratios of groups as their letters' own would have them, weighed by how much each letter is used. */
function meanRatios(groups: Int32Array, ratios: Float64Array, shares: Float64Array): Float64Array {
  const count = Math.max(...groups) + 1;
  const [sums, weights] = [new Float64Array(count), new Float64Array(count)];
  groups.forEach((group, letter) => {
    sums[group] = (sums[group] ?? 0) + (shares[letter] ?? 0) * (ratios[letter] ?? 1);
    weights[group] = (weights[group] ?? 0) + (shares[letter] ?? 0);
  });
  return sums.map((sum, i) => sum / (weights[i] || 1));
}

/** A grouping, and the mean error of words that it leaves on the tuning text. */
export interface Tried extends Grouping {
  error: number;
}

/** Letters moved and ratios fitted anew, from one parting on, while the error falls. */
function improve(
  model: WordModel,
  groups: Int32Array,
  start: Float64Array,
  limit: number,
  words: Int32Array[],
): Tried {
  let ratios = fitWithin(model, groups, start, limit, QUICK);
  let best: Tried = {
    groups: groups.slice(),
    ratios,
    error: meanWordError(model, { groups, ratios }),
  };
  for (let round = 0; round < ROUNDS; round++) {
    const moved = moveLetters(model, { groups, ratios }, words);
    if (!moved) break;
    ratios = fitWithin(model, groups, ratios, limit, QUICK);
    const error = meanWordError(model, { groups, ratios });
    if (error >= best.error * (1 - LEAST_GAIN)) {
      if (error < best.error) best = { groups: groups.slice(), ratios, error };
      break;
    }
    best = { groups: groups.slice(), ratios, error };
  }
  return best;
}

/** The last parting with the letters of its most uneven group parted in two. */
function split(tried: Grouping, letters: Grouping, shares: Float64Array): Int32Array {
  const spreads = [...tried.ratios].map((_, group) => {
    const within = [...tried.groups.keys()].filter((letter) => tried.groups[letter] === group);
    const weight = within.reduce((sum, letter) => sum + (shares[letter] ?? 0), 0);
    const mean =
      within.reduce((sum, l) => sum + (shares[l] ?? 0) * (letters.ratios[l] ?? 1), 0) / weight;
    return {
      group,
      mean,
      spread: within.reduce(
        (sum, l) => sum + (shares[l] ?? 0) * ((letters.ratios[l] ?? 1) - mean) ** 2,
        0,
      ),
    };
  });
  const [worst] = spreads.sort((a, b) => b.spread - a.spread);
  return tried.groups.map((group, letter) =>
    group === worst?.group && (letters.ratios[letter] ?? 1) > worst.mean
      ? tried.ratios.length
      : group,
  );
}

/**
 * Gathers letters into 1, 2 … groups, each with a ratio of its own: parted by the ratio that suits each
 * letter alone, and by splitting what came before; letters moved and ratios fitted anew while the error
 * falls. What is nearer of the two on the tuning text is kept.
 *
 * @param letters a ratio for each letter under the same limit, from `eachLetter`
 * @param most of how many groups at most
 * @param limit how far a group's ratio may depart from the mean, as a share of it; Infinity for no limit
 * @param enough whether an error is small enough that no more groups are wanted
 * @returns a grouping for each count, from one on, each no worse than the last
 */
export function groupLetters(
  model: WordModel,
  letters: Grouping,
  most: number,
  limit: number,
  enough: (error: number) => boolean = () => false,
): Tried[] {
  const shares = model.weights;
  const words = wordsByCharacter(model);
  const one = oneRatio(model);
  let last: Tried = { ...one, error: meanWordError(model, one) };
  const found = [last];
  for (let k = 2; k <= Math.min(most, shares.length) && !enough(last.error); k++) {
    const starts = [partInOrder(letters.ratios, shares, k), split(last, letters, shares)];
    const tried = starts.map((groups) =>
      improve(model, groups, meanRatios(groups, letters.ratios, shares), limit, words),
    );
    const best = tried.reduce((least, one) => (one.error < least.error ? one : least));
    const ratios = fitWithin(model, best.groups, best.ratios, limit);
    const settled = { ...best, ratios, error: meanWordError(model, { ...best, ratios }) };
    last = [settled, best].reduce((least, one) => (one.error < least.error ? one : least), last);
    found.push(last);
  }
  return found;
}
