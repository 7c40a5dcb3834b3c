<script setup lang="ts">
import { fromSizes as say } from './words';
import type { ProjectDocument } from '@lettera/core/document';
import {
  ENDS,
  foundScalePatch,
  intervalOf,
  offAt,
  stepName,
  type End,
  type FoundStep,
} from '@lettera/core/scale';
import { computed } from 'vue';
import DoButton from '../../control/DoButton.vue';
import FiguresTable from '../../control/FiguresTable.vue';
import OnOff from '../../control/OnOff.vue';
import TextArea from '../../control/TextArea.vue';
import ChoiceSet from '../../control/ChoiceSet.vue';
import { plainNumber } from '../../control/figures';
import { useLengthUnit } from '../../control/lengthUnit';
import { useScaleDraft } from '../../store/scaleDraft';
import { useSizeSearch } from '../../store/sizeSearch';
import { END_NAMES } from './scaleView';

/** A scale from sizes that are there: which comes closest, and what each size would move by. */
const props = defineProps<{ document: ProjectDocument }>();

const draft = useScaleDraft();
const search = useSizeSearch();
const lengths = useLengthUnit();

/** A size that moves by less is taken for the same. */
const SAME = 0.05;

const found = computed(() => search.result?.found ?? null);
const ends = computed<End[]>(() => ENDS.filter((end) => found.value?.ends[end]));

/** The lowest and the highest step that styles name. */
const needed = computed<[number, number]>(() => {
  const numbers = Object.values(props.document.styles).flatMap(({ set }) => set.step ?? []);
  return [Math.min(0, ...numbers), Math.max(0, ...numbers)];
});
const patch = computed(() =>
  found.value && draft.scale
    ? foundScalePatch(draft.scale, found.value, search.keep, needed.value)
    : [],
);

/** Sizes that may be the base: those that text is set in, and what is the base now. */
const TEXT = [12, 28] as const;
const leadingEnd = computed<End>(() => (ends.value.includes('large') ? 'large' : 'small'));
const bases = computed(() =>
  (found.value?.steps ?? []).flatMap(({ number, given }) => {
    const size = given[leadingEnd.value] ?? 0;
    return number === 0 || (size >= TEXT[0] && size <= TEXT[1])
      ? [{ value: size, label: lengths.show(size) }]
      : [];
  }),
);
const base = computed({
  get: () => found.value?.ends[leadingEnd.value]?.base ?? 0,
  set: (size) => (search.base = size),
});

const moves = (step: FoundStep): boolean => ends.value.some((end) => offAt(step, end) > SAME);
const odd = computed(() => (found.value?.steps ?? []).filter(moves).map(({ number }) => number));
const moveText = (step: FoundStep, end: End): string => {
  const by = (step.found[end] ?? 0) - (step.given[end] ?? 0);
  return Math.abs(by) <= SAME ? say.stays : `${by > 0 ? '+' : '−'}${lengths.show(Math.abs(by))}`;
};

function toggle(number: number): void {
  search.keep = search.keep.includes(number)
    ? search.keep.filter((one) => one !== number)
    : [...search.keep, number];
}

function ratioText(end: End): string {
  const fit = found.value?.ends[end];
  if (!fit) return '';
  const interval = intervalOf(fit.ratio);
  const name = interval ? `, a ${interval.name}` : '';
  return say.atPx(
    lengths.show(fit.base),
    plainNumber(fit.ratio),
    name,
    props.document.scale[end].width,
  );
}
const ROUNDED = {
  none: say.sizesAsTheyFall,
  half: say.onHalfPixels,
  whole: say.onWholePixels,
  even: say.onEvenPixels,
};
</script>

