/** Reads what packed.mjs packed: each run by how far it is from the one before, and how many more it has. */
export function pointsOf(packed: string): number[] {
  let last = 0;
  return packed.split(' ').flatMap((run) => {
    const [gap = 0, more = 0] = run.split('-').map((digits) => parseInt(digits, 36));
    const first = last + gap;
    last = first + more;
    return Array.from({ length: more + 1 }, (_, i) => first + i);
  });
}
