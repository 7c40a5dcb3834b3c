<script setup lang="ts">
import { sinceDelivered as say } from './words';
import { differences } from '@lettera/core/change';
import type { DeliveryFile, MadeDelivery } from '@lettera/core/wire';
import PickOne from '../../control/PickOne.vue';
import { computed, ref, shallowRef, watch } from 'vue';
import { api, urls } from '../../api/client';
import DoButton from '../../control/DoButton.vue';
import FiguresTable from '../../control/FiguresTable.vue';
import { count, momentOf } from '../../control/figures';
import { useProject } from '../../store/project';
import type { FileChange } from './fileChanges';

/** What changed since a delivery that was taken away: in words, and file by file. */
const props = defineProps<{ files: readonly DeliveryFile[]; made: readonly MadeDelivery[] }>();
const project = useProject();

const chosen = ref<number | null>(null);
const against = computed(
  () => props.made.find(({ revision }) => revision === chosen.value) ?? props.made[0] ?? null,
);
const choices = computed(() =>
  props.made.map(({ revision, at }) => ({ value: revision, label: momentOf(at) })),
);

const words = shallowRef<string[]>([]);
const changes = shallowRef<FileChange[] | null>(null);
const failed = ref('');
const open = ref('');

let run = 0;
async function compare(): Promise<void> {
  const mine = ++run;
  changes.value = null;
  failed.value = '';
  const { stored } = project;
  if (!against.value || !stored) return;
  const { revision } = against.value;
  try {
    const [{ fileChanges }, before, files] = await Promise.all([
      import('./fileChanges'),
      api.revision(stored.id, revision),
      api.deliveredFiles(stored.id, revision),
    ]);
    if (mine !== run) return;
    words.value = differences(before.document, stored.document);
    changes.value = fileChanges(files, props.files);
  } catch (error) {
    if (mine === run) failed.value = (error as Error).message;
  }
}
watch([against, () => props.files], compare, { immediate: true });

const KINDS = { new: 'new', gone: 'removed', changed: 'changed' } as const;
</script>

<template>
  <section v-if="against" :aria-label="say.sinceLastDelivery">
    <div class="line wrap">
      <h2>{{ say.sinceDelivery }}</h2>
      <PickOne
        v-if="choices.length > 1"
        :model-value="against.revision"
        :choices="choices"
        :label="say.whichDelivery"
        @update:model-value="chosen = $event"
      />
      <span v-else>{{ momentOf(against.at) }}</span>
      <DoButton
        as="a"
        :href="urls.deliveredBundle(project.id, against.revision)"
        :label="say.downloadOneAgain"
      />
    </div>
    <p v-if="failed" role="alert" class="mark-text">
      {{ failed }} <DoButton :label="say.tryAgain" @click="compare" />
    </p>
    <p v-else-if="!changes" role="status" class="quiet">{{ say.comparing }}</p>
    <p v-else-if="changes.length === 0" class="quiet">{{ say.everyFileSame }}</p>
    <template v-else>
      <ul v-if="words.length" :aria-label="say.whatDiffers">
        <li v-for="line in words" :key="line" class="small">{{ line }}</li>
      </ul>
      <FiguresTable :aria-label="count(changes.length, 'file')">
        <tbody>
          <template v-for="change in changes" :key="change.path">
            <tr>
              <td>
                <DoButton
                  v-if="change.lines.length"
                  :aria-expanded="open === change.path"
                  @click="open = open === change.path ? '' : change.path"
                  >{{ change.path }}</DoButton
                >
                <template v-else>{{ change.path }}</template>
              </td>
              <td class="quiet">{{ KINDS[change.kind] }}</td>
              <td class="quiet">{{ change.says }}</td>
            </tr>
            <tr v-if="open === change.path">
              <td colspan="3">
                <pre
                  tabindex="0"
                  :aria-label="`What changed in ${change.path}`"
                ><span v-for="(line, i) in change.lines" :key="i" class="l" :class="line.kind.replace(' ', '-')">{{
                  line.kind === 'left out' ? `${line.text} lines as before` : line.text
                }}
</span></pre>
              </td>
            </tr>
          </template>
        </tbody>
      </FiguresTable>
    </template>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 6px;
  padding: 0 var(--edge) 14px;
}
h2 {
  font-size: 13px;
}
ul {
  max-height: 20vh;
  overflow: auto;
  margin: 0;
  padding: 0 0 0 16px;
}
pre {
  max-height: 320px;
  overflow: auto;
  margin: 0;
  font:
    12px/1.5 ui-monospace,
    'DejaVu Sans Mono',
    monospace;
}
.l {
  display: block;
  padding-left: 20px;
  border-left: 3px solid transparent;
}
.l::before {
  display: inline-block;
  width: 14px;
  margin-left: -14px;
  content: '';
}
.added {
  border-left-color: var(--verdigris);
}
.added::before {
  content: '+';
}
.removed {
  color: var(--ink-2);
  border-left: 3px dashed var(--ink-2);
}
.removed::before {
  content: '−';
}
.left-out {
  color: var(--ink-2);
  font-style: italic;
}
</style>
