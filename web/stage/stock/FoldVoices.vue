<script setup lang="ts">
import { foldVoices as say } from './words';
import FiguresTable from '../../control/FiguresTable.vue';
import { siteName } from '@lettera/core/document';
import { scriptOf } from '@lettera/core/script';
import { seatKey, seatsOf, type FoldedVoice } from '@lettera/core/stock';
import PickOne from '../../control/PickOne.vue';
import { computed } from 'vue';
import { useProject } from '../../store/project';
import NameField from './NameField.vue';

/** The families of a site as voices: what each is called, and which family of the case it is given. */
const props = defineProps<{
  voices: readonly FoldedVoice[];
  /** Names that were given by the keys of voices, and families by those of voices and of seats in them. */
  names: Readonly<Record<string, string>>;
  families: Readonly<Record<string, string | null>>;
}>();
defineEmits<{
  name: [voice: string, name: string];
  family: [voice: string, family: string | null];
}>();
const project = useProject();

const NONE = '-';
const familyFor = (key: string, found: string | null): string =>
  (Object.hasOwn(props.families, key) ? props.families[key] : found) ?? NONE;
const nameOf = ({ key, name }: FoldedVoice): string => props.names[key] ?? name;
/** The seats of a voice as rows: what it is called, and what a family is given for it by. */
const seatRows = (voice: FoldedVoice) =>
  seatsOf(voice).map((seat) => ({
    ...seat,
    key: seatKey(voice, seat),
    name: say.inScript(nameOf(voice), scriptOf(seat.script)?.name ?? seat.script),
  }));
const cases = computed(() => [
  { value: NONE, label: say.noneYet },
  ...Object.entries(project.document?.case ?? {}).map(([value, family]) => ({
    value,
    label: siteName(family),
  })),
]);
</script>

<template>
  <FiguresTable>
    <thead>
      <tr>
        <th scope="col">{{ say.voice }}</th>
        <th scope="col">{{ say.textsAsk }}</th>
        <th scope="col">{{ say.familyCase }}</th>
        <th scope="col" class="figure">{{ say.texts }}</th>
      </tr>
    </thead>
    <tbody>
      <template v-for="voice in voices" :key="voice.key">
        <tr>
          <th scope="row">
            <NameField
              :label="say.nameVoice(voice.asks)"
              :proposed="voice.name"
              :given="names[voice.key]"
              @name="$emit('name', voice.key, $event)"
            />
          </th>
          <td>{{ voice.asks }}</td>
          <td>
            <PickOne
              :model-value="familyFor(voice.key, voice.family)"
              :choices="cases"
              :label="say.family(nameOf(voice))"
              @update:model-value="$emit('family', voice.key, $event === NONE ? null : $event)"
            />
          </td>
          <td class="figure">{{ voice.texts.length }}</td>
        </tr>
        <tr v-for="seat in seatRows(voice)" :key="seat.key">
          <th scope="row">{{ seat.name }}</th>
          <td>{{ seat.asks }}</td>
          <td>
            <PickOne
              :model-value="familyFor(seat.key, seat.family)"
              :choices="cases"
              :label="say.family(seat.name)"
              @update:model-value="$emit('family', seat.key, $event === NONE ? null : $event)"
            />
          </td>
          <td class="figure">{{ seat.texts.length }}</td>
        </tr>
      </template>
    </tbody>
  </FiguresTable>
</template>

<style scoped>
table {
  width: 100%;
}
</style>
