/**
 * Where the pointer stands along an axis, in the units that it is drawn in.
 * @param drawn how wide the axis is in them
 */
export function axisPlace({ currentTarget, clientX }: MouseEvent, drawn: number): number {
  const { left, width } = (currentTarget as Element).getBoundingClientRect();
  return ((clientX - left) / width) * drawn;
}
