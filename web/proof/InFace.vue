<script setup lang="ts">
import { inFace as say } from './words';
import type { LibraryFamily } from '@lettera/core/document';
import { computed } from 'vue';
import DoButton from '../control/DoButton.vue';
import { useSpecimenFont } from './specimenFonts';

/**
 * Words set in a family's own face and in no other: until its file has come their place is empty, and says so after
 * a while; where it does not come, that is said.
 */
const props = defineProps<{
  /** As CSS has the family. */
  font: string;
  /** What it is called, where it has to be named. */
  name: string;
  words: string;
  library?: LibraryFamily | null;
  weight?: number | string | null;
  slant?: string | null;
  /** Where it stands in something that is pressed, it can hold no button of its own. */
  mute?: boolean;
}>();
defineSlots<{
  default?(): unknown;
  /** What stands in their place until then, where no words can. */
  waiting?(): unknown;
}>();

const { state, late, again, haveAll } = useSpecimenFont(() => props);
defineExpose({
  /** Whether the words stand there in their own face. */
  shown: computed(() => state.value === 'shown'),
  haveAll,
});
</script>

<template>
  <span
    v-if="state === 'shown'"
    class="in-face"
    :style="{ fontFamily: font, fontWeight: weight ?? undefined, fontStyle: slant ?? undefined }"
    dir="auto"
    ><slot>{{ words }}</slot></span
  >
  <slot v-else-if="$slots.waiting" name="waiting" />
  <span v-else class="in-face waits"
    ><span class="says" :class="{ failed: state === 'failed' }"
      ><template v-if="state === 'failed'"
        >{{ say.didNotCome(name) }}
        <DoButton
          v-if="!mute"
          :label="say.tryAgain"
          :aria-label="say.fetchAgain(name)"
          @click.stop="again" /></template
      ><template v-else-if="late">{{ say.isOnWay(name) }}</template
      ><template v-else>&nbsp;</template></span
    ></span
  >
</template>

<style scoped>
.waits::before {
  /* A line of the height that the words will have. */
  content: '\200b';
}
.says {
  font:
    400 var(--size-beside) / 1.4 'Hanken Grotesk Variable',
    system-ui,
    sans-serif;
  letter-spacing: 0;
  text-transform: none;
  color: var(--ink-2);
}
.failed {
  color: var(--mark);
}
</style>
