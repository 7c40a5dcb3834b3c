<script setup lang="ts">
import { startView as say } from './words';
import { onMounted } from 'vue';
import { useRouter } from 'vue-router';
import { api } from '../api/client';
import { lastProject } from './lastProject';

const router = useRouter();

/** Opens the project that was open last, else the first there is, else the list to start one. */
onMounted(async () => {
  const projects = await api.projects().catch(() => []);
  const last = lastProject();
  const project = projects.find(({ slug }) => slug === last) ?? projects[0];
  await router.replace(project ? `/p/${project.slug}/faces` : '/projects');
});
</script>

<template>
  <p class="visually-hidden" role="status">{{ say.opening }}</p>
</template>
