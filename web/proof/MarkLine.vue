<script setup lang="ts">
import { markLine as say } from './words';
import type { Mark } from '@lettera/core/check';
import TextField from '../control/TextField.vue';
import { onBeforeUnmount, ref } from 'vue';
import DoButton from '../control/DoButton.vue';
import { useMarks } from '../store/marks';
import FaceToTakeIn from './FaceToTakeIn.vue';

/** A mark, and what puts it right: shown on the proof while pointed at, taken on a click. */
defineProps<{
  mark: Mark;
  /** Where it was seen, when that is not the page shown. */
  where?: string;
}>();
const emit = defineEmits<{ take: [mark: Mark]; go: [mark: Mark] }>();

const marks = useMarks();

function take(mark: Mark): void {
  marks.look(null);
  emit('take', mark);
}
/** Why it is set aside, while that is asked. */
const asking = ref(false);
const reason = ref('');
function setAside(mark: Mark): void {
  if (marks.setAside(mark, reason.value.trim())) asking.value = false;
}
onBeforeUnmount(() => marks.look(null));
</script>

<template>
  <div class="mark-line">
    <p>{{ mark.message }}</p>
    <p v-if="where" class="small quiet">{{ where }}</p>
    <p v-if="mark.fix && !mark.remedy.startsWith(mark.fix.does)">{{ mark.remedy }}</p>
    <FaceToTakeIn v-if="mark.lacks && mark.family" :family="mark.family" :wanted="mark.lacks" />
    <DoButton
      v-if="mark.fix"
      @mouseenter="marks.look(mark)"
      @mouseleave="marks.look(null)"
      @focus="marks.look(mark)"
      @blur="marks.look(null)"
      @click="take(mark)"
    >
      {{ mark.fix.does }}
    </DoButton>
    <DoButton v-else @click="emit('go', mark)">
      {{ mark.remedy }}
    </DoButton>
    <DoButton
      :label="say.setAside"
      :aria-label="say.setAsideMessage(mark.message)"
      :aria-expanded="asking"
      @click="asking = !asking"
    />
    <form v-if="asking" class="line" @submit.prevent="setAside(mark)">
      <TextField
        v-model="reason"
        fluid
        maxlength="200"
        :placeholder="say.whyRightAs"
        :aria-label="say.whySetAside"
      />
      <DoButton
        type="submit"
        :label="say.setItAside"
        :why="reason.trim() ? undefined : say.itWantsReason"
      />
    </form>
  </div>
</template>

<style scoped>
.mark-line {
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
button {
  min-height: 24px;
}
button + button {
  margin-left: 6px;
}
form {
  margin-top: 4px;
}
</style>
