<script setup lang="ts">
import { waysToBegin as say } from './words';
import { ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import DoButton from '../../control/DoButton.vue';
import FoundryAsk from '../families/FoundryAsk.vue';

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
  <section class="ways" :aria-label="say.waysBegin">
    <h2>{{ say.howDoYouWant }}</h2>
    <ul>
      <li>
        <h3>{{ say.withFamilies }}</h3>
        <p>{{ say.foundrysOpenLicensedFamilies }}</p>
        <DoButton
          :label="say.lookAtFamilies"
          first
          :aria-expanded="asking"
          @click="asking = true"
        />
      </li>
      <li>
        <h3>{{ say.withReadyPair }}</h3>
        <p>{{ say.twelvePairsWorkEach }}</p>
        <DoButton :label="say.seeStartingPoints" @click="to('pair', { view: 'points' })" />
      </li>
      <li>
        <h3>{{ say.withFontFilesYour }}</h3>
        <p>{{ say.ttfOtfWoffWoff }}</p>
        <DoButton :label="say.chooseFontFiles" @click="$emit('bring')" />
      </li>
      <li>
        <h3>{{ say.withSiteExists }}</h3>
        <p>
          {{ say.pagesSavedOrBy }}
        </p>
        <DoButton :label="say.takeStockSite" @click="to('stock')" />
      </li>
    </ul>
    <FoundryAsk v-if="asking" />
    <p class="small quiet">
      {{ say.familyWhoseLicenceKeeps }}
      <DoButton :label="say.referFamily" @click="$emit('refer')" />
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
