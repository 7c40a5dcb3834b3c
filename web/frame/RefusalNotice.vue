<script setup lang="ts">
import { refusalNotice as say } from './words';
import { nextTick, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import DoButton from '../control/DoButton.vue';
import { EVERYWHERE, useKeys } from '../control/keys';
import { useProject } from '../store/project';

/**
 * A change that was not taken, told beside what was tried, wherever in the application that was: no caller
 * has to think of it.
 */
const project = useProject();

/** What was touched last, and where it was. It may be gone by the time that a refusal comes. */
let touched: Element | null = null;
let place: DOMRect | null = null;
function touch({ target }: Event): void {
  if (!(target instanceof Element) || notice.value?.contains(target)) return;
  touched = target;
  place = target.getBoundingClientRect();
}
const EVENTS = ['pointerdown', 'focusin', 'keydown'] as const;
onMounted(() => EVENTS.forEach((name) => window.addEventListener(name, touch, true)));
onBeforeUnmount(() => EVENTS.forEach((name) => window.removeEventListener(name, touch, true)));

const notice = ref<HTMLElement | null>(null);
const at = ref({ left: '0px', top: '0px' });

/** Space between the notice and what it is about, and the window's edge, px. */
const GAP = 8;

function settle(): void {
  const box = notice.value?.getBoundingClientRect();
  if (!box) return;
  const beside = touched?.isConnected ? touched.getBoundingClientRect() : place;
  const { innerWidth, innerHeight } = window;
  const left = beside?.left ?? (innerWidth - box.width) / 2;
  const below = (beside?.bottom ?? innerHeight / 2) + GAP;
  const above = (beside?.top ?? 0) - box.height - GAP;
  const fits = below + box.height + GAP <= innerHeight;
  at.value = {
    left: `${Math.max(GAP, Math.min(left, innerWidth - box.width - GAP))}px`,
    top: `${Math.max(GAP, fits ? below : above)}px`,
  };
}

watch(
  () => project.refusal,
  async (refusal) => {
    if (!refusal) return;
    await nextTick();
    settle();
  },
);

const close = () => (project.refusal = null);
const isOpen = () => project.refusal !== null;
useKeys(EVERYWHERE, [
  {
    keys: 'Escape',
    does: say.closeWhatSaidChange,
    when: isOpen,
    whileTyping: true,
    run: close,
  },
]);
</script>

<template>
  <div v-if="project.refusal" ref="notice" class="refusal" role="alert" :style="at">
    <p>{{ project.refusal.message }}</p>
    <div class="line">
      <DoButton
        v-if="project.refusal.letGo"
        :label="say.letGoOf(project.refusal.letGo.steps.join(', '))"
        first
        @click="project.refusal.letGo.run()"
      />
      <DoButton
        v-if="project.refusal.knowingly"
        :label="say.letThemCrossAll"
        @click="project.refusal.knowingly()"
        :first="!project.refusal.letGo"
      />
      <DoButton @click="close">{{ say.leave }}</DoButton>
    </div>
  </div>
</template>

<style scoped>
.refusal {
  position: fixed;
  z-index: 20;
  display: grid;
  gap: 8px;
  width: max-content;
  max-width: 340px;
  padding: 10px 12px;
  background: var(--sheet);
  border: 1px solid var(--mark);
  border-left-width: 3px;
}
</style>
