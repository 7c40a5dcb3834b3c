<script setup lang="ts">
import { slug } from '@lettera/core/deliver';
import { freeKey } from '@lettera/core/document';
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { computed, ref } from 'vue';
import { useProject } from '../../store/project';
import VoiceSeat from './VoiceSeat.vue';

/** Every voice of the project, and further ones by name. */
const project = useProject();
const voices = computed(() => Object.keys(project.document?.voices ?? {}));
const voiceName = ref('');

function addVoice(): void {
  const name = voiceName.value.trim();
  if (!name || !project.document) return;
  const key = freeKey(Object.keys(project.document.voices), slug(name));
  const taken = project.change([
    {
      op: 'add',
      path: `/voices/${key}`,
      value: { name: name.slice(0, 60), family: null, generic: 'sans-serif', fallback: null },
    },
  ]);
  if (taken) voiceName.value = '';
}
</script>

<template>
  <div class="seats">
    <VoiceSeat v-for="voice in voices" :key="voice" :voice="voice" />
    <form class="line small" @submit.prevent="addVoice">
      <InputText
        v-model="voiceName"
        size="small"
        maxlength="60"
        placeholder="Another voice: data, quotation, code"
        aria-label="Name of another voice"
        class="new-voice"
      />
      <Button
        type="submit"
        label="Add a voice"
        size="small"
        variant="outlined"
        severity="secondary"
      />
    </form>
  </div>
</template>

<style scoped>
.seats {
  padding: 0 20px 8px;
}
.seats form {
  padding-top: 10px;
}
.new-voice {
  width: 250px;
}
</style>
