<script setup lang="ts">
import { siteLanguages as say } from './words';
import { languageOf, LANGUAGES } from '@lettera/core/script';
import { computed, ref } from 'vue';
import DoButton from '../../control/DoButton.vue';
import OnOffSet from '../../control/OnOffSet.vue';
import { useProject } from '../../store/project';

/** The languages of the site, which faces are held to, and their change. */
const project = useProject();
const editing = ref(false);

const tags = computed(() => project.document?.languages ?? []);
const names = computed(() => tags.value.map((tag) => languageOf(tag)?.name ?? tag).join(', '));
const choices = LANGUAGES.map(({ tag, name }) => ({ value: tag, label: name }));
/** Tags as the table has them; what it has not stays untouched. */
const chosen = computed(() => tags.value.map((tag) => languageOf(tag)?.tag ?? tag));

function set(value: string[]): void {
  if (value.length > 0) project.change([{ op: 'replace', path: '/languages', value }]);
}
</script>

<template>
  <div>
    <p>
      <span class="quiet">{{ say.site }}</span> {{ names }}
      <DoButton :aria-expanded="editing" @click="editing = !editing">
        {{ editing ? say.done : say.change }}
      </DoButton>
    </p>
    <OnOffSet
      v-if="editing"
      :label="say.languagesSite"
      :choices="choices"
      :model-value="chosen"
      @update:model-value="set"
    />
  </div>
</template>

<style scoped>
button {
  min-height: 24px;
}
</style>
