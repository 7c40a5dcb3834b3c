<script setup lang="ts">
import { propertyCell as say } from './words';
import {
  BODY_STYLE,
  descriptorOf,
  occasionIn,
  PROPERTIES,
  settingsIn,
  valuesOf,
  type Patch,
  type ProjectDocument,
  type PropertyName,
  type Slant,
  type StyleValues,
} from '@lettera/core/document';
import { stepByNumber, stepsOf } from '@lettera/core/scale';
import {
  matchFace,
  resolveInUse,
  setCellPatch,
  sizeOn,
  spacingHere,
  typedValue,
  writtenValue,
  type ResolvedProperty,
  FEATURE_PROPERTIES,
  lackingFeatures,
} from '@lettera/core/style';
import TextField from '../../control/TextField.vue';
import PickOne from '../../control/PickOne.vue';
import { computed, ref } from 'vue';
import DoButton from '../../control/DoButton.vue';
import OnOffSet from '../../control/OnOffSet.vue';
import NumberField from '../../control/NumberField.vue';
import { plainNumber } from '../../control/figures';
import { useLengthUnit } from '../../control/lengthUnit';
import FaceToTakeIn from '../../proof/FaceToTakeIn.vue';
import { useLayer } from '../../store/layer';
import { useCaseSheets } from '../../store/caseSheets';
import { useProject } from '../../store/project';
import { ownVoicePatch } from '../../store/rows/seating';
import { traceText, valueText } from './propertyText';

/** One property of one style: its value, in ink where it is set here, and, when opened, the means to change it. */
const props = defineProps<{
  styleKey: string;
  property: PropertyName;
  resolved: ResolvedProperty;
  /** Whether it is being changed. */
  open: boolean;
  /** Whether it stands at the end of its row. */
  atEnd?: boolean;
  /** Key of the family that sets the style, as far as one does. */
  family?: string | null;
  /** Where what is meant is set: for every width, or where it differs. */
  where: StyleValues;
  /** How that family is set there. */
  slant?: Slant;
}>();

const emit = defineEmits<{ close: [] }>();

const project = useProject();
const lengths = useLengthUnit();
const layer = useLayer(`styles: ${props.styleKey} ${props.property}`);

/** Sizes in another unit than px are shown in it. */
function textOf(document: ProjectDocument, value: string | number | null): string {
  const occasion = occasionIn(props.where);
  const own =
    occasion !== null && props.property === 'step'
      ? sizeOn(document, occasion, Number(value ?? 0))
      : null;
  if (own) {
    const { name } = stepByNumber(document.scale, Number(value ?? 0));
    return say.stepAt(name, plainNumber(Number(own.size.toFixed(1))), own.unit);
  }
  return valueText(
    document,
    props.property,
    value,
    lengths.unit === 'px' ? undefined : (size) => lengths.figure(size),
  );
}

const values = computed(() => descriptorOf(props.property).values);
const number = computed(() => (values.value.kind === 'number' ? values.value : null));
const isSet = computed(
  () => valuesOf(project.shown?.styles[props.styleKey], props.where)[props.property] !== undefined,
);
/** Nothing sets it, and nothing is delivered of it. */
const isLeft = computed(() => props.resolved.origin === 'browser');
const text = computed(() => {
  // What means something on one occasion alone is not there elsewhere.
  if (isLeft.value) return descriptorOf(props.property).only ? '–' : say.pagesOwn;
  const { shown } = project;
  if (!shown) return '';
  // A length is inherited as it was computed where it was set, whatever the size is here.
  const value =
    props.property === 'letterSpacing' && !isSet.value
      ? Number(
          spacingHere(shown, resolveInUse(shown, props.styleKey), shown.scale.large.width).toFixed(
            4,
          ),
        )
      : props.resolved.value;
  return textOf(shown, value);
});
const trace = computed(() => {
  const { shown } = project;
  if (!shown) return '';
  return props.resolved.origin === 'set' && !isSet.value
    ? say.isWhatSetEvery(PROPERTIES[props.property].label)
    : traceText(shown, props.property, props.resolved);
});
const swatch = computed(() => {
  const { value: takes } = values;
  return takes.kind === 'key' && takes.of === 'colours'
    ? project.shown?.colours[String(props.resolved.value)]?.light
    : null;
});

/** Families of the case that no voice holds, each offered as a voice of its own. */
const OWN = 'family ';
const unseated = (document: ProjectDocument) => {
  const seated = Object.values(document.voices).map(({ family }) => family);
  return Object.entries(document.case)
    .filter(([key]) => !seated.includes(key))
    .map(([key, { name }]) => ({ value: OWN + key, label: say.inVoiceOwn(name) }));
};

