<script setup lang="ts">
import { foldAway as say } from './words';
import Popover from 'primevue/popover';
import { nextTick, ref } from 'vue';
import DoButton from './DoButton.vue';

/**
 * What is seldom used, folded away behind a word until it is wanted. The focus goes into what was opened, and comes
 * back when it closes.
 */
defineProps<{
  label: string;
  /** How many of the settings in it are not at rest. */
  changed?: number;
  /** Whether its word stands bare, in the frame. */
  bare?: boolean;
}>();
const popover = ref<InstanceType<typeof Popover> | null>(null);
const open = ref(false);
async function show(): Promise<void> {
  open.value = true;
  await nextTick();
  document.querySelector<HTMLElement>('.l-fold-content')?.focus({ preventScroll: true });
}
defineExpose({ close: () => popover.value?.hide() });
</script>

<template>
  <DoButton
    :bare="bare"
    :aria-expanded="open"
    aria-haspopup="dialog"
    @click="popover?.toggle($event)"
  >
    {{ label }}
    <b v-if="changed" class="changed" :title="say.ofTheseSettingsNot(changed)">{{ changed }}</b>
    <svg viewBox="0 0 8 6" width="8" height="6" aria-hidden="true">
      <path d="M.5 1l3.5 4 3.5-4z" fill="currentcolor" />
    </svg>
  </DoButton>
  <Popover
    ref="popover"
    unstyled
    :pt="{
      root: { class: 'l-fold', 'aria-label': label },
      content: { class: 'l-fold-content', tabindex: -1 },
    }"
    @show="show"
    @hide="open = false"
  >
    <slot :close="() => popover?.hide()" />
  </Popover>
</template>
