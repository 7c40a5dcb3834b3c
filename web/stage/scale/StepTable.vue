<script setup lang="ts">
import { stepTable as say } from './words';
import { SCALE_BOUNDS, type Patch, type ProjectDocument, type Scale } from '@lettera/core/document';
import {
  ENDS,
  giveBackPatch,
  setByHandPatch,
  stepCss,
  stepsOf,
  type End,
  type Step,
} from '@lettera/core/scale';
import { sizeInViewport } from '@lettera/core/style';
import { computed } from 'vue';
import DoButton from '../../control/DoButton.vue';
import FiguresTable from '../../control/FiguresTable.vue';
import NumberField from '../../control/NumberField.vue';
import { useLengthUnit } from '../../control/lengthUnit';
import { useProof } from '../../store/proof';
import { useScaleDraft } from '../../store/scaleDraft';
import { END_NAMES, stepUsers } from './scaleView';
import StepName from './StepName.vue';
import StepSettings from './StepSettings.vue';

/** What each step is at both ends and at the proof's width, and what uses it. */
const props = defineProps<{ document: ProjectDocument }>();

const draft = useScaleDraft();
const proof = useProof();
const lengths = useLengthUnit();

const scale = computed<Scale>(() => props.document.scale);
const steps = computed(() => stepsOf(scale.value).toReversed());
const users = computed(() => stepUsers(props.document));
const isOwn = computed(() => scale.value.names?.scheme === 'own');
const widthWord = computed(() => (scale.value.between === 'container' ? say.inUnit : say.atWidth));

function setSize(number: number, end: End, size: number): void {
  draft.change(setByHandPatch(scale.value, number, end, size));
}
function giveBack(number: number, end: End): void {
  draft.change(giveBackPatch(scale.value, number, end));
}

const setAdded = (added: number[]): Patch => [{ op: 'add', path: '/scale/added', value: added }];

/** The step half-way between this one and the next, unless it is there. */
const between = ({ number }: Step): number | null => {
  const next = Math.floor(number) + 0.5;
  const there = scale.value.added?.includes(next) || !Number.isInteger(number);
  return there || number >= scale.value.up ? null : next;
};
const add = (number: number): boolean =>
  draft.change(setAdded([...(scale.value.added ?? []), number].sort((a, b) => a - b)));

function takeOut(number: number): void {
  const override = scale.value.overrides[String(number)];
  draft.change([
    ...setAdded((scale.value.added ?? []).filter((one) => one !== number)),
    ...(override ? [{ op: 'remove' as const, path: `/scale/overrides/${number}` }] : []),
  ]);
}

const cssOf = (step: Step): string => {
  const { value, from } = stepCss(scale.value, step);
  return from ? say.then(value, from) : value;
};
</script>

<template>
  <StepSettings :scale="scale" />
  <FiguresTable>
    <thead>
      <tr>
        <th>{{ say.step }}</th>
        <th v-for="end in ENDS" :key="end" class="figure">
          {{ widthWord }} {{ scale[end].width }}
        </th>
        <th class="figure">{{ say.proof(proof.width) }}</th>
        <th>{{ say.usedBy }}</th>
        <th>
          <span class="visually-hidden">{{ say.addOrRemove }}</span>
        </th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="step in steps" :key="step.number" :data-step="step.number">
        <td class="name" :title="cssOf(step)">
          <StepName v-if="isOwn" :scale="scale" :step="step" />
          <template v-else>{{ step.name }}</template>
        </td>
        <td v-for="end in ENDS" :key="end" class="figure">
          <NumberField
            :label="say.stepAtEnd(step.name, END_NAMES[end])"
            hide-label
            :class="{ hand: step.setByHand[end] }"
            :title="step.setByHand[end] ? say.setByHandDouble : say.fromBaseRatio"
            :model-value="Number(step[end].toFixed(2))"
            :min="SCALE_BOUNDS.size[0]"
            :max="SCALE_BOUNDS.size[1]"
            :step="1"
            unit="size"
            width="60px"
            @update:model-value="setSize(step.number, end, $event)"
            @reset="giveBack(step.number, end)"
          />
        </td>
        <td class="figure">
          {{ lengths.show(sizeInViewport(document, step.number, proof.width)) }}
        </td>
        <td class="small quiet users" :title="users.get(step.number)?.join(', ')">
          {{ users.get(step.number)?.join(', ') ?? say.noStyle }}
        </td>
        <td class="figure">
          <DoButton
            v-if="!Number.isInteger(step.number)"
            class="on-point"
            :label="say.remove"
            :aria-label="say.removeName(step.name)"
            @click="takeOut(step.number)"
          />
          <DoButton
            v-else-if="between(step) !== null"
            class="on-point"
            :label="say.addAbove"
            :aria-label="say.addAboveName(step.name)"
            :title="say.addStepBetweenNext(step.name)"
            @click="add(between(step) ?? 0)"
          />
        </td>
      </tr>
    </tbody>
  </FiguresTable>
  <p class="small quiet">
    {{ say.deliveredRem(steps.find(({ number }) => number === 0)?.name ?? '') }}
    <code>{{ cssOf(steps.find(({ number }) => number === 0) ?? steps[0]!) }}</code>.
  </p>
</template>

<style scoped>
table {
  margin: 8px 0;
  table-layout: fixed;
}
th:first-child {
  width: 96px;
}
th:last-child {
  width: 68px;
}
td:last-child {
  padding-right: 0;
}
th.figure {
  width: 92px;
}
td {
  padding-top: 2px;
  padding-bottom: 2px;
}
.name {
  font-weight: 550;
}
.name :deep(input) {
  width: 88px;
}
.users {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
/* In a narrow workbench the chart tells alone which steps are in use. */
@container (max-width: 520px) {
  th:nth-child(5),
  td:nth-child(5) {
    display: none;
  }
  th:first-child {
    width: auto;
  }
  th.figure {
    width: 88px;
  }
  th:last-child {
    width: 64px;
  }
  td,
  th {
    padding-right: 6px;
  }
}
.hand :deep(input) {
  font-weight: 650;
  border-color: var(--ink-2);
}
</style>
