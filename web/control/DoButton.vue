<script setup lang="ts">
import Button from 'primevue/button';

/**
 * Doing something: a word in a hairline box. The first thing to do in a view is filled; in the frame
 * around it the word stands bare. One that cannot be done now says why.
 */
const props = defineProps<{
  label?: string;
  first?: boolean;
  bare?: boolean;
  why?: string;
  loading?: boolean;
}>();
const emit = defineEmits<{ click: [event: MouseEvent] }>();

function press(event: MouseEvent): void {
  if (props.why || props.loading) event.preventDefault();
  else emit('click', event);
}
</script>

<template>
  <Button
    :label="label"
    size="small"
    :variant="first ? undefined : 'outlined'"
    :severity="first ? undefined : 'secondary'"
    :aria-disabled="why ? true : undefined"
    :aria-busy="loading ? true : undefined"
    :aria-description="why"
    :title="why"
    class="l-do"
    :class="{ bare }"
    @click="press"
  >
    <slot v-if="$slots.default" />
  </Button>
</template>
