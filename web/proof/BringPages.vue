<script setup lang="ts">
import { bringPages as say } from './words';
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
  if (!(await props.bring(pastedFiles(say.pastedPage, html.value, css.value)))) return;
  pasting.value = false;
  html.value = '';
  css.value = '';
}
</script>

<template>
  <div class="line wrap">
    <DoButton :label="say.bringFilesOrZip" :first="first" @click="files?.click()" />
    <DoButton :label="say.bringFolder" @click="folder?.click()" />
    <DoButton :label="say.pastePage" :aria-expanded="pasting" @click="pasting = !pasting" />
    <template v-if="bringing">
      <span role="status">{{ say.readingPages }}</span>
      <DoButton :label="say.stop" @click="$emit('stop')" />
    </template>
    <input
      ref="files"
      type="file"
      multiple
      hidden
      :aria-label="say.filesPages"
      accept=".html,.htm,.xhtml,.css,.zip,.json,.png,.jpg,.jpeg,.gif,.webp,.avif,.svg,.woff,.woff2,.ttf,.otf"
      @change="take"
    />
    <input
      ref="folder"
      type="file"
      webkitdirectory
      hidden
      :aria-label="say.folderPages"
      @change="take"
    />
  </div>
  <form v-if="pasting" class="paste" @submit.prevent="paste">
    <label>
      <span>{{ say.html }}</span>
      <TextArea v-model="html" rows="5" spellcheck="false" required fluid />
    </label>
    <label>
      <span>{{ say.css }}</span>
      <TextArea v-model="css" rows="5" spellcheck="false" fluid />
    </label>
    <DoButton :label="say.bring" first type="submit" />
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
