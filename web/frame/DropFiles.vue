<script setup lang="ts">
import { dropFiles as say } from './words';
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import DoButton from '../control/DoButton.vue';
import ProgressLine from '../control/ProgressLine.vue';
import { useProject } from '../store/project';
import { useOwnPages } from '../store/ownPages';
import { useProof } from '../store/proof';
import { useStock } from '../store/stock';
import { useUpload } from '../store/upload';
import { count } from '../control/figures';
import { droppedFiles } from './droppedFiles';

/** Font files that are dropped anywhere are taken in, pages with all that is theirs added. */
const upload = useUpload();
const pages = useOwnPages();
const proof = useProof();
const project = useProject();
const site = useStock();
const over = ref(false);
const progress = computed(() => project.progress.reading);

const hasFiles = (event: DragEvent): boolean =>
  event.dataTransfer?.types.includes('Files') ?? false;

function onDrag(event: DragEvent): void {
  if (!hasFiles(event)) return;
  event.preventDefault();
  over.value = true;
}

function onLeave(event: DragEvent): void {
  if (event.relatedTarget === null) over.value = false;
}

async function onDrop(event: DragEvent): Promise<void> {
  if (!hasFiles(event) || !event.dataTransfer) return;
  event.preventDefault();
  over.value = false;
  const { files, ofPages } = await droppedFiles(event.dataTransfer);
  if (!ofPages) {
    await upload.take(
      files.map(({ path, content }) => new File([content], path.replace(/^.*\//, ''))),
    );
    return;
  }
  // What becomes of them is reported where pages are: in Take stock they are looked at, and no part of the project.
  if (site.isOpen) {
    await site.bring(files);
    return;
  }
  proof.folded = false;
  proof.panel = 'pages';
  await pages.bring(files);
}

onMounted(() => {
  window.addEventListener('dragover', onDrag);
  window.addEventListener('dragleave', onLeave);
  window.addEventListener('drop', onDrop);
});
onBeforeUnmount(() => {
  window.removeEventListener('dragover', onDrag);
  window.removeEventListener('dragleave', onLeave);
  window.removeEventListener('drop', onDrop);
});
</script>

<template>
  <div v-if="over" class="over">
    {{ say.dropFontFilesTake(site.isOpen ? say.takeStockThem : say.seeThemProof) }}
  </div>
  <div v-if="upload.state !== 'idle'" class="outcome" role="status">
    <ProgressLine
      v-if="upload.state === 'reading'"
      :done="progress?.done ?? 0"
      :of="upload.files"
      stoppable
      @stop="upload.stop()"
      >{{ say.readingDone(count(upload.files, 'file'), progress?.done ?? 0) }}</ProgressLine
    >
    <template v-else>
      <DoButton class="close" @click="upload.dismiss()">{{ say.close }}</DoButton>
      <p v-if="upload.brought">
        {{ say.addedAs(count(upload.brought, 'face')) }}
        <template v-for="(name, i) in upload.families.slice(0, 5)" :key="name"
          >{{ i > 0 ? ', ' : '' }}<bdi>{{ name }}</bdi></template
        >{{
          say.openFamilyFacesCorrect(
            upload.families.length > 5 ? say.andMore(upload.families.length - 5) : '',
          )
        }}
      </p>
      <ul v-if="upload.troubled.length">
        <li v-for="line in upload.troubled" :key="line.text" class="mark-text">{{ line.text }}</li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.over {
  position: fixed;
  inset: 0;
  z-index: 20;
  display: grid;
  place-items: center;
  font-size: 20px;
  background: color-mix(in srgb, var(--sheet) 85%, transparent);
  border: 3px solid var(--verdigris);
  pointer-events: none;
}
.outcome {
  position: fixed;
  left: 232px;
  bottom: 48px;
  z-index: 10;
  max-width: 520px;
  max-height: 40vh;
  overflow: auto;
  overflow-wrap: anywhere;
  padding: 12px 16px;
  background: var(--sheet);
  border: 1px solid var(--ink-2);
}
.outcome button {
  min-height: 24px;
}
.close {
  float: right;
  margin-left: 12px;
}
bdi {
  display: inline-block;
  max-width: 20em;
  overflow: hidden;
  text-overflow: ellipsis;
  vertical-align: bottom;
  white-space: nowrap;
}
li {
  margin-top: 4px;
}
</style>
