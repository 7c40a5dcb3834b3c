<script setup lang="ts">
import { familyAxes as say } from './words';
import { libraryFaces } from '@lettera/core/document';
import { regularFace, type FaceMeasures, type FamilySheet } from '@lettera/core/measure';
import { computed, reactive, ref, shallowRef, watch } from 'vue';
import { api } from '../../api/client';
import { debounce } from '../../control/debounce';
import NumberField from '../../control/NumberField.vue';
import SliderField from '../../control/SliderField.vue';
import { useProject } from '../../store/project';
import type { LineUpRow } from '../../store/rows/rows';
import { MEASURES, withUnit } from '../../store/rows/measures';
import { rowFont } from '../../proof/specimenFonts';

/** The axes of a variable family, to be moved, with its measures at the point they stand at. */
const props = defineProps<{ row: LineUpRow; sheet: FamilySheet; words: string }>();

const project = useProject();
const axes = props.sheet.reading.axes;
const point = reactive<Record<string, number>>(
  Object.fromEntries(
    axes.map(({ tag, min, max, default: start }) => [
      tag,
      tag === 'wght' ? Math.min(max, Math.max(min, 400)) : start,
    ]),
  ),
);
const measured = shallowRef<FaceMeasures | null>(null);
const failed = ref('');
const font = rowFont(props.row);

/** Registered axes by what they are called (OpenType 1.9, "Design-Variation Axis Tag Registry"). */
const NAMES: Record<string, string> = {
  wght: say.weight,
  wdth: say.width,
  opsz: say.opticalSize,
  slnt: say.slant,
  ital: say.italic,
};

const settings = computed(() =>
  Object.entries(point)
    .map(([tag, value]) => `"${tag}" ${value}`)
    .join(', '),
);
const SHOWN = ['xHeight', 'width', 'contrast', 'colour', 'stem', 'advance'];
const figures = computed(() => {
  const { value: regular } = measured;
  if (!regular) return '';
  return MEASURES.filter(({ key }) => SHOWN.includes(key))
    .map((measure) => {
      const value = measure.value({ ...props.sheet.measures, regular });
      return `${measure.name} ${withUnit(measure, value)}`;
    })
    .join(' · ');
});

function measureHere(): Promise<FaceMeasures> {
  const { library, caseKey } = props.row;
  if (library) {
    const face = regularFace(libraryFaces(library));
    const file = face?.files.find(({ script }) => script === 'latin') ?? face?.files[0];
    return api.libraryFileMeasures(project.id, library.id, file?.name ?? '', { ...point });
  }
  const face = regularFace(project.document?.case[caseKey ?? '']?.faces ?? []);
  return api.fontMeasures(project.id, face?.files[0]?.sha256 ?? '', { ...point });
}

/** Measures are asked for once the axes have come to rest, milliseconds. */
const REST = 150;
const measureSoon = debounce(() => {
  measureHere().then(
    (value) => ((measured.value = value), (failed.value = '')),
    (error: Error) => (failed.value = error.message),
  );
}, REST);
watch(point, measureSoon, { immediate: true });
</script>

<template>
  <section>
    <h3>{{ say.axes }}</h3>
    <div v-for="{ tag, min, max } in axes" :key="tag" class="line">
      <SliderField
        :model-value="point[tag] ?? min"
        :min="min"
        :max="max"
        :step="max - min > 20 ? 1 : 0.1"
        :label="say.axis(NAMES[tag] ?? tag)"
        says=""
        width="200px"
        @update:model-value="point[tag] = $event"
      />
      <NumberField
        :model-value="point[tag] ?? min"
        :label="NAMES[tag] ?? tag"
        :min="min"
        :max="max"
        :step="max - min > 20 ? 1 : 0.1"
        @update:model-value="point[tag] = $event"
      />
      <span class="small quiet">{{ say.range(min, max) }}</span>
    </div>
    <p class="set" :style="{ fontFamily: font, fontVariationSettings: settings }" dir="auto">
      {{ words }}
    </p>
    <p v-if="failed" class="mark-text">{{ failed }}</p>
    <p v-else class="small" role="status">{{ say.here(figures || 'measuring …') }}</p>
  </section>
</template>

<style scoped>
.set {
  font-size: 30px;
  line-height: 1.3;
}
</style>
