<script setup lang="ts">
import { deliverStage as say } from './words';
import { computed, ref, shallowRef, watch } from 'vue';
import { bundleFault } from '@lettera/core/deliver';
import type { ProjectDocument } from '@lettera/core/document';
import type { DeliveryFile } from '@lettera/core/wire';
import DoButton from '../../control/DoButton.vue';
import FiguresTable from '../../control/FiguresTable.vue';
import ViewTabs from '../../control/ViewTabs.vue';
import { api, ApiError, urls } from '../../api/client';
import { count, kilobytes } from '../../control/figures';
import StandIns from '../../proof/StandIns.vue';
import { useCaseReadings } from '../../store/caseReadings';
import { useMadeDeliveries } from '../../store/madeDeliveries';
import { useProject } from '../../store/project';
import StageHeader from '../StageHeader.vue';
import CodeView from './CodeView.vue';
import MakingLine from './MakingLine.vue';
import FontsView from './FontsView.vue';
import PagesTried from './PagesTried.vue';
import RunningSite from './RunningSite.vue';
import SheetChoices from './SheetChoices.vue';
import SinceDelivered from './SinceDelivered.vue';
import TokensFile from './TokensFile.vue';
import VerifiedLine from './VerifiedLine.vue';
import { bytesOf, forbiddenFiles } from './deliverView';

const project = useProject();
const caseReadings = useCaseReadings();
const deliveries = useMadeDeliveries();
const files = shallowRef<DeliveryFile[]>([]);
const state = ref<'loading' | 'ready' | 'stopped' | 'failed'>('loading');
const message = ref('');
/** The text file that is shown in the list. */
const path = ref('');

type View = 'files' | 'fonts' | 'sheet' | 'running';
const VIEWS: { value: View; label: string }[] = [
  { value: 'files', label: say.files },
  { value: 'fonts', label: say.fonts },
  { value: 'sheet', label: say.styleSheet },
  { value: 'running', label: say.runningSite },
];
const view = ref<View>('files');

/** Files that say they may not be delivered. */
const forbidden = computed(() =>
  project.document ? forbiddenFiles(project.document, caseReadings.readings) : [],
);
/** The revision whose files are shown, as it is tried before it is offered. */
const tried = shallowRef<{ document: ProjectDocument; revision: number } | null>(null);
const isWhole = computed(() => (tried.value?.document.delivery.form ?? 'whole') === 'whole');
/** What comes out otherwise than the project has it; null until that is known. */
const faults = ref<number | null>(null);
const downloadLabel = computed(() =>
  faults.value ? say.downloadBundleOtherwise(count(faults.value, 'thing')) : say.downloadBundle,
);
/** While files are worked out anew, those before the last change are shown. */
const isBehind = computed(() => tried.value?.revision !== project.stored?.revision);
const total = computed(() => bytesOf(files.value));
const tooLarge = computed(() => bundleFault(total.value));

async function load(): Promise<void> {
  if (!project.stored) return;
  const { id, revision } = project.stored;
  if (state.value !== 'ready') state.value = 'loading';
  try {
    const plan = await api.delivery(id);
    if (project.stored?.revision !== revision) return;
    files.value = plan;
    tried.value = { document: project.stored.document, revision };
    state.value = 'ready';
  } catch (error) {
    if (project.stored?.revision !== revision) return;
    const stopped = error instanceof ApiError && error.problem.type?.endsWith(':stopped');
    state.value = stopped ? 'stopped' : 'failed';
    message.value = (error as Error).message;
  }
}

watch(() => project.stored?.revision, load, { immediate: true });

/** The style sheet as it is delivered now. */
const sheet = computed(() => {
  const file = files.value.find((one) => one.path === 'lettera.css');
  return file?.kind === 'text' ? file.content : '';
});
</script>

