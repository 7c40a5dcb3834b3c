<script setup lang="ts">
import type { HistoryEntry, Waypoint } from '@lettera/core/wire';
import TextField from '../control/TextField.vue';
import { ref, shallowRef, watch } from 'vue';
import { api } from '../api/client';
import DoButton from '../control/DoButton.vue';
import FoldAway from '../control/FoldAway.vue';
import { saidOf, timeOf } from '../store/history';
import { useProject } from '../store/project';
import { useProof } from '../store/proof';
import { useWaypoints } from '../store/waypoints';

/** The waypoints of the project, and what was changed, newest first. */
const project = useProject();
const proof = useProof();
const waypoints = useWaypoints();

const name = ref('');
async function add(): Promise<void> {
  if (await waypoints.name(name.value.trim())) name.value = '';
}

async function rename({ id, name: before }: Waypoint, event: Event): Promise<void> {
  const field = event.target as HTMLInputElement;
  const wanted = field.value.trim();
  if (wanted === before) return;
  if (!wanted || !(await waypoints.rename(id, wanted))) field.value = before;
}

const history = shallowRef<HistoryEntry[]>([]);
const failed = ref('');
async function read(): Promise<void> {
  if (!project.id) return;
  failed.value = '';
  try {
    history.value = await api.history(project.id);
  } catch (error) {
    failed.value = (error as Error).message;
  }
}
watch(() => project.stored?.revision, read, { immediate: true });
/** The waypoint that is to be removed: that cannot be undone, and is asked once more. */
const leaving = ref<string | null>(null);

/** Puts a waypoint beside the page, and tells what differs. */
function compare(id: string, close: () => void): void {
  waypoints.chosen = id;
  proof.folded = false;
  proof.beside = 'earlier';
  proof.panel = 'moved';
  proof.since = 'earlier';
  close();
}
function showMoved(revision: number, close: () => void): void {
  proof.folded = false;
  proof.panel = 'moved';
  proof.since = 'one';
  proof.change = revision;
  close();
}
async function goBack(id: string, close: () => void): Promise<void> {
  if (await waypoints.goBack(id)) close();
}
</script>

<template>
  <FoldAway
    v-slot="{ close }"
    bare
    :label="waypoints.last ? `Waypoint: ${waypoints.last.name}` : 'Waypoints'"
  >
    <form class="line" @submit.prevent="add">
      <TextField
        v-model="name"
        fluid
        maxlength="80"
        placeholder="such as: before the new face"
        aria-label="Name of the present state"
      />
      <DoButton
        type="submit"
        label="Name the present state"
        first
        :why="name.trim() ? undefined : 'It has no name yet'"
      />
    </form>
    <p v-if="waypoints.message" role="alert" class="mark-text">{{ waypoints.message }}</p>
    <p v-if="waypoints.list?.length === 0" class="small quiet">
      A waypoint is a state with a name: to compare with, and to go back to.
    </p>
    <ul v-else aria-label="Waypoints">
      <li v-for="one in waypoints.list ?? []" :key="one.id">
        <TextField
          :model-value="one.name"
          class="name"
          maxlength="80"
          :aria-label="`Name of waypoint ${one.name}`"
          @change="rename(one, $event)"
        />
        <span class="small quiet">{{ timeOf(one.at) }}</span>
        <span class="line">
          <DoButton
            label="Compare"
            :aria-label="`Compare with ${one.name}`"
            @click="compare(one.id, close)"
          />
          <DoButton
            label="Go back"
            :aria-label="`Go back to ${one.name}`"
            @click="goBack(one.id, close)"
          />
          <DoButton
            v-if="leaving !== one.id"
            label="Remove"
            :aria-label="`Remove ${one.name}`"
            @click="leaving = one.id"
          />
          <template v-else>
            <DoButton
              label="Remove for good"
              :aria-label="`Remove ${one.name} for good`"
              @click="waypoints.remove(one.id)"
            />
            <DoButton label="Keep" :aria-label="`Keep ${one.name}`" @click="leaving = null" />
          </template>
        </span>
      </li>
    </ul>
    <h3>What was changed</h3>
    <p v-if="failed" role="alert" class="mark-text">
      {{ failed }} <DoButton label="Try again" @click="read" />
    </p>
    <p v-else-if="history.length === 0" class="small quiet">Nothing yet.</p>
    <ol v-else aria-label="What was changed" tabindex="0">
      <li v-for="one in history" :key="one.revision">
        <span class="name">{{ saidOf(one) }}</span>
        <span class="small quiet">{{ timeOf(one.at) }}</span>
        <DoButton
          label="What moved"
          :aria-label="`What moved by ${saidOf(one)}`"
          @click="showMoved(one.revision, close)"
        />
      </li>
    </ol>
  </FoldAway>
</template>

<style scoped>
ul,
ol {
  display: grid;
  max-height: 32vh;
  overflow: auto;
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  gap: 4px 10px;
  align-items: baseline;
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
}
.name {
  flex: 1;
  min-width: 160px;
  overflow-wrap: anywhere;
}
h3 {
  margin: 12px 0 0;
  font-size: 13px;
}
</style>
