import { fittedWidth, type WordModel } from './wordModel';

/** Rounds of reweighting; the error changes by less than a thousandth of itself after about ten. */
const ROUNDS = 9;
/** Errors under this weigh alike: a least sum of errors is approached by squares divided by the error. */
const SMALLEST = 0.002;
/** Sweeps over the ratios in one round. */
const SWEEPS = 14;
const SETTLED = 1e-6;

export interface FitOptions {
  /** Rounds of reweighting at most. */
  rounds?: number | undefined;
  /** What ratios are drawn to, and how strongly: the words of a text leave a rare letter open. */
  prior?: { ratios: Float64Array; weight: number } | undefined;
}

/**
 * Ratios of given groups at which the mean error of words is least, each within bounds: least absolute
 * deviations by iteratively reweighted least squares (E. J. Schlossmacher, JASA 68, 1973), each round by
 * coordinate descent, which keeps bounds exactly.
 *
 * @param count how many groups there are
 * @param bounds least and largest ratio
 */
export function fitRatios(
  model: WordModel,
  groups: Int32Array,
  count: number,
  [least, most]: readonly [number, number],
  start: Float64Array,
  { rounds = ROUNDS, prior }: FitOptions = {},
): Float64Array {
  const ratios = Float64Array.from(start, (ratio) => Math.min(most, Math.max(least, ratio)));
  const matrix = new Float64Array(count * count);
  const target = new Float64Array(count);
  const parts = new Float64Array(count);
  const touched = new Int32Array(count);
  const { starts, letters, advances, pairs, shares } = model;
  for (let round = 0; round < rounds; round++) {
    matrix.fill(0);
    target.fill(0);
    for (let word = 0; word < model.count; word++) {
      const end = starts[word + 1] ?? 0;
      let parties = 0;
      let group = groups[letters[starts[word] ?? 0] ?? 0] ?? 0;
      let sum = 0;
      for (let i = starts[word] ?? 0; i < end; i++) {
        const next = i + 1 < end ? (groups[letters[i + 1] ?? 0] ?? 0) : -1;
        const width = (advances[i] ?? 0) + (next === group ? (pairs[i] ?? 0) : 0);
        if (parts[group] === 0) touched[parties++] = group;
        parts[group] = (parts[group] ?? 0) + width;
        sum += (ratios[group] ?? 1) * width;
        group = next;
      }
      const weight = (shares[word] ?? 0) / Math.max(SMALLEST, Math.abs(sum - 1));
      for (let a = 0; a < parties; a++) {
        const row = touched[a] ?? 0;
        const part = (parts[row] ?? 0) * weight;
        target[row] = (target[row] ?? 0) + part;
        for (let b = 0; b < parties; b++) {
          const column = touched[b] ?? 0;
          const at = row * count + column;
          matrix[at] = (matrix[at] ?? 0) + part * (parts[column] ?? 0);
        }
      }
      for (let a = 0; a < parties; a++) parts[touched[a] ?? 0] = 0;
    }
    if (prior) {
      for (let row = 0; row < count; row++) {
        const at = row * count + row;
        matrix[at] = (matrix[at] ?? 0) + prior.weight;
        target[row] = (target[row] ?? 0) + prior.weight * (prior.ratios[row] ?? 1);
      }
    }
    if (descend(matrix, target, ratios, least, most) < SETTLED) break;
  }
  return ratios;
}

/** Least squares within bounds, a ratio at a time. @returns the furthest that any ratio went */
function descend(
  matrix: Float64Array,
  target: Float64Array,
  ratios: Float64Array,
  least: number,
  most: number,
): number {
  const count = ratios.length;
  const before = Float64Array.from(ratios);
  for (let sweep = 0; sweep < SWEEPS; sweep++) {
    let furthest = 0;
    for (let row = 0; row < count; row++) {
      const own = matrix[row * count + row] ?? 0;
      if (own === 0) continue;
      let rest = target[row] ?? 0;
      for (let column = 0; column < count; column++) {
        if (column !== row) rest -= (matrix[row * count + column] ?? 0) * (ratios[column] ?? 0);
      }
      const ratio = Math.min(most, Math.max(least, rest / own));
      furthest = Math.max(furthest, Math.abs(ratio - (ratios[row] ?? 0)));
      ratios[row] = ratio;
    }
    if (furthest < SETTLED) break;
  }
  return ratios.reduce((far, ratio, i) => Math.max(far, Math.abs(ratio - (before[i] ?? 0))), 0);
}

/**
 * The one factor that makes the words as wide in sum as in the web face: what is lost of kerning between
 * groups is put back for the whole.
 */
export function sumFactor(model: WordModel, groups: Int32Array, ratios: Float64Array): number {
  let sum = 0;
  let total = 0;
  for (let word = 0; word < model.count; word++) {
    const share = (model.shares[word] ?? 0) * (model.widths[word] ?? 0);
    sum += share * fittedWidth(model, { groups, ratios }, word);
    total += share;
  }
  return total / sum;
}
