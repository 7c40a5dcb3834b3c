<script setup lang="ts">
import { faceMap as say } from './words';
import { axisBottom, axisLeft } from 'd3-axis';
import { brush, type D3BrushEvent } from 'd3-brush';
import { scaleLinear, scaleLog } from 'd3-scale';
import { select } from 'd3-selection';
import PickOne from '../../control/PickOne.vue';
import { computed, nextTick, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import DoButton from '../../control/DoButton.vue';
import FiguresTable from '../../control/FiguresTable.vue';
import { useLineUp } from '../../store/lineUp';
import { filterRows, withoutPart } from '../../store/rows/filter';
import type { LineUpRow } from '../../store/rows/rows';
import {
  figureOf,
  MEASURES,
  measureOf,
  withUnit,
  type MeasureKey,
} from '../../store/rows/measures';
import RowInFace from '../../proof/RowInFace.vue';

/**
 * Families as points over two measures, each a letter in its own face. A region drawn filters the
 * line-up; arrow keys go from point to point.
 */
const props = defineProps<{ rows: readonly LineUpRow[]; shown: readonly LineUpRow[] }>();

const lineUp = useLineUp();
const root = ref<HTMLElement | null>(null);
const chart = ref<SVGSVGElement | null>(null);
const width = ref(600);
const focused = ref<string | null>(null);
const asTable = ref(false);

/** What stands above the map and below it in the window, and the least height it is read at, px. */
const BESIDE = 230;
const LEAST_HEIGHT = 340;
const height = ref(430);
const MARGIN = { top: 10, right: 16, bottom: 30, left: 44 };
/** Letters set in their own faces; beyond so many a point is a dot until a region is drawn. */
const MOST_FACES = 240;

const choices = MEASURES.map(({ key, short }) => ({ value: key, label: short }));
const axes = computed(() => lineUp.settings.axes.map(measureOf) as [Measure, Measure]);
type Measure = ReturnType<typeof measureOf>;

/** Rows that pass the filter but for the region, so that what lies outside it can still be seen. */
const within = computed(() => {
  const [x, y] = lineUp.settings.axes;
  const open = withoutPart(withoutPart(lineUp.settings.filter, `range:${x}`), `range:${y}`);
  const kept = new Set(props.shown.map(({ key }) => key));
  return filterRows(props.rows, open).map((row) => ({ row, kept: kept.has(row.key) }));
});

interface Point {
  row: LineUpRow;
  kept: boolean;
  values: [number, number];
}

const placed = computed<Point[]>(() =>
  within.value.flatMap(({ row, kept }) => {
    const { measures } = row;
    const values = axes.value.map((measure) => (measures ? measure.value(measures) : null));
    return values.every((value) => value !== null)
      ? [{ row, kept, values: values as [number, number] }]
      : [];
  }),
);
const unplaced = computed(() => within.value.length - placed.value.length);

function scaleFor(axis: 0 | 1, range: [number, number]) {
  const values = placed.value.map((point) => point.values[axis]);
  const [least, most] = values.length ? [Math.min(...values), Math.max(...values)] : [0, 1];
  if (axes.value[axis].byRatio && least > 0) {
    const room = (most / least) ** 0.05;
    return scaleLog([least / room, most * room], range);
  }
  const room = (most - least || 1) * 0.04;
  return scaleLinear([least - room, most + room], range);
}
const x = computed(() => scaleFor(0, [MARGIN.left, width.value - MARGIN.right]));
const y = computed(() => scaleFor(1, [height.value - MARGIN.bottom, MARGIN.top]));

const points = computed(() => {
  let faces = 0;
  return placed.value.map((point) => ({
    ...point,
    left: x.value(point.values[0]),
    top: y.value(point.values[1]),
    inFace: point.kept && faces++ < MOST_FACES,
  }));
});
const dots = computed(() => points.value.filter(({ inFace, kept }) => kept && !inFace).length);

function drawAxes(): void {
  if (!chart.value) return;
  const svg = select(chart.value);
  svg.select<SVGGElement>('.across').call(axisBottom(x.value).ticks(8, '~g').tickSizeOuter(0));
  svg.select<SVGGElement>('.upward').call(axisLeft(y.value).ticks(7, '~g').tickSizeOuter(0));
}

const region = brush<unknown>().on('end', (event: D3BrushEvent<unknown>) => {
  if (!event.sourceEvent) return;
  const { ranges } = lineUp.settings.filter;
  const [across, up] = lineUp.settings.axes;
  if (!event.selection) {
    clearRegion();
    return;
  }
  const [[left, top], [right, bottom]] = event.selection as [[number, number], [number, number]];
  const rounded = (measure: Measure, value: number): number =>
    Number(value.toFixed(measure.places + 1));
  const ends = (axis: 0 | 1, from: number, to: number): [number, number] => {
    const scale = axis === 0 ? x.value : y.value;
    return [
      rounded(axes.value[axis], scale.invert(from)),
      rounded(axes.value[axis], scale.invert(to)),
    ];
  };
  lineUp.settings.filter = {
    ...lineUp.settings.filter,
    ranges: { ...ranges, [across]: ends(0, left, right), [up]: ends(1, bottom, top) },
  };
});

const regionSet = computed(() =>
  lineUp.settings.axes.some((key) => lineUp.settings.filter.ranges[key] !== undefined),
);

function clearRegion(): void {
  const [across, up] = lineUp.settings.axes;
  lineUp.settings.filter = withoutPart(
    withoutPart(lineUp.settings.filter, `range:${across}`),
    `range:${up}`,
  );
}

/** Shows the filter's ranges as the region, however they were set. */
function drawRegion(): void {
  if (!chart.value) return;
  const [across, up] = lineUp.settings.axes;
  const { ranges } = lineUp.settings.filter;
  region.extent([
    [MARGIN.left, MARGIN.top],
    [width.value - MARGIN.right, height.value - MARGIN.bottom],
  ]);
  const group = select(chart.value).select<SVGGElement>('.region').call(region);
  const [a, b] = ranges[across] ?? x.value.domain();
  const [c, d] = ranges[up] ?? y.value.domain();
  group.call(
    region.move,
    regionSet.value
      ? [
          [x.value(a ?? 0), y.value(d ?? 0)],
          [x.value(b ?? 0), y.value(c ?? 0)],
        ]
      : null,
  );
}

async function draw(): Promise<void> {
  await nextTick();
  drawAxes();
  drawRegion();
}

const observer = new ResizeObserver(([entry]) => {
  if (!entry) return;
  width.value = Math.max(320, Math.floor(entry.contentRect.width));
  height.value = Math.max(LEAST_HEIGHT, window.innerHeight - BESIDE);
});
onMounted(() => {
  if (root.value) observer.observe(root.value);
  void draw();
});
onBeforeUnmount(() => observer.disconnect());
watch([x, y, () => lineUp.settings.filter.ranges, asTable], draw);

function setAxis(axis: 0 | 1, key: MeasureKey): void {
  const next = [...lineUp.settings.axes] as [MeasureKey, MeasureKey];
  if (next[1 - axis] === key) next[1 - axis] = next[axis];
  next[axis] = key;
  lineUp.settings.axes = next;
}

const current = computed(
  () => points.value.find(({ row }) => row.key === focused.value) ?? points.value[0],
);

/** The point that lies nearest in a direction from the current one, sideways counting double. */
function neighbour(dx: number, dy: number): (typeof points.value)[number] | undefined {
  const from = current.value;
  if (!from) return undefined;
  const distance = ({ left, top }: { left: number; top: number }): number => {
    const [ahead, aside] = dx
      ? [(left - from.left) * dx, Math.abs(top - from.top)]
      : [(top - from.top) * dy, Math.abs(left - from.left)];
    return ahead > 0 ? ahead + 2 * aside : Infinity;
  };
  const [best] = points.value
    .filter(({ row }) => row.key !== from.row.key)
    .map((point) => ({ point, distance: distance(point) }))
    .filter((one) => one.distance < Infinity)
    .sort((one, other) => one.distance - other.distance);
  return best?.point;
}

function onKey(event: KeyboardEvent): void {
  const step = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
  }[event.key];
  if (event.key === 'Escape' && regionSet.value) clearRegion();
  if (!step) return;
  event.preventDefault();
  const next = neighbour(step[0] ?? 0, step[1] ?? 0);
  if (!next) return;
  focused.value = next.row.key;
  void nextTick(() => root.value?.querySelector<HTMLElement>('.point[tabindex="0"]')?.focus());
}

