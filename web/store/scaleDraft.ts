import { applyChange, patchBetween } from '@lettera/core/change';
import type { Patch } from '@lettera/core/document';
import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';
import { useLayer } from './layer';
import { useProject } from './project';

/**
 * Changes of the scale: kept at once; or, while the designer is trying, only shown on the proof, until they
 * are taken as one change or left without a trace.
 */
export const useScaleDraft = defineStore('scaleDraft', () => {
  const project = useProject();
  const tried = useLayer('scale: tried', 'tried');
  const pointed = useLayer('scale: pointed at');
  const trying = ref(false);

  const scale = computed(() => project.tried?.scale ?? null);
  const hasTried = computed(() => tried.patch.value !== null);

  /** Makes a change, or adds it to what is tried. @returns whether it was taken */
  function change(patch: Patch): boolean {
    const current = project.tried;
    pointed.show(null);
    if (!current || patch.length === 0) return false;
    if (!trying.value || !project.document) return project.change(patch);
    project.refusal = null;
    if (!project.allows(current, patch, change)) return false;
    tried.show(patchBetween(project.document, applyChange(current, patch).document));
    return true;
  }

  /** Shows a change on the proof while it is pointed at or dragged; null goes back to what is decided. */
  const look = (patch: Patch | null): void => pointed.show(patch);

  function start(): void {
    trying.value = true;
  }

  function leave(): void {
    trying.value = false;
    tried.show(null);
    pointed.show(null);
  }

  /** Makes all that was tried one change. */
  function take(): void {
    const patch = tried.patch.value ?? [];
    leave();
    project.change(patch);
  }

  watch(() => project.id, leave);

  return { trying, hasTried, scale, change, look, start, take, leave };
});
