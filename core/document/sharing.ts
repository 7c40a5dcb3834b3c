const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * What `now` says, made of the parts of `before` wherever those say the same, the whole of it where all does: what
 * was derived from them still holds. The order of keys is part of what is said.
 * @param before JSON values both
 */
export function sharing<T>(before: unknown, now: T): T {
  if (before === now) return now;
  if (Array.isArray(now)) {
    if (!Array.isArray(before)) return now;
    const all = now.map((one, i) => sharing<unknown>(before[i], one));
    const isSame = before.length === now.length && all.every((one, i) => one === before[i]);
    return (isSame ? before : all) as T;
  }
  if (!isRecord(now) || !isRecord(before)) return now;
  const keys = Object.keys(now);
  const entries = keys.map((key) => [
    key,
    Object.hasOwn(before, key) ? sharing(before[key], now[key]) : now[key],
  ]);
  const had = Object.keys(before);
  const isSame =
    had.length === keys.length &&
    entries.every(([key, value], i) => key === had[i] && value === before[key as string]);
  return (isSame ? before : Object.fromEntries(entries)) as T;
}
