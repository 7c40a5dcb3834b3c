/** Letters typed wrong, left out or too many that are forgiven: one in so many. */
const LETTERS_A_SLIP = 4;

/**
 * Whether a name holds what was typed, with a slip for every four letters typed. Both are given plain.
 * P. H. Sellers, The theory and computation of evolutionary distances, J. Algorithms 1 (1980): the edit
 * distance to the nearest part of a text.
 */
export function namesMatch(typed: string, name: string): boolean {
  if (name.includes(typed)) return true;
  const slips = Math.floor(typed.length / LETTERS_A_SLIP);
  if (slips === 0) return false;
  let row = new Array<number>(name.length + 1).fill(0);
  for (let i = 1; i <= typed.length; i++) {
    const next = [i];
    for (let j = 1; j <= name.length; j++) {
      const replaced = (row[j - 1] ?? 0) + (typed[i - 1] === name[j - 1] ? 0 : 1);
      next[j] = Math.min(replaced, (row[j] ?? 0) + 1, (next[j - 1] ?? 0) + 1);
    }
    row = next;
  }
  return Math.min(...row) <= slips;
}
