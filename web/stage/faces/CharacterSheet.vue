<script setup lang="ts">
import { characterSheet as say } from './words';
import { parseUnicodeRange } from '@lettera/core/font';
import { charactersByScript, missingLetters, type FamilySheet } from '@lettera/core/measure';
import { LANGUAGE_SOURCE, languageOf } from '@lettera/core/script';
import { computed, ref } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { useProject } from '../../store/project';
import type { LineUpRow } from '../../store/rows/rows';
import { rowFont, useSpecimenFont } from '../../proof/specimenFonts';

/** Every character of the regular by script, and the letters that the project's languages lack. */
const props = defineProps<{ row: LineUpRow; sheet: FamilySheet }>();

const project = useProject();
const FIRST = 160;

const codePoints = computed(() => {
  const all = new Set<number>();
  for (const [from, to] of parseUnicodeRange(props.sheet.characters)) {
    for (let codePoint = from; codePoint <= to; codePoint++) all.add(codePoint);
  }
  return all;
});
const scripts = computed(() => charactersByScript(codePoints.value));
const chosen = ref(say.latin);
const whole = ref(false);
const characters = computed(
  () =>
    (scripts.value.find(({ name }) => name === chosen.value) ?? scripts.value[0])?.characters ?? [],
);
const shown = computed(() => (whole.value ? characters.value : characters.value.slice(0, FIRST)));

const font = rowFont(props.row);
const { state } = useSpecimenFont(() => ({
  font,
  words: shown.value.join(''),
  library: props.row.library,
}));

const languages = computed(() =>
  (project.document?.languages ?? []).map((tag) => {
    const language = languageOf(tag);
    return {
      tag,
      name: language?.name ?? tag,
      missing: language
        ? missingLetters(language, (codePoint) => codePoints.value.has(codePoint))
        : null,
    };
  }),
);

const codeOf = (character: string): string =>
  `U+${(character.codePointAt(0) ?? 0).toString(16).toUpperCase().padStart(4, '0')}`;
</script>

<template>
  <section>
    <h3>{{ say.characters(codePoints.size) }}</h3>
    <ul class="small" :title="LANGUAGE_SOURCE">
      <li v-for="{ tag, name, missing } in languages" :key="tag">
        <template v-if="missing === null">{{ say.lettersNotLetterasTable(name) }}</template>
        <template v-else-if="missing.length === 0">{{ say.everyLetterThere(name) }}</template>
        <template v-else
          ><span class="mark-text">{{ say.lacks(name) }}</span>
          <span class="missing">{{ missing.join(' ') }}</span></template
        >
      </li>
    </ul>
    <div class="choices" role="group" :aria-label="say.script">
      <button
        v-for="{ name, characters: list } in scripts"
        :key="name"
        type="button"
        class="plain"
        :aria-pressed="chosen === name"
        @click="((chosen = name), (whole = false))"
      >
        {{ name }} {{ list.length }}
      </button>
    </div>
    <p v-if="state === 'failed'" class="small mark-text">
      {{ say.filesDidNotCome(row.name) }}
    </p>
    <ul v-else-if="state === 'shown'" class="grid" :style="{ fontFamily: font }">
      <li v-for="character in shown" :key="character" :title="codeOf(character)">
        {{ character }}
      </li>
    </ul>
    <p v-if="shown.length < characters.length">
      <DoButton @click="whole = true"> {{ say.showAll(characters.length) }} </DoButton>
    </p>
  </section>
</template>

<style scoped>
.missing {
  font-size: 14px;
}
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fill, 30px);
  max-height: 240px;
  overflow: auto;
}
.grid li {
  height: 30px;
  font-size: 18px;
  line-height: 30px;
  text-align: center;
}
</style>
