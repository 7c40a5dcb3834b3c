<script setup lang="ts">
import { computed } from 'vue';
import DoButton from '../control/DoButton.vue';
import { useProject, type SaveState } from '../store/project';

const project = useProject();

const WORDS: Record<SaveState, string> = {
  saved: 'Saved',
  saving: 'Saving …',
  waiting: 'Not saved yet',
  conflict: 'Changed elsewhere',
};
const undoTitle = computed(() => {
  if (project.layers.some(({ kind }) => kind === 'tried')) return 'Give back what is being tried';
  return project.stored?.undo ? `Undo: ${project.stored.undo}` : 'There is nothing to undo';
});
const words = computed(() => WORDS[project.saveState]);
</script>

<template>
  <div class="save">
    <div class="line">
      <DoButton bare label="Undo" :title="undoTitle" @click="project.undo()" />
      <DoButton
        bare
        label="Redo"
        :title="project.stored?.redo ? `Redo: ${project.stored.redo}` : 'There is nothing to redo'"
        @click="project.redo()"
      />
      <span
        role="status"
        class="small state"
        :class="project.saveState === 'saved' ? 'quiet' : 'unsaved'"
        >{{ words }}</span
      >
    </div>
    <p v-if="project.saveState === 'waiting'" class="small">
      {{ project.message }} Your changes are kept in this browser and will be sent again.
      <DoButton @click="project.flush()">Send now</DoButton>
    </p>
  </div>
</template>

<style scoped>
.save {
  display: grid;
  gap: 4px;
}
.unsaved {
  font-weight: 550;
}
.state {
  margin-left: auto;
}
.line > :first-child {
  margin-left: -5px;
}
</style>
