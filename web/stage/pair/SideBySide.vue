<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import ProofFrame from '../../proof/ProofFrame.vue';
import { useContenders } from '../../store/contenders';
import { useProject } from '../../store/project';
import { useProof } from '../../store/proof';

/** The contenders beside one another: the same page at the same width in each. */
const contenders = useContenders();
const project = useProject();
const proof = useProof();
const root = ref<HTMLElement | null>(null);
const width = ref(0);

const HEIGHT = 420;
const GAP = 12;
const COLUMNS = 2;

const room = computed(() => ({
  width: Math.floor((width.value - GAP * (COLUMNS - 1)) / COLUMNS),
  height: HEIGHT,
}));
const observer = new ResizeObserver(([entry]) => {
  if (entry) width.value = entry.contentRect.width;
});
onMounted(() => root.value && observer.observe(root.value));
onBeforeUnmount(() => observer.disconnect());
</script>

<template>
  <div class="beside">
    <p class="small quiet">
      {{ project.pages.find(({ slug }) => slug === proof.page)?.title }} at {{ proof.width }} px in
      each. Page, width, ground and fonts are those of the proof.
    </p>
    <div ref="root" class="frames">
      <figure
        v-for="(state, i) in contenders.states"
        :key="`${state.heading.key} ${state.text.key}`"
      >
        <figcaption class="small">
          <b>{{ i + 1 }}</b> {{ contenders.nameOf(state.heading) }} over
          {{ contenders.nameOf(state.text) }}
        </figcaption>
        <div class="frame" :style="{ height: `${HEIGHT}px` }">
          <ProofFrame v-if="room.width > 0" :room="room" :document="state.document" />
        </div>
      </figure>
    </div>
  </div>
</template>

<style scoped>
.beside {
  padding: 0 20px 20px;
}
.frames {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 12px;
  margin-top: 6px;
}
.frame {
  position: relative;
  overflow: hidden;
  border: 1px solid var(--rule);
}
</style>
