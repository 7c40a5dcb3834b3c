<script setup lang="ts">
import { saveLine as say } from './words';
import { computed } from 'vue';
import DoButton from '../control/DoButton.vue';
import { useProject, type SaveState } from '../store/project';

const project = useProject();

const WORDS: Record<SaveState, string> = {
  saved: say.saved,
  saving: say.saving,
  waiting: say.notSavedYet,
  conflict: say.changedElsewhere,
};
const undoTitle = computed(() => {
  if (project.layers.some(({ kind }) => kind === 'tried')) return say.giveBackWhatBeing;
  return project.stored?.undo ? say.undoUndo(project.stored.undo) : say.thereNothingUndo;
});
const words = computed(() => WORDS[project.saveState]);
</script>

<template>
  <div class="save">
    <div class="line">
      <DoButton bare :label="say.undo" :title="undoTitle" @click="project.undo()" />
      <DoButton
        bare
        :label="say.redo"
        :title="project.stored?.redo ? say.redoRedo(project.stored.redo) : say.thereNothingRedo"
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
      {{ say.yourChangesKeptBrowser(project.message) }}
      <DoButton @click="project.flush()">{{ say.sendNow }}</DoButton>
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
