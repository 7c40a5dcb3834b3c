/** Tops of lines nearer than this belong to one line, CSS px. */
const ONE_LINE = 4;

/** A text of fewer characters makes one line, or lines that nobody reads along. */
const SHORTEST_LINES = 30;

/** Characters of the fuller lines of an element that holds so much text itself; null for what has no lines. */
export function measureOf(node: Element, characters: number, display: string): number | null {
  if (characters < SHORTEST_LINES || display === 'inline') return null;
  return charactersALine(node, (node.textContent ?? '').trim().length);
}

/**
 * Characters of the fuller lines of a text; a last line may be short. Null for a text of one line.
 * @param length characters of it
 */
export function charactersALine(node: Element, length: number): number | null {
  const range = node.ownerDocument.createRange();
  range.selectNodeContents(node);
  const tops = new Set<number>();
  for (const { bottom } of range.getClientRects()) tops.add(Math.round(bottom / ONE_LINE));
  return tops.size > 1 ? Math.round(length / (tops.size - 0.5)) : null;
}
