<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref } from 'vue';
import { useUpload } from '../store/upload';

/** Font files dropped anywhere are taken in. */
const upload = useUpload();
const over = ref(false);

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

function onDrop(event: DragEvent): void {
  if (!hasFiles(event)) return;
  event.preventDefault();
  over.value = false;
  void upload.take([...(event.dataTransfer?.files ?? [])]);
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
  <div v-if="over" class="over">Drop font files to take them into the case</div>
  <div v-if="upload.state !== 'idle'" class="outcome" role="status">
    <p v-if="upload.state === 'reading'">
      Reading {{ upload.names.length }} {{ upload.names.length === 1 ? 'file' : 'files' }} …
    </p>
    <template v-else>
      <p v-for="line in upload.lines" :key="line.text" :class="{ refused: line.refused }">
        {{ line.text }}
      </p>
      <button type="button" class="plain" @click="upload.dismiss()">Close</button>
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
  padding: 12px 16px;
  background: var(--sheet);
  border: 1px solid var(--ink-2);
}
.refused {
  color: var(--mark);
}
.outcome button {
  margin-top: 8px;
  color: var(--verdigris);
  text-decoration: underline;
}
</style>
