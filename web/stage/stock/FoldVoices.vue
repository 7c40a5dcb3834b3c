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
/** A row for each voice, and for each seat in it, whose family is given by a key of its own. */
const rows = computed(() =>
  props.voices.flatMap((voice) => [
    { ...voice, called: nameOf(voice), isVoice: true },
    ...seatsOf(voice).map((seat) => {
      const called = say.inScript(nameOf(voice), scriptOf(seat.script)?.name ?? seat.script);
      return { ...seat, key: seatKey(voice, seat), name: called, called, isVoice: false };
    }),
  ]),
);
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
      <tr v-for="row in rows" :key="row.key">
        <th scope="row">
          <NameField
            v-if="row.isVoice"
            :label="say.nameVoice(row.asks)"
            :proposed="row.name"
            :given="names[row.key]"
            @name="$emit('name', row.key, $event)"
          />
          <template v-else>{{ row.name }}</template>
        </th>
        <td>{{ row.asks }}</td>
        <td>
          <PickOne
            :model-value="familyFor(row.key, row.family)"
            :choices="cases"
            :label="say.family(row.called)"
            @update:model-value="$emit('family', row.key, $event === NONE ? null : $event)"
          />
        </td>
        <td class="figure">{{ row.texts.length }}</td>
      </tr>
    </tbody>
  </FiguresTable>
</template>

<style scoped>
table {
  width: 100%;
}
</style>
