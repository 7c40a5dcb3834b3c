import { getCurrentScope, onScopeDispose } from 'vue';
import { isPointerHeld } from './pointerHeld';

/** Work that is done once whoever calls for it has paused. */
export interface Debounced {
  (): void;
  /** Gives up what has been called for. */
  cancel(): void;
}

/**
 * Does work once it has not been called for in a while: what takes long is not done at every step of a drag
 * or at every letter typed. It is given up with the component, or the scope, that it was made in.
 *
 * @param pause milliseconds
 */
export function debounce(work: () => void, pause: number): Debounced {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const cancel = () => clearTimeout(timer);
  const call = () => {
    cancel();
    timer = setTimeout(work, pause);
  };
  if (getCurrentScope()) onScopeDispose(cancel);
  return Object.assign(call, { cancel });
}

/**
 * The same, and not while something may be being dragged, however long that pauses.
 * @param isHeld whether a drag may be going on
 */
export function onceAtRest(
  work: () => void,
  pause: number,
  isHeld: () => boolean = isPointerHeld,
): Debounced {
  const soon = debounce(() => {
    if (isHeld()) soon();
    else work();
  }, pause);
  return soon;
}