const choices = computed<{ value: string | number; label: string }[]>(() => {
  const document = project.document;
  if (!document) return [];
  const named = (values: readonly (string | number)[]) =>
    values.map((value) => ({ value, label: textOf(document, value) }));
  const { value: takes } = values;
  switch (takes.kind) {
    case 'key':
      return [
        ...named(Object.keys(document[takes.of])),
        ...(takes.of === 'voices' ? unseated(document) : []),
      ];
    case 'step':
      return named(
        stepsOf(document.scale)
          .map((step) => step.number)
          .reverse(),
      );
    case 'choice':
      return named(takes.of);
    default:
      return props.property === 'weight' ? weights.value : [];
  }
});

const WEIGHTS = [100, 200, 300, 400, 500, 600, 700, 800, 900];
/** Weights, each with what a browser shows for it with the faces of the case. */
const weights = computed(() => {
  const faces = project.document?.case[props.family ?? '']?.faces;
  return WEIGHTS.map((weight) => {
    const match = faces && matchFace(faces, { weight, slant: props.slant ?? 'normal' });
    const shown = match?.fakedBold
      ? say.thickened(match.weight)
      : match && match.weight !== weight
        ? say.showsAs(match.weight)
        : '';
    return { value: weight, label: `${weight}${shown}` };
  });
});

/** The weight that is asked for, where the family does not have it: what a browser shows, and what would mend it. */
const lacking = computed(() => {
  const faces = project.document?.case[props.family ?? '']?.faces;
  if (props.property !== 'weight' || !faces || !props.family) return null;
  const weight = Number(props.resolved.value);
  const match = matchFace(faces, { weight, slant: props.slant ?? 'normal' });
  if (!match || (match.weight === weight && !match.fakedBold)) return null;
  return {
    family: props.family,
    wanted: { weight, style: props.slant ?? 'normal' },
    shows: match.fakedBold ? say.showsThickened(match.weight) : say.shows(match.weight),
  };
});

/** What the family that sets the style offers of this property, by tag. */
const sheets = useCaseSheets();
const sheet = computed(() => sheets.sheets[props.family ?? '']);

/** What is asked for and the face does not have, in words; empty where it has all, or is not known. */
const unheld = computed(() => {
  const { property } = props;
  const known = FEATURE_PROPERTIES.find((one) => one === property);
  if (!known || !sheet.value || props.resolved.origin === 'browser') return '';
  const { words, instead } = lackingFeatures(known, String(props.resolved.value), {
    features: sheet.value.features,
    figures: sheet.value.measures.regular.figures?.offers ?? [],
  });
  if (words.length === 0) return '';
  return instead === 'drawn' ? say.drawnSmaller : say.faceHasNone;
});

/** What is typed as text: lengths with their unit, tags with their numbers. */
const isTyped = computed(() => values.value.kind === 'length' || values.value.kind === 'settings');
const refused = ref('');
function type(event: Event): void {
  const field = event.target as HTMLInputElement;
  const { document } = project;
  if (!document) return;
  refused.value = '';
  if (!field.value.trim()) {
    follow();
    return;
  }
  const value = typedValue(document, props.property, field.value);
  if (value === null) {
    const { value: takes } = values;
    const typed = takes.kind === 'length' && takes.edges ? say.pxBelow : '1.5 em';
    const example = takes.kind === 'settings' ? say.ssCv : typed;
    refused.value = say.isNoValueHere(field.value, example);
    return;
  }
  project.change(setTo(value));
}
const typedText = computed(() =>
  project.document && isSet.value
    ? writtenValue(project.document, props.property, props.resolved.value)
    : '',
);

const features = computed(() =>
  props.property === 'features'
    ? (sheet.value?.features ?? []).map(({ tag, name }) => ({ value: tag, label: name }))
    : [],
);
const axes = computed(() =>
  props.property === 'axes'
    ? (sheet.value?.reading.axes ?? []).filter(({ tag }) => !/^(wght|wdth|slnt|ital)$/.test(tag))
    : [],
);
const settings = computed(() => {
  const { value: takes } = values;
  return takes.kind === 'settings' ? (settingsIn(props.resolved.value, takes) ?? []) : [];
});
const on = computed(() => settings.value.filter(([, number]) => number > 0).map(([tag]) => tag));
/** Switches features of the face on; those that the face does not name stay as they are. */
function setFeatures(tags: string[]): void {
  const offered = new Set(features.value.map(({ value }) => value));
  const others = settings.value.filter(([tag]) => !offered.has(tag));
  const all = [
    ...others.map(([tag, number]) => `${tag} ${number}`),
    ...tags.filter((tag) => offered.has(tag)),
  ];
  if (all.length > 0) project.change(setTo(all.join(', ')));
  else follow();
}

function setTo(value: string | number | null): Patch {
  const { document } = project;
  if (!document) return [];
  const set = (to: string | number | null) =>
    setCellPatch(document, props.styleKey, props.property, to, props.where);
  if (typeof value !== 'string' || !value.startsWith(OWN)) return set(value);
  const { patch, voice } = ownVoicePatch(document, value.slice(OWN.length));
  return [...patch, ...set(voice)];
}

