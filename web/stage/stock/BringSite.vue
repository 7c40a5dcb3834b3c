<script setup lang="ts">
import { bringSite as say } from './words';
import { computed } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { count } from '../../control/figures';
import BringPages from '../../proof/BringPages.vue';
import { useProject } from '../../store/project';
import { useStock } from '../../store/stock';
import AddressForm from './AddressForm.vue';
import BringOutcome from './BringOutcome.vue';
import ReaderOffer from './ReaderOffer.vue';

/** The ways in which a site comes, each with what it shows and what it does not. */
const project = useProject();
const site = useStock();
const own = computed(() => Object.values(project.document?.pages ?? {}));
</script>

<template>
  <section class="ways" :aria-label="say.waysBringSite">
    <p>
      {{ say.bringPagesSiteExists }}
    </p>
    <div>
      <h2>{{ say.savedPage }}</h2>
      <p class="small quiet">
        {{ say.htmlStyleSheetsPictures }}
      </p>
      <BringPages
        :bring="site.bring"
        first
        :bringing="site.bringing === 'files'"
        @stop="site.stop()"
      />
      <BringOutcome v-if="site.way === 'files'" />
    </div>
    <div>
      <h2>{{ say.livePageThroughReader }}</h2>
      <p class="small quiet">
        {{ say.smallScriptYouRun }}
      </p>
      <ReaderOffer />
    </div>
    <div>
      <h2>{{ say.address }}</h2>
      <p class="small quiet">
        {{ say.letteraFetchesPageStyle }}
      </p>
      <AddressForm />
    </div>
    <div v-if="own.length">
      <h2>{{ say.pagesHere }}</h2>
      <p class="small quiet">
        {{ say.sitesOwnPagesProject }}
      </p>
      <DoButton :label="say.read(count(own.length, 'page'))" @click="site.look(own)" />
    </div>
  </section>
</template>

<style scoped>
.ways {
  display: grid;
  gap: 16px;
  padding: 4px var(--edge) 24px;
  max-width: 620px;
}
h2 {
  margin: 0 0 2px;
  font-size: 14px;
}
.ways > div > p {
  margin-bottom: 6px;
}
</style>
