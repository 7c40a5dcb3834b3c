/** A list of what is on, with one thing turned on or off; what is turned on stands last. */
export function turned<T>(all: readonly T[], one: T, on: boolean): T[] {
  const others = all.filter((other) => other !== one);
  return on ? [...others, one] : others;
}
