/** How long work goes on before others are let to theirs, milliseconds: what takes less than 50 is not felt. */
const SPELL = 40;

const waiting: (() => void)[] = [];
const { port1, port2 } = new MessageChannel();
port1.onmessage = () => waiting.shift()?.();

/** Lets what waits have its turn; a timer would wait some milliseconds longer each time. */
const letOthers = (): Promise<void> =>
  new Promise((resolve) => {
    waiting.push(resolve);
    port2.postMessage(null);
  });

/** Parts long work, so that the page it runs in never waits for it. */
export class Breather {
  #since = performance.now();

  /** @param stopped whether the work is no longer wanted @throws Stopped when it is not */
  async pause(stopped: () => boolean): Promise<void> {
    if (performance.now() - this.#since < SPELL) return;
    await letOthers();
    if (stopped()) throw new Stopped();
    this.#since = performance.now();
  }
}

/** Does work that comes in pieces, and rests between them. @throws Stopped when it is no longer wanted */
export async function restingBetween<T>(
  work: Generator<void, T>,
  stopped: () => boolean = () => false,
): Promise<T> {
  const breather = new Breather();
  for (;;) {
    const { done, value } = work.next();
    if (done) return value;
    await breather.pause(stopped);
  }
}

/** Work that was no longer wanted. */
export class Stopped extends Error {
  override readonly name = 'Stopped';
}
