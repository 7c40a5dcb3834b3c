import { onScopeDispose, readonly, shallowRef, watch, type ShallowRef } from 'vue';

/** How long a value rests before what is reckoned from it is shown, milliseconds. */
const REST = 100;

/**
 * A value that follows its source once that has come to rest, so that what takes long to reckon from it is not
 * reckoned while it is dragged. The first value that is there, and one that goes, are followed at once.
 */
export function afterRest<T>(source: () => T): Readonly<ShallowRef<T>> {
  const late = shallowRef(source());
  let timer: ReturnType<typeof setTimeout> | undefined;
  watch(source, (value, before) => {
    clearTimeout(timer);
    if (!value || !before) late.value = value;
    else timer = setTimeout(() => (late.value = source()), REST);
  });
  onScopeDispose(() => clearTimeout(timer));
  return readonly(late) as Readonly<ShallowRef<T>>;
}
