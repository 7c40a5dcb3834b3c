<script setup lang="ts">
import { savingsList as say } from './words';
import { reductionsOf, type Reduction } from '@lettera/core/deliver/trying';
import type { ProjectDocument } from '@lettera/core/document';
import { computed, ref, shallowRef, watch } from 'vue';
import { api } from '../../api/client';
import DoButton from '../../control/DoButton.vue';
import ProgressLine from '../../control/ProgressLine.vue';
import { kilobytes } from '../../control/figures';
import { usePlans } from '../../store/plans';
import { useProject } from '../../store/project';

/** Ways to load less, each with what it really saves: the files of each are made to tell. */
const props = defineProps<{ document: ProjectDocument; bytes: number | null }>();
const project = useProject();
const plans = usePlans();

const ways = computed(() => reductionsOf(props.document, plans.deliveryOf(props.document)));
/** Bytes that are left after each, by its key; of the document that they were worked out for. */
const left = shallowRef<ReadonlyMap<string, number>>(new Map());
const workedOutFor = shallowRef<ProjectDocument | null>(null);
const isStale = computed(
  () => workedOutFor.value !== null && workedOutFor.value !== props.document,
);
const failed = ref('');
const done = ref(0);
const of = ref(0);
let working: AbortController | null = null;

async function workOut(): Promise<void> {
  working?.abort();
  const { signal } = (working = new AbortController());
  const { document } = props;
  const found = new Map<string, number>();
  const all = ways.value;
  left.value = found;
  failed.value = '';
  done.value = 0;
  of.value = all.length;
  workedOutFor.value = document;
  try {
    for (const { key, patch } of all) {
      const [bytes] = await api.bytesAfter(project.id, [patch], signal);
      if (signal.aborted) return;
      if (bytes !== undefined) found.set(key, bytes);
      left.value = new Map(found);
      done.value++;
    }
  } catch (error) {
    if (!signal.aborted) failed.value = (error as Error).message;
  } finally {
    if (!signal.aborted) of.value = 0;
  }
}
function stop(): void {
  working?.abort();
  of.value = 0;
}
watch(() => project.id, stop);

const savedBy = ({ key }: Reduction): number | null => {
  const bytes = left.value.get(key);
  return bytes === undefined || props.bytes === null ? null : props.bytes - bytes;
};
/** Those that save most first, once that is known. */
const rows = computed(() =>
  ways.value
    .map((way) => ({ way, saved: isStale.value ? null : savedBy(way) }))
    .sort((a, b) => (b.saved ?? -1) - (a.saved ?? -1)),
);
const words = (saved: number | null): string => {
  if (saved === null) return '';
  return saved > 0
    ? say.saves(kilobytes(saved))
    : saved < 0
      ? say.costs(kilobytes(-saved))
      : say.savesNothing;
};
</script>

<template>
  <section :aria-label="say.whatWouldBeSaved">
    <div class="line">
      <h2>{{ say.whatWouldBeSaved }}</h2>
      <DoButton
        v-if="of === 0"
        :label="workedOutFor ? say.workOutAgain : say.workOut"
        :why="bytes === null ? say.filesStillBeingMade : undefined"
        @click="workOut"
      />
    </div>
    <ProgressLine
      v-if="of > 0"
      :done="done"
      :of="of"
      :label="say.makingFilesEach"
      stoppable
      @stop="stop"
    />
    <p v-if="failed" role="alert" class="mark-text">{{ say.nothingWasChanged(failed) }}</p>
    <p v-if="isStale" role="status" class="quiet small">
      {{ say.projectChangedSinceWork }}
    </p>
    <ul>
      <li v-for="{ way, saved } in rows" :key="way.key" class="line">
        <span class="says">{{ way.says }}</span>
        <span class="figure">{{ words(saved) }}</span>
        <DoButton
          class="on-point"
          :label="say.doIt"
          :aria-label="say.doThis(way.says)"
          @click="project.change(way.patch)"
        />
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  font-size: 13px;
}
ul {
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}
li {
  padding: 4px 0;
  border-top: 1px solid var(--rule);
}
.says {
  flex: 1;
  font-size: 12px;
}
.figure {
  width: 110px;
  font-size: 12px;
  text-align: right;
}
</style>
