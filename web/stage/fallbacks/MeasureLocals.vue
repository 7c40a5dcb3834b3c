<script setup lang="ts">
import { measureLocals as say } from './words';
import { computed, ref } from 'vue';
import DoButton from '../../control/DoButton.vue';
import ProgressLine from '../../control/ProgressLine.vue';
import { percent } from '../../control/figures';
import { useLocalMeasuring } from '../../store/localMeasuring';
import type { CandidateRow } from './fallbackView';

/** Local fonts whose widths are not known: measured on this machine, or from a file. */
const props = defineProps<{ rows: readonly CandidateRow[] }>();
defineEmits<{ put: [local: string] }>();

const measuring = useLocalMeasuring();
const keys = computed(() => props.rows.map(({ local }) => local));
const input = ref<HTMLInputElement | null>(null);

function choose(event: Event): void {
  const { files } = event.target as HTMLInputElement;
  if (files?.length) void measuring.fromFiles([...files], keys.value);
  (event.target as HTMLInputElement).value = '';
}
</script>

<template>
  <div class="line wrap">
    <DoButton
      :label="say.measureThoseOnMachine"
      :why="measuring.canAsk ? undefined : say.thisBrowserGivesNo"
      @click="measuring.fromMachine(keys)"
    />
    <DoButton :label="say.fromFile" @click="input?.click()" />
    <input
      ref="input"
      type="file"
      multiple
      hidden
      accept=".ttf,.otf,.woff,.woff2"
      :aria-label="say.filesLocalFonts"
      @change="choose"
    />
    <ProgressLine
      v-if="measuring.progress"
      :done="measuring.progress.done"
      :of="measuring.progress.of"
      stoppable
      @stop="measuring.stop()"
      >{{ say.measuring(measuring.progress.done, measuring.progress.of) }}</ProgressLine
    >
  </div>
  <p v-if="measuring.said" class="small said" role="status">{{ measuring.said }}</p>
  <ul class="unknown">
    <li v-for="{ local, name, platforms, reach, taken } in rows" :key="local">
      <span
        ><b>{{ name }}</b> <span class="small quiet">{{ platforms }}</span></span
      >
      <span class="figure">{{ percent(reach, 0) }}</span>
      <span v-if="taken" class="small quiet">{{ say.inStackAs }}</span>
      <DoButton
        v-else
        :label="say.putAs"
        :aria-label="say.putAsName(name)"
        @click="$emit('put', local)"
      />
    </li>
  </ul>
</template>

<style scoped>
.unknown li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 48px 120px;
  gap: 8px;
  align-items: center;
  padding: 2px 0;
  border-bottom: 1px solid var(--rule);
}
.unknown li > :last-child {
  justify-self: end;
}
b {
  font-weight: 550;
}
.said {
  padding: 4px 0;
}
</style>
