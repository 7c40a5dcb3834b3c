<script setup lang="ts">
import Button from 'primevue/button';
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { useProject } from '../../store/project';

/** What a family of the case is seated in, what taking it out would show, and the way on. */
const props = defineProps<{ caseKey: string }>();
const emit = defineEmits<{ removed: [] }>();

const project = useProject();
const route = useRoute();

const seats = computed(() =>
  Object.entries(project.document?.voices ?? {}).filter(
    ([, { family }]) => family === props.caseKey,
  ),
);
const voices = computed(() => seats.value.map(([, { name }]) => name).join(', '));
const generics = computed(() => seats.value.map(([, { generic }]) => generic).join(', '));

function remove(): void {
  project.change([
    ...seats.value.map(([voice]) => ({
      op: 'replace' as const,
      path: `/voices/${voice}/family`,
      value: null,
    })),
    { op: 'remove', path: `/case/${props.caseKey}` },
  ]);
  emit('removed');
}
</script>

<template>
  <div class="in-case line wrap">
    <p v-if="seats.length" class="small quiet">
      Seated in {{ voices }}; taken out, the text there shows in {{ generics }} until another is
      seated. Undo brings it back.
    </p>
    <p v-else class="small">
      In the case, and not seated yet.
      <RouterLink :to="{ name: 'pair', params: { project: route.params['project'] } }">
        Seat it in a voice
      </RouterLink>
    </p>
    <Button
      label="Take out of the case"
      size="small"
      variant="text"
      severity="secondary"
      @click="remove"
    />
  </div>
</template>

<style scoped>
.in-case {
  padding: 0 20px 12px;
}
p {
  max-width: 56ch;
}
</style>
