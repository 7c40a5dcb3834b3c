<script setup lang="ts">
import { standIns as say } from './words';
import { referencedFamilies } from '@lettera/core/deliver';
import { computed } from 'vue';
import { useProject } from '../store/project';

/** Which families in use are not shown in their own faces, and in whose. Nothing while there are none. */
const project = useProject();
const families = computed(() => (project.shown ? referencedFamilies(project.shown) : []));
</script>

<template>
  <p v-if="families.length" class="small stand-ins">
    <template v-for="{ name, standIn } in families" :key="name"
      ><bdi>{{ name }}</bdi> {{ say.isServedElsewhereShown(standIn) }}
    </template>
  </p>
</template>

<style scoped>
.stand-ins {
  color: var(--local);
}
</style>
