import { shallowReadonly, shallowRef, watch, type ShallowRef } from 'vue';
import { onceAtRest } from './debounce';

/** How long a value rests before what is worked out from it is shown, milliseconds. */
const REST = 100;

/**
 * A value that follows its source once that has come to rest, so that what takes long to work out from it is not
 * worked out while it is dragged, nor where a drag turns or pauses. The first value that is there, and one that goes,
 * are followed at once.
 * @param isHeld whether a drag may be going on
 */
export function afterRest<T>(source: () => T, isHeld?: () => boolean): Readonly<ShallowRef<T>> {
  const late = shallowRef(source());
  const follow = onceAtRest(() => (late.value = source()), REST, isHeld);
  watch(source, (value, before) => {
    follow.cancel();
    if (!value || !before) late.value = value;
    else follow();
  });
  return shallowReadonly(late);
}
