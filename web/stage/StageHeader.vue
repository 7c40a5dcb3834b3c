<script setup lang="ts">
import Popover from 'primevue/popover';
import { ref } from 'vue';
import DoButton from '../control/DoButton.vue';

/** The head of a stage: its name, what it is for behind a `?`, its views, and what can be done in it. */
defineProps<{ title: string }>();
const about = ref<InstanceType<typeof Popover> | null>(null);
</script>

<template>
  <header class="stage-head">
    <h1>{{ title }}</h1>
    <DoButton
      class="about"
      :aria-label="`What ${title} is for`"
      aria-haspopup="dialog"
      @click="about?.toggle($event)"
      >?</DoButton
    >
    <Popover
      ref="about"
      unstyled
      :pt="{ root: { class: 'l-fold', 'aria-label': title }, content: 'l-fold-content about-text' }"
    >
      <p><slot /></p>
    </Popover>
    <div class="views"><slot name="views" /></div>
    <div class="line actions"><slot name="actions" /></div>
  </header>
</template>

<style scoped>
.stage-head {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: flex-end;
  padding: 8px 20px 0;
  margin-bottom: 8px;
  box-shadow: inset 0 -1px var(--rule);
}
h1 {
  line-height: 24px;
  padding-bottom: 6px;
}
.about {
  margin-bottom: 6px;
}
.views {
  align-self: flex-end;
  margin-left: 6px;
}
.actions {
  margin-left: auto;
  padding-bottom: 6px;
}
</style>

<style>
.about-text p {
  max-width: 46ch;
}
</style>
