<script setup lang="ts">
import { type Between, type Scale } from '@lettera/core/document';
import { changeWidth, stepByNumber, stepCss } from '@lettera/core/scale';
import TextField from '../../control/TextField.vue';
import { computed } from 'vue';
import ChoiceSet from '../../control/ChoiceSet.vue';
import { useScaleDraft } from '../../store/scaleDraft';
import ScaleNumber from './ScaleNumber.vue';

/** How sizes go from one end to the other, and how that is delivered. */
const props = defineProps<{ scale: Scale }>();

const draft = useScaleDraft();

const WAYS: { value: Between; label: string; says: string }[] = [
  {
    value: 'viewport',
    label: 'with the viewport',
    says: 'Each size runs in a line between the ends as the window widens, and stays beyond them.',
  },
  {
    value: 'container',
    label: 'with a container',
    says: 'Each size follows the width of the nearest container around the text, so that a heading in a narrow column is set as on a phone. Where no container is around, it follows the window.',
  },
  {
    value: 'media',
    label: 'at one width',
    says: 'Plain sizes: those of the small end, and from one width of the window on those of the large end. For sites that cannot take sizes that run.',
  },
];
const way = computed(() => WAYS.find(({ value }) => value === (props.scale.between ?? 'viewport')));

const change = (path: string, value: unknown): boolean =>
  draft.change([{ op: 'add', path: `/scale/${path}`, value }]);

function setContainers(event: Event): void {
  const selectors = (event.target as HTMLInputElement).value
    .split(/,(?![^(]*\))/)
    .map((selector) => selector.trim())
    .filter(Boolean);
  change('containers', selectors);
}

const css = computed(() => {
  const step = stepByNumber(props.scale, Math.min(1, props.scale.up));
  const { value, from } = stepCss(props.scale, step);
  const rule = `:root { --size-${step.name}: ${value} }`;
  return from === null
    ? rule
    : `${rule}\n@media (min-width: ${changeWidth(props.scale)}px) { :root { --size-${step.name}: ${from} } }`;
});
</script>

<template>
  <ChoiceSet
    label="Between the ends"
    :choices="WAYS"
    :model-value="scale.between ?? 'viewport'"
    @update:model-value="change('between', $event)"
  />
  <p>{{ way?.says }}</p>
  <ScaleNumber
    v-if="scale.between === 'media'"
    label="Changes at"
    path="changeAt"
    :value="changeWidth(scale)"
    :bounds="[scale.small.width + 1, scale.large.width]"
    :step="10"
    unit="px"
    whole
    @reset="
      scale.changeAt !== undefined && draft.change([{ op: 'remove', path: '/scale/changeAt' }])
    "
  />
  <label v-if="scale.between === 'container'" class="line wrap">
    Containers, as CSS selectors
    <TextField
      class="selectors"
      :model-value="(scale.containers ?? []).join(', ')"
      placeholder="such as article, aside, .notice"
      @change="setContainers"
    />
  </label>
  <p v-if="scale.between === 'container'" class="small quiet">
    Each becomes <code>container-type: inline-size</code>. Its width then no longer depends on what
    is in it, so leave out what shrinks to fit its text.
  </p>
  <pre class="small"><code>{{ css }}</code></pre>
</template>

<style scoped>
p {
  margin: 6px 0 8px;
  max-width: 70ch;
}
.selectors {
  flex: 1;
  min-width: 220px;
}
pre {
  margin: 8px 0 0;
  padding: 8px 10px;
  overflow-x: auto;
  background: var(--ground);
}
</style>
