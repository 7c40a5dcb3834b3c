<script setup lang="ts">
import Button from 'primevue/button';

/**
 * Doing something: a ruled key with a heavy lower edge. The first thing to do in a view is filled. One that
 * cannot be done now says why.
 */
const props = defineProps<{ label?: string; first?: boolean; large?: boolean; why?: string }>();
const emit = defineEmits<{ click: [event: MouseEvent] }>();

function press(event: MouseEvent): void {
  if (props.why) event.preventDefault();
  else emit('click', event);
}
</script>

<template>
  <Button
    :label="label"
    :size="large ? undefined : 'small'"
    :variant="first ? undefined : 'outlined'"
    :severity="first ? undefined : 'secondary'"
    :aria-disabled="why ? true : undefined"
    :aria-description="why"
    :title="why"
    class="l-do"
    @click="press"
  >
    <slot v-if="$slots.default" />
  </Button>
</template>
