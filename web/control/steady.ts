import { computed, type ComputedRef } from 'vue';

/** A computed value that stays the same object while it says the same: what rests on it is not made anew. */
export const steady = <T>(make: () => T): ComputedRef<T> =>
  computed<T>((before) => {
    const now = make();
    return before !== undefined && JSON.stringify(before) === JSON.stringify(now) ? before : now;
  });
