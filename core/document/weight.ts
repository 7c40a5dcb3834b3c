/** How much a value holds. */
export interface Weight {
  /** About the characters of its JSON. */
  size: number;
  /** Levels of nesting. */
  depth: number;
  /** Entries of the object or list in it that has most. */
  width: number;
}

/** Known weights of what is not changed any more: every part of a document that has been applied to. */
const known = new WeakMap<object, Weight>();

/** Deeper than any document: a value as deep is not looked into further. */
const DEEPEST = 40;

/**
 * The weight of a JSON value. Objects that are frozen are weighed once, so that weighing a changed document
 * costs what was changed.
 */
export function weigh(value: unknown, above = 0): Weight {
  if (typeof value === 'string') return { size: value.length + 2, depth: 0, width: 0 };
  if (typeof value !== 'object' || value === null) return { size: 6, depth: 0, width: 0 };
  const before = known.get(value);
  if (before) return before;
  if (above > DEEPEST) return { size: 2, depth: 1, width: 0 };
  const entries = Object.entries(value);
  const weight: Weight = { size: 2, depth: 0, width: entries.length };
  for (const [key, inside] of entries) {
    const { size, depth, width } = weigh(inside, above + 1);
    weight.size += size + key.length + 4;
    weight.depth = Math.max(weight.depth, depth);
    weight.width = Math.max(weight.width, width);
  }
  weight.depth++;
  if (Object.isFrozen(value)) known.set(value, weight);
  return weight;
}
