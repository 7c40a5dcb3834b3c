<script setup lang="ts">
import { referenceForm as say } from './words';
import { FACE_CLASSES, type FaceClass, type Slant } from '@lettera/core/document';
import { REGULAR_WEIGHT, type FaceMeasures } from '@lettera/core/measure';
import { lookAlikes, spreadOf } from '@lettera/core/pairing';
import TextField from '../../control/TextField.vue';
import PickOne from '../../control/PickOne.vue';
import { computed, ref, shallowRef } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { api } from '../../api/client';
import { useLibrary } from '../../store/library';
import { useProject } from '../../store/project';
import { plain, type LineUpRow } from '../../store/rows/rows';
import RowInFace from '../../proof/RowInFace.vue';

/**
 * A family that its licence lets no one host: its style sheet, its name and faces, and the look-alike
 * that stands in for it on the proof.
 */
const props = defineProps<{
  rows: readonly LineUpRow[];
  /** What is known of it already. */
  given?: {
    name: string;
    stylesheet: string;
    faces: readonly { style: Slant; weight: number }[];
    class: FaceClass;
    /** Measured on a file of it. */
    measures: FaceMeasures | null;
  };
}>();
const emit = defineEmits<{ done: [] }>();

const project = useProject();
const library = useLibrary();

const { given } = props;
const name = ref(given?.name ?? '');
const stylesheet = ref(given?.stylesheet ?? '');
const faceClass = ref<FaceClass>(given?.class ?? 'sans-serif');
const faces = ref(
  given?.faces
    .map(({ style, weight }) => (style === 'italic' ? say.italic(weight) : String(weight)))
    .join(', ') ?? '400, 700',
);
const chosen = ref<string | null>(null);
const measured = shallowRef<{ name: string; weight: number; measures: FaceMeasures } | null>(
  given?.measures ? { name: given.name, weight: REGULAR_WEIGHT, measures: given.measures } : null,
);
/** Where what was measured is no regular, and the partner is looked for among regulars. */
const amongRegulars = computed(() => {
  const { weight = REGULAR_WEIGHT } = measured.value ?? {};
  return Math.abs(weight - REGULAR_WEIGHT) > 100 ? say.lookedAmongRegularsRegular(weight) : '';
});
const refused = ref('');
const sending = ref(false);
const file = ref<HTMLInputElement | null>(null);

const classes = FACE_CLASSES.map((value) => ({ value, label: value }));
const MOST_OFFERED = 12;

/** Weights and italics as they are typed: “400, 400 italic, 700”. Null when a part is neither. */
const parsed = computed(() => {
  const parts = faces.value
    .split(',')
    .map((part) => part.trim())
    .filter(Boolean);
  const list = parts.map((part): { style: Slant; weight: number } | null => {
    const match = /^(\d{1,4})\s*(italic)?$/i.exec(part);
    const weight = Number(match?.[1]);
    return match && weight >= 1 && weight <= 1000
      ? { style: match[2] ? 'italic' : 'normal', weight }
      : null;
  });
  return list.length > 0 && list.every((face) => face !== null) ? list : null;
});

/** Rows that can stand in: those with files here, measured. */
const able = computed(() =>
  props.rows.flatMap((row) =>
    row.measures && !row.standIn ? [{ key: row, measures: row.measures.regular }] : [],
  ),
);

/** Candidates, the likeliest first: the family itself, those that measure alike or are of its class, then any. */
const candidates = computed<{ row: LineUpRow; why: string }[]>(() => {
  const typed = plain(name.value);
  const itself = able.value.filter(({ key }) => typed !== '' && key.plainName === typed);
  const found: { row: LineUpRow; why: string }[] = itself.map(({ key }) => ({
    row: key,
    why: say.familyNameItself,
  }));
  if (measured.value) {
    const spread = spreadOf(able.value.map(({ measures }) => measures));
    for (const { key, differences } of lookAlikes(
      measured.value.measures,
      able.value,
      spread,
      MOST_OFFERED,
    )) {
      found.push({
        row: key,
        why: differences.slice(0, 2).join(', ') || say.noDifferenceBeSeen,
      });
    }
  } else {
    const isOfClass = ({ key }: { key: LineUpRow }) => key.class === faceClass.value;
    for (const { key } of able.value.filter(isOfClass)) {
      found.push({ row: key, why: `a ${faceClass.value}` });
    }
    // Where there is none of its class, another shows where its text stands, though not how it looks.
    for (const { key } of able.value.filter((one) => !isOfClass(one))) {
      found.push({ row: key, why: say.anotherClass(key.class) });
    }
  }
  const seen = new Set<string>();
  return found.filter(({ row }) => !seen.has(row.key) && seen.add(row.key)).slice(0, 60);
});
const standIn = computed(
  () => candidates.value.find(({ row }) => row.key === chosen.value) ?? candidates.value[0],
);

