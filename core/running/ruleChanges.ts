/** At a place in a list of rules: how many of them go, and what comes there. */
export type RuleChange = readonly [at: number, gone: number, put: readonly string[]];

/**
 * What makes one list of rules of another, so that a rule which is in both, in the same order, is not touched: a face
 * that is put in anew would be fetched anew, and its text would blink.
 *
 * @returns changes from the first to the last, each at the place that it has once those before it are made
 */
export function ruleChanges(before: readonly string[], after: readonly string[]): RuleChange[] {
  const changes: RuleChange[] = [];
  const places = new Map<string, number[]>();
  before.forEach((rule, i) => {
    const known = places.get(rule);
    if (known) known.push(i);
    else places.set(rule, [i]);
  });
  /** The next place of a rule in the list before, from one on; -1 for none. */
  const next = (rule: string, from: number): number => {
    const known = places.get(rule) ?? [];
    while (known.length > 0 && (known[0] ?? 0) < from) known.shift();
    return known[0] ?? -1;
  };
  let put: string[] = [];
  let [from, at] = [0, 0];
  const close = (to: number): void => {
    if (to > from || put.length > 0) changes.push([at, to - from, put]);
    at += put.length;
    put = [];
  };
  for (const rule of after) {
    const found = next(rule, from);
    if (found < 0) {
      put.push(rule);
      continue;
    }
    close(found);
    from = found + 1;
    at++;
  }
  close(before.length);
  return changes;
}

/** A list of rules as changes leave it. */
export function withChanges(
  rules: readonly string[],
  changes: readonly RuleChange[],
): readonly string[] {
  const made = [...rules];
  for (const [at, gone, put] of changes) made.splice(at, gone, ...put);
  return made;
}