const sayPoint = ({ row, values }: Point): string =>
  `${row.name}: ${axes.value.map((measure, i) => `${measure.name} ${withUnit(measure, values[i] ?? null)}`).join(', ')}`;
</script>

<template>
  <section class="map" :aria-label="say.mapFamilies">
    <div class="line wrap">
      <label class="line"
        ><span class="quiet">{{ say.across }}</span>
        <PickOne
          :model-value="lineUp.settings.axes[0]"
          :choices="choices"
          :label="say.measureAcross"
          @update:model-value="setAxis(0, $event)"
      /></label>
      <label class="line"
        ><span class="quiet">{{ say.up }}</span>
        <PickOne
          :model-value="lineUp.settings.axes[1]"
          :choices="choices"
          :label="say.measureUpward"
          @update:model-value="setAxis(1, $event)"
      /></label>
      <DoButton v-if="regionSet" @click="clearRegion"> {{ say.clearRegion }} </DoButton>
      <span v-else class="small quiet">{{ say.drawRegionNarrowLine }}</span>
      <DoButton class="table" :aria-pressed="asTable" @click="asTable = !asTable">
        {{ asTable ? say.asMap : say.asTable }}
      </DoButton>
    </div>
    <p v-if="unplaced || dots" class="small quiet">
      <template v-if="unplaced">{{ say.ofNotOnMap(unplaced, within.length) }}</template>
      <template v-if="dots"> {{ say.areDotsDrawRegion(dots) }}</template>
    </p>
    <FiguresTable v-if="asTable">
      <thead>
        <tr>
          <th>{{ say.family }}</th>
          <th v-for="measure in axes" :key="measure.key" class="figure">{{ measure.short }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="point in placed.filter(({ kept }) => kept)" :key="point.row.key">
          <td>
            <DoButton @click="lineUp.show(point.row.key)">
              <bdi>{{ point.row.name }}</bdi>
            </DoButton>
          </td>
          <td v-for="(measure, i) in axes" :key="measure.key" class="figure">
            {{ figureOf(measure, point.values[i] ?? null) }}
          </td>
        </tr>
      </tbody>
    </FiguresTable>
    <div v-else ref="root" class="plane" :style="{ height: `${height}px` }" @keydown="onKey">
      <svg
        ref="chart"
        :viewBox="`0 0 ${width} ${height}`"
        :width="width"
        :height="height"
        aria-hidden="true"
      >
        <g class="across" :transform="`translate(0 ${height - MARGIN.bottom})`" />
        <g class="upward" :transform="`translate(${MARGIN.left} 0)`" />
        <text :x="width - MARGIN.right" :y="height - MARGIN.bottom - 6" text-anchor="end">
          {{ axes[0].name }}
        </text>
        <text :x="MARGIN.left + 6" :y="MARGIN.top + 8">{{ axes[1].name }}</text>
        <g class="region" />
      </svg>
      <button
        v-for="point in points"
        :key="point.row.key"
        type="button"
        class="plain point"
        :class="{ outside: !point.kept, taken: point.row.caseKey }"
        :style="{ left: `${point.left}px`, top: `${point.top}px` }"
        :tabindex="point.row.key === current?.row.key ? 0 : -1"
        :aria-label="sayPoint(point)"
        :title="sayPoint(point)"
        @focus="focused = point.row.key"
        @click="lineUp.show(point.row.key)"
      >
        <RowInFace v-if="point.inFace" :row="point.row" :words="say.a"
          ><template #waiting><span class="dot" /></template
        ></RowInFace>
        <span v-else class="dot" />
      </button>
    </div>
    <p class="small" role="status">
      <template v-if="focused && current && !asTable">{{
        say.enterOpens(sayPoint(current))
      }}</template>
      <template v-else-if="placed.length === 0">{{ say.noFamilyFilterBeen }}</template>
    </p>
  </section>
</template>

<style scoped>
.map {
  display: grid;
  gap: 6px;
  padding: 4px var(--edge) 12px;
}
.table {
  margin-left: auto;
}
.plane {
  position: relative;
  overflow: hidden;
}
svg {
  display: block;
}
svg text {
  font-size: var(--size-beside);
  fill: var(--ink-2);
}
svg :deep(.domain),
svg :deep(.tick line) {
  stroke: var(--rule);
}
/* An axis is given a font of its own by what draws it. */
svg g {
  font-family: inherit;
}
svg :deep(.tick text) {
  font-size: var(--size-beside);
  fill: var(--ink-2);
}
svg :deep(.selection) {
  fill: var(--verdigris);
  fill-opacity: 0.08;
  stroke: var(--verdigris);
}
.point {
  position: absolute;
  min-width: 24px;
  height: 24px;
  margin: -12px 0 0 -12px;
  font-size: 20px;
  line-height: 24px;
  text-align: center;
}
.dot {
  display: inline-block;
  width: 4px;
  height: 4px;
  vertical-align: middle;
  background: var(--ink-2);
  border-radius: 50%;
}
.point.taken {
  color: var(--verdigris);
}
.point.outside {
  opacity: 0.35;
}
.point:hover,
.point:focus-visible {
  z-index: 1;
  background: var(--sheet);
  font-size: 30px;
}
</style>
