<script setup lang="ts">
import { trueAndFaked as say } from './words';
import { boldFace, type FamilySheet } from '@lettera/core/measure';
import { computed } from 'vue';
import { inNoOther } from '../../proof/caseFonts';
import type { LineUpRow } from '../../store/rows/rows';
import { loneFontName, rowFont, useLoneRegular } from '../../proof/specimenFonts';

/**
 * The true italic and bold beside what a browser fakes from the regular where they are not loaded, at
 * the same size, the letters that differ most marked.
 */
const props = defineProps<{ row: LineUpRow; sheet: FamilySheet; words: string }>();

useLoneRegular(props.row);

const own = rowFont(props.row);
const faked = inNoOther(loneFontName(props.row));
/** A letter this far from the slanted upright is seen to differ; no more than so many are marked. */
const SEEN = 0.3;
const MOST_MARKED = 8;
/** As much of the words as leaves room for the letters that tell, which may not be among them. */
const MOST_SET = 36;

const telling = computed(
  () =>
    new Set(
      props.sheet.italicLetters
        .filter(({ difference }) => difference >= SEEN)
        .slice(0, MOST_MARKED)
        .map(({ letter }) => letter),
    ),
);
const letters = computed(() =>
  [...props.words.slice(0, MOST_SET), ...(telling.value.size ? '  ' : ''), ...telling.value].map(
    (letter) => ({ letter, marked: telling.value.has(letter) }),
  ),
);
const bold = computed(() => boldFace(props.row.faces));
const boldWeight = computed(() =>
  bold.value ? Math.min(bold.value.weightMax, Math.max(bold.value.weightMin, 700)) : 700,
);
const about = computed(() => {
  const kind = props.sheet.measures.italic;
  if (kind === null) return say.thereNoItalicWhat;
  if (kind === 'sloped') return say.italicUprightLeanedAdjusted;
  return say.drawnAsItalicDiffer([...telling.value].join(', '));
});
</script>

<template>
  <section>
    <h3>{{ say.trueFaked }}</h3>
    <p class="small quiet">{{ about }}</p>
    <dl>
      <template v-if="sheet.measures.italic">
        <dt>{{ say.trueItalic }}</dt>
        <dd :style="{ fontFamily: own, fontStyle: 'italic' }">
          <span v-for="({ letter, marked }, i) in letters" :key="i" :class="{ marked }">{{
            letter
          }}</span>
        </dd>
      </template>
      <dt>{{ say.fakedItalic }}</dt>
      <dd :style="{ fontFamily: faked, fontStyle: 'italic' }">
        <span v-for="({ letter, marked }, i) in letters" :key="i" :class="{ marked }">{{
          letter
        }}</span>
      </dd>
      <template v-if="bold">
        <dt>{{ say.trueBold(boldWeight) }}</dt>
        <dd :style="{ fontFamily: own, fontWeight: boldWeight }">{{ words }}</dd>
      </template>
      <dt>{{ say.fakedBold }}</dt>
      <dd :style="{ fontFamily: faked, fontWeight: 700 }">{{ words }}</dd>
    </dl>
  </section>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 92px minmax(0, 1fr);
  align-items: baseline;
}
dt {
  font-size: 12px;
  color: var(--ink-2);
}
dd {
  font-size: 24px;
  line-height: 1.4;
}
.marked {
  text-decoration: underline;
  text-decoration-color: var(--verdigris);
  text-decoration-thickness: 2px;
  text-underline-offset: 4px;
}
</style>
