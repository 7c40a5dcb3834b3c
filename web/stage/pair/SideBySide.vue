<script setup lang="ts">
import { sideBySide as say } from './words';
import { computed, onBeforeUnmount, onMounted, ref, shallowRef } from 'vue';
import type { PagePlace } from '../../proof/pagePlace';
import ProofChoices from '../../proof/ProofChoices.vue';
import ProofFrame from '../../proof/ProofFrame.vue';
import { useContenders, type ContenderState } from '../../store/contenders';
import { useProof } from '../../store/proof';
import ContenderFacts from './ContenderFacts.vue';

/** The contenders beside one another at full size: the same part of the same page, moving together. */
const contenders = useContenders();
const proof = useProof();
const root = ref<HTMLElement | null>(null);
const size = ref({ width: 0, height: 0 });
/** Where the page stands, and in which of the frames it was moved there. */
const place = shallowRef<{ by: number; at: PagePlace } | null>(null);

const GAP = 12;
const CAPTION = 72;
const LEAST_HEIGHT = 320;

const room = computed(() => {
  const columns = Math.max(1, contenders.states.length);
  return {
    width: Math.floor((size.value.width - GAP * (columns - 1)) / columns),
    height: Math.max(LEAST_HEIGHT, size.value.height - CAPTION),
  };
});
const observer = new ResizeObserver(([entry]) => {
  if (entry) size.value = { width: entry.contentRect.width, height: entry.contentRect.height };
});
onMounted(() => {
  proof.yielded = true;
  if (root.value) observer.observe(root.value);
});
onBeforeUnmount(() => {
  proof.yielded = false;
  observer.disconnect();
});
const nameOf = ({ rows }: ContenderState): string => rows.map(contenders.nameOf).join(' over ');
</script>

<template>
  <div class="beside">
    <div class="line wrap">
      <ProofChoices />
      <span class="small quiet">{{ say.eachPxWideAt(room.width) }}</span>
    </div>
    <div ref="root" class="frames">
      <figure v-for="(state, i) in contenders.states" :key="nameOf(state)">
        <figcaption>
          <span class="line"
            ><b>{{ i + 1 }}</b> {{ nameOf(state) }}</span
          >
          <ContenderFacts :state="state" />
        </figcaption>
        <div class="frame" :style="{ height: `${room.height}px` }">
          <ProofFrame
            v-if="room.width > 0"
            :room="room"
            :document="state.document"
            :place="place && place.by !== i ? place.at : null"
            @moved="place = { by: i, at: $event }"
          />
        </div>
      </figure>
    </div>
  </div>
</template>

<style scoped>
.beside {
  display: flex;
  flex-direction: column;
  gap: 8px;
  height: calc(100% - 60px);
  min-height: 400px;
  padding: 0 var(--edge) 12px;
}
.frames {
  display: flex;
  flex: 1;
  gap: 12px;
  min-height: 0;
}
figure {
  flex: 1;
  min-width: 0;
}
figcaption {
  display: grid;
  gap: 2px;
  align-content: end;
  height: 72px;
  padding-bottom: 6px;
}
.frame {
  position: relative;
  overflow: hidden;
  border: 1px solid var(--rule);
}
</style>
