<script setup lang="ts">
import { foldVoices as say } from './words';
import FiguresTable from '../../control/FiguresTable.vue';
import { siteName } from '@lettera/core/document';
import type { FoldedVoice } from '@lettera/core/stock';
import PickOne from '../../control/PickOne.vue';
import { computed } from 'vue';
import { useProject } from '../../store/project';
import NameField from './NameField.vue';

/** The families of a site as voices: what each is called, and which family of the case it is given. */
const props = defineProps<{
  voices: readonly FoldedVoice[];
  /** Names and families that were given, by the keys of voices. */
  names: Readonly<Record<string, string>>;
  families: Readonly<Record<string, string | null>>;
}>();
defineEmits<{
  name: [voice: string, name: string];
  family: [voice: string, family: string | null];
}>();
const project = useProject();

const NONE = '-';
const familyFor = ({ key, family }: FoldedVoice): string =>
  (Object.hasOwn(props.families, key) ? props.families[key] : family) ?? NONE;
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
      <tr v-for="voice in voices" :key="voice.key">
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
            :model-value="familyFor(voice)"
            :choices="cases"
            :label="say.family(names[voice.key] ?? voice.name)"
            @update:model-value="$emit('family', voice.key, $event === NONE ? null : $event)"
          />
        </td>
        <td class="figure">{{ voice.texts.length }}</td>
      </tr>
    </tbody>
  </FiguresTable>
</template>

<style scoped>
table {
  width: 100%;
}
</style>
