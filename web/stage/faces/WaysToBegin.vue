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

const to = (name: 'stock' | 'pair', query = {}): unknown =>
  router.push({ name, params: { project: route.params['project'] }, query });
</script>

<template>
  <section class="ways" aria-label="Ways to begin">
    <h2>How do you want to begin?</h2>
    <ul>
      <li>
        <h3>With families</h3>
        <p>The foundry’s open-licensed families, set in your own words, measured and sorted.</p>
        <DoButton label="Look at families" first :aria-expanded="asking" @click="asking = true" />
      </li>
      <li>
        <h3>With a ready pair</h3>
        <p>Twelve pairs that work, each with what it is good for, to be changed as you go.</p>
        <DoButton label="See starting points" @click="to('pair', { view: 'points' })" />
      </li>
      <li>
        <h3>With font files of your own</h3>
        <p>TTF, OTF, WOFF and WOFF2. Drop them anywhere, or choose them.</p>
        <DoButton label="Choose font files" @click="$emit('bring')" />
      </li>
      <li>
        <h3>With a site that exists</h3>
        <p>
          Its pages, saved or by address: what sets their type, and what it would be as a scale.
        </p>
        <DoButton label="Take stock of a site" @click="to('stock')" />
      </li>
    </ul>
    <FoundryAsk v-if="asking" />
    <p class="small quiet">
      A family whose licence keeps it elsewhere can be referred to.
      <DoButton label="Refer to a family" @click="$emit('refer')" />
    </p>
  </section>
</template>

<style scoped>
.ways {
  display: grid;
  gap: 24px;
  max-width: 1040px;
  padding: 24px var(--edge);
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
  gap: 24px;
}
li {
  display: grid;
  grid-template-rows: auto 1fr auto;
  gap: 8px;
  justify-items: start;
  padding-top: 12px;
  border-top: 1px solid var(--rule);
}
h2 {
  font-size: var(--size-stage);
  letter-spacing: -0.01em;
}
</style>
