import type { Scale } from '@lettera/core/document';
import { bendsOf, sizeAt, stepsOf, type Step } from '@lettera/core/scale';
import { scaleLinear, scaleLog } from 'd3-scale';
import { curveLinear, curveStepAfter, line } from 'd3-shape';
import { computed, ref, type Ref } from 'vue';

/** Widths are shown so far at least, CSS px. */
const SHOWN_TO = 1600;

/** Room around the curves, px: figures at the left and below, names at the right. */
export const EDGE = { left: 40, right: 92, top: 14, bottom: 26 };
/** Narrowest width shown, CSS px. */
export const FROM = 200;

const LEAST_HEIGHT = 290;
/** Height of a line of labels, px. */
const LINE = 12;
/** Straight on a linear axis, a size is bent on this one: drawn through so many points. */
const POINTS = 24;
/** White above the largest and below the smallest size, as a part of each. */
const MARGIN = 1.12;

const SIZE_TICKS = [
  6, 8, 10, 12, 14, 16, 20, 24, 28, 32, 40, 48, 56, 64, 80, 96, 112, 128, 160, 192, 256, 320, 400,
  512, 640,
];
const LEAST_GAP = 15;

/**
 * Where everything on the chart of a scale stands: size against width, a curve a step, flat beyond both ends as
 * it will be. Sizes stand on a logarithmic axis, on which the steps of one ratio are equally far apart.
 */
export function useScaleDrawing(scale: () => Scale, width: Readonly<Ref<number>>) {
  const steps = computed(() => stepsOf(scale()));
  const height = computed(() =>
    Math.max(LEAST_HEIGHT, steps.value.length * (LINE + 1) + EDGE.top + EDGE.bottom),
  );
  const until = computed(() => Math.max(SHOWN_TO, scale().large.width + 160));
  const x = computed(() =>
    scaleLinear([FROM, until.value], [EDGE.left, width.value - EDGE.right]).clamp(true),
  );
  const extent = computed<[number, number]>(() => {
    const sizes = steps.value.flatMap(({ small, large }) => [small, large]);
    return [Math.min(...sizes) / MARGIN, Math.max(...sizes) * MARGIN];
  });
  const heldExtent = ref<[number, number] | null>(null);
  const y = computed(() =>
    scaleLog(heldExtent.value ?? extent.value, [height.value - EDGE.bottom, EDGE.top]).clamp(true),
  );

  const sizeTicks = computed(() => {
    const [least, most] = y.value.domain() as [number, number];
    let last = Infinity;
    return SIZE_TICKS.filter((size) => {
      const place = y.value(size);
      if (size < least || size > most || last - place < LEAST_GAP) return false;
      last = place;
      return true;
    });
  });

  const widths = computed(() => {
    const [first = FROM, last = first] = bendsOf(scale());
    if (scale().between === 'media') return [FROM, first, until.value];
    const between = Array.from(
      { length: POINTS + 1 },
      (_, i) => first + ((last - first) * i) / POINTS,
    );
    return [FROM, ...between, until.value];
  });

  const pathOf = (step: Step): string =>
    line<number>(
      (at) => x.value(at),
      (at) => y.value(sizeAt(scale(), step, at)),
    ).curve(scale().between === 'media' ? curveStepAfter : curveLinear)(widths.value) ?? '';

  const curves = computed(() => steps.value.map((step) => ({ step, path: pathOf(step) })));

  /** Names at the right, kept apart by a line's height. */
  const labels = computed(() => {
    let last = Infinity;
    return [...steps.value]
      .sort((a, b) => a.large - b.large)
      .map((step) => {
        last = Math.min(y.value(step.large), last - LINE);
        return { step, y: last };
      });
  });

  /** While an end is dragged the axis of sizes stays as it was, so that the end stays under the hand. */
  function hold(on: boolean): void {
    heldExtent.value = on ? extent.value : null;
  }

  return { width, height, steps, x, y, sizeTicks, curves, labels, hold };
}

export type ScaleDrawing = ReturnType<typeof useScaleDrawing>;
