<script setup lang="ts">
import { ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import DoButton from '../../control/DoButton.vue';
import FoundryAsk from './FoundryAsk.vue';

/** The ways to begin a project that has nothing yet, each a click. */
defineEmits<{ bring: []; refer: [] }>();

const router = useRouter();
const route = useRoute();
/** Whether the foundry's permission is being asked. */
const asking = ref(false);

const toStartingPoints = (): unknown =>
  router.push({
    name: 'pair',
    params: { project: route.params['project'] },
    query: { view: 'points' },
  });
</script>

<template>
  <section class="ways" aria-label="Ways to begin">
    <h2>How do you want to begin?</h2>
    <ul>
      <li>
        <h3>Look among the foundry’s families</h3>
        <p>Open-licensed families, set in your own words, measured and sorted.</p>
        <DoButton label="Look at families" first @click="asking = true" />
      </li>
      <li>
        <h3>Bring font files of your own</h3>
        <p>TTF, OTF, WOFF and WOFF2. Drop them anywhere, or pick them.</p>
        <DoButton label="Pick font files" @click="$emit('bring')" />
      </li>
      <li>
        <h3>Begin from a starting point</h3>
        <p>Twelve pairs that work, each with what it is good for, to be changed as you go.</p>
        <DoButton label="See starting points" @click="toStartingPoints" />
      </li>
    </ul>
    <FoundryAsk v-if="asking" />
    <p class="quiet">
      A family whose licence keeps it elsewhere can be referred to.
      <DoButton label="Refer to a family" @click="$emit('refer')" />
    </p>
  </section>
</template>

<style scoped>
.ways {
  display: grid;
  gap: 20px;
  max-width: 1000px;
  padding: 24px var(--edge);
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  border-block: 1px solid var(--rule);
}
li {
  display: grid;
  grid-template-rows: auto 1fr auto;
  gap: 8px;
  justify-items: start;
  padding: 16px 20px 20px 0;
}
li + li {
  padding-left: 20px;
  border-left: 1px solid var(--rule);
}
h2 {
  font-size: 22px;
  letter-spacing: -0.01em;
}
h3 {
  font-size: 15px;
}
</style>
