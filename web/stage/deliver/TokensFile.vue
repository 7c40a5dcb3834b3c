<script setup lang="ts">
import { tokensFile as say } from './words';
import type { ReadTokens } from '@lettera/core/deliver/reading';
import { ref, shallowRef } from 'vue';
import DoButton from '../../control/DoButton.vue';
import FoldAway from '../../control/FoldAway.vue';
import { count } from '../../control/figures';
import { useLayer } from '../../store/layer';
import { useProject } from '../../store/project';

/** A file of design tokens, Lettera’s own or another’s, read into the project: looked at first, then taken. */
const project = useProject();
const layer = useLayer('deliver: tokens read');

/** What is read at most, bytes: a file of tokens is text, and small. */
const MOST_BYTES = 16_000_000;

const input = ref<HTMLInputElement | null>(null);
const name = ref('');
const refused = ref('');
const found = shallowRef<ReadTokens | null>(null);
const told = ref('');

async function read(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement;
  const [file] = field.files ?? [];
  field.value = '';
  const { document } = project;
  if (!file || !document) return;
  name.value = file.name;
  refused.value = '';
  told.value = '';
  found.value = null;
  if (file.size > MOST_BYTES) {
    refused.value = say.hasMbFileTokens(
      file.name,
      Math.round(file.size / 1_000_000),
      MOST_BYTES / 1_000_000,
    );
    return;
  }
  try {
    const { readTokens } = await import('@lettera/core/deliver/reading');
    found.value = readTokens(document, await file.text());
  } catch (error) {
    refused.value = say.nothingWasChanged((error as Error).message);
  }
}

function take(): void {
  const { used, patch } = found.value ?? { used: [], patch: [] };
  if (!layer.take(patch)) return;
  told.value = say.wasReadUndoTakes(name.value, used.join(', '));
  found.value = null;
}
</script>

<template>
  <FoldAway :label="say.readTokens">
    <p class="small quiet">
      {{ say.fileWCDesign }}
    </p>
    <div class="line">
      <DoButton :label="say.chooseFile" @click="input?.click()" />
      <input
        ref="input"
        type="file"
        accept=".json,.tokens,application/json"
        class="visually-hidden"
        :aria-label="say.fileDesignTokens"
        tabindex="-1"
        @change="read"
      />
      <span class="small quiet">{{ name }}</span>
    </div>
    <p v-if="refused" role="alert" class="small mark-text">{{ refused }}</p>
    <p v-if="told" role="status" class="small">{{ told }}</p>
    <template v-if="found">
      <p v-if="found.patch.length" class="small">{{ say.itBrings(found.used.join(', ')) }}</p>
      <p v-else class="small">{{ say.nothingCanBeUsed }}</p>
      <template v-if="found.unused.length">
        <h3>{{ say.toKnow(count(found.unused.length, 'thing')) }}</h3>
        <ul :aria-label="say.whatWasNotUsed" tabindex="0">
          <li v-for="one in found.unused" :key="one.path + one.why" class="small">
            <code>{{ one.path }}</code> {{ one.why }}
          </li>
        </ul>
      </template>
      <div v-if="found.patch.length" class="line">
        <DoButton
          :label="say.apply"
          first
          @mouseenter="layer.show(found.patch)"
          @mouseleave="layer.show(null)"
          @focus="layer.show(found.patch)"
          @blur="layer.show(null)"
          @click="take"
        />
        <DoButton :label="say.leave" @click="((found = null), (name = ''))" />
      </div>
    </template>
  </FoldAway>
</template>

<style scoped>
h3 {
  margin: 8px 0 0;
  font-size: 13px;
}
ul {
  max-height: 32vh;
  overflow: auto;
  margin: 4px 0 8px;
  padding: 0 0 0 16px;
}
</style>
