import { onScopeDispose, shallowReadonly, shallowRef, watch, type ShallowRef } from 'vue';

/**
 * A value that follows its source a frame later, so that what it is shown in is not laid out in the frame
 * in which the proof changes.
 */
export function afterPaint<T>(source: () => T): Readonly<ShallowRef<T>> {
  const late = shallowRef(source());
  let frame = 0;
  watch(source, () => {
    cancelAnimationFrame(frame);
    // The first callback comes before the frame that shows the proof, the second after it.
    frame = requestAnimationFrame(() => {
      frame = requestAnimationFrame(() => {
        late.value = source();
      });
    });
  });
  onScopeDispose(() => cancelAnimationFrame(frame));
  return shallowReadonly(late);
}
