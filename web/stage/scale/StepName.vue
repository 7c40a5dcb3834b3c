<script setup lang="ts">
import { stepName as say } from './words';
import type { Scale } from '@lettera/core/document';
import { stepNameFault, type Step } from '@lettera/core/scale';
import TextField from '../../control/TextField.vue';
import { ref, watch } from 'vue';
import { useScaleDraft } from '../../store/scaleDraft';

/** The designer's own name of a step. What cannot be a name stays as it was typed, with what is wrong with it. */
const props = defineProps<{ scale: Scale; step: Step }>();
const draft = useScaleDraft();

const own = () => props.scale.names?.own[String(props.step.number)] ?? '';
const typed = ref(own());
const refused = ref('');
watch(own, (name) => {
  typed.value = name;
  refused.value = '';
});

function take(): void {
  const name = typed.value.trim();
  refused.value = stepNameFault(props.scale, props.step.number, name) ?? '';
  if (refused.value || name === own()) return;
  const names = { ...props.scale.names?.own };
  if (name) names[String(props.step.number)] = name;
  else delete names[String(props.step.number)];
  draft.change([{ op: 'add', path: '/scale/names', value: { scheme: 'own', own: names } }]);
}
</script>

<template>
  <TextField
    v-model="typed"
    :placeholder="step.name"
    :aria-label="say.ownName(step.name)"
    :aria-invalid="Boolean(refused)"
    @change="take"
  />
  <span v-if="refused" class="small mark-text" role="alert">{{ refused }}</span>
</template>

<style scoped>
span {
  display: block;
  overflow-wrap: anywhere;
}
</style>
