import { whenIdle } from './whenIdle';

/** How long is worked at once, milliseconds: less than a frame. */
const AT_ONCE = 12;

/**
 * Long work on one thing after another, some steps at a time: what is done meanwhile does not wait for all of it. For
 * another thing it begins anew at once. For the same, of which more has come to be known, it is done to its end, and
 * then again: else what comes in pieces, one after another, would never be told of.
 *
 * @param begin the steps of the work on a thing; null where it cannot be done yet
 * @param finish takes over what has been found
 * @param pause waits between pieces
 */
export function inPieces<T extends object, R>(
  begin: (thing: T) => Iterator<unknown, R> | null,
  finish: (found: R) => void,
  pause: () => Promise<void> = () => new Promise((resolve) => whenIdle(resolve)),
): (thing: T | null) => Promise<void> {
  let turn = 0;
  let under: T | null = null;
  let knowsMore = false;
  return async (thing) => {
    if (thing && thing === under) {
      knowsMore = true;
      return;
    }
    const mine = ++turn;
    under = thing;
    try {
      do {
        knowsMore = false;
        const steps = thing && begin(thing);
        if (!steps) return;
        let step = steps.next();
        for (let until = performance.now() + AT_ONCE; !step.done; step = steps.next()) {
          if (performance.now() < until) continue;
          await pause();
          if (mine !== turn) return;
          until = performance.now() + AT_ONCE;
        }
        finish(step.value);
      } while (knowsMore);
    } finally {
      if (mine === turn) under = null;
    }
  };
}
