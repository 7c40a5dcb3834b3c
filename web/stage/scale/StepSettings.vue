<script setup lang="ts">
import { stepSettings as say } from './words';
import {
  MOST_STEPS,
  SCALE_BOUNDS,
  type Naming,
  type Patch,
  type Scale,
} from '@lettera/core/document';
import { ENDS, stepByNumber, stepsOf, type End } from '@lettera/core/scale';
import ChoiceSet from '../../control/ChoiceSet.vue';
import { steady } from '../../control/steady';
import NumberField from '../../control/NumberField.vue';
import { useScaleDraft } from '../../store/scaleDraft';
import { ROUNDING_CHOICES } from '../roundings';
import ScaleNumber from './ScaleNumber.vue';
import { END_NAMES } from './scaleView';

/** How many steps there are, how they are rounded and named, and whether a second series takes over. */
const props = defineProps<{ scale: Scale }>();

const draft = useScaleDraft();

const namings: { value: Naming; label: string }[] = [
  { value: 'numbers', label: say.numbers },
  { value: 'sizes', label: say.smallLarge },
  { value: 'own', label: say.own },
];
const COUNTS = [
  { which: 'down', label: say.belowBase },
  { which: 'up', label: say.aboveBase },
] as const;
const NO_SERIES = 0;

const set = (path: string, value: unknown): Patch => [{ op: 'add', path: `/scale/${path}`, value }];

/** What stood beyond the last step goes with it, unless a style needs it, which is then said. */
function setCount(which: 'down' | 'up', count: number): void {
  const { added = [], display } = props.scale;
  const kept = added.filter((number) => (which === 'up' ? number < count : number > -count));
  draft.change([
    ...set(which, count),
    ...(kept.length < added.length ? set('added', kept) : []),
    ...(which === 'up' && display && display.from > count
      ? [{ op: 'remove' as const, path: '/scale/display' }]
      : []),
  ]);
}

const setNaming = (scheme: Naming): boolean =>
  draft.change(set('names', { scheme, own: props.scale.names?.own ?? {} }));

const seriesFrom = steady(() => [
  { value: NO_SERIES, label: say.noStep },
  ...stepsOf(props.scale)
    .filter(({ number }) => number > 0 && Number.isInteger(number))
    .map(({ number, name }) => ({ value: number, label: name })),
]);

/** What no step is smaller and larger than; at the end of what sizes can be, there is no limit. */
const LIMITS = [
  { which: 'floor', label: say.noSmallerThan, none: SCALE_BOUNDS.size[0] },
  { which: 'ceiling', label: say.noLargerThan, none: SCALE_BOUNDS.size[1] },
] as const;
function setLimit(which: 'floor' | 'ceiling', value: number | null): void {
  const path = `/scale/${which}`;
  if (value !== null) draft.change([{ op: 'add', path, value }]);
  else if (props.scale[which] !== undefined) draft.change([{ op: 'remove', path }]);
}

/** A second series begins where the first has got to, and goes on by its ratio until it is changed. */
function setSeries(from: number): void {
  const { display, small, large } = props.scale;
  if (from === NO_SERIES) {
    if (display) draft.change([{ op: 'remove', path: '/scale/display' }]);
    return;
  }
  const at = (end: End, ratio: number) => ({
    base: display?.[end].base ?? Number(stepByNumber(props.scale, from)[end].toFixed(1)),
    ratio: display?.[end].ratio ?? ratio,
  });
  draft.change(
    set('display', { from, small: at('small', small.ratio), large: at('large', large.ratio) }),
  );
}
</script>

<template>
  <div class="settings">
    <span class="quiet">{{ say.steps }}</span>
    <span class="line wrap">
      <NumberField
        v-for="{ which, label } in COUNTS"
        :key="which"
        :label="label"
        :model-value="scale[which]"
        :min="0"
        :max="MOST_STEPS"
        :step="1"
        width="36px"
        @update:model-value="setCount(which, Math.round($event))"
      />
    </span>
    <span class="quiet">{{ say.endsRounded }}</span>
    <ChoiceSet
      :label="say.rounding"
      :choices="ROUNDING_CHOICES"
      :model-value="scale.rounding"
      @update:model-value="draft.change(set('rounding', $event))"
    />
    <span class="quiet">{{ say.sizesWithin }}</span>
    <span class="line wrap">
      <NumberField
        v-for="{ which, label, none } in LIMITS"
        :key="which"
        :label="label"
        :model-value="scale[which] ?? none"
        :min="SCALE_BOUNDS.size[0]"
        :max="SCALE_BOUNDS.size[1]"
        :step="1"
        unit="px"
        width="52px"
        @update:model-value="setLimit(which, $event === none ? null : $event)"
        @reset="setLimit(which, null)"
      />
    </span>
    <span class="quiet">{{ say.namedBy }}</span>
    <ChoiceSet
      :label="say.namesSteps"
      :choices="namings"
      :model-value="scale.names?.scheme ?? 'numbers'"
      @update:model-value="setNaming($event)"
    />
    <span class="quiet">{{ say.secondSeriesFrom }}</span>
    <ChoiceSet
      :label="say.secondSeriesBeginsAt"
      :choices="seriesFrom"
      :model-value="scale.display?.from ?? NO_SERIES"
      @update:model-value="setSeries($event)"
    />
    <template v-if="scale.display">
      <template v-for="end in ENDS" :key="end">
        <span class="quiet">{{ say.its(END_NAMES[end]) }}</span>
        <span class="line wrap">
          <ScaleNumber
            :label="say.base"
            :path="`display/${end}/base`"
            :value="scale.display[end].base"
            :bounds="SCALE_BOUNDS.displayBase"
            :step="1"
            unit="size"
          />
          <ScaleNumber
            :label="say.ratio"
            :path="`display/${end}/ratio`"
            :value="scale.display[end].ratio"
            :bounds="SCALE_BOUNDS.ratio"
            :step="0.01"
          />
        </span>
      </template>
    </template>
  </div>
</template>

<style scoped>
.settings {
  display: grid;
  grid-template-columns: 120px minmax(0, 1fr);
  gap: 3px 8px;
  align-items: center;
}
.line {
  gap: 4px 16px;
}
</style>
