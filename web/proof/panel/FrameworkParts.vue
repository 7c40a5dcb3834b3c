<script setup lang="ts">
import { frameworkParts as say } from './words';
import type { FrameworkPart } from '@lettera/core/page/frameworks';
import { computed } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { count } from '../../control/figures';
import { useProject } from '../../store/project';
import { useFramework } from '../builtOn';
import { partsPatch } from './claim';

/** Parts of the framework that a page is built on, which can be made text elements at once. */
const props = defineProps<{ page: Document }>();
const emit = defineEmits<{ point: [nodes: readonly Element[]] }>();
const project = useProject();

const built = useFramework(() => props.page);

/** Those that the page has and that no text element has the selectors of. */
const parts = computed(() => {
  const taken = new Set(
    Object.values(project.shown?.elements ?? {}).flatMap(({ selectors }) => selectors),
  );
  return (built.value?.parts ?? []).flatMap((part) => {
    const selectors = part.selectors.filter((selector) => !taken.has(selector));
    if (selectors.length < part.selectors.length) return [];
    const nodes = [...props.page.querySelectorAll(selectors.join(', '))];
    return nodes.length > 0 ? [{ part, nodes }] : [];
  });
});

function add(all: readonly FrameworkPart[]): void {
  if (project.document) project.change(partsPatch(project.document, all));
}
</script>

<template>
  <template v-if="built && parts.length">
    <h3>{{ say.partsOf(built.name) }}</h3>
    <p class="small quiet">{{ say.eachGetsStyle }}</p>
    <p class="line">
      <DoButton
        :label="say.addAll(count(parts.length, 'part'))"
        @click="add(parts.map(({ part }) => part))"
      />
    </p>
    <ul :aria-label="say.partsOf(built.name)">
      <li v-for="{ part, nodes } in parts" :key="part.name" class="line spread">
        <span
          >{{ part.name }} <code class="small quiet">{{ part.selectors.join(', ') }}</code></span
        >
        <span class="line">
          <DoButton
            class="on-point"
            :label="count(nodes.length, 'place')"
            :aria-label="say.showOnPage(count(nodes.length, 'place'), part.name)"
            @click="emit('point', nodes)"
          />
          <DoButton
            class="on-point"
            :label="say.add"
            :aria-label="say.addPart(part.name)"
            @click="add([part])"
          />
        </span>
      </li>
    </ul>
  </template>
</template>

<style scoped>
h3 {
  margin: 12px 0 4px;
  font-size: 13px;
}
ul {
  margin: 8px 0 0;
  padding: 0;
  list-style: none;
}
li {
  min-height: 36px;
  padding: 2px 0;
  border-bottom: 1px solid var(--rule);
}
code {
  overflow-wrap: anywhere;
}
</style>
