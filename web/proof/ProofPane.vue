<script setup lang="ts">
import Select from 'primevue/select';
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import ChoiceLine from '../control/ChoiceLine.vue';
import { useProject } from '../store/project';
import { STOPS, useProof } from '../store/proof';
import StandIns from './StandIns.vue';
import ProofFrame from './ProofFrame.vue';
import WidthRuler from './WidthRuler.vue';

const project = useProject();
const proof = useProof();
const pointed = ref<string | null>(null);
const view = ref<HTMLElement | null>(null);
const room = ref({ width: 0, height: 0 });

const stops = STOPS.map(({ name, width }) => ({ value: width as number, label: name }));
const grounds = [
  { value: 'light', label: 'Light' },
  { value: 'dark', label: 'Dark' },
] as const;
const fonts = [
  { value: 'web', label: 'Web' },
  { value: 'fallback', label: 'Fallback' },
] as const;

const zoom = computed(() => Math.min(1, room.value.width / proof.width));

const observer = new ResizeObserver(([entry]) => {
  if (entry) room.value = { width: entry.contentRect.width, height: entry.contentRect.height };
});
onMounted(() => view.value && observer.observe(view.value));
onBeforeUnmount(() => observer.disconnect());
</script>

<template>
  <section class="proof" aria-label="Proof">
    <header>
      <Select
        v-model="proof.page"
        :options="project.pages"
        option-label="title"
        option-value="slug"
        aria-label="Page"
        size="small"
      />
      <ChoiceLine
        class="stops"
        label="Width"
        :choices="stops"
        :model-value="proof.width"
        @update:model-value="proof.setWidth($event)"
      />
      <ChoiceLine v-model="proof.fonts" label="Fonts" :choices="fonts" />
      <ChoiceLine v-model="proof.ground" label="Ground" :choices="grounds" />
    </header>
    <StandIns class="stand-ins" />
    <WidthRuler />
    <div ref="view" class="view">
      <ProofFrame v-if="project.id && room.width > 0" :room="room" @pointed="pointed = $event" />
    </div>
    <footer class="small quiet">
      <span aria-live="polite">{{
        pointed ?? 'Point at text for its style; click to select it'
      }}</span>
      <span class="figure"
        >{{ proof.width }} px{{ zoom < 1 ? `, shown at ${Math.round(zoom * 100)} %` : '' }}</span
      >
    </footer>
  </section>
</template>

<style scoped>
.proof {
  display: flex;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
  background: var(--ground);
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
  padding: 8px 12px;
  border-bottom: 1px solid var(--rule);
}
header + .stand-ins {
  padding: 4px 12px;
}
.stops {
  margin-right: auto;
}
.view {
  position: relative;
  flex: 1;
  overflow: hidden;
  min-height: 0;
}
footer {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 3px 12px;
  border-top: 1px solid var(--rule);
}
</style>
