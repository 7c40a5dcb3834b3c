/** Tops of lines nearer than this belong to one line, CSS px. */
const ONE_LINE = 4;

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