/** What is chosen from a list is the end of it; what is typed may be stepped on. */
function choose(value: string | number): void {
  if (layer.take(setTo(value))) emit('close');
}

function look(value: string | number): void {
  layer.show(value === props.resolved.value ? null : setTo(value));
}

/** The body follows nothing: what it does not set is the browser’s. */
const isBody = computed(() => props.styleKey === BODY_STYLE && props.where === 'set');
const released = computed(() => (isBody.value ? say.bodyFollowsNothingWhat : say.letFollowAgain));

function follow(): void {
  if (isSet.value) project.change(setTo(null));
}
</script>

<template>
  <td :class="{ set: isSet, open }" :title="trace">
    <span
      class="value"
      :class="{ 'mark-text': lacking || unheld, unheld }"
      :title="unheld || undefined"
    >
      <span v-if="swatch" class="swatch" :style="{ background: swatch }" />{{ text
      }}<span v-if="lacking" class="shows">, {{ lacking.shows }}</span
      ><span v-else-if="unheld" class="visually-hidden">, {{ unheld }}</span>
    </span>
    <div v-if="open" class="editor" :class="{ end: atEnd }" @click.stop>
      <span class="line">
        <NumberField
          v-if="number"
          :label="PROPERTIES[property].label"
          hide-label
          :model-value="Number(resolved.value ?? 0)"
          :min="number.min"
          :max="number.max"
          :step="number.by"
          :unit="number.unit"
          width="60px"
          @update:model-value="project.change(setTo(number.whole ? Math.round($event) : $event))"
          @reset="follow"
        />
        <TextField
          v-else-if="isTyped"
          :model-value="typedText"
          :aria-label="PROPERTIES[property].label"
          :aria-invalid="refused !== ''"
          :placeholder="text"
          @change="type"
        />
        <PickOne
          v-if="choices.length"
          :model-value="isLeft ? null : resolved.value"
          :choices="choices"
          :label="number ? say.weightsLoaded : PROPERTIES[property].label"
          :placeholder="number ? 'pick' : text"
          @update:model-value="choose"
          @hide="layer.show(null)"
        >
          <template #option="{ option }">
            <span class="choice" @mouseenter="look(option.value)">{{ option.label }}</span>
          </template>
        </PickOne>
        <DoButton v-if="isSet" bare class="follow" :title="released" @click="follow">{{
          isBody ? say.unset : say.letFollow
        }}</DoButton>
        <DoButton bare label="×" :aria-label="say.closeCell" @click="emit('close')" />
      </span>
      <OnOffSet
        v-if="features.length"
        :label="say.whatFaceOffers"
        class="offered"
        :choices="features"
        :model-value="on"
        @update:model-value="setFeatures"
      />
      <span v-for="axis in axes" :key="axis.tag" class="note">{{
        say.axisRange(axis.tag, plainNumber(axis.min), plainNumber(axis.max))
      }}</span>
      <span v-if="refused" role="alert" class="note mark-text">{{ refused }}</span>
      <FaceToTakeIn v-if="lacking" :family="lacking.family" :wanted="lacking.wanted" />
      <span v-if="unheld" class="note mark-text">{{ unheld }}</span>
      <span class="note">{{ trace }}</span>
    </div>
  </td>
</template>

<style scoped>
td {
  position: relative;
  padding: 0 10px;
  color: var(--ink-3);
  white-space: nowrap;
}
td.set {
  color: var(--ink);
  font-weight: 550;
}
.value {
  display: block;
  overflow: hidden;
}
.shows {
  font-weight: 400;
}
.unheld {
  text-decoration: underline wavy;
  text-decoration-thickness: 1px;
}
.swatch {
  display: inline-block;
  width: 10px;
  height: 10px;
  margin-right: 7px;
  vertical-align: -1px;
  border: 1px solid var(--rule);
  border-radius: var(--corner);
}
/* Over what stands there: nothing moves while a cell is changed. */
.editor {
  position: absolute;
  top: 0;
  left: 0;
  z-index: 4;
  display: grid;
  gap: 6px;
  min-width: max(100%, 220px);
  padding: 5px 10px 6px;
  font-weight: 400;
  color: var(--ink);
  cursor: auto;
  background: var(--sheet);
  border: 1px solid var(--verdigris);
  border-radius: var(--corner);
}
.editor.end {
  right: 0;
  left: auto;
}
.note {
  max-width: 300px;
  font-size: var(--size-beside);
  color: var(--ink-2);
  white-space: normal;
}
.note.mark-text {
  color: var(--mark);
}
.offered {
  max-width: 340px;
  white-space: normal;
}
.choice {
  display: block;
  width: 100%;
  margin: -5px -8px;
  padding: 5px 8px;
}
</style>
