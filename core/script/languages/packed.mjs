/**
 * Many letters in few: from each run to the next how far, and how many more it has, in base 36. `5-2 1` are the
 * fifth, sixth and seventh, and the ninth.
 */
export function packed(characters) {
  const points = characters.map((one) => one.codePointAt(0)).sort((a, b) => a - b);
  const runs = [];
  let last = 0;
  for (const point of points) {
    const run = runs.at(-1);
    if (run && point === last + 1) run.more++;
    else runs.push({ gap: point - last, more: 0 });
    last = point;
  }
  return runs
    .map(({ gap, more }) => gap.toString(36) + (more > 0 ? `-${more.toString(36)}` : ''))
    .join(' ');
}
