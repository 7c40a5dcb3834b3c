<script setup lang="ts">
import { fightList as say } from './words';
import { fightsOf, type Stock } from '@lettera/core/stock';
import { computed, ref } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { count } from '../../control/figures';
import { usePlaces } from './places';
import { sourceInWords } from './inWords';

/** Where a site fights itself or its readers, each with its places and the declarations at fault. */
const props = defineProps<{ stock: Stock }>();
const { point } = usePlaces(() => props.stock);

const fights = computed(() => fightsOf(props.stock));
const open = ref<number | null>(null);
/** Declarations that are named at most. */
const MOST_NAMED = 40;
</script>

<template>
  <p v-if="fights.length === 0" class="none">
    {{ say.nothingNoRuleStands }}
  </p>
  <ul v-else class="fights" :aria-label="say.whereSiteFightsItself">
    <li v-for="(fight, i) in fights" :key="`${fight.kind} ${fight.message}`">
      <p>{{ fight.message }}</p>
      <div class="line wrap">
        <DoButton
          v-if="fight.sources.length"
          :label="count(fight.sources.length, 'declaration')"
          :aria-expanded="open === i"
          @click="open = open === i ? null : i"
        />
        <DoButton
          class="on-point"
          :label="say.showOnPage"
          :aria-label="say.showOnPageTexts(count(fight.texts.length, 'text'), fight.message)"
          @click="point(fight.texts)"
        />
      </div>
      <ol v-if="open === i" class="small">
        <li v-for="(source, j) in fight.sources.slice(0, MOST_NAMED)" :key="j">
          {{ sourceInWords(source) }}
        </li>
        <li v-if="fight.sources.length > MOST_NAMED">
          {{ say.andMore(fight.sources.length - MOST_NAMED) }}
        </li>
      </ol>
    </li>
  </ul>
</template>

<style scoped>
.none {
  padding: 0 var(--edge) 16px;
}
.fights {
  margin: 0;
  padding: 0 var(--edge) 20px;
  list-style: none;
}
.fights > li {
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);
}
.fights p {
  margin: 0 0 4px;
  max-width: 68ch;
}
ol {
  margin: 6px 0 0;
  padding-left: 20px;
  overflow-wrap: anywhere;
}
</style>
