<script setup lang="ts">
import { siteLanguages as say } from './words';
import { languageOf } from '@lettera/core/script';
import { languagesPatch } from '@lettera/core/style';
import { computed } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { usePlans } from '../../store/plans';
import { useProject } from '../../store/project';
import LanguagePick from './LanguagePick.vue';

/** The languages of the site, which faces are held to, and their change; those that pages say beside them are offered. */
const project = useProject();
const plans = usePlans();
const tags = computed(() => project.document?.languages ?? []);

function set(value: string[]): void {
  if (project.document && value.length > 0) project.change(languagesPatch(project.document, value));
}
const said = computed(() => {
  const known = new Set(tags.value.flatMap((tag) => languageOf(tag)?.tag ?? []));
  const found = plans.pageLanguages.flatMap((tag) => languageOf(tag) ?? []);
  return [...new Set(found)].filter(({ tag }) => !known.has(tag));
});
const names = computed(() => new Intl.ListFormat('en').format(said.value.map(({ name }) => name)));
</script>

<template>
  <div class="languages">
    <div>
      <span class="quiet">{{ say.site }}</span>
      <LanguagePick keeps-one :model-value="tags" @update:model-value="set" />
    </div>
    <p v-if="said.length" class="small line wrap">
      <span>{{ say.pagesSay(names) }}</span>
      <DoButton
        :label="say.add(said.length)"
        @click="set([...tags, ...said.map(({ tag }) => tag)])"
      />
    </p>
  </div>
</template>
