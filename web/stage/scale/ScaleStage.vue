<script setup lang="ts">
import { scaleStage as say } from './words';
import type { Mark } from '@lettera/core/check';
import { usersByStep } from '@lettera/core/style';
import { computed, ref } from 'vue';
import { afterPaint } from '../../control/afterPaint';
import ChoiceSet from '../../control/ChoiceSet.vue';
import ViewTabs from '../../control/ViewTabs.vue';
import { LENGTH_UNITS } from '../../control/readNumber';
import { useLengthUnit } from '../../control/lengthUnit';
import { useMarks } from '../../store/marks';
import { useProject } from '../../store/project';
import { useScaleDraft } from '../../store/scaleDraft';
import SizeOffers from '../SizeOffers.vue';
import StageHeader from '../StageHeader.vue';
import BetweenEnds from './BetweenEnds.vue';
import FromSizes from './FromSizes.vue';
import LadderSheet from './LadderSheet.vue';
import LinesSheet from './LinesSheet.vue';
import ScaleChart from './ScaleChart.vue';
import ScaleEnds from './ScaleEnds.vue';
import StageMarks from '../StageMarks.vue';
import SiteKinds from './SiteKinds.vue';
import StepTable from './StepTable.vue';
import DraftBar from './DraftBar.vue';

const project = useProject();
const lengths = useLengthUnit();

const VIEWS = [
  { value: 'steps', label: say.steps },
  { value: 'ladder', label: say.ladder },
  { value: 'lines', label: say.lines },
  { value: 'between', label: say.betweenEnds },
  { value: 'sizes', label: say.fromSizes },
  { value: 'kinds', label: say.kindsSite },
] as const;
const view = ref<(typeof VIEWS)[number]['value']>('steps');
const units = LENGTH_UNITS.map((value) => ({ value, label: value }));

const scale = computed(() => project.shown?.scale ?? null);
/**
 * The document as the sheets show it, a frame after chart and proof: steps as they are pointed at; offers as
 * they stand without that, so that an offer stays while it is pointed at.
 */
const late = afterPaint(() => project.shown);
const decided = afterPaint(() => project.tried);

const allMarks = useMarks();
const draft = useScaleDraft();
/** While a scale is tried, what puts a mark right is tried with it. */
function putRight({ fix }: Mark): void {
  allMarks.look(null);
  draft.change(fix?.patch ?? []);
}

const used = computed(() => new Set(project.shown ? usersByStep(project.shown).keys() : []));
</script>

<template>
  <StageHeader :title="say.scale">
    <template #actions>
      <span class="line">
        <DraftBar />
        <ChoiceSet v-model="lengths.unit" :label="say.sizesShown" :choices="units" />
      </span>
    </template>
    {{ say.baseRatioAtEach }}
  </StageHeader>
  <template v-if="scale && project.shown">
    <SizeOffers />
    <div class="bench">
      <div>
        <ScaleEnds :scale="scale" />
        <ScaleChart :scale="scale" :used="used" />
        <StageMarks class="marks" stage="scale" :on="say.theScale" :take="putRight" />
      </div>
      <div class="beside">
        <div class="views">
          <ViewTabs v-model="view" :label="say.views" :views="VIEWS" />
        </div>
        <div
          v-if="late"
          class="view"
          :aria-label="VIEWS.find(({ value }) => value === view)?.label"
        >
          <StepTable v-if="view === 'steps'" :document="late" />
          <LadderSheet v-else-if="view === 'ladder'" :document="late" />
          <LinesSheet v-else-if="view === 'lines'" :document="decided ?? late" />
          <BetweenEnds v-else-if="view === 'between'" :scale="late.scale" />
          <FromSizes v-else-if="view === 'sizes'" :document="decided ?? late" />
          <SiteKinds v-else :scale="(decided ?? late).scale" />
        </div>
      </div>
    </div>
  </template>
</template>

<style scoped>
.marks {
  margin: 8px var(--edge) 0;
}
.views {
  margin-top: 12px;
  padding: 2px var(--edge) 6px;
  border-top: 1px solid var(--rule);
}
.view {
  padding: 0 var(--edge) 24px;
}
/* With room, the sheets stand beside the chart. */
@container (min-width: 960px) {
  .bench {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    border-top: 1px solid var(--rule);
    padding-top: 8px;
  }
  .beside {
    border-left: 1px solid var(--rule);
  }
  .views {
    margin-top: 0;
    border-top: 0;
  }
}
</style>
