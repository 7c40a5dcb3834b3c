<script setup lang="ts">
import { stageHeader as say } from './words';
import Popover from 'primevue/popover';
import { ref } from 'vue';

/** The head of a stage: its name, its views, what can be done in it, and what it is for behind a `?`. */
defineProps<{ title: string }>();
const about = ref<InstanceType<typeof Popover> | null>(null);
</script>

<template>
  <header class="stage-head">
    <h1>{{ title }}</h1>
    <div class="views"><slot name="views" /></div>
    <div class="line actions">
      <slot name="actions" />
      <button
        type="button"
        class="plain about"
        :aria-label="say.what(title)"
        :title="say.whatTitle(title)"
        aria-haspopup="dialog"
        @click="about?.toggle($event)"
      >
        ?
      </button>
    </div>
    <Popover
      ref="about"
      unstyled
      :pt="{ root: { class: 'l-fold', 'aria-label': title }, content: 'l-fold-content about-text' }"
    >
      <p><slot /></p>
    </Popover>
  </header>
</template>

<style scoped>
/* Title, views and what can be done stand in one row on the hairline. */
.stage-head {
  display: flex;
  gap: 0 24px;
  align-items: flex-start;
  min-height: 48px;
  padding: 8px var(--edge) 0;
  margin-bottom: 8px;
  box-shadow: inset 0 -1px var(--rule);
}
h1 {
  padding-bottom: 8px;
  line-height: 28px;
}
.views {
  min-width: 0;
  padding-top: 5px;
  overflow-x: auto;
  scrollbar-width: none;
}
.actions {
  min-height: 36px;
  margin-left: auto;
}
/* Where they have no room for that, the views are a row of their own. */
@container (max-width: 560px) {
  .stage-head {
    display: grid;
    grid-template-columns: 1fr auto;
  }
  .views {
    grid-row: 2;
    grid-column: 1 / -1;
    padding-top: 0;
  }
}
.about {
  min-width: 24px;
  min-height: 24px;
  color: var(--ink-3);
  text-align: center;
}
.about:hover {
  color: var(--ink);
}
</style>

<style>
.about-text p {
  max-width: 46ch;
}
</style>
