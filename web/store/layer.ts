import type { Patch } from '@lettera/core/document';
import { computed, onScopeDispose, type ComputedRef } from 'vue';
import { useProject, type Layer } from './project';

/** One owner's layer over the document: what it shows without keeping it. */
export interface OwnLayer {
  patch: ComputedRef<Patch | null>;
  /** Shows a change; null, or an empty one, takes this layer away, and no other. */
  show(patch: Patch | null): void;
  /** Leaves the layer, and makes the change. @returns whether it was taken */
  take(patch: Patch): boolean;
}

/**
 * A layer of its own for whoever looks at something without keeping it; it goes with its owner.
 *
 * @param owner a name that no other owner has
 */
export function useLayer(owner: string, kind: Layer['kind'] = 'pointed'): OwnLayer {
  const project = useProject();
  const show = (patch: Patch | null) => project.setLayer(owner, kind, patch);
  onScopeDispose(() => show(null), true);
  return {
    patch: computed(() => project.layers.find((layer) => layer.owner === owner)?.patch ?? null),
    show,
    take(patch) {
      show(null);
      return project.change(patch);
    },
  };
}
