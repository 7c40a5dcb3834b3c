<script setup lang="ts">
import { projectsView as say } from './words';
import TextField from '../control/TextField.vue';
import { onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import type { ProjectSummary } from '@lettera/core/wire';
import DoButton from '../control/DoButton.vue';
import { momentOf } from '../control/figures';
import SayDialog from '../control/SayDialog.vue';
import { api } from '../api/client';
import { signedOut } from '../api/session';

const router = useRouter();
const projects = ref<ProjectSummary[] | null>(null);
const failed = ref('');
const name = ref('');
const refused = ref('');
const removing = ref<ProjectSummary | null>(null);

async function load(): Promise<void> {
  failed.value = '';
  try {
    projects.value = await api.projects();
  } catch (error) {
    failed.value = (error as Error).message;
  }
}

async function create(): Promise<void> {
  try {
    const { slug } = await api.createProject(name.value);
    await router.push(`/p/${slug}/faces`);
  } catch (error) {
    refused.value = (error as Error).message;
  }
}

const file = ref<HTMLInputElement | null>(null);
const opening = ref(false);
const unopened = ref('');
async function openFile(): Promise<void> {
  const [chosen] = file.value?.files ?? [];
  if (!chosen) return;
  opening.value = true;
  unopened.value = '';
  try {
    const { slug } = await api.openProjectFile(chosen);
    await router.push(`/p/${slug}/faces`);
  } catch (error) {
    unopened.value = (error as Error).message;
  } finally {
    opening.value = false;
    if (file.value) file.value.value = '';
  }
}

async function remove(): Promise<void> {
  const project = removing.value;
  removing.value = null;
  try {
    if (project) await api.removeProject(project.id);
    await load();
  } catch (error) {
    failed.value = say.wasNotRemoved(project?.name ?? '', (error as Error).message);
  }
}

/** Whether there is a session that can be ended: on loopback nobody signs in. */
const canSignOut = ref(false);
async function signOut(): Promise<void> {
  try {
    await api.signOut();
    signedOut.value = true;
  } catch (error) {
    failed.value = say.youStillSigned((error as Error).message);
  }
}

onMounted(async () => {
  await load();
  const session = await api.session().catch(() => null);
  canSignOut.value = session?.tokenNeeded === true && session.signedIn;
});
</script>

<template>
  <main>
    <header class="line">
      <h1>{{ say.projects }}</h1>
      <DoButton v-if="canSignOut" @click="signOut">{{ say.signOut }}</DoButton>
    </header>
    <p v-if="failed" role="alert">
      {{ failed }} <DoButton @click="load">{{ say.tryAgain }}</DoButton>
    </p>
    <ul v-else-if="projects">
      <li v-for="project in projects" :key="project.id">
        <RouterLink :to="`/p/${project.slug}/faces`" class="name go">{{ project.name }}</RouterLink>
        <span class="quiet">{{ say.revision(project.revision, momentOf(project.updatedAt)) }}</span>
        <DoButton
          :label="say.remove"
          :aria-label="say.removeName(project.name)"
          @click="removing = project"
        />
      </li>
    </ul>
    <form @submit.prevent="create">
      <label for="name">{{ say.startProject }}</label>
      <div class="line">
        <TextField id="name" v-model="name" :placeholder="say.nameSite" maxlength="120" fluid />
        <DoButton type="submit" :label="say.start" first />
      </div>
      <p v-if="refused" role="alert" class="mark-text">{{ refused }}</p>
    </form>
    <div class="open">
      <div class="line">
        <DoButton
          :label="opening ? say.beingOpened : say.openProjectFile"
          :why="opening ? say.itBeingRead : undefined"
          @click="file?.click()"
        />
        <span class="quiet small">{{ say.savedFromDeliverHere }}</span>
      </div>
      <input
        ref="file"
        type="file"
        accept=".lettera,application/zip"
        :aria-label="say.projectFile"
        class="visually-hidden"
        tabindex="-1"
        @change="openFile"
      />
      <p v-if="unopened" role="alert" class="mark-text">{{ unopened }}</p>
    </div>
    <SayDialog
      :visible="removing !== null"
      :header="say.removeAsked(removing?.name ?? '')"
      @update:visible="removing = null"
    >
      <p>{{ say.documentHistoryPagesDeleted }}</p>
      <div class="line actions">
        <DoButton :label="say.keep" @click="removing = null" first />
        <DoButton :label="say.removeIt" @click="remove" />
      </div>
    </SayDialog>
  </main>
</template>

<style scoped>
header {
  justify-content: space-between;
}
main {
  max-width: 640px;
  margin: 10vh auto 0;
  padding: 32px;
  background: var(--sheet);
  border: 1px solid var(--rule);
}
ul {
  margin: 16px 0 32px;
  border-top: 1px solid var(--rule);
}
li {
  display: grid;
  grid-template-columns: 1fr auto auto;
  gap: 16px;
  align-items: center;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
.name {
  font-size: 16px;
  font-weight: 550;
}
form,
.open {
  display: grid;
  gap: 6px;
}
.open {
  margin-top: 20px;
}
.actions {
  margin-top: 16px;
}
</style>
