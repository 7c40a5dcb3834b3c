<script setup lang="ts">
import {
  BODY_STYLE,
  descriptorOf,
  PROPERTIES,
  type Patch,
  type ProjectDocument,
  type PropertyName,
} from '@lettera/core/document';
import { stepsOf } from '@lettera/core/scale';
import type { ResolvedProperty } from '@lettera/core/style';
import Select from 'primevue/select';
import { computed } from 'vue';
import DoButton from '../../control/DoButton.vue';
import NumberField from '../../control/NumberField.vue';
import { useLengthUnit } from '../../control/lengthUnit';
import { useLayer } from '../../store/layer';
import { useProject } from '../../store/project';
import { sourceText, traceText, valueText } from './propertyText';

/** One property of one style: its value and where it comes from, and, when selected, the means to change it. */
const props = defineProps<{
  styleKey: string;
  property: PropertyName;
  resolved: ResolvedProperty;
  editing: boolean;
}>();

const project = useProject();
const lengths = useLengthUnit();
const layer = useLayer(`styles: ${props.styleKey} ${props.property}`);

/** Sizes in another unit than px are shown in it. */
const textOf = (document: ProjectDocument, value: string | number | null): string =>
  valueText(
    document,
    props.property,
    value,
    lengths.unit === 'px' ? undefined : (size) => lengths.figure(size),
  );

const values = computed(() => descriptorOf(props.property).values);
const number = computed(() => (values.value.kind === 'number' ? values.value : null));
const isSet = computed(() => props.resolved.origin === 'set');
const text = computed(() => (project.shown ? textOf(project.shown, props.resolved.value) : ''));
const source = computed(() => (project.shown ? sourceText(project.shown, props.resolved) : ''));
const trace = computed(() =>
  project.shown ? traceText(project.shown, props.property, props.resolved) : '',
);
const swatch = computed(() =>
  props.property === 'colour' ? project.shown?.colours[String(props.resolved.value)]?.light : null,
);

const choices = computed<{ value: string | number; label: string }[]>(() => {
  const document = project.document;
  if (!document) return [];
  const named = (values: readonly (string | number)[]) =>
    values.map((value) => ({ value, label: textOf(document, value) }));
  const { value: takes } = values;
  switch (takes.kind) {
    case 'key':
      return named(Object.keys(document[takes.of]));
    case 'step':
      return named(
        stepsOf(document.scale)
          .map((step) => step.number)
          .reverse(),
      );
    case 'choice':
      return named(takes.of);
    default:
      return [];
  }
});

const path = computed(() => `/styles/${props.styleKey}/set/${props.property}`);

const setTo = (value: string | number): Patch => [{ op: 'add', path: path.value, value }];

function look(value: string | number): void {
  layer.show(value === props.resolved.value ? null : setTo(value));
}

/** The body follows nothing: what it does not set is the browser’s. */
const isBody = computed(() => props.styleKey === BODY_STYLE);
const released = computed(() =>
  isBody.value
    ? 'The body follows nothing: what it does not set is left to the visitor’s browser'
    : 'Let it follow again',
);

function follow(): void {
  if (isSet.value) project.change([{ op: 'remove', path: path.value }]);
}
</script>

<template>
  <td :class="{ set: isSet, editing }" :title="trace">
    <template v-if="editing">
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
      <Select
        v-else
        :model-value="resolved.value"
        :options="choices"
        option-label="label"
        option-value="value"
        size="small"
        fluid
        :aria-label="PROPERTIES[property].label"
        @update:model-value="layer.take(setTo($event))"
        @hide="layer.show(null)"
      >
        <template #option="{ option }">
          <span class="choice" @mouseenter="look(option.value)">{{ option.label }}</span>
        </template>
      </Select>
    </template>
    <span v-else class="value">
      <span v-if="swatch" class="swatch" :style="{ background: swatch }" />{{ text }}
    </span>
    <DoButton v-if="editing && isSet" class="follow" :title="released" @click.stop="follow">{{
      isBody ? 'unset' : 'follow'
    }}</DoButton>
    <span v-else-if="source" class="source">↳ {{ source }}</span>
    <span v-else class="source">{{ editing ? '' : 'set here' }}</span>
  </td>
</template>

<style scoped>
td {
  padding: 4px 10px 4px 0;
  color: var(--ink-2);
  vertical-align: top;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
td.editing {
  overflow: visible;
}
td.set {
  color: var(--ink);
}
td.set .value {
  font-weight: 550;
}
.value {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
}
.source {
  display: block;
  font-size: 11px;
  line-height: 1.3;
  color: var(--ink-2);
}
.follow {
  display: flex;
  margin-top: 4px;
}
.swatch {
  display: inline-block;
  width: 9px;
  height: 9px;
  margin-right: 5px;
  border: 1px solid var(--rule);
}
.choice {
  display: block;
  width: 100%;
  margin: -5px -8px;
  padding: 5px 8px;
}
</style>
