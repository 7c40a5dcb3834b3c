<script setup lang="ts">
import { MOST_STEPS, ROUNDINGS, type Patch } from '@lettera/core/document';
import { fluidCss, fluidSizeAt, fluidStep, stepsOf } from '@lettera/core/scale';
import { computed, ref } from 'vue';
import { plainNumber } from '../../frame/figures';
import { afterPaint } from '../../frame/afterPaint';
import ChoiceLine from '../../frame/ChoiceLine.vue';
import NumberField from '../../frame/NumberField.vue';
import { caseFont } from '../../proof/caseFonts';
import { useProject } from '../../store/project';
import { useProof } from '../../store/proof';
import StageHeader from '../StageHeader.vue';
import ScaleChart from './ScaleChart.vue';

const project = useProject();
const proof = useProof();
const refused = ref('');

const scale = computed(() => project.shown?.scale ?? null);
/** The scale as the ladder shows it, a frame after the proof. */
const ladderScale = afterPaint(() => scale.value);
const steps = computed(() => (ladderScale.value ? stepsOf(ladderScale.value).reverse() : []));
const roundings = ROUNDINGS.map((value) => ({
  value,
  label: value === 'none' ? 'as it falls' : `${value} px`,
}));

const ENDS = [
  { key: 'small', label: 'Small end' },
  { key: 'large', label: 'Large end' },
] as const;

/** Styles that use each step, by the step's number. */
const users = computed(() => {
  const byStep = new Map<number, string[]>();
  for (const { name, set } of Object.values(project.shown?.styles ?? {})) {
    if (set.step !== undefined) byStep.set(set.step, [...(byStep.get(set.step) ?? []), name]);
  }
  return byStep;
});
const used = computed(() => new Set(users.value.keys()));

function change(patch: Patch): void {
  refused.value = project.change(patch) ?? '';
}

const set = (path: string, value: unknown): void =>
  change([{ op: 'replace', path: `/scale/${path}`, value }]);

/** Sets a step by hand at one end, or gives it back to the ratio. */
function override(number: number, end: 'small' | 'large', value: number | null): void {
  const overrides = scale.value?.overrides ?? {};
  const current = overrides[String(number)];
  const path = `/scale/overrides/${number}`;
  if (value !== null) {
    change([{ op: 'add', path, value: { ...current, [end]: value } }]);
    return;
  }
  if (current?.[end] === undefined) return;
  const other = end === 'small' ? 'large' : 'small';
  change(
    current[other] === undefined
      ? [{ op: 'remove', path }]
      : [{ op: 'remove', path: `${path}/${end}` }],
  );
}

const sizeHere = (number: number): number => {
  const step = steps.value.find((candidate) => candidate.number === number);
  return ladderScale.value && step
    ? fluidSizeAt(fluidStep(ladderScale.value, step), proof.width)
    : 0;
};

const headingFont = computed(() => {
  const voice = project.shown?.voices['heading'];
  return caseFont(voice?.family, voice?.generic);
});
</script>

<template>
  <StageHeader title="Scale">
    A base and a ratio at each end of a range of viewport widths. Between the ends every size runs
    in a line; beyond them it stays.
  </StageHeader>
  <template v-if="scale">
    <div class="ends">
      <fieldset v-for="end in ENDS" :key="end.key">
        <legend>{{ end.label }}</legend>
        <NumberField
          label="Viewport"
          :model-value="scale[end.key].width"
          :min="200"
          :max="4000"
          :step="10"
          unit="px"
          @update:model-value="set(`${end.key}/width`, Math.round($event))"
        />
        <NumberField
          label="Base"
          :model-value="scale[end.key].base"
          :min="8"
          :max="64"
          :step="0.5"
          unit="px"
          @update:model-value="set(`${end.key}/base`, $event)"
        />
        <NumberField
          label="Ratio"
          :model-value="scale[end.key].ratio"
          :min="1"
          :max="3"
          :step="0.01"
          @update:model-value="set(`${end.key}/ratio`, $event)"
        />
      </fieldset>
      <fieldset>
        <legend>Steps</legend>
        <NumberField
          label="Below the base"
          :model-value="scale.down"
          :min="0"
          :max="MOST_STEPS"
          :step="1"
          width="48px"
          @update:model-value="set('down', Math.round($event))"
        />
        <NumberField
          label="Above the base"
          :model-value="scale.up"
          :min="0"
          :max="MOST_STEPS"
          :step="1"
          width="48px"
          @update:model-value="set('up', Math.round($event))"
        />
      </fieldset>
    </div>
    <div class="line wrap rounding">
      <span class="quiet">Ends rounded</span>
      <ChoiceLine
        label="Rounding"
        :choices="roundings"
        :model-value="scale.rounding"
        @update:model-value="set('rounding', $event)"
      />
    </div>
    <p v-if="refused" class="refused" role="alert">{{ refused }}</p>
    <ScaleChart :scale="scale" :width="proof.width" :used="used" />
    <table class="figures-table">
      <thead>
        <tr>
          <th>Step</th>
          <th class="figure">At {{ scale.small.width }}</th>
          <th class="figure">At {{ scale.large.width }}</th>
          <th class="figure">At {{ proof.width }}</th>
          <th>Used by</th>
        </tr>
      </thead>
      <tbody>
        <template v-for="step in steps" :key="step.number">
          <tr>
            <td class="name" :title="fluidCss(fluidStep(ladderScale ?? scale, step))">
              {{ step.name }}
            </td>
            <td v-for="end in ENDS" :key="end.key" class="figure">
              <NumberField
                :label="`${step.name} at the ${end.label.toLowerCase()}`"
                hide-label
                :class="{ hand: step.setByHand[end.key] }"
                :title="
                  step.setByHand[end.key]
                    ? 'Set by hand; double-click gives it back to the ratio'
                    : 'From base and ratio'
                "
                :model-value="Number(step[end.key].toFixed(2))"
                :min="4"
                :max="800"
                :step="1"
                unit="px"
                width="64px"
                @update:model-value="override(step.number, end.key, $event)"
                @reset="override(step.number, end.key, null)"
              />
            </td>
            <td class="figure here">
              {{ plainNumber(Number(sizeHere(step.number).toFixed(2))) }} px
            </td>
            <td class="small quiet users">
              {{ users.get(step.number)?.join(', ') ?? 'no style' }}
            </td>
          </tr>
          <tr class="ladder">
            <td colspan="5">
              <span :style="{ fontSize: `${sizeHere(step.number)}px`, fontFamily: headingFont }">{{
                project.shown?.words
              }}</span>
            </td>
          </tr>
        </template>
      </tbody>
    </table>
  </template>
</template>

<style scoped>
.ends {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 28px;
  padding: 0 20px 10px;
}
fieldset {
  display: grid;
  gap: 5px;
  align-content: start;
  justify-items: end;
}
legend {
  font-weight: 650;
  padding: 0 0 5px;
}
.rounding {
  padding: 0 20px 14px;
}
.refused {
  padding: 0 20px 10px;
  color: var(--mark);
}
table {
  width: calc(100% - 40px);
  margin: 16px 20px 24px;
  table-layout: fixed;
}
tr:not(.ladder) td {
  border-bottom: 0;
}
.name {
  font-weight: 550;
}
.users {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.hand :deep(input) {
  font-weight: 650;
  border-color: var(--ink-2);
}
.ladder td {
  padding: 0 0 8px;
  border-bottom: 1px solid var(--rule);
  overflow: hidden;
  white-space: nowrap;
  line-height: 1.25;
}
</style>
