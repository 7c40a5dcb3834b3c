<script setup lang="ts">
import { verifiedLine as say } from './words';
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
  waiting = setTimeout(() => fail(say.pageTriesDidNot), PATIENCE);
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
    fail(say.bundleCouldNotBe);
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
  if (!result.value) return say.beingTriedPageOwn;
  const { elements, untried, widths } = result.value;
  const where = say.atPx(count(elements, 'element'), widths.join(', '));
  const left = untried > 0 ? say.moreWhichPointingBrings(untried) : '';
  return lines.value.length === 0
    ? say.triedPageOwnCome(where, left)
    : say.triedPageOwnComeOut(where, count(lines.value.length, 'thing'), left);
});
</script>

<template>
  <div class="verified">
    <p v-if="failed" role="alert" class="mark-text">
      {{ say.itCouldNotBe(failed) }} <DoButton :label="say.tryAgain" @click="begin" />
    </p>
    <p v-else role="status" class="small" :class="lines.length ? 'mark-text' : 'quiet'">
      {{ words }}
    </p>
    <ul v-if="lines.length" class="small" tabindex="0" :aria-label="say.whatComesOutOtherwise">
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
