<script setup lang="ts">
import { readerOffer as say } from './words';
import { computed, onMounted, ref } from 'vue';
import DoButton from '../../control/DoButton.vue';

/** The script that reads a live page in the designer's own browser: all of it shown, copied, or kept as a bookmark. */
const code = ref('');
const failed = ref(false);
const shown = ref(false);
const said = ref('');

async function load(): Promise<void> {
  failed.value = false;
  try {
    const response = await fetch('/reader.js');
    if (!response.ok) throw new Error(String(response.status));
    code.value = await response.text();
  } catch {
    failed.value = true;
  }
}
onMounted(load);

const bookmark = computed(() => `javascript:${encodeURIComponent(code.value)}`);

async function copy(): Promise<void> {
  try {
    await navigator.clipboard.writeText(code.value);
    said.value = say.copiedPasteIntoConsole;
  } catch {
    said.value = say.thisBrowserDoesNot;
    shown.value = true;
  }
}
function explain(): void {
  said.value = say.dragBookmarksYourBrowser;
}
</script>

<template>
  <p v-if="failed" role="alert" class="line wrap">
    {{ say.readerDidNotCome }} <DoButton :label="say.tryAgain" @click="load" />
  </p>
  <template v-else-if="code">
    <div class="line wrap">
      <DoButton :label="say.copyReader" @click="copy" />
      <!-- Nothing here may run it: it is for the bookmarks. -->
      <a class="go" :href="bookmark" draggable="true" @click.prevent="explain">{{
        say.readType
      }}</a>
      <DoButton
        :label="shown ? say.foldAway : say.showAll"
        :aria-expanded="shown"
        @click="shown = !shown"
      />
    </div>
    <p v-if="said" role="status" class="small">{{ said }}</p>
    <pre v-if="shown" tabindex="0" aria-label="The reader"><code>{{ code }}</code></pre>
  </template>
</template>

<style scoped>
pre {
  max-height: 260px;
  margin: 6px 0 0;
  padding: 8px;
  overflow: auto;
  font-size: var(--size-beside);
  line-height: 1.4;
  border: 1px solid var(--rule);
}
p {
  margin: 6px 0 0;
}
</style>
