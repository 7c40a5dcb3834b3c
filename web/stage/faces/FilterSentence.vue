<script setup lang="ts">
import { filterSentence as say } from './words';
import { FACE_CLASSES } from '@lettera/core/document';
import { PART_NAMES, TEXT_PARTS } from '@lettera/core/measure';
import { languageOf } from '@lettera/core/script';
import PickOne from '../../control/PickOne.vue';
import { computed, nextTick, ref } from 'vue';
import DoButton from '../../control/DoButton.vue';
import ChoiceSet from '../../control/ChoiceSet.vue';
import NumberField from '../../control/NumberField.vue';
import OnOffSet from '../../control/OnOffSet.vue';
import LanguagePick from '../../proof/panel/LanguagePick.vue';
import { useLineUp } from '../../store/lineUp';
import { useProject } from '../../store/project';
import {
  FROM_WORDS,
  phrasesOf,
  withoutPart,
  type FilterPart,
  type LineUpFilter,
} from '../../store/rows/filter';
import type { LineUpRow } from '../../store/rows/rows';
import type { FilterPartAsked } from './filterParts';
import { MEASURES, measureOf, type MeasureKey } from '../../store/rows/measures';

/**
 * The line-up's filter as a sentence, while there is one: each part that is set is a phrase that opens to be
 * changed. A part that is not is added from the menu.
 */
const props = defineProps<{ rows: readonly LineUpRow[] }>();

const lineUp = useLineUp();
const project = useProject();
const editing = ref<FilterPartAsked | null>(null);
const editor = ref<HTMLElement | null>(null);

const filter = computed(() => lineUp.settings.filter);
const set = (change: Partial<LineUpFilter>): void => {
  lineUp.settings.filter = { ...filter.value, ...change };
};

const phrases = computed(() => phrasesOf(filter.value).filter(({ part }) => part !== 'name'));

const same = <T extends string | number>(values: readonly T[]) =>
  values.map((value) => ({ value, label: String(value) }));
const CLASSES = same(FACE_CLASSES);
const WEIGHTS = same([100, 200, 300, 400, 500, 600, 700, 800, 900]);
const FIGURES = same(['tabular', 'proportional', 'lining', 'old-style'] as const);
const ITALICS = [
  { value: 'any', label: say.withOrWithout },
  { value: 'italic', label: say.anyItalic },
  { value: 'drawn', label: say.trueOne },
] as const;
const FITS = [
  { value: 'any' as const, label: say.any },
  ...TEXT_PARTS.map((part) => ({ value: part, label: PART_NAMES[part] })),
];
const FROM = Object.entries(FROM_WORDS).map(([value, label]) => ({
  value: value as LineUpFilter['from'],
  label,
}));

/** Those of the site; any other is added by its name. */
const languages = computed(() =>
  (project.document?.languages ?? [])
    .flatMap((tag) => languageOf(tag) ?? [])
    .map(({ tag, name }) => ({ value: tag, label: name })),
);
const scripts = computed(() =>
  same([...new Set(props.rows.flatMap(({ scripts: names }) => names))].sort()),
);

const measure = computed<MeasureKey | null>(() =>
  editing.value?.startsWith('range:') ? (editing.value.slice(6) as MeasureKey) : null,
);
const measureChoices = MEASURES.map(({ key, name }) => ({ value: key, label: name }));

/** From the least to the most that any family measures. */
function boundsOf(key: MeasureKey): [number, number] {
  const { value, places } = measureOf(key);
  const values = props.rows.flatMap(({ measures }) => {
    const one = measures ? value(measures) : null;
    return one === null ? [] : [one];
  });
  const to = 10 ** places;
  return values.length === 0
    ? [0, 1]
    : [Math.floor(Math.min(...values) * to) / to, Math.ceil(Math.max(...values) * to) / to];
}
const bounds = computed(() => (measure.value ? boundsOf(measure.value) : [0, 1]));
const range = computed(() =>
  measure.value ? (filter.value.ranges[measure.value] ?? bounds.value) : [0, 1],
);

function setRange(end: 0 | 1, value: number): void {
  if (!measure.value) return;
  const ends: [number, number] = [range.value[0] ?? 0, range.value[1] ?? 0];
  ends[end] = value;
  set({ ranges: { ...filter.value.ranges, [measure.value]: ends.sort((a, b) => a - b) } });
}

async function edit(part: FilterPartAsked): Promise<void> {
  editing.value = editing.value === part ? null : part;
  await nextTick();
  editor.value?.querySelector<HTMLElement>('button, input, [tabindex="0"]')?.focus();
}

