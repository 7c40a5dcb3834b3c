<script setup lang="ts">
import { unseenPage as say } from './words';
import { ref } from 'vue';
import { setFrameGround, setFrameWidth } from '../reader/frameWidth';
import { freeNames } from '../reader/freeNames';

/** A page that is laid out where it is not seen, to be measured. */
defineProps<{ source: string }>();
const emit = defineEmits<{ load: [] }>();
const frame = ref<HTMLIFrameElement | null>(null);

function onLoad(): void {
  const page = frame.value?.contentDocument;
  if (page) freeNames(page);
  emit('load');
}

defineExpose({
  /** The page; null while none is there. */
  page: (): Document | null => {
    const page = frame.value?.contentDocument;
    return page?.defaultView ? page : null;
  },
  /** @param width of the viewport, CSS px */
  async setWidth(width: number): Promise<void> {
    if (frame.value) await setFrameWidth(frame.value, width);
  },
  /** @param ground that the page is asked for, as a visitor's system asks for it. Media Queries 5 §11.5 */
  async setGround(ground: 'light' | 'dark'): Promise<void> {
    if (frame.value) await setFrameGround(frame.value, ground);
  },
});
</script>

<template>
  <iframe
    :key="source"
    ref="frame"
    :src="source"
    sandbox="allow-same-origin"
    :title="say.pageMeasured"
    aria-hidden="true"
    tabindex="-1"
    @load="onLoad"
  />
</template>

<style scoped>
iframe {
  position: fixed;
  top: 0;
  left: -4000px;
  /* A phone's, which most that is measured begins at: what has its width need not be laid out again. */
  width: 360px;
  height: 800px;
  border: 0;
  visibility: hidden;
}
</style>
