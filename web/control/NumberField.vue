<script setup lang="ts">
import { numberField as say } from './words';
import { PX_IN } from '@lettera/core/scale';
import TextField from './TextField.vue';
import { computed, nextTick, ref, watch } from 'vue';
import { useLengthUnit } from './lengthUnit';
import { readNumber, type NumberUnit } from './readNumber';

const props = withDefaults(
  defineProps<{
    modelValue: number | null;
    label: string;
    min: number;
    max: number;
    step: number;
    /** The unit that the figure stands for; lengths typed in px, rem or pt are converted. A size is shown in
     * the unit that the designer prefers. */
    unit?: NumberUnit;
    hideLabel?: boolean;
    width?: string;
  }>(),
  { unit: 'none', hideLabel: false, width: '72px' },
);
const emit = defineEmits<{ 'update:modelValue': [value: number]; reset: [] }>();

const lengths = useLengthUnit();
const shownUnit = computed(() => (props.unit === 'size' ? lengths.unit : props.unit));
/** px in what is shown. */
const factor = computed(() => (props.unit === 'size' ? PX_IN[lengths.unit] : 1));

const figure = (value: number): string => String(Number((value / factor.value).toFixed(4)));
const shownValue = (): string => (props.modelValue === null ? '' : figure(props.modelValue));

const typed = ref(shownValue());
const refused = ref('');
/** Whether the designer is at the field, and has written something else than the value into it. */
const focused = ref(false);
const isWriting = (shown: string): boolean => focused.value && typed.value !== shown;
watch(shownValue, (_now, shown) => {
  // A value that comes from elsewhere, as a proposal that is worked out anew, takes nothing from under the hand.
  if (isWriting(shown)) return;
  typed.value = shownValue();
  refused.value = '';
});

const range = () => say.from(figure(props.min), figure(props.max));
const read = (text: string) => readNumber(text, props.unit, lengths.unit);

function take(): void {
  if (typed.value.trim() === shownValue()) {
    refused.value = '';
    return;
  }
  const value = read(typed.value);
  if (value === null || value < props.min || value > props.max) {
    refused.value =
      value === null
        ? say.isNoNumberGive(typed.value, range())
        : say.isOutBoundsGive(typed.value, range());
    return;
  }
  refused.value = '';
  emit('update:modelValue', value);
  // One that is not taken leaves the value as it was, and so what is shown.
  void nextTick(() => (typed.value = shownValue()));
}

async function onKey(event: KeyboardEvent): Promise<void> {
  const direction = { ArrowUp: 1, ArrowDown: -1 }[event.key];
  if (event.key === 'Escape') {
    typed.value = shownValue();
    refused.value = '';
  }
  if (!direction) return;
  event.preventDefault();
  const from = read(typed.value) ?? props.modelValue ?? props.min;
  const stepped = from + direction * props.step * (event.shiftKey ? 10 : 1);
  typed.value = figure(Math.min(props.max, Math.max(props.min, stepped)));
  await nextTick();
  take();
}
</script>

<template>
  <span class="field">
    <label class="line">
      <span :class="hideLabel ? 'visually-hidden' : 'name'">{{ label }}</span>
      <TextField
        v-model="typed"
        inputmode="decimal"
        :aria-label="label"
        :aria-description="unit === 'none' ? undefined : say.inUnit(shownUnit)"
        :style="{ width }"
        :invalid="refused !== ''"
        :aria-invalid="refused !== ''"
        @focus="focused = true"
        @blur="focused = false"
        @change="take"
        @keydown="onKey"
        @keydown.enter="take"
        @dblclick="emit('reset')"
      />
      <span v-if="unit !== 'none'" class="unit">{{ shownUnit }}</span>
    </label>
    <span v-if="refused" class="refused" role="alert">{{ refused }}</span>
  </span>
</template>

<style scoped>
.field {
  position: relative;
  display: inline-block;
}
.line {
  gap: 6px;
}
.unit {
  color: var(--ink-2);
}
.refused {
  position: absolute;
  top: 100%;
  left: 0;
  z-index: 4;
  width: max-content;
  max-width: 260px;
  padding: 4px 8px;
  font-size: 12px;
  background: var(--sheet);
  border: 1px solid var(--mark);
}
:deep(input) {
  text-align: right;
}
</style>