<template>
  <StageHeader :title="say.deliver">
    <template #views><ViewTabs v-model="view" :label="say.views" :views="VIEWS" /></template>
    <template #actions>
      <TokensFile />
    </template>
    {{ say.filesSiteCanUse }}
  </StageHeader>
  <template v-if="view === 'sheet' && project.document">
    <SheetChoices />
    <CodeView v-if="sheet" class="sheet" path="lettera.css" :code="sheet" />
  </template>
  <RunningSite v-else-if="view === 'running' && project.document" />
  <FontsView v-else-if="view === 'fonts' && project.document" :document="project.document" />
  <p v-else-if="state === 'failed'" class="refused" role="alert">
    {{ message }} <DoButton @click="load">{{ say.tryAgain }}</DoButton>
  </p>
  <p v-else-if="state === 'stopped'" class="loading line wrap" role="status">
    {{ say.makingFilesWasStopped }}
    <DoButton :label="say.goOnMakingThem" @click="load" />
  </p>
  <MakingLine v-else-if="state === 'loading'" class="loading">{{ say.workingOutFiles }}</MakingLine>
  <template v-else>
    <div class="line wrap take">
      <p v-if="tooLarge" role="alert" class="mark-text">{{ tooLarge }}</p>
      <DoButton
        v-else
        as="a"
        :href="urls.bundle(project.id)"
        :label="downloadLabel"
        first
        @click="deliveries.keep()"
      />
      <span
        >{{ count(files.length, 'file') }}, <b>{{ kilobytes(total) }}</b>
        {{ say.uncompressed }}</span
      >
      <DoButton
        as="a"
        class="project-file"
        :href="urls.projectFile(project.id)"
        :label="say.saveProject"
        :title="say.projectOneFileFaces"
      />
    </div>
    <MakingLine v-if="isBehind" class="notice small">
      {{ say.workingFilesOutAnew }}
    </MakingLine>
    <VerifiedLine
      v-if="tried && isWhole"
      :document="tried.document"
      :revision="tried.revision"
      @faults="faults = $event"
    />
    <p v-else-if="tried" class="notice small quiet">
      {{
        tried.document.delivery.form === 'tokens'
          ? say.facesTokensAloneSet
          : say.elementRulesAloneWant
      }}
    </p>
    <PagesTried v-if="tried && isWhole" :document="tried.document" :revision="tried.revision" />
    <SinceDelivered v-if="deliveries.made.length" :files="files" :made="deliveries.made" />
    <StandIns class="notice" />
    <p v-for="mark in forbidden" :key="mark.message" class="notice mark-text">
      {{ mark.message }} {{ mark.remedy }}
    </p>
    <FiguresTable>
      <thead>
        <tr>
          <th>{{ say.file }}</th>
          <th>{{ say.what }}</th>
          <th class="figure">{{ say.bytes }}</th>
        </tr>
      </thead>
      <tbody>
        <template v-for="file in files" :key="file.path">
          <tr>
            <td>
              <button
                v-if="file.kind === 'text'"
                type="button"
                class="plain read"
                :aria-expanded="file.path === path"
                @click="path = file.path === path ? '' : file.path"
              >
                {{ file.path }}
              </button>
              <template v-else>{{ file.path }}</template>
            </td>
            <td class="quiet">{{ file.purpose }}</td>
            <td class="figure">{{ file.bytes.toLocaleString('en') }}</td>
          </tr>
          <tr v-if="file.path === path && file.kind === 'text'">
            <td colspan="3" class="code"><CodeView :path="file.path" :code="file.content" /></td>
          </tr>
        </template>
      </tbody>
    </FiguresTable>
  </template>
</template>

<style scoped>
.sheet {
  margin: 0 var(--edge) 20px;
}
.notice {
  padding: 0 var(--edge) 8px;
}
.take,
.loading,
.refused {
  padding: 0 var(--edge) 14px;
}
.take {
  gap: 14px;
}
.project-file {
  margin-left: auto;
}
.refused {
  color: var(--mark);
}
table {
  width: calc(100% - 2 * var(--edge));
  margin: 0 var(--edge) 16px;
  table-layout: fixed;
}
th:nth-child(2) {
  width: 38%;
}
th:nth-child(3) {
  width: 64px;
}
td.code {
  padding: 0 0 10px;
}
td {
  height: 29px;
  font-size: var(--size-beside);
  padding: 2px 12px 2px 0;
  overflow-wrap: anywhere;
}
td.figure {
  padding-right: 0;
}
.read {
  min-height: 24px;
  font-size: var(--size-read);
  font-weight: 550;
  text-decoration: underline;
  text-decoration-color: var(--rule);
  text-underline-offset: 0.25em;
}
.read:hover,
.read[aria-expanded='true'] {
  color: var(--verdigris);
  text-decoration-color: currentcolor;
}
</style>
