/** A person stopped the work that was waited for. */
export class StoppedError extends Error {
  override readonly name = 'StoppedError';
}

/** How to stop what is under way for each project. */
export class Stopping {
  readonly #controllers = new Map<string, AbortController>();

  /** @param says what was stopped, as a sentence */
  constructor(private readonly says: string) {}

  /** Aborts when the project's work is stopped; work that begins after that has another signal. */
  signalOf(projectId: string): AbortSignal {
    const known = this.#controllers.get(projectId) ?? new AbortController();
    this.#controllers.set(projectId, known);
    return known.signal;
  }

  stop(projectId: string): void {
    this.#controllers.get(projectId)?.abort(new StoppedError(this.says));
    this.#controllers.delete(projectId);
  }
}
