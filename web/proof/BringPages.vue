<script setup lang="ts">
import { ref } from 'vue';
import TextArea from '../control/TextArea.vue';
import DoButton from '../control/DoButton.vue';
import { pageFile, pastedFiles, type PageFile } from '../store/ownPages';

/** Ways to bring pages of a site: as files, as a folder, or pasted. */
const props = defineProps<{
  /** Takes what is brought. @returns whether pages came of it */
  bring: (files: readonly PageFile[]) => Promise<boolean>;
  /** Whether it is the first thing to do. */
  first?: boolean;
  bringing: boolean;
}>();
defineEmits<{ stop: [] }>();

const files = ref<HTMLInputElement | null>(null);
const folder = ref<HTMLInputElement | null>(null);
const pasting = ref(false);
const html = ref('');
const css = ref('');

async function take(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  await props.bring([...(input.files ?? [])].map(pageFile));
  input.value = '';
}

async function paste(): Promise<void> {
  if (!(await props.bring(pastedFiles('Pasted page', html.value, css.value)))) return;
  pasting.value = false;
  html.value = '';
  css.value = '';
}
</script>

<template>
  <div class="line wrap">
    <DoButton label="Bring files or a zip" :first="first" @click="files?.click()" />
    <DoButton label="Bring a folder" @click="folder?.click()" />
    <DoButton label="Paste a page" :aria-expanded="pasting" @click="pasting = !pasting" />
    <template v-if="bringing">
      <span role="status">Reading the pages …</span>
      <DoButton label="Stop" @click="$emit('stop')" />
    </template>
    <input
      ref="files"
      type="file"
      multiple
      hidden
      aria-label="Files of pages"
      accept=".html,.htm,.xhtml,.css,.zip,.json,.png,.jpg,.jpeg,.gif,.webp,.avif,.svg,.woff,.woff2,.ttf,.otf"
      @change="take"
    />
    <input
      ref="folder"
      type="file"
      webkitdirectory
      hidden
      aria-label="A folder of pages"
      @change="take"
    />
  </div>
  <form v-if="pasting" class="paste" @submit.prevent="paste">
    <label>
      <span>HTML</span>
      <TextArea v-model="html" rows="5" spellcheck="false" required fluid />
    </label>
    <label>
      <span>CSS</span>
      <TextArea v-model="css" rows="5" spellcheck="false" fluid />
    </label>
    <DoButton label="Bring it in" first type="submit" />
  </form>
</template>

<style scoped>
.paste {
  display: grid;
  gap: 6px;
  margin-top: 8px;
  justify-items: start;
}
.paste label {
  display: grid;
  width: 100%;
}
.paste textarea {
  width: 100%;
  font: 12px/1.4 monospace;
  resize: vertical;
}
</style>
