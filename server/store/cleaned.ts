/** Keys that are remembered. */
const MOST = 2000;

/**
 * What has been seen to be clean, or is being cleaned: what an earlier version of the cleaner let through is cleaned
 * again before it is given out, and each is looked at once.
 */
export class Cleaned {
  readonly #known = new Map<string, Promise<void>>();

  /** @param clean cleans what is stored under the key, if it has to be */
  once(key: string, clean: () => Promise<void>): Promise<void> {
    const known = this.#known.get(key);
    if (known) return known;
    const cleaning = clean();
    this.#known.set(key, cleaning);
    cleaning.catch(() => this.#known.delete(key));
    for (const oldest of this.#known.keys()) {
      if (this.#known.size <= MOST) break;
      this.#known.delete(oldest);
    }
    return cleaning;
  }
}
