/** One in so many of the order lies within the reach of a typical draw. */
const REACH = 6;

/**
 * Draws a place in an order, the upper part more often: the chance falls to a third with each sixth of
 * the order.
 * @param length how many there are in the order
 * @param random a number from 0 up to 1
 * @returns a place from 0, or null when there is none
 */
export function drawPlace(length: number, random: number): number | null {
  if (length < 1) return null;
  const reach = Math.max(1, length / REACH);
  // The inverse of the exponential distribution, cut off at the end of the order.
  const all = 1 - Math.exp(-length / reach);
  return Math.min(length - 1, Math.floor(-reach * Math.log(1 - random * all)));
}
