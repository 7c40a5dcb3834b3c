<script setup lang="ts">
import { facesStage as say } from './words';
import TextField from '../../control/TextField.vue';
import PickOne from '../../control/PickOne.vue';
import { computed, defineAsyncComponent, nextTick, ref, watch } from 'vue';
import DoButton from '../../control/DoButton.vue';
import ChoiceSet from '../../control/ChoiceSet.vue';
import FoldAway from '../../control/FoldAway.vue';
import ToolRow from '../../control/ToolRow.vue';
import ViewTabs from '../../control/ViewTabs.vue';
import { count } from '../../control/figures';
import { useKeys } from '../../control/keys';
import { useFamilies } from '../../store/families';
import { useLibrary } from '../../store/library';
import { useLineUp } from '../../store/lineUp';
import { useProject } from '../../store/project';
import { SAMPLES, useSamples } from '../../store/samples';
import { useUpload } from '../../store/upload';
import StageHeader from '../StageHeader.vue';
import { LANGUAGES, SCRIPTS, scriptOf, scriptOfTag } from '@lettera/core/script';
import { filterRows, isOnlyNear, phrasesOf } from '../../store/rows/filter';
import FilterSentence from './FilterSentence.vue';
import { FILTER_PARTS } from './filterParts';
import FoundryAsk from '../families/FoundryAsk.vue';
import WaysToBegin from './WaysToBegin.vue';
import { LATIN, rowsInScript, type LineUpRow } from '../../store/rows/rows';
import LineUpList from './LineUpList.vue';
import MeasuringLine from '../MeasuringLine.vue';
import { measureOf } from '../../store/rows/measures';
import { sortRows, type SortKey } from '../../store/rows/sort';

// What is not there at first is loaded when it is asked for.
const FaceMap = defineAsyncComponent(() => import('./FaceMap.vue'));
const ReferenceForm = defineAsyncComponent(() => import('../families/ReferenceForm.vue'));

const project = useProject();
const library = useLibrary();
const lineUp = useLineUp();
const upload = useUpload();
const families = useFamilies();
const { words, texts } = useSamples();

const files = ref<HTMLInputElement | null>(null);
const list = ref<InstanceType<typeof LineUpList> | null>(null);
const sentence = ref<InstanceType<typeof FilterSentence> | null>(null);
const referring = ref(false);

interface Column {
  key: SortKey;
  label: string;
  means: string;
  figure?: boolean;
}

const script = computed(() => scriptOf(lineUp.settings.script));
const X_HEIGHT = measureOf('xHeight').short.toLowerCase();
/** What carries the eye along a line of the script: x-height, tooth height, ideographic face. */
const height = computed(() => script.value?.body?.called ?? X_HEIGHT);
const heightShort = computed(() => (height.value === X_HEIGHT ? X_HEIGHT : say.height));
const columns = computed<Column[]>(() => [
  { key: 'name', label: say.family, means: say.byName },
  ...(['xHeight', 'width', 'contrast'] as const).map((key) => ({
    key,
    label: key === 'xHeight' ? heightShort.value : measureOf(key).short.toLowerCase(),
    means:
      key === 'xHeight' && height.value !== X_HEIGHT
        ? say.heightOf(height.value)
        : measureOf(key).means,
    figure: true,
  })),
  { key: 'weights', label: say.weights, means: say.weightsOnOfferOn },
  { key: 'italic', label: say.italic, means: say.drawnAsItalicSloped },
  {
    key: 'languages',
    label: say.lang,
    means: say.languagesEveryLetter(LANGUAGES.length),
    figure: true,
  },
  { key: 'bytes', label: 'KB', means: say.bytesRegularLatin, figure: true },
]);

const GROUNDS = [
  { value: 'room', label: say.sheet },
  { value: 'light', label: say.light },
  { value: 'dark', label: say.dark },
] as const;
const equal = computed(() => [
  { value: 'size' as const, label: say.equalSize },
  { value: 'xHeight' as const, label: say.equalHeight(heightShort.value) },
]);
const VIEWS = [
  { value: 'rows', label: say.lineUp },
  { value: 'map', label: say.map },
] as const;

