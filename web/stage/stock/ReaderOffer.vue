<script setup lang="ts">
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
    said.value = 'Copied: paste it into the console of your browser, on the page.';
  } catch {
    said.value = 'This browser does not let it be copied: select it below.';
    shown.value = true;
  }
}
function explain(): void {
  said.value = 'Drag it to the bookmarks of your browser, then choose it there on the page.';
}
</script>

<template>
  <p v-if="failed" role="alert" class="line wrap">
    The reader did not come. <DoButton label="Try again" @click="load" />
  </p>
  <template v-else-if="code">
    <div class="line wrap">
      <DoButton label="Copy the reader" @click="copy" />
      <!-- Nothing here may run it: it is for the bookmarks. -->
      <a class="go" :href="bookmark" draggable="true" @click.prevent="explain">Read its type</a>
      <DoButton
        :label="shown ? 'Fold it away' : 'Show all of it'"
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
