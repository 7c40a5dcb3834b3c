const ALONG: Readonly<Record<string, number>> = {
  ArrowRight: 1,
  ArrowUp: 1,
  ArrowLeft: -1,
  ArrowDown: -1,
};

/**
 * How many steps an arrow key asks for along an axis: one, ten with Shift; null for any other key. The page does
 * not scroll by it then.
 */
export function arrowStep(event: KeyboardEvent): number | null {
  const direction = ALONG[event.key];
  if (direction === undefined) return null;
  event.preventDefault();
  return direction * (event.shiftKey ? 10 : 1);
}
