/** Remembers what was worked out for the last few keys; what failed is worked out again. */
export class Remembered<V> {
  readonly #known = new Map<string, Promise<V>>();

  constructor(private readonly most: number) {}

  /** Lets go of what is known under keys that begin so. */
  forget(beginning: string): void {
    for (const key of this.#known.keys()) {
      if (key.startsWith(beginning)) this.#known.delete(key);
    }
  }

  get(key: string, make: () => Promise<V>): Promise<V> {
    const before = this.#known.get(key);
    const value = before ?? make();
    this.#known.delete(key);
    this.#known.set(key, value);
    if (!before) value.catch(() => this.#known.delete(key));
    for (const oldest of this.#known.keys()) {
      if (this.#known.size <= this.most) break;
      this.#known.delete(oldest);
    }
    return value;
  }
}
