<script setup lang="ts">
import Popover from 'primevue/popover';
import { ref } from 'vue';
import DoButton from './DoButton.vue';

/** What is seldom used, folded away behind a key until it is wanted. */
defineProps<{ label: string }>();
const popover = ref<InstanceType<typeof Popover> | null>(null);
const open = ref(false);
defineExpose({ close: () => popover.value?.hide() });
</script>

<template>
  <DoButton :aria-expanded="open" aria-haspopup="dialog" @click="popover?.toggle($event)">
    {{ label }}
    <svg viewBox="0 0 8 6" width="8" height="6" aria-hidden="true">
      <path d="M.5 1l3.5 4 3.5-4" />
    </svg>
  </DoButton>
  <Popover
    ref="popover"
    unstyled
    :pt="{ root: { class: 'l-fold', 'aria-label': label }, content: 'l-fold-content' }"
    @show="open = true"
    @hide="open = false"
  >
    <slot :close="() => popover?.hide()" />
  </Popover>
</template>
