<script setup lang="ts">
import { codeView as say } from './words';
import { computed, ref, watch } from 'vue';
import DoButton from '../../control/DoButton.vue';

const props = defineProps<{ path: string; code: string }>();

const said = ref('');
const lines = computed(() => props.code.replace(/\n$/, '').split('\n'));

async function copy(): Promise<void> {
  try {
    await navigator.clipboard.writeText(props.code);
    said.value = say.copied;
  } catch {
    said.value = say.thisBrowserDoesNot;
  }
}

watch(
  () => props.path,
  () => (said.value = ''),
);
</script>

<template>
  <figure>
    <figcaption class="line spread">
      <b>{{ path }}</b>
      <span class="line">
        <span role="status" class="quiet small">{{ said }}</span>
        <DoButton :label="say.copy" @click="copy" />
      </span>
    </figcaption>
    <pre
      tabindex="0"
      :aria-label="path"
    ><code><span v-for="(line, i) in lines" :key="i" class="code-line">{{ line }}
</span></code></pre>
  </figure>
</template>

<style scoped>
figure {
  border: 1px solid var(--rule);
}
figcaption {
  padding: 6px 8px 6px 12px;
  border-bottom: 1px solid var(--rule);
}
pre {
  max-height: 340px;
  margin: 0;
  padding: 12px 12px 12px 0;
  overflow: auto;
  font:
    12px/1.5 ui-monospace,
    'DejaVu Sans Mono',
    monospace;
  counter-reset: line;
  tab-size: 2;
}
.code-line {
  display: block;
  padding-left: 52px;
}
.code-line::before {
  counter-increment: line;
  content: counter(line);
  display: inline-block;
  width: 36px;
  margin: 0 16px 0 -52px;
  text-align: right;
  color: var(--ink-2);
}
</style>
