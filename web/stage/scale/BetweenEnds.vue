<script setup lang="ts">
import { betweenEnds as say } from './words';
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
    label: say.withViewport,
    says: say.eachSizeRunsLine,
  },
  {
    value: 'container',
    label: say.withContainer,
    says: say.eachSizeFollowsWidth,
  },
  {
    value: 'media',
    label: say.atOneWidth,
    says: say.plainSizesThoseSmall,
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
    :label="say.betweenEnds"
    :choices="WAYS"
    :model-value="scale.between ?? 'viewport'"
    @update:model-value="change('between', $event)"
  />
  <p>{{ way?.says }}</p>
  <ScaleNumber
    v-if="scale.between === 'media'"
    :label="say.changesAt"
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
    {{ say.containersAsCssSelectors }}
    <TextField
      class="selectors"
      :model-value="(scale.containers ?? []).join(', ')"
      :placeholder="say.suchAsArticleAside"
      @change="setContainers"
    />
  </label>
  <p v-if="scale.between === 'container'" class="small quiet">
    {{ say.eachBecomes }} <code>container-type: inline-size</code>{{ say.widthThenNoLonger }}
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
