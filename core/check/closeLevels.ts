import { reapply, type Patch } from '../document/change';
import type { ProjectDocument } from '../document/projectDocument';
import { SCALE_BOUNDS } from '../document/scale';
import { giveBackPatch } from '../scale/byHand';
import { crossingsOf } from '../scale/crossing';
import { ENDS, stepByNumber, type End } from '../scale/steps';
import { headingLevels, stepOf, stylesInUse } from '../style/measure';
import { resolveInUse } from '../style/resolve';
import { px, styleName, type Mark, type Remedy, type Rule } from './mark';

/** Sizes that are told apart at a glance: one is this many times the other at least. */
export const LEAST_RATIO = 1.12;
/** Weights that are told apart at a glance. */
const LEAST_WEIGHT = 200;
/** How finely a ratio that tells levels apart is sought. */
const RATIO_STEP = 0.01;

type Pair = readonly [lower: string, higher: string];

/** Whether two styles differ in anything but size that is seen at a glance. */
function differ(document: ProjectDocument, [a, b]: Pair): boolean {
  const [one, other] = [resolveInUse(document, a), resolveInUse(document, b)];
  const familyOf = (voice: string | null) => {
    const seat = document.voices[voice ?? ''];
    return seat?.family ?? seat?.generic;
  };
  const colourOf = (colour: string | null) => document.colours[colour ?? '']?.light;
  return (
    Math.abs((one.weight.value ?? 400) - (other.weight.value ?? 400)) >= LEAST_WEIGHT ||
    one.case.value !== other.case.value ||
    one.slant.value !== other.slant.value ||
    familyOf(one.voice.value) !== familyOf(other.voice.value) ||
    colourOf(one.colour.value) !== colourOf(other.colour.value)
  );
}

/** Styles that stand as neighbouring levels: on neighbouring steps in use, or heading after heading. */
function levels(document: ProjectDocument): Pair[] {
  const styles = stylesInUse(document);
  const steps = [...new Set(styles.map((style) => stepOf(document, style)))].sort((a, b) => a - b);
  const on = (step: number | undefined) =>
    styles.filter((style) => stepOf(document, style) === step);
  const pairs: Pair[] = steps.flatMap((step, i) =>
    on(step).flatMap((higher) => on(steps[i - 1]).map((lower): Pair => [lower, higher])),
  );
  const headings = headingLevels(document);
  headings.forEach(({ style }, i) => {
    const before = headings[i - 1]?.style;
    const known = pairs.some(([lower, higher]) => lower === style && higher === before);
    if (before && before !== style && !known) pairs.push([style, before]);
  });
  return pairs;
}

const sizesOf = (document: ProjectDocument, [lower, higher]: Pair, end: End): [number, number] => [
  stepByNumber(document.scale, stepOf(document, lower))[end],
  stepByNumber(document.scale, stepOf(document, higher))[end],
];

function sizeRatio(document: ProjectDocument, pair: Pair, end: End): number {
  const [a, b] = sizesOf(document, pair, end);
  return Math.max(a, b) / Math.min(a, b);
}

/** Given back to the ratio, or with the least ratio at that end, the levels are clear of one another. */
function remedy(document: ProjectDocument, pair: Pair, end: End): Remedy | undefined {
  const { scale } = document;
  const passes = (patch: Patch): boolean => {
    const after = reapply(document, patch);
    const sound = after.scale.crossing || crossingsOf(after.scale).length === 0;
    return sound && sizeRatio(after, pair, end) >= LEAST_RATIO;
  };
  const givenBack = pair.flatMap((style) => giveBackPatch(scale, stepOf(document, style), end));
  if (givenBack.length > 0 && passes(givenBack)) {
    return { does: 'Give the steps back to the ratio', patch: givenBack };
  }
  const series = scale.display ? (['', 'display/'] as const) : ([''] as const);
  for (const part of series) {
    const current = (part && scale.display ? scale.display[end] : scale[end]).ratio;
    for (let more = RATIO_STEP; current + more <= SCALE_BOUNDS.ratio[1]; more += RATIO_STEP) {
      const value = Number((current + more).toFixed(3));
      const patch: Patch = [{ op: 'replace', path: `/scale/${part}${end}/ratio`, value }];
      if (passes(patch))
        return { does: `Set the ratio at ${scale[end].width} px to ${value}`, patch };
      if (more > 0.5) break;
    }
  }
  return undefined;
}

/** Levels next to each other that a visitor cannot tell apart at an end of the scale. */
export const closeLevels: Rule = (document) =>
  ENDS.flatMap((end) => {
    const seen = new Set<string>();
    return levels(document).flatMap((pair): Mark[] => {
      const ratio = sizeRatio(document, pair, end);
      if (ratio >= LEAST_RATIO || differ(document, pair)) return [];
      const [lower, higher] = pair;
      // One mark a pair of steps: what is true of one pair of styles on them is true of the rest.
      const steps = `${stepOf(document, lower)} ${stepOf(document, higher)}`;
      if (seen.has(steps)) return [];
      seen.add(steps);
      const [small, large] = sizesOf(document, pair, end);
      const { width } = document.scale[end];
      const fix = remedy(document, pair, end);
      return [
        {
          rule: 'close-levels',
          stage: 'scale',
          style: higher,
          width,
          message: `${styleName(document, higher)} and ${styleName(document, lower)} cannot be told apart at ${width} px: ${px(large)} and ${px(small)} are ${ratio.toFixed(2)} to 1, where ${LEAST_RATIO} is needed, and weight, style, voice and colour are alike.`,
          remedy: fix
            ? `${fix.does}.`
            : `Give one of them another step, or another weight or colour.`,
          ...(fix ? { fix } : {}),
        },
      ];
    });
  });
