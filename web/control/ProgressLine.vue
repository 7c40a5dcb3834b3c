<script setup lang="ts">
import { progressLine as say } from './words';
import ProgressBar from 'primevue/progressbar';
import { computed, useId } from 'vue';
import DoButton from './DoButton.vue';

/** Work that takes a while: how far it is, what it is at, and a way to stop it. */
const props = defineProps<{ done: number; of: number; stoppable?: boolean }>();
defineEmits<{ stop: [] }>();
const id = useId();
const percent = computed(() => (props.of > 0 ? Math.round((props.done / props.of) * 100) : 0));
</script>

<template>
  <span class="line l-progress-line" role="status">
    <ProgressBar
      :value="percent"
      :show-value="false"
      unstyled
      :pt="{ root: { class: 'l-progress', 'aria-labelledby': id }, value: 'l-progress-value' }"
    />
    <span :id="id"><slot /></span>
    <DoButton v-if="stoppable" :label="say.stop" @click="$emit('stop')" />
  </span>
</template>
