/**
 * A function of something that never changes, worked out once for each and kept as long as that is.
 * Documents and their parts are such: a change makes new ones.
 */
export function onceFor<K extends object, V>(make: (key: K) => V): (key: K) => V {
  const known = new WeakMap<K, { value: V }>();
  return (key) => {
    let entry = known.get(key);
    if (!entry) {
      entry = { value: make(key) };
      known.set(key, entry);
    }
    return entry.value;
  };
}
