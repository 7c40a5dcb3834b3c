<script setup lang="ts">
import { faceCorrections as say } from './words';
import { slug } from '@lettera/core/deliver';
import { correctFacePatch, dropFacePatch, moveFacePatch } from '@lettera/core/change';
import { type Face, sharedPlaces, type Slant, widthRange } from '@lettera/core/document';
import { embeddingRights } from '@lettera/core/font';
import TextField from '../../control/TextField.vue';
import PickOne from '../../control/PickOne.vue';
import { computed, ref } from 'vue';
import DoButton from '../../control/DoButton.vue';
import FiguresTable from '../../control/FiguresTable.vue';
import { kilobytes } from '../../control/figures';
import NumberField from '../../control/NumberField.vue';
import { useCaseReadings } from '../../store/caseReadings';
import { useProject } from '../../store/project';

/** The faces of a family of the case as their files say, to be corrected where a file lies. */
const props = defineProps<{ caseKey: string }>();

const project = useProject();
const caseReadings = useCaseReadings();
const whole = ref(false);
const FIRST = 24;

const STYLES: { value: Slant; label: string }[] = [
  { value: 'normal', label: say.upright },
  { value: 'italic', label: say.italic },
];

const family = computed(() => project.document?.case[props.caseKey]);
const editable = computed(() => family.value?.source === 'files');

const faces = computed(() => {
  const list = family.value?.faces ?? [];
  const conflicts = sharedPlaces(list);
  return list.map((face, index) => {
    const reading = caseReadings.readings[face.files[0]?.sha256 ?? ''];
    const rivals = conflicts
      .filter((pair) => pair.includes(index))
      .flatMap((pair) => pair.filter((other) => other !== index))
      .map(
        (other) =>
          caseReadings.readings[list[other]?.files[0]?.sha256 ?? '']?.fullName ??
          say.face(other + 1),
      );
    return {
      face,
      index,
      fullName: reading?.fullName ?? '',
      rights: reading ? embeddingRights(reading.fsType) : null,
      rivals,
      bytes: face.files.reduce((sum, { bytes }) => sum + bytes, 0),
    };
  });
});
const shown = computed(() => (whole.value ? faces.value : faces.value.slice(0, FIRST)));

const rangeText = (least: number, most: number): string =>
  least === most ? `${least}` : say.weightRange(least, most);

function correct(index: number, change: Partial<Face>): void {
  const face = family.value?.faces[index];
  if (!project.document || !face) return;
  project.change(correctFacePatch(project.document, props.caseKey, index, { ...face, ...change }));
}

function move(index: number, event: Event): void {
  const name = (event.target as HTMLInputElement).value.trim();
  if (!project.document || !name) return;
  project.change(moveFacePatch(project.document, props.caseKey, index, name.slice(0, 300), slug));
}

function drop(index: number): void {
  const patch = project.document && dropFacePatch(project.document, props.caseKey, index);
  if (patch) project.change(patch);
}
</script>

<template>
  <FiguresTable v-if="family">
    <thead>
      <tr>
        <th>{{ say.faceAsFileSays }}</th>
        <th v-if="editable">{{ say.family }}</th>
        <th>{{ say.weight }}</th>
        <th>{{ say.width }}</th>
        <th>{{ say.style }}</th>
        <th class="figure">{{ say.woff }}</th>
        <th v-if="editable">
          <span class="visually-hidden">{{ say.remove }}</span>
        </th>
      </tr>
    </thead>
    <tbody>
      <tr
        v-for="{ face, index, fullName, rights, rivals, bytes } in shown"
        :key="editable ? face.files[0]?.sha256 : index"
      >
        <td>
          <bdi class="full">{{ fullName || '…' }}</bdi>
          <span v-if="rivals.length" class="mark-text small">
            {{ say.claimsSamePlaceAs(rivals.join(', ')) }}
          </span>
          <span v-if="rights?.forbidsWeb || rights?.forbidsSubsetting" class="mark-text small">
            {{ say.fileSays(rights.says) }}
          </span>
        </td>
        <template v-if="editable">
          <td>
            <TextField
              :model-value="family.name"
              class="family"
              :aria-label="say.familyFullName(fullName)"
              maxlength="300"
              @change="move(index, $event)"
            />
          </td>
          <td>
            <NumberField
              v-if="face.weightMin === face.weightMax"
              :model-value="face.weightMin"
              :label="say.weightFullName(fullName)"
              hide-label
              width="56px"
              :min="1"
              :max="1000"
              :step="100"
              @update:model-value="
                correct(index, { weightMin: Math.round($event), weightMax: Math.round($event) })
              "
            />
            <template v-else>{{ rangeText(face.weightMin, face.weightMax) }}</template>
          </td>
          <td>
            <NumberField
              v-if="widthRange(face)[0] === widthRange(face)[1]"
              :model-value="widthRange(face)[0]"
              :label="say.widthPercent(fullName)"
              hide-label
              width="56px"
              :min="50"
              :max="200"
              :step="12.5"
              @update:model-value="correct(index, { widthMin: $event, widthMax: $event })"
            />
            <template v-else>{{ rangeText(...widthRange(face)) }}</template>
          </td>
          <td>
            <PickOne
              :model-value="face.style"
              :choices="STYLES"
              :label="say.styleFullName(fullName)"
              @update:model-value="correct(index, { style: $event })"
            />
          </td>
        </template>
        <template v-else>
          <td>{{ rangeText(face.weightMin, face.weightMax) }}</td>
          <td>{{ rangeText(...widthRange(face)) }} %</td>
          <td>{{ face.style === 'normal' ? say.upright : say.italic }}</td>
        </template>
        <td class="figure">{{ kilobytes(bytes) }}</td>
        <td v-if="editable">
          <DoButton
            v-if="faces.length > 1"
            class="on-point"
            :aria-label="say.removeFullName(fullName)"
            @click="drop(index)"
          >
            {{ say.remove }}
          </DoButton>
        </td>
      </tr>
    </tbody>
  </FiguresTable>
  <p v-if="shown.length < faces.length">
    <DoButton @click="whole = true"> {{ say.showAllFaces(faces.length) }} </DoButton>
  </p>
</template>

<style scoped>
.full {
  overflow-wrap: anywhere;
}
.family {
  width: 110px;
}
button {
  min-width: 24px;
  min-height: 24px;
}
.small {
  display: block;
}
</style>
