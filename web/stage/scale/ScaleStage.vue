<script setup lang="ts">
import { usersByStep } from '@lettera/core/style';
import { computed, ref } from 'vue';
import { afterPaint } from '../../frame/afterPaint';
import ChoiceLine from '../../frame/ChoiceLine.vue';
import MarkLine from '../../frame/MarkLine.vue';
import { count } from '../../frame/figures';
import { LENGTH_UNITS } from '../../frame/measure';
import { useLengthUnit } from '../../store/lengthUnit';
import { useMarks } from '../../store/marks';
import { useProject } from '../../store/project';
import { useProof } from '../../store/proof';
import { useScaleTrial } from '../../store/scaleTrial';
import SizeOffers from '../SizeOffers.vue';
import StageHeader from '../StageHeader.vue';
import BetweenEnds from './BetweenEnds.vue';
import FromSizes from './FromSizes.vue';
import LadderSheet from './LadderSheet.vue';
import LinesSheet from './LinesSheet.vue';
import ScaleChart from './ScaleChart.vue';
import ScaleEnds from './ScaleEnds.vue';
import SiteKinds from './SiteKinds.vue';
import StepTable from './StepTable.vue';
import TrialBar from './TrialBar.vue';

const project = useProject();
const proof = useProof();
const trial = useScaleTrial();
const lengths = useLengthUnit();
const checks = useMarks();

const VIEWS = [
  { value: 'steps', label: 'Steps' },
  { value: 'ladder', label: 'Ladder' },
  { value: 'lines', label: 'Lines' },
  { value: 'between', label: 'Between the ends' },
  { value: 'sizes', label: 'From sizes' },
  { value: 'kinds', label: 'Kinds of site' },
] as const;
const view = ref<(typeof VIEWS)[number]['value']>('steps');
const units = LENGTH_UNITS.map((value) => ({ value, label: value }));

const scale = computed(() => project.shown?.scale ?? null);
/** The document as the sheets show it, a frame after chart and proof. */
const late = afterPaint(() => project.shown);

const used = computed(() => new Set(project.shown ? usersByStep(project.shown).keys() : []));

const marks = computed(() => checks.marks.filter(({ stage }) => stage === 'scale'));
const FEW = 3;
const allMarks = ref(false);
const listed = computed(() => (allMarks.value ? marks.value : marks.value.slice(0, FEW)));
</script>

<template>
  <StageHeader title="Scale">
    <template #actions>
      <span class="line">
        <button
          v-if="!trial.trying"
          type="button"
          class="plain again"
          title="Changes show on the proof, and are kept only when you take them"
          @click="trial.start()"
        >
          Try without keeping
        </button>
        <ChoiceLine v-model="lengths.unit" label="Sizes shown in" :choices="units" />
      </span>
    </template>
    A base and a ratio at each end of a range of widths. Between the ends sizes run; beyond them
    they stay.
  </StageHeader>
  <template v-if="scale && project.shown">
    <TrialBar />
    <SizeOffers />
    <ScaleEnds :scale="scale" />
    <ScaleChart :scale="scale" :used="used" />
    <section v-if="marks.length" class="marks" aria-label="Marks on the scale">
      <h2 class="mark-text">{{ count(marks.length, 'mark') }}</h2>
      <ul>
        <MarkLine
          v-for="mark in listed"
          :key="mark.message"
          :mark="mark"
          @take="trial.change(mark.fix?.patch ?? [])"
          @go="proof.style = mark.style ?? null"
        />
      </ul>
      <button
        v-if="marks.length > FEW"
        type="button"
        class="plain again"
        :aria-expanded="allMarks"
        @click="allMarks = !allMarks"
      >
        {{ allMarks ? 'Show the first only' : `Show ${marks.length - FEW} more` }}
      </button>
    </section>
    <div class="views">
      <ChoiceLine v-model="view" label="View" :choices="VIEWS" />
    </div>
    <div v-if="late" class="view" :aria-label="VIEWS.find(({ value }) => value === view)?.label">
      <StepTable v-if="view === 'steps'" :document="late" />
      <LadderSheet v-else-if="view === 'ladder'" :document="late" />
      <LinesSheet v-else-if="view === 'lines'" :document="late" />
      <BetweenEnds v-else-if="view === 'between'" :scale="late.scale" />
      <FromSizes v-else-if="view === 'sizes'" :document="late" />
      <SiteKinds v-else :scale="late.scale" />
    </div>
  </template>
</template>

<style scoped>
.marks {
  margin: 10px 20px 0;
  padding: 6px 0 0 10px;
  border-left: 3px solid var(--mark);
}
.again {
  min-height: 24px;
}
.views {
  margin-top: 12px;
  padding: 2px 20px 6px;
  border-top: 1px solid var(--rule);
}
.view {
  padding: 0 20px 24px;
}
</style>
