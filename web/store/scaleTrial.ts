import { applyChange, ChangeError, describePath, patchBetween } from '@lettera/core/change';
import type { Patch, ProjectDocument } from '@lettera/core/document';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { useProject } from './project';

/** A change that was not taken, what was wrong with it, and the same change made knowingly. */
export interface Refusal {
  message: string;
  knowingly: Patch | null;
}

const CROSSING = '/scale/crossing';

/**
 * Changes of the scale: kept at once; or, while the designer is trying, only shown on the proof, until they
 * are taken as one change or left without a trace.
 */
export const useScaleTrial = defineStore('scaleTrial', () => {
  const project = useProject();
  const trying = ref(false);
  const refusal = shallowRef<Refusal | null>(null);

  const scale = computed(() => project.tried?.scale ?? null);
  const hasTried = computed(() => project.trial !== null);

  function refuse(current: ProjectDocument, patch: Patch, error: ChangeError): void {
    const [first] = error.errors;
    const crosses = first?.path === CROSSING;
    refusal.value = {
      message: crosses
        ? `${first.message.replace(/^.*?: /, '')}.`
        : `${describePath(current, first?.path ?? '')} ${first?.message ?? ''}. Nothing was changed.`,
      knowingly: crosses ? [...patch, { op: 'add', path: CROSSING, value: true }] : null,
    };
  }

  /** Makes a change, or adds it to what is tried. What was wrong with one that was not taken is kept. */
  function change(patch: Patch): boolean {
    const current = project.tried;
    refusal.value = null;
    project.preview = null;
    if (!current || patch.length === 0) return false;
    try {
      const { document: after } = applyChange(current, patch);
      if (trying.value && project.document) project.trial = patchBetween(project.document, after);
      else project.change(patch);
      return true;
    } catch (error) {
      if (!(error instanceof ChangeError)) throw error;
      refuse(current, patch, error);
      return false;
    }
  }

  /** Shows a change on the proof while it is pointed at or dragged; null goes back to what is decided. */
  function look(patch: Patch | null): void {
    project.preview = patch && patch.length > 0 ? patch : null;
  }

  function start(): void {
    trying.value = true;
  }

  function end(): void {
    trying.value = false;
    refusal.value = null;
    project.trial = null;
    project.preview = null;
  }

  /** Makes all that was tried one change. */
  function take(): void {
    const patch = project.trial ?? [];
    end();
    project.change(patch);
  }

  watch(() => project.id, end);

  return { trying, hasTried, refusal, scale, change, look, start, take, leave: end };
});