async function measureFile(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const [chosenFile] = input.files ?? [];
  input.value = '';
  if (!chosenFile) return;
  refused.value = '';
  try {
    const result = await api.measureFile(project.id, chosenFile);
    const { family, face, measures } = result;
    const weight = Math.min(face.weightMax, Math.max(face.weightMin, REGULAR_WEIGHT));
    measured.value = { name: family, weight, measures };
    name.value ||= family;
    chosen.value = null;
  } catch (error) {
    refused.value = (error as Error).message;
  }
}

const missing = computed(() => {
  if (!name.value.trim()) return say.giveExactNameStyle;
  if (!/^https:\/\/[^\s"'<>\\]{3,}$/.test(stylesheet.value.trim())) {
    return say.giveAddressStyleSheet;
  }
  if (!parsed.value) return say.giveFacesAsWeights;
  return standIn.value ? '' : say.thereNoFamilyHere;
});

async function take(): Promise<void> {
  refused.value = missing.value;
  if (missing.value || !parsed.value || !standIn.value) return;
  sending.value = true;
  try {
    await library.takeReference({
      name: name.value.trim(),
      stylesheet: stylesheet.value.trim(),
      class: faceClass.value,
      standIn: standIn.value.row.key,
      faces: parsed.value,
    });
    emit('done');
  } catch (error) {
    refused.value = (error as Error).message;
  }
  sending.value = false;
}
</script>

<template>
  <form class="reference" :aria-label="say.familyServedElsewhere" @submit.prevent="take">
    <p class="small quiet">
      {{ say.forFamilyWhoseLicence }}
    </p>
    <div class="fields">
      <label>{{ say.exactFamilyName }} <TextField v-model="name" fluid maxlength="300" /></label>
      <label
        >{{ say.addressStyleSheet }}
        <TextField v-model="stylesheet" fluid :placeholder="say.https" maxlength="2000"
      /></label>
      <label>{{ say.faces }} <TextField v-model="faces" fluid maxlength="300" /></label>
      <label
        >{{ say.class }}
        <PickOne v-model="faceClass" :choices="classes" fluid :label="say.classFamily"
      /></label>
    </div>
    <div class="line wrap">
      <span>{{ say.stands }}</span>
      <PickOne
        :model-value="standIn?.row.key ?? null"
        :choices="
          candidates.map(({ row, why }) => ({ value: row.key, label: `${row.name}: ${why}` }))
        "
        :label="say.lookAlikeStands"
        @update:model-value="chosen = $event"
      />
      <span v-if="standIn" class="sample"
        ><RowInFace :key="standIn.row.key" :row="standIn.row"
      /></span>
    </div>
    <p class="small">
      <template v-if="measured">{{ say.chosenByWhatWas(measured.name, amongRegulars) }} </template>
      <template v-else>{{ say.withFileAtHand }} </template>
      <DoButton @click="file?.click()">{{ say.measureFile }}</DoButton>
      <span class="quiet"> {{ say.itMeasuredNotKept }}</span>
      <input
        ref="file"
        type="file"
        accept=".ttf,.otf,.woff,.woff2"
        class="visually-hidden"
        tabindex="-1"
        :aria-label="say.fontFileMeasure"
        @change="measureFile"
      />
    </p>
    <div class="line">
      <DoButton type="submit" :label="say.addByReference" :loading="sending" first />
      <DoButton @click="emit('done')">{{ say.leave }}</DoButton>
    </div>
    <p v-if="refused" class="mark-text" role="alert">{{ refused }}</p>
  </form>
</template>

<style scoped>
.reference {
  display: grid;
  gap: 8px;
  margin: 0 var(--edge) 12px;
  padding: 12px;
  border: 1px solid var(--rule);
  border-left: 3px solid var(--verdigris);
}
.fields {
  display: grid;
  grid-template-columns: 1fr 1.6fr 1fr 130px;
  gap: 8px;
}
.sample {
  font-size: 20px;
}
button {
  min-height: 24px;
}
</style>
