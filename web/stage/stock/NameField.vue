<script setup lang="ts">
import TextField from '../../control/TextField.vue';
import { putInto } from '../../control/putInto';

/** A name that is proposed, and may be another; emptied, or double-clicked, it is the proposed one again. */
const props = defineProps<{ label: string; proposed: string; given?: string | undefined }>();
const emit = defineEmits<{ name: [name: string] }>();

const LONGEST = 60;
function take(event: Event): void {
  const input = event.target as HTMLInputElement;
  const name = input.value.trim() || props.proposed;
  putInto(input, name);
  emit('name', name);
}
</script>

<template>
  <TextField
    :model-value="given ?? proposed"
    :aria-label="label"
    :maxlength="LONGEST"
    spellcheck="false"
    @change="take"
    @dblclick="emit('name', proposed)"
  />
</template>

<style scoped>
input {
  width: 100%;
  min-width: 110px;
}
</style>
