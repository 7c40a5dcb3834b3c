<script setup lang="ts">
import { waitLine as say } from './words';
import type { FontDisplay } from '@lettera/core/document';
import { computed } from 'vue';
import { waitOf, type LoadTimes } from './wait';

/** What a visitor sees of a face while it is on its way, as a line of time. */
const props = defineProps<{ display: FontDisplay; times: LoadTimes | null }>();
const wait = computed(() => (props.times ? waitOf(props.display, props.times) : null));
</script>

<template>
  <template v-if="wait">
    <div class="time" aria-hidden="true">
      <span
        v-for="part in wait.parts"
        :key="part.what"
        :class="part.what"
        :style="{ flexGrow: part.to - part.from }"
      />
    </div>
    <p class="small">{{ wait.says }}</p>
  </template>
  <p v-else class="small quiet">{{ say.itShownOnceFiles }}</p>
</template>

<style scoped>
.time {
  display: flex;
  height: 14px;
  border: 1px solid var(--rule);
}
.nothing {
  background: var(--ground);
}
.fallback {
  border-bottom: 4px dashed var(--local);
}
.web {
  border-bottom: 4px solid var(--web);
}
</style>
