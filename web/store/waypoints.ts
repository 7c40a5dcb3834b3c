import { waypoints as say } from './words';
import type { ProjectDocument } from '@lettera/core/document';
import type { Waypoint } from '@lettera/core/wire';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { api } from '../api/client';
import { useProject } from './project';
import { useProof } from './proof';

/** Named states of the project: naming the present one, looking back at them, going back to one. */
export const useWaypoints = defineStore('waypoints', () => {
  const project = useProject();
  const proof = useProof();
  /** Newest first; null before they are known. */
  const list = shallowRef<readonly Waypoint[] | null>(null);
  const message = ref('');
  /** The one that is looked back at; null for the last. */
  const chosen = ref<string | null>(null);
  const held = new Map<string, ProjectDocument>();
  let kept: { name: string; id: string } | null = null;

  const last = computed<Waypoint | null>(() => list.value?.[0] ?? null);
  const lookedAt = computed<Waypoint | null>(
    () => list.value?.find(({ id }) => id === chosen.value) ?? last.value,
  );

  /** Does what the server is asked for, and says what was wrong with it. */
  async function trying(work: () => Promise<void>): Promise<boolean> {
    message.value = '';
    try {
      await work();
      return true;
    } catch (error) {
      message.value = say.nothingWasChanged((error as Error).message);
      return false;
    }
  }

  async function load(): Promise<void> {
    const { id } = project;
    if (!id) return;
    try {
      const found = await api.waypoints(id);
      if (id === project.id) list.value = found;
    } catch {
      if (id === project.id) message.value = say.waypointsCouldNotBe;
    }
  }
  watch(
    () => project.id,
    () => {
      list.value = null;
      void load();
    },
    { immediate: true },
  );
  // Another tab, or another person, may have named one.
  watch(() => project.waypointsTold, load);

  /** Gives the present state a name, once all of it is stored. */
  const name = (wanted: string): Promise<boolean> =>
    trying(async () => {
      if (project.saveState !== 'saved') {
        throw new Error(say.lastChangeNotStored);
      }
      const made = await api.nameWaypoint(project.id, wanted);
      list.value = [made, ...(list.value ?? []).filter(({ id }) => id !== made.id)];
    });

  const rename = (id: string, wanted: string): Promise<boolean> =>
    trying(async () => {
      await api.renameWaypoint(project.id, id, wanted);
      list.value = (list.value ?? []).map((one) =>
        one.id === id ? { ...one, name: wanted } : one,
      );
    });

  const remove = (id: string): Promise<boolean> =>
    trying(async () => {
      await api.removeWaypoint(project.id, id);
      list.value = (list.value ?? []).filter((one) => one.id !== id);
    });

  /** Goes back to a waypoint, by a change that can be undone. */
  const goBack = (id: string): Promise<boolean> =>
    trying(async () => {
      if (!project.stored || project.saveState !== 'saved') {
        throw new Error(say.lastChangeNotStoredYet);
      }
      project.settle(await api.returnTo(project.id, id, project.stored.revision));
    });

  async function stateOf(id: string): Promise<ProjectDocument> {
    const known = held.get(id);
    if (known) return known;
    const { document } = await api.waypoint(project.id, id);
    held.set(id, document);
    return document;
  }

  /** What is looked back at is at hand for the proof: a waypoint, or the project as it was opened. */
  watch(
    [lookedAt, () => project.opened],
    async ([waypoint, opened]) => {
      if (!waypoint) {
        kept = null;
        proof.earlier = opened && { document: opened, says: say.asWasOpened };
        return;
      }
      if (kept?.id === waypoint.id) return;
      kept = waypoint;
      const document = await stateOf(waypoint.id).catch(() => null);
      if (document && kept?.id === waypoint.id) proof.earlier = { document, says: waypoint.name };
    },
    { immediate: true },
  );

  return { list, message, chosen, last, lookedAt, load, name, rename, remove, goBack };
});
