<script setup lang="ts">
import { projectName as say } from './words';
import TextField from '../control/TextField.vue';
import { nextTick, ref } from 'vue';
import { useProject } from '../store/project';

/** The project's name; a click makes it a field. */
const project = useProject();
const editing = ref(false);
const root = ref<HTMLElement | null>(null);

async function edit(): Promise<void> {
  editing.value = true;
  await nextTick();
  root.value?.querySelector('input')?.select();
}

function take(event: Event): void {
  const value = (event.target as HTMLInputElement).value.trim().slice(0, 120);
  editing.value = false;
  if (value && value !== project.document?.name) {
    project.change([{ op: 'replace', path: '/name', value }]);
  }
}
</script>

<template>
  <div ref="root">
    <TextField
      v-if="editing"
      :model-value="project.document?.name"
      :aria-label="say.nameProject"
      maxlength="120"
      fluid
      @blur="take"
      @keydown.enter="take"
      @keydown.esc="editing = false"
    />
    <button v-else type="button" class="plain name" :title="say.renameProject" @click="edit">
      {{ project.document?.name }}
    </button>
  </div>
</template>

<style scoped>
.name {
  min-height: 24px;
  font-size: 15px;
  font-weight: 650;
  line-height: 1.25;
  overflow-wrap: anywhere;
  display: -webkit-box;
  -webkit-line-clamp: 3;
  -webkit-box-orient: vertical;
  overflow: hidden;
}
</style>
