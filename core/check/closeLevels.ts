import type { Patch } from '../document/patch';
import type { ProjectDocument } from '../document/projectDocument';
import { descriptorOf, PROPERTY_NAMES, type PropertyName } from '../document/property';
import type { Scale } from '../document/scale';
import { SCALE_BOUNDS } from '../document/scaleBounds';
import { scaleAfter } from '../scale/after';
import { giveBackPatch } from '../scale/byHand';
import { crossingsOf } from '../scale/crossing';
import { ENDS, stepByNumber, type End } from '../scale/steps';
import { headingLevels } from '../style/lineMeasure';
import { stylesInUse } from '../style/usage';
import { resolveInUse } from '../style/resolve';
import { inWords, px, styleName, type Mark, type Remedy, type Rule, subjectOf } from './mark';

/** Sizes that are told apart at a glance: one is this many times the other at least. */
export const LEAST_RATIO = 1.12;
/** How finely a ratio that tells levels apart is sought. */
const RATIO_STEP = 0.01;
/** A ratio raised by more would be another scale. */
const MOST_MORE = 0.5;

/** What a style shows of itself at a glance: its step, and by property what tells levels apart. */
interface Look {
  style: string;
  step: number;
  shows: Partial<Record<PropertyName, string | number | undefined>>;
}

/** Two levels that stand next to each other. */
type Pair = readonly [lower: Look, higher: Look];

/** What is seen of a value: of a voice its family, of a colour the colour itself. */
function seen(document: ProjectDocument, name: PropertyName, value: string | number | null) {
  const { values } = descriptorOf(name);
  if (values.kind !== 'key') return value ?? undefined;
  if (values.of === 'colours') return document.colours[value ?? '']?.light;
  const seat = document.voices[value ?? ''];
  return seat?.family ?? seat?.generic;
}

function lookOf(document: ProjectDocument, style: string): Look {
  const resolved = resolveInUse(document, style);
  const telling = PROPERTY_NAMES.filter((name) => descriptorOf(name).tells !== null);
  return {
    style,
    step: resolved.step.value,
    shows: Object.fromEntries(
      telling.map((name) => [name, seen(document, name, resolved[name].value)]),
    ),
  };
}

const differ = ([a, b]: Pair): boolean =>
  PROPERTY_NAMES.some((name) => {
    const { tells } = descriptorOf(name);
    if (tells === null) return false;
    const [one, other] = [a.shows[name], b.shows[name]];
    return tells === 'any' ? one !== other : Math.abs(Number(one) - Number(other)) >= tells.by;
  });

/** The first of each kind of looks: what is true of one is true of all that look the same. */
function distinct(looks: readonly Look[]): Look[] {
  const kinds = new Map<string, Look>();
  for (const look of looks) {
    const kind = `${look.step} ${JSON.stringify(look.shows)}`;
    if (!kinds.has(kind)) kinds.set(kind, look);
  }
  return [...kinds.values()];
}

/** Styles that stand as neighbouring levels: on neighbouring steps in use, or heading after heading. */
function levels(document: ProjectDocument): Pair[] {
  const looks = stylesInUse(document).map((style) => lookOf(document, style));
  const byStep = new Map<number, Look[]>();
  for (const look of distinct(looks)) {
    byStep.set(look.step, [...(byStep.get(look.step) ?? []), look]);
  }
  const steps = [...byStep.keys()].sort((a, b) => a - b);
  const on = (wanted: number | undefined) => byStep.get(wanted ?? NaN) ?? [];
  const pairs: Pair[] = steps.flatMap((step, i) =>
    on(step).flatMap((higher) => on(steps[i - 1]).map((lower): Pair => [lower, higher])),
  );
  const headings = headingLevels(document).flatMap(
    ({ style }) => looks.find((look) => look.style === style) ?? [],
  );
  headings.forEach((lower, i) => {
    const higher = headings[i - 1];
    const known = pairs.some(([a, b]) => a === lower && b === higher);
    if (higher && higher !== lower && !known) pairs.push([lower, higher]);
  });
  return pairs;
}

const sizesOf = (scale: Scale, [lower, higher]: Pair, end: End): [number, number] => [
  stepByNumber(scale, lower.step)[end],
  stepByNumber(scale, higher.step)[end],
];

function sizeRatio(scale: Scale, pair: Pair, end: End): number {
  const [a, b] = sizesOf(scale, pair, end);
  return Math.max(a, b) / Math.min(a, b);
}

/** Given back to the ratio, or with the least ratio at that end, the levels are clear of one another. */
function remedy(scale: Scale, pair: Pair, end: End): Remedy | undefined {
  const passes = (patch: Patch): boolean => {
    const after = scaleAfter(scale, patch);
    const sound = after.crossing || crossingsOf(after).length === 0;
    return sound && sizeRatio(after, pair, end) >= LEAST_RATIO;
  };
  const givenBack = pair.flatMap(({ step }) => giveBackPatch(scale, step, end));
  if (givenBack.length > 0 && passes(givenBack)) {
    return { does: 'Give the steps back to the ratio', patch: givenBack };
  }
  const series = scale.display ? (['', 'display/'] as const) : ([''] as const);
  for (const part of series) {
    const current = (part && scale.display ? scale.display[end] : scale[end]).ratio;
    const most = Math.min(SCALE_BOUNDS.ratio[1], current + MOST_MORE);
    for (let ratio = current + RATIO_STEP; ratio <= most; ratio += RATIO_STEP) {
      const value = Number(ratio.toFixed(3));
      const patch: Patch = [{ op: 'replace', path: `/scale/${part}${end}/ratio`, value }];
      if (passes(patch)) {
        return { does: `Set the ratio at ${scale[end].width} px to ${value}`, patch };
      }
    }
  }
  return undefined;
}

/** Levels next to each other that a visitor cannot tell apart at an end of the scale. */
export const closeLevels: Rule = (document) => {
  const { scale } = document;
  const pairs = levels(document).filter((pair) => !differ(pair));
  return ENDS.flatMap((end) => {
    const seen = new Set<string>();
    return pairs.flatMap((pair): Mark[] => {
      const ratio = sizeRatio(scale, pair, end);
      const [lower, higher] = pair;
      // One mark a pair of steps: what is true of one pair of styles on them is true of the rest.
      const steps = `${lower.step} ${higher.step}`;
      if (ratio >= LEAST_RATIO || seen.has(steps)) return [];
      seen.add(steps);
      const [small, large] = sizesOf(scale, pair, end);
      const { width } = scale[end];
      const fix = remedy(scale, pair, end);
      const names = [higher, lower].map(({ style }) => styleName(document, style));
      return [
        {
          rule: 'close-levels',
          stage: 'scale',
          style: higher.style,
          subject: subjectOf(lower.style, end),
          width,
          message: `${inWords(names)} cannot be told apart at ${width} px: ${px(large)} and ${px(small)} are ${ratio.toFixed(2)} to 1, where ${LEAST_RATIO} is needed, and weight, style, voice and colour are alike.`,
          remedy: fix
            ? `${fix.does}.`
            : 'Give one of them another step, or another weight or colour.',
          ...(fix ? { fix } : {}),
        },
      ];
    });
  });
};
