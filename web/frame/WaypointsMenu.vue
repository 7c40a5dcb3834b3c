<script setup lang="ts">
import { waypointsMenu as say } from './words';
import type { HistoryEntry, Waypoint } from '@lettera/core/wire';
import TextField from '../control/TextField.vue';
import { ref, shallowRef, watch } from 'vue';
import { api } from '../api/client';
import DoButton from '../control/DoButton.vue';
import FoldAway from '../control/FoldAway.vue';
import { momentOf } from '../control/figures';
import { saidOf } from '../store/history';
import { useProject } from '../store/project';
import { useProof } from '../store/proof';
import { useWaypoints } from '../store/waypoints';
import { putInto } from '../control/putInto';

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
  if (!wanted || !(await waypoints.rename(id, wanted))) putInto(field, before);
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
    :label="waypoints.last ? say.waypoint(waypoints.last.name) : say.waypoints"
  >
    <form class="line" @submit.prevent="add">
      <TextField
        v-model="name"
        fluid
        maxlength="80"
        :placeholder="say.suchAsBeforeNew"
        :aria-label="say.namePresentState"
      />
      <DoButton
        type="submit"
        :label="say.nameThePresentState"
        first
        :why="name.trim() ? undefined : say.itNoNameYet"
      />
    </form>
    <p v-if="waypoints.message" role="alert" class="mark-text">{{ waypoints.message }}</p>
    <p v-if="waypoints.list?.length === 0" class="small quiet">
      {{ say.waypointStateNameCompare }}
    </p>
    <ul v-else :aria-label="say.waypoints">
      <li v-for="one in waypoints.list ?? []" :key="one.id">
        <TextField
          :model-value="one.name"
          class="name"
          maxlength="80"
          :aria-label="say.nameWaypoint(one.name)"
          @change="rename(one, $event)"
        />
        <span class="small quiet">{{ momentOf(one.at) }}</span>
        <span class="line" :class="{ 'on-point': leaving !== one.id }">
          <DoButton
            :label="say.compare"
            :aria-label="say.compareName(one.name)"
            @click="compare(one.id, close)"
          />
          <DoButton
            :label="say.goBack"
            :aria-label="say.goBackName(one.name)"
            @click="goBack(one.id, close)"
          />
          <DoButton
            v-if="leaving !== one.id"
            :label="say.remove"
            :aria-label="say.removeName(one.name)"
            @click="leaving = one.id"
          />
          <template v-else>
            <DoButton
              :label="say.removeGood"
              :aria-label="say.removeGoodName(one.name)"
              @click="waypoints.remove(one.id)"
            />
            <DoButton
              :label="say.keep"
              :aria-label="say.keepName(one.name)"
              @click="leaving = null"
            />
          </template>
        </span>
      </li>
    </ul>
    <h3>{{ say.whatWasChanged }}</h3>
    <p v-if="failed" role="alert" class="mark-text">
      {{ failed }} <DoButton :label="say.tryAgain" @click="read" />
    </p>
    <p v-else-if="history.length === 0" class="small quiet">{{ say.nothingYet }}</p>
    <ol v-else :aria-label="say.whatWasChanged" tabindex="0">
      <li v-for="one in history" :key="one.revision">
        <span class="name">{{ saidOf(one) }}</span>
        <span class="small quiet">{{ momentOf(one.at) }}</span>
        <DoButton
          class="on-point"
          :label="say.whatMoved"
          :aria-label="say.whatMovedBy(saidOf(one))"
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