<template>
  <p>
    {{ say.giveSizesSiteAs }}
  </p>
  <div class="given">
    <label v-for="end in ['large', 'small'] as const" :key="end">
      {{ say.sizesAt(END_NAMES[end], end === 'small' ? say.ifTheyDiffer : '') }}
      <TextArea
        v-model="search.texts[end]"
        rows="3"
        spellcheck="false"
        :placeholder="end === 'large' ? say.pxPxRemPx : ''"
      />
    </label>
  </div>
  <div v-if="search.result" aria-live="polite">
    <p v-if="search.result.problem" class="mark-text">{{ search.result.problem }}</p>
    <details
      v-if="search.result.refused.length"
      class="small"
      :open="search.result.refused.length < 4"
    >
      <summary>{{ say.notUsed(search.result.refused.length) }}</summary>
      <ul>
        <li v-for="piece in search.result.refused" :key="piece.text">
          “{{ piece.text }}” {{ piece.why }}.
        </li>
      </ul>
    </details>
  </div>
  <template v-if="found">
    <p class="result">
      <b v-for="end in ends" :key="end">{{ ratioText(end) }}; </b>
      <b>{{ ROUNDED[found.rounding] }}.</b> {{ say.sizesMoveByOn(lengths.show(found.meanOff)) }}
      <span v-if="ends.length === 1">{{
        say.staysAs(END_NAMES[ends[0] === 'large' ? 'small' : 'large'])
      }}</span>
    </p>
    <p class="line wrap">
      {{ say.base }}
      <ChoiceSet v-model="base" :label="say.baseHead" :choices="bases" />
    </p>
    <p class="line wrap">
      <DoButton
        :label="say.useScale"
        @mouseenter="draft.look(patch)"
        @mouseleave="draft.look(null)"
        @focus="draft.look(patch)"
        @blur="draft.look(null)"
        @click="draft.change(patch)"
        first
      />
      <DoButton v-if="odd.length" @click="search.keep = odd">
        {{ say.keepAsGiven(odd.length === 1 ? say.oddOne : say.allOddOnes(odd.length)) }}
      </DoButton>
      <DoButton v-if="search.keep.length" @click="search.keep = []"> {{ say.keepNone }} </DoButton>
    </p>
    <FiguresTable>
      <thead>
        <tr>
          <th>{{ say.step }}</th>
          <template v-for="end in ends" :key="end">
            <th class="figure">{{ say.givenAt(document.scale[end].width) }}</th>
            <th class="figure">{{ say.wouldBe }}</th>
            <th class="figure">{{ say.movesBy }}</th>
          </template>
          <th>{{ say.keepShort }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="step in [...found.steps].reverse()" :key="step.number">
          <td>{{ stepName(document.scale, step.number) }}</td>
          <template v-for="end in ends" :key="end">
            <td class="figure">{{ lengths.show(step.given[end] ?? 0) }}</td>
            <td class="figure">{{ lengths.show(step.found[end] ?? 0) }}</td>
            <td class="figure" :class="{ moves: offAt(step, end) > SAME }">
              {{ search.keep.includes(step.number) ? say.kept : moveText(step, end) }}
            </td>
          </template>
          <td>
            <OnOff
              v-if="moves(step)"
              :label="say.keep"
              :model-value="search.keep.includes(step.number)"
              :aria-label="say.keepAsGivenStepName(stepName(document.scale, step.number))"
              @update:model-value="toggle(step.number)"
            />
          </td>
        </tr>
      </tbody>
    </FiguresTable>
  </template>
  <p v-else-if="search.searching" class="quiet" role="status">{{ say.lookingScale }}</p>
</template>

<style scoped>
.given {
  display: grid;
  grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr);
  gap: 12px;
  margin: 8px 0;
}
:deep(textarea) {
  display: block;
  width: 100%;
  margin-top: 3px;
  resize: vertical;
}
.result {
  margin: 8px 0;
}
b {
  font-weight: 650;
}
.moves {
  font-weight: 650;
}
input {
  width: 16px;
  height: 16px;
  margin: 4px;
  accent-color: var(--verdigris);
}
table {
  margin-top: 8px;
}
summary {
  min-height: 24px;
  cursor: pointer;
}
</style>
