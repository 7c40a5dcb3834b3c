/** Work that waits for its turn. */
interface Waiting {
  begin: () => void;
}

/**
 * Lets so much work go on at once, and gives turns to owners and not to pieces of work: who has a hundred
 * waiting holds up nobody else. One owner never takes all places.
 */
export class FairTurns {
  /** Work that waits, by owner; the owner whose turn is next stands first. */
  readonly #waiting = new Map<string, Waiting[]>();
  readonly #running = new Map<string, number>();
  #places: number;

  /**
   * @param places how much goes on at once
   * @param mostOfOne how much of one owner
   */
  constructor(
    places: number,
    private readonly mostOfOne: number,
  ) {
    this.#places = places;
  }

  /** Whether nothing goes on and nothing waits. */
  get isIdle(): boolean {
    return this.#running.size === 0 && this.#waiting.size === 0;
  }

  /** Does a piece of work when it is its owner's turn. */
  async run<T>(owner: string, work: () => Promise<T>): Promise<T> {
    await new Promise<void>((begin) => {
      const queue = this.#waiting.get(owner) ?? [];
      queue.push({ begin });
      this.#waiting.set(owner, queue);
      this.#next();
    });
    try {
      return await work();
    } finally {
      this.#places++;
      const left = (this.#running.get(owner) ?? 1) - 1;
      if (left > 0) this.#running.set(owner, left);
      else this.#running.delete(owner);
      this.#next();
    }
  }

  #next(): void {
    for (const [owner, queue] of this.#waiting) {
      if (this.#places === 0) return;
      const running = this.#running.get(owner) ?? 0;
      if (running >= this.mostOfOne) continue;
      // It stands behind all others now.
      this.#waiting.delete(owner);
      const first = queue.shift();
      if (queue.length > 0) this.#waiting.set(owner, queue);
      if (!first) continue;
      this.#places--;
      this.#running.set(owner, running + 1);
      first.begin();
    }
  }
}
