import { shallowReadonly, shallowRef, watch, type ShallowRef } from 'vue';
import { debounce } from './debounce';

/** How long a value rests before what is reckoned from it is shown, milliseconds. */
const REST = 100;

/**
 * A value that follows its source once that has come to rest, so that what takes long to work out from it is not
 * reckoned while it is dragged. The first value that is there, and one that goes, are followed at once.
 */
export function afterRest<T>(source: () => T): Readonly<ShallowRef<T>> {
  const late = shallowRef(source());
  const follow = debounce(() => (late.value = source()), REST);
  watch(source, (value, before) => {
    follow.cancel();
    if (!value || !before) late.value = value;
    else follow();
  });
  return shallowReadonly(late);
}
