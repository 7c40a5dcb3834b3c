<script setup lang="ts">
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
  <section class="ways" aria-label="Ways to bring a site">
    <p>
      Bring pages of a site that exists. Lettera reads, as a browser would, what really sets their
      text: which families, sizes, weights and lines, how much of each, and which rule says so. It
      is a look: the project stays as it is.
    </p>
    <div>
      <h2>A saved page</h2>
      <p class="small quiet">
        HTML with its style sheets, pictures and fonts: as files, a folder or a zip, or pasted. It
        shows all that was saved; not what scripts add later, and no font that stayed elsewhere.
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
      <h2>The live page, through the reader</h2>
      <p class="small quiet">
        A small script that you run on the page in your own browser, signed in or built by scripts
        as it may be. It sends nothing, and gives one file to bring here; run again at another
        width, it adds to it. It shows what the page has become; not font files, nor style sheets of
        other hosts that keep theirs closed. Form fields and hidden text stay out.
      </p>
      <ReaderOffer />
    </div>
    <div>
      <h2>An address</h2>
      <p class="small quiet">
        Lettera fetches the page, its style sheets and its fonts, once and on this word alone. It
        shows what the server sends to anybody; not what scripts add or signing in brings, and no
        page on this machine or its neighbours.
      </p>
      <AddressForm />
      <BringOutcome v-if="site.way === 'address'" />
    </div>
    <div v-if="own.length">
      <h2>Pages that are here</h2>
      <p class="small quiet">
        The site’s own pages that the project is proofed on, without the project’s type.
      </p>
      <DoButton :label="`Read ${count(own.length, 'page')}`" @click="site.look(own)" />
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
