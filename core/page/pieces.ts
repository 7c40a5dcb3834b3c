/**
 * Long work as a generator that yields where it can be parted: whoever runs it can rest there, or leave.
 * @typeParam T what it gives in the end
 */
export type Pieces<T> = Generator<void, T>;

/** Does all of it at once. */
export function atOnce<T>(work: Pieces<T>): T {
  for (;;) {
    const { done, value } = work.next();
    if (done) return value;
  }
}
