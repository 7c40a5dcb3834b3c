<script setup lang="ts">
import type { ProjectDocument } from '@lettera/core/document';
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import { urls } from '../../api/client';
import DoButton from '../../control/DoButton.vue';
import { count } from '../../control/figures';
import UnseenPage from '../../proof/UnseenPage.vue';
import { useProject } from '../../store/project';
import { differenceInWords } from './differenceWords';
import { verifyBundle, type Verified } from './verifyBundle';

/** What a browser makes of the bundle by itself, compared with the project before it is offered. */
const props = defineProps<{ document: ProjectDocument; revision: number }>();
const emit = defineEmits<{ faults: [count: number | null] }>();
const project = useProject();

const frame = ref<InstanceType<typeof UnseenPage> | null>(null);
const source = ref('');
const result = shallowRef<Verified | null>(null);
const failed = ref('');
/** The page and its files take no longer than this to come, milliseconds. */
const PATIENCE = 30_000;
let waiting: ReturnType<typeof setTimeout> | undefined;

function begin(): void {
  clearTimeout(waiting);
  result.value = null;
  failed.value = '';
  emit('faults', null);
  source.value = `${urls.deliveredFile(project.id, props.revision, 'bare-page')}?${Date.now()}`;
  waiting = setTimeout(() => fail('The page that tries it did not come.'), PATIENCE);
}
function fail(why: string): void {
  failed.value = why;
  source.value = '';
}
async function compare(): Promise<void> {
  const page = frame.value?.page();
  if (!page || !source.value) return;
  clearTimeout(waiting);
  if (!page.querySelector('link')?.sheet) {
    fail('The bundle could not be read from the server.');
    return;
  }
  const of = props.revision;
  try {
    const found = await verifyBundle(props.document, page, async (width) =>
      frame.value?.setWidth(width),
    );
    if (of !== props.revision) return;
    result.value = found;
    emit('faults', found.differences.length + found.missing.length);
  } catch (error) {
    failed.value = (error as Error).message;
  }
  source.value = '';
}
watch(() => props.revision, begin, { immediate: true });
onBeforeUnmount(() => clearTimeout(waiting));

const lines = computed(() => {
  const { differences = [], missing = [] } = result.value ?? {};
  return [
    ...missing,
    ...differences.map((difference) => differenceInWords(props.document, difference)),
  ];
});
const words = computed(() => {
  if (!result.value) return 'Being tried in a page of its own …';
  const { elements, untried, widths } = result.value;
  const where = `${count(elements, 'element')} at ${widths.join(', ')} px`;
  const left =
    untried > 0
      ? ` ${untried} more, which pointing brings about or a voice without a family sets, were not.`
      : '';
  return lines.value.length === 0
    ? `Tried in a page of its own: ${where} come out as the project has them.${left}`
    : `Tried in a page of its own, ${where}: ${count(lines.value.length, 'thing')} come out otherwise.${left}`;
});
</script>

<template>
  <div class="verified">
    <p v-if="failed" role="alert" class="mark-text">
      It could not be tried: {{ failed }} <DoButton label="Try it again" @click="begin" />
    </p>
    <p v-else role="status" class="small" :class="lines.length ? 'mark-text' : 'quiet'">
      {{ words }}
    </p>
    <ul v-if="lines.length" class="small" tabindex="0" aria-label="What comes out otherwise">
      <li v-for="line in lines" :key="line">{{ line }}</li>
    </ul>
    <UnseenPage v-if="source" ref="frame" :source="source" @load="compare" />
  </div>
</template>

<style scoped>
.verified {
  padding: 0 var(--edge) 10px;
}
ul {
  max-height: 120px;
  overflow: auto;
  margin: 4px 0 0;
  padding-left: 18px;
}
</style>