/** Sizes to be set at, and the one that is, px. */
const SIZES = [12, 14, 16, 18, 20, 24, 30, 36, 48, 64, 96];
const sizes = computed(() =>
  [...new Set([...SIZES, lineUp.size])]
    .sort((a, b) => a - b)
    .map((value) => ({ value, label: `${value} px` })),
);

const rows = computed<LineUpRow[]>(() =>
  rowsInScript(families.rows, lineUp.settings.script, families.use),
);
/** Scripts that some family has the letters of, those of the site's languages first. */
const scripts = computed(() => {
  const site = new Set(
    (project.document?.languages ?? []).flatMap((tag) => scriptOfTag(tag)?.key ?? []),
  );
  const offered = new Set(families.rows.flatMap((row) => [row.drawnFor, ...row.scripts]));
  const rank = (key: string) => (key === LATIN ? 0 : site.has(key) ? 1 : 2);
  return SCRIPTS.filter(({ key, body }) => body && (key === LATIN || offered.has(key)))
    .map(({ key, name }) => ({ value: key, label: name }))
    .sort((a, b) => rank(a.value) - rank(b.value));
});
/** Nothing to line up yet, and nothing on its way: what is offered is how to begin. */
const beginning = computed(() => rows.value.length === 0 && !project.stored?.foundry);
/** Narrowing is for a list that is longer than one looks at. */
const FEW = 3;
const narrowable = computed(
  () => rows.value.length > FEW || phrasesOf(lineUp.settings.filter).length > 0,
);

const places = computed(() => ({
  shortlist: project.document?.shortlist ?? [],
  recent: lineUp.recent,
}));
const shown = computed(() =>
  sortRows(
    filterRows(rows.value, lineUp.settings.filter, places.value),
    lineUp.settings.sort,
    lineUp.settings.direction,
  ),
);
const onlyNear = computed(() => isOnlyNear(rows.value, lineUp.settings.filter));
const recentRows = computed(() =>
  lineUp.recent.flatMap((key) => rows.value.find((row) => row.key === key) ?? []).slice(0, 6),
);
/** Words and copy are in the site's own language: of another script its running text is set, or words of its own. */
const text = computed(() => {
  const { sample, words: typed } = lineUp.settings;
  const { key, has, sentence: running } = script.value ?? {};
  const own = (sample === 'words' && key ? typed[key] : undefined) ?? texts.value[sample];
  return key === LATIN || !has || has.test(own) ? own : (running ?? own);
});
/** What the field of words holds. */
const written = computed(() => (lineUp.settings.script === LATIN ? words.value : text.value));

function setWords(event: Event): void {
  const value = (event.target as HTMLInputElement).value.trim();
  const { script: key, words: typed } = lineUp.settings;
  if (key !== LATIN) {
    lineUp.settings.words = { ...typed, [key]: value.slice(0, 400) };
    return;
  }
  if (!value || value === words.value) return;
  lineUp.settings.sample = 'words';
  project.change([{ op: 'replace', path: '/words', value: value.slice(0, 400) }]);
}

function sortBy(key: SortKey): void {
  const { settings } = lineUp;
  settings.direction = settings.sort === key && settings.direction === 1 ? -1 : 1;
  settings.sort = key;
}

function pickFiles(event: Event): void {
  const input = event.target as HTMLInputElement;
  void upload.take([...(input.files ?? [])]);
  input.value = '';
}

/** Shows a family in the rows, opened, letting go of a filter that would hide it. */
async function show(key: string | null): Promise<void> {
  if (!key) return;
  lineUp.wanted = null;
  lineUp.settings.view = 'rows';
  const wanted = families.byKey.get(key);
  if (wanted && !rows.value.some((row) => row.key === key))
    lineUp.settings.script = wanted.drawnFor;
  if (!shown.value.some((row) => row.key === key)) lineUp.clearFilter();
  await nextTick();
  list.value?.show(key);
}

// Wanted from another stage, a family may be there only once the library has been fetched.
watch(
  [() => lineUp.wanted, rows],
  () => {
    if (families.rows.some(({ key }) => key === lineUp.wanted)) void show(lineUp.wanted);
  },
  { immediate: true, flush: 'post' },
);

