<script setup lang="ts">
import { foldScale as say } from './words';
import { SCALE_BOUNDS, type Rounding } from '@lettera/core/document';
import type { GivenSeries, Proposal } from '@lettera/core/stock';
import { computed } from 'vue';
import ChoiceSet from '../../control/ChoiceSet.vue';
import DoButton from '../../control/DoButton.vue';
import FiguresTable from '../../control/FiguresTable.vue';
import NumberField from '../../control/NumberField.vue';
import { count, percent, pixels, plainNumber } from '../../control/figures';
import { ROUNDING_CHOICES } from '../roundings';

/** The sizes of a site as a scale: its steps, the sizes that become each, and what those move by. */
const props = defineProps<{
  scale: NonNullable<Proposal['scale']>;
  /** Characters of all text. */
  characters: number;
  /** What the scale is to be; null for the one that was found. */
  series: GivenSeries | null;
}>();
const emit = defineEmits<{ series: [series: GivenSeries | null] }>();

const ENDS = ['small', 'large'] as const;
/** What is wanted, or was found: what is worked out of it may be on its way still. */
const now = computed((): GivenSeries => {
  if (props.series) return props.series;
  const { small, large, rounding } = props.scale.scale;
  const of = ({ base, ratio }: { base: number; ratio: number }) => ({ base, ratio });
  return { small: of(small), large: of(large), rounding };
});
function set(end: (typeof ENDS)[number], part: 'base' | 'ratio', value: number): void {
  emit('series', { ...now.value, [end]: { ...now.value[end], [part]: value } });
}
const setRounding = (rounding: Rounding): void => emit('series', { ...now.value, rounding });

const toHundredth = (px: number): string => plainNumber(Number(px.toFixed(2)));
/** Sizes that are listed for a step; the rest are counted. */
const MOST_TOLD = 4;
const steps = computed(() => {
  const odd = new Set(props.scale.odd);
  return [...props.scale.steps].reverse().map((step) => {
    const sizes = props.scale.sizes.filter((size) => size.step === step.number);
    const told = sizes
      .slice(0, MOST_TOLD)
      .map(({ small, large }) =>
        Math.abs(small - large) < 0.05
          ? toHundredth(large)
          : say.fromTo(toHundredth(small), toHundredth(large)),
      );
    const more = sizes.length - told.length;
    return {
      ...step,
      isOdd: odd.has(step.number),
      sizes: told.join(', ') + (more > 0 ? say.andMore(more) : ''),
      moves: Math.max(0, ...sizes.map((size) => size.moves)),
      share: sizes.reduce((sum, size) => sum + size.characters, 0) / Math.max(1, props.characters),
    };
  });
});
const odd = computed(() => steps.value.filter(({ isOdd }) => isOdd).length);
</script>

<template>
  <div class="ends">
    <template v-for="end in ENDS" :key="end">
      <span class="quiet">{{ say.atPx(scale.scale[end].width) }}</span>
      <span class="line">
        <NumberField
          :model-value="scale.scale[end].base"
          :label="say.baseAtPx(scale.scale[end].width)"
          hide-label
          :min="SCALE_BOUNDS.base[0]"
          :max="SCALE_BOUNDS.base[1]"
          :step="1"
          unit="px"
          @update:model-value="set(end, 'base', $event)"
          @reset="emit('series', null)"
        />
        <span aria-hidden="true">×</span>
        <NumberField
          :model-value="scale.scale[end].ratio"
          :label="say.ratioAtPx(scale.scale[end].width)"
          hide-label
          :min="SCALE_BOUNDS.ratio[0]"
          :max="SCALE_BOUNDS.ratio[1]"
          :step="0.01"
          @update:model-value="set(end, 'ratio', $event)"
          @reset="emit('series', null)"
        />
      </span>
    </template>
    <span class="quiet">{{ say.endsRounded }}</span>
    <ChoiceSet
      :label="say.rounding"
      :choices="ROUNDING_CHOICES"
      :model-value="scale.scale.rounding"
      @update:model-value="setRounding($event)"
    />
  </div>
  <p class="small line wrap">
    <span>
      {{ count(steps.length, 'step')
      }}<template v-if="odd">{{ say.sizeOwn(count(odd, 'of them has', 'of them have')) }}</template>
    </span>
    <DoButton v-if="series" :label="say.scaleAsFound" @click="emit('series', null)" />
  </p>
  <FiguresTable>
    <thead>
      <tr>
        <th scope="col">{{ say.step }}</th>
        <th scope="col" class="figure">{{ say.atPxWidth(scale.scale.small.width) }}</th>
        <th scope="col" class="figure">{{ say.atPxWidth(scale.scale.large.width) }}</th>
        <th scope="col">{{ say.sizesBecome }}</th>
        <th scope="col" class="figure">{{ say.moveBy }}</th>
        <th scope="col" class="figure">{{ say.text }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="step in steps" :key="step.number">
        <th scope="row">{{ step.name }}</th>
        <td class="figure">{{ pixels(step.small) }}</td>
        <td class="figure">{{ pixels(step.large) }}</td>
        <td>
          {{ step.sizes || say.none }}
          <span v-if="step.isOdd" class="quiet">{{ say.ofItsOwn }}</span>
        </td>
        <td class="figure">
          {{ step.sizes ? (step.moves < 0.05 ? say.nothing : pixels(step.moves)) : '' }}
        </td>
        <td class="figure">{{ step.sizes ? percent(step.share, 0) : '' }}</td>
      </tr>
    </tbody>
  </FiguresTable>
</template>

<style scoped>
.ends {
  display: grid;
  grid-template-columns: auto auto;
  gap: 6px 12px;
  align-items: center;
}
p {
  margin: 0;
}
table {
  width: 100%;
}
th[scope='row'] {
  white-space: nowrap;
  text-align: left;
  font-weight: 550;
}
</style>
