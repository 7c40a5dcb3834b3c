<script setup lang="ts">
import { sayDialog as say } from './words';
import Dialog from 'primevue/dialog';
import DoButton from './DoButton.vue';

/** A sheet laid over the room: only to confirm what cannot be undone, and for the keys. */
withDefaults(defineProps<{ header: string; width?: string; closable?: boolean }>(), {
  width: '420px',
  closable: true,
});
const visible = defineModel<boolean>('visible', { required: true });
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    :closable="closable"
    :dismissable-mask="closable"
    :style="{ width }"
  >
    <template #container="{ closeCallback }">
      <div class="say">
        <div class="line spread">
          <h2>{{ header }}</h2>
          <DoButton v-if="closable" :label="say.close" @click="closeCallback" />
        </div>
        <slot />
      </div>
    </template>
  </Dialog>
</template>

<style scoped>
.say {
  display: grid;
  gap: 12px;
  max-height: 80vh;
  padding: 16px;
  overflow: auto;
}
</style>