/** The family before or after the one that is open. */
function step(by: 1 | -1): void {
  const at = shown.value.findIndex(({ key }) => key === lineUp.open);
  const next = shown.value[at + by];
  if (next) list.value?.show(next.key);
}
useKeys(say.inFaces, [
  {
    keys: 'k',
    does: say.putRowOnShortlist,
    run: ({ target }) => {
      const row = (target as Element | null)?.closest?.<HTMLElement>('[data-row]');
      const key = row?.dataset['row'] ?? lineUp.open;
      if (key) lineUp.toggleShortlist(key);
    },
  },
  { keys: '[', does: say.familyBefore, run: () => step(-1) },
  { keys: ']', does: say.familyAfter, run: () => step(1) },
]);

watch(
  () => project.stored?.foundry,
  (allowed) => {
    if (allowed && library.state === 'idle') void library.load();
  },
  { immediate: true },
);
</script>

<template>
  <StageHeader :title="say.faces">
    {{ say.setYourOwnWords }}
    <template #views>
      <ViewTabs
        v-if="!beginning"
        v-model="lineUp.settings.view"
        :label="say.views"
        :views="VIEWS"
      />
    </template>
    <template v-if="!beginning" #actions>
      <FoldAway :label="say.setting">
        <div class="setting">
          <span>{{ say.setAt }}</span>
          <ChoiceSet v-model="lineUp.settings.equal" :label="say.setAt" :choices="equal" />
          <span>{{ say.background }}</span>
          <ChoiceSet v-model="lineUp.settings.ground" :label="say.background" :choices="GROUNDS" />
        </div>
        <div><DoButton :label="say.resetWordsSizeBackground" @click="lineUp.reset()" /></div>
      </FoldAway>
      <FoldAway v-if="!project.stored?.foundry" v-slot="{ close }" :label="say.foundrysFamilies">
        <FoundryAsk @allowed="close" />
      </FoldAway>
      <FoldAway v-slot="{ close }" :label="say.addFonts">
        <p class="line spread">
          {{ say.fontFilesYourOwn }}
          <DoButton :label="say.chooseFontFiles" @click="(close(), files?.click())" />
        </p>
        <p class="line spread">
          {{ say.familyLicenceKeepsElsewhere }}
          <DoButton :label="say.referFamily" @click="(close(), (referring = true))" />
        </p>
        <div v-if="project.stored?.foundry" class="allowed">
          <p class="small quiet">
            {{
              say.foundryWasAllowedBy(
                project.stored.foundry.allowedBy,
                new Date(project.stored.foundry.allowedAt).toLocaleDateString('en-GB', {
                  dateStyle: 'long',
                }),
              )
            }}
          </p>
          <DoButton :label="say.withdraw" @click="(close(), library.withdraw())" />
        </div>
      </FoldAway>
    </template>
  </StageHeader>
  <input
    ref="files"
    type="file"
    multiple
    accept=".ttf,.otf,.ttc,.otc,.woff,.woff2"
    class="visually-hidden"
    tabindex="-1"
    :aria-label="say.fontFiles"
    @change="pickFiles"
  />
  <ReferenceForm v-if="referring" :rows="rows" @done="referring = false" />
  <WaysToBegin v-if="beginning" @bring="files?.click()" @refer="referring = true" />
  <template v-else>
    <ToolRow>
      <PickOne v-model="lineUp.settings.sample" :choices="SAMPLES" :label="say.whatSet" />
      <TextField
        v-if="lineUp.settings.sample === 'words'"
        class="words"
        :model-value="written"
        dir="auto"
        maxlength="400"
        :aria-label="say.wordsSetEveryFamily"
        :title="say.yourOwnWordsSet"
        @change="setWords"
      />
      <template #least>
        <template v-if="scripts.length > 1">
          <span class="quiet">{{ say.in }}</span>
          <PickOne v-model="lineUp.settings.script" :choices="scripts" :label="say.script" />
        </template>
        <span class="quiet">{{ say.at }}</span>
        <PickOne v-model="lineUp.size" :choices="sizes" :label="say.sizeWhatSet" />
      </template>
      <template #end>
        <MeasuringLine />
        <span v-if="library.measuring.state !== 'measuring'" class="quiet found" role="status">{{
          shown.length === rows.length
            ? count(rows.length, 'family')
            : say.countOf(shown.length, count(rows.length, 'family'))
        }}</span>
        <TextField
          v-if="narrowable"
          :model-value="lineUp.settings.filter.name"
          :placeholder="say.find"
          :aria-label="say.findFamilyByName"
          class="find"
          @update:model-value="
            lineUp.settings.filter = { ...lineUp.settings.filter, name: $event ?? '' }
          "
        />
        <FoldAway
          v-if="narrowable"
          v-slot="{ close }"
          :label="say.filter"
          :changed="phrasesOf(lineUp.settings.filter).length"
        >
          <div class="line wrap parts">
            <DoButton
              v-for="{ part, label } in FILTER_PARTS"
              :key="part"
              :label="label"
              @click="(close(), sentence?.edit(part))"
            />
          </div>
          <template v-if="recentRows.length">
            <h3>{{ say.lookedAtLately }}</h3>
            <div class="line wrap parts">
              <DoButton
                v-for="row in recentRows"
                :key="row.key"
                @click="(close(), lineUp.show(row.key))"
              >
                <bdi>{{ row.name }}</bdi>
              </DoButton>
            </div>
          </template>
        </FoldAway>
      </template>
    </ToolRow>
    <FilterSentence ref="sentence" :rows="rows" />
    <p v-if="library.state === 'failed'" class="failed" role="alert">
      {{ library.message }}
      <DoButton :label="say.tryAgain" @click="library.load()" />
    </p>
    <FaceMap v-if="lineUp.settings.view === 'map'" :rows="rows" :shown="shown" />
    <template v-else>
      <div class="columns line-up-columns" role="group" :aria-label="say.sortBy">
        <button
          v-for="column in columns"
          :key="column.key"
          type="button"
          class="plain small"
          :class="{ figure: column.figure }"
          :aria-pressed="lineUp.settings.sort === column.key"
          :title="column.means"
          @click="sortBy(column.key)"
        >
          {{ column.label
          }}<span v-if="lineUp.settings.sort === column.key" class="sorted" aria-hidden="true">{{
            lineUp.settings.direction === 1 ? '↓' : '↑'
          }}</span>
        </button>
      </div>
      <p v-if="library.state === 'loading'" class="empty quiet" role="status">
        {{ say.fetchingFoundrysList }}
      </p>
      <p v-else-if="rows.length === 0" class="empty">
        {{ say.caseEmptyFoundryListed }}
        <DoButton :label="say.chooseFontFiles" first @click="files?.click()" />
      </p>
      <p v-else-if="shown.length === 0" class="empty">
        {{ say.noFamilyLike }}
        <DoButton :label="say.clearFilter" first @click="lineUp.clearFilter()" />
      </p>
      <p v-else-if="onlyNear" class="empty quiet" role="status">
        {{ say.noNameHas(lineUp.settings.filter.name.trim()) }}
      </p>
      <LineUpList ref="list" :rows="shown" :all="rows" :words="text" />
    </template>
  </template>
</template>

<style scoped>
.find {
  width: 72px;
}
.words {
  width: 230px;
}
.tool-row > .words {
  flex: 0 1 230px;
  min-width: 90px;
}
@container (max-width: 500px) {
  .found {
    display: none;
  }
}
.allowed {
  display: grid;
  gap: 6px;
  justify-items: start;
  max-width: 320px;
}
.parts {
  gap: 6px;
  max-width: 320px;
}
.setting {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 8px 12px;
  align-items: center;
}
.columns {
  position: sticky;
  top: 0;
  z-index: 2;
  display: grid;
  padding: 0 var(--edge) 2px;
  background: var(--sheet);
  border-bottom: 1px solid var(--rule);
}
.columns button {
  min-height: 24px;
  color: var(--ink-2);
  white-space: nowrap;
}
.columns button:hover {
  color: var(--ink);
}
.columns button.figure {
  text-align: right;
}
.columns button[aria-pressed='true'] {
  color: var(--ink);
  font-weight: 550;
}
.sorted {
  margin-left: 3px;
}
.empty,
.failed {
  padding: 16px var(--edge);
}
</style>
