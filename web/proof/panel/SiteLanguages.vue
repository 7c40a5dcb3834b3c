<script setup lang="ts">
import { siteLanguages as say } from './words';
import { computed } from 'vue';
import { useProject } from '../../store/project';
import LanguagePick from './LanguagePick.vue';

/** The languages of the site, which faces are held to, and their change. */
const project = useProject();
const tags = computed(() => project.document?.languages ?? []);

function set(value: string[]): void {
  if (value.length > 0) project.change([{ op: 'replace', path: '/languages', value }]);
}
</script>

<template>
  <div>
    <span class="quiet">{{ say.site }}</span>
    <LanguagePick keeps-one :model-value="tags" @update:model-value="set" />
  </div>
</template>
