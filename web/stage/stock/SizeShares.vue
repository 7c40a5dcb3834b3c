<script setup lang="ts">
import { sizeShares as say } from './words';
import {
  gatherNear,
  lookOf,
  nearSize,
  sharesOf,
  STOCK_ENDS,
  type Gathered,
  type Stock,
  type StockEnd,
} from '@lettera/core/stock';
import { scaleLog } from 'd3-scale';
import { computed, ref } from 'vue';
import ChoiceSet from '../../control/ChoiceSet.vue';
import DoButton from '../../control/DoButton.vue';
import FiguresTable from '../../control/FiguresTable.vue';
import { count, percent, plainNumber } from '../../control/figures';
import { useWidth } from '../../control/useWidth';
import { usePlaces } from './places';
import ShareBar from './ShareBar.vue';

/** The sizes of a site on one axis, each as tall as its share of the text, near ones gathered. */
const props = defineProps<{ stock: Stock }>();
const { point } = usePlaces(() => props.stock);

const end = ref<StockEnd>('wide');
const ends = computed(() =>
  STOCK_ENDS.map((value) => ({
    value,
    label: say.atPx(props.stock.pages[0]?.[value] ?? 0),
  })),
);

const round = (size: number): number => Math.round(size * 10) / 10;
const shares = computed(() =>
  sharesOf(props.stock, (text) => round(lookOf(props.stock, text, end.value).size)),
);
const gathered = computed(() => gatherNear(shares.value, nearSize));

/** `15.8, 16 and 16.2 px`. */
function inWords({ values }: Gathered): string {
  const sizes = values.map(({ value }) => plainNumber(value));
  const last = sizes.pop() ?? '';
  return `${sizes.length > 0 ? say.and(sizes.join(', ')) : ''}${last} px`;
}

const HEIGHT = 132;
const FOOT = 22;
const ROOM = { top: 16, side: 22 };
const box = ref<HTMLElement | null>(null);
const width = useWidth(box, 440);
const x = computed(() => {
  const sizes = shares.value.map(({ value }) => Math.max(1, value));
  const [least, most] = [Math.min(...sizes, 12), Math.max(...sizes, 24)];
  return scaleLog([least, most], [ROOM.side, Math.max(200, width.value) - ROOM.side]);
});
const tallest = computed(() => Math.max(0.01, ...gathered.value.map((one) => one.share)));
const heightOf = (share: number): number => (share / tallest.value) * (HEIGHT - FOOT - ROOM.top);

/** Sizes that are named on the axis: the weightiest that have room for it. */
const NAME_ROOM = 30;
const named = computed(() => {
  const places: { at: number; one: Gathered }[] = [];
  for (const one of [...gathered.value].sort((a, b) => b.share - a.share)) {
    const at = x.value(Math.max(1, one.value));
    if (places.every((other) => Math.abs(other.at - at) >= NAME_ROOM)) places.push({ at, one });
  }
  return places;
});
</script>

<template>
  <div class="head line spread">
    <span>{{
      say.ofWhichBeTold(count(shares.length, 'size'), count(gathered.length, 'can', 'can'))
    }}</span>
    <ChoiceSet v-model="end" :label="say.read" :choices="ends" />
  </div>
  <div ref="box" class="chart">
    <svg :width="Math.max(200, width)" :height="HEIGHT" aria-hidden="true">
      <line
        :x1="0"
        :x2="Math.max(200, width)"
        :y1="HEIGHT - FOOT"
        :y2="HEIGHT - FOOT"
        class="axis"
      />
      <g v-for="one in gathered" :key="one.value" @click="point(one.texts)">
        <title>{{ say.ofText(inWords(one), percent(one.share)) }}</title>
        <rect
          v-for="value in one.values"
          :key="value.value"
          :x="x(Math.max(1, value.value)) - 2"
          :y="HEIGHT - FOOT - heightOf(value.share)"
          width="4"
          :height="heightOf(value.share)"
          :class="{ main: value.value === one.value }"
        />
      </g>
      <g v-for="{ at, one } in named" :key="one.value">
        <text :x="at" :y="HEIGHT - 8">{{ plainNumber(one.value) }}</text>
        <text
          v-if="one.share >= 0.02"
          :x="at"
          :y="HEIGHT - FOOT - heightOf(one.share) - 4"
          class="of"
        >
          {{ percent(one.share, 0) }}
        </text>
      </g>
    </svg>
  </div>
  <FiguresTable class="shares">
    <thead>
      <tr>
        <th scope="col">{{ say.size }}</th>
        <th scope="col" class="figure">{{ say.ofTheText }}</th>
        <th scope="col">
          <span class="visually-hidden">{{ say.asBar }}</span>
        </th>
        <th scope="col" class="figure">{{ say.texts }}</th>
        <th scope="col">
          <span class="visually-hidden">{{ say.where }}</span>
        </th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="one in gathered" :key="one.value">
        <th scope="row">{{ inWords(one) }}</th>
        <td class="figure">{{ percent(one.share) }}</td>
        <td class="bar"><ShareBar :share="one.share" /></td>
        <td class="figure">{{ one.texts.length }}</td>
        <td>
          <DoButton
            class="on-point"
            :label="say.showOnPage"
            :aria-label="say.showOnPageTexts(count(one.texts.length, 'text'), inWords(one))"
            @click="point(one.texts)"
          />
        </td>
      </tr>
    </tbody>
  </FiguresTable>
</template>

<style scoped>
.head {
  padding: 0 var(--edge) 6px;
}
.chart {
  margin: 0 var(--edge) 8px;
  overflow: hidden;
}
.axis {
  stroke: var(--rule);
}
rect {
  fill: var(--rule);
  stroke: var(--ink-2);
  stroke-width: 0.5;
}
rect.main {
  fill: var(--ink);
}
g:hover rect {
  fill: var(--verdigris);
}
text {
  font-size: var(--size-beside);
  font-feature-settings: 'tnum';
  text-anchor: middle;
  fill: var(--ink-2);
}
.of {
  fill: var(--ink);
}
.bar {
  width: 120px;
}
</style>
