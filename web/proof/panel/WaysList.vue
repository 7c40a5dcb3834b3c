<script setup lang="ts">
import { waysList as say } from './words';
import DoButton from '../../control/DoButton.vue';
import { count } from '../../control/figures';
import type { WayToWin } from './leastToWin';
import { inWords } from './textFacts';

/** Ways for the project's rules to win, the least force first, each with what comes of it on the page shown. */
defineProps<{
  ways: readonly WayToWin<Element>[];
  label: string;
  /** Whether more of them are being tried. */
  trying: boolean;
  /** Which texts they are about, in words, where not about all: “of 12 texts there”. */
  about?: string;
}>();
defineEmits<{ take: [way: WayToWin<Element>] }>();

const MOST_NAMED = 3;
</script>

<template>
  <ul class="ways" :aria-label="label">
    <li v-for="way in ways" :key="way.says">
      <span>
        {{ say.rules(way.says) }}
        <template v-if="about && way.won === 0">{{
          say.theyStayAsYour(way.account.following, count(way.account.texts, 'text'))
        }}</template>
        <template v-else-if="about"
          ><b>{{ way.won }}</b>
          {{
            say.followOnPage(about, way.account.following, count(way.account.texts, 'text'))
          }}</template
        >
        <template v-else
          ><b>{{ way.account.following }}</b>
          {{ say.ofFollow(count(way.account.texts, 'text')) }}</template
        >
      </span>
      <span v-if="!about && way.account.overruling.length" class="small quiet">
        {{
          say.stillOverruledBy(
            way.account.overruling
              .slice(0, MOST_NAMED)
              .map(({ by }) => inWords(by))
              .join('; '),
            way.account.overruling.length > MOST_NAMED ? say.andOthers : '',
          )
        }}
      </span>
      <span class="line">
        <DoButton
          :label="say.deliverThemSo"
          :aria-label="say.deliverRules(way.says)"
          @click="$emit('take', way)"
        />
      </span>
    </li>
  </ul>
  <p v-if="trying" class="small quiet" role="status">{{ say.tryingMoreWaysOn }}</p>
</template>

<style scoped>
.ways {
  display: grid;
  margin: 0;
  padding: 0;
  list-style: none;
}
.ways li {
  display: grid;
  gap: 3px;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
</style>