function drop(part: FilterPart): void {
  lineUp.settings.filter = withoutPart(filter.value, part);
  if (editing.value === part) editing.value = null;
}

defineExpose({ edit });
</script>

<template>
  <div v-if="phrases.length || editing" class="filter">
    <div v-if="phrases.length" class="sentence">
      <span class="quiet">{{ say.only }}</span>
      <span v-for="phrase in phrases" :key="phrase.part" class="phrase">
        <DoButton :aria-expanded="editing === phrase.part" @click="edit(phrase.part)">{{
          phrase.text
        }}</DoButton><DoButton
          bare
          :aria-label="say.remove(phrase.text)"
          :title="say.removeText(phrase.text)"
          @click="drop(phrase.part)"
          >×</DoButton
        >
      </span>
      <DoButton bare :label="say.clearFilter" @click="(lineUp.clearFilter(), (editing = null))" />
    </div>
    <div v-if="editing" ref="editor" class="editor line wrap" @keydown.esc.stop="editing = null">
      <OnOffSet
        v-if="editing === 'classes'"
        :label="say.class"
        :choices="CLASSES"
        :model-value="filter.classes"
        @update:model-value="set({ classes: $event })"
      />
      <OnOffSet
        v-else-if="editing === 'weights'"
        :label="say.weightsNeeded"
        :choices="WEIGHTS"
        :model-value="filter.weights"
        @update:model-value="set({ weights: [...$event].sort((a, b) => a - b) })"
      />
      <ChoiceSet
        v-else-if="editing === 'italic'"
        :label="say.italic"
        :choices="ITALICS"
        :model-value="filter.italic"
        @update:model-value="set({ italic: $event })"
      />
      <template v-else-if="editing === 'languages'">
        <OnOffSet
          :label="say.languages"
          :choices="languages"
          :model-value="filter.languages"
          @update:model-value="set({ languages: $event })"
        />
        <LanguagePick
          :model-value="filter.languages"
          @update:model-value="set({ languages: $event })"
        />
      </template>
      <OnOffSet
        v-else-if="editing === 'scripts'"
        :label="say.scriptsFilesTheirOwn"
        :choices="scripts"
        :model-value="filter.scripts"
        @update:model-value="set({ scripts: $event })"
      />
      <OnOffSet
        v-else-if="editing === 'figures'"
        :label="say.figures"
        :choices="FIGURES"
        :model-value="filter.figures"
        @update:model-value="set({ figures: $event })"
      />
      <ChoiceSet
        v-else-if="editing === 'fit'"
        :label="say.fitness"
        :choices="FITS"
        :model-value="filter.fit"
        @update:model-value="set({ fit: $event })"
      />
      <ChoiceSet
        v-else-if="editing === 'from'"
        :label="say.whereFrom"
        :choices="FROM"
        :model-value="filter.from"
        @update:model-value="set({ from: $event })"
      />
      <NumberField
        v-else-if="editing === 'mostBytes'"
        :label="say.atMostKbFace"
        :model-value="filter.mostBytes === null ? null : filter.mostBytes / 1000"
        :min="1"
        :max="5000"
        :step="5"
        @update:model-value="set({ mostBytes: $event * 1000 })"
      />
      <PickOne
        v-else-if="editing === 'measure'"
        :model-value="undefined"
        :choices="measureChoices"
        :placeholder="say.chooseMeasure"
        :label="say.measureFilterBy"
        @update:model-value="edit(`range:${$event}`)"
      />
      <template v-else-if="measure">
        <span>{{ measureOf(measure).name }}</span>
        <NumberField
          :label="say.from"
          :model-value="range[0] ?? 0"
          :min="bounds[0] ?? 0"
          :max="bounds[1] ?? 1"
          :step="10 ** -measureOf(measure).places"
          @update:model-value="setRange(0, $event)"
        />
        <NumberField
          :label="say.to"
          :model-value="range[1] ?? 1"
          :min="bounds[0] ?? 0"
          :max="bounds[1] ?? 1"
          :step="10 ** -measureOf(measure).places"
          @update:model-value="setRange(1, $event)"
        />
        <span class="small quiet">{{ measureOf(measure).means }}</span>
      </template>
      <DoButton @click="editing = null">{{ say.done }}</DoButton>
    </div>
  </div>
</template>

<style scoped>
.filter {
  display: grid;
  gap: 8px;
  padding: 0 var(--edge) 10px;
}
.sentence {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
}
.phrase {
  display: inline-flex;
}
.editor {
  gap: 4px 12px;
  max-height: 132px;
  padding: 2px 0 2px 12px;
  overflow: auto;
  border-left: 3px solid var(--verdigris);
}
</style>
