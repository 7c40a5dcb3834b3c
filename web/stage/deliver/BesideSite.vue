<script setup lang="ts">
import type { SheetPlace } from '@lettera/core/document';
import TextField from '../../control/TextField.vue';
import { computed } from 'vue';
import ChoiceSet from '../../control/ChoiceSet.vue';
import DoButton from '../../control/DoButton.vue';
import { useProject } from '../../store/project';
import { useDeliverySettings } from './deliverySettings';

/** How the style sheet stands beside those that a site has of its own. */
const project = useProject();
const set = useDeliverySettings();
const delivery = computed(() => project.document?.delivery);

const PLACES: { value: SheetPlace; label: string }[] = [
  { value: 'before', label: 'Before yours' },
  { value: 'after', label: 'After yours' },
];

const important = computed(() =>
  Object.entries(project.document?.elements ?? {}).filter(([, element]) => element.important),
);
const left = computed(() => delivery.value?.leave ?? []);

function setSiteLayer(event: Event): void {
  const field = event.target as HTMLInputElement;
  const value = field.value.trim();
  const before = delivery.value?.siteLayer;
  const taken = value
    ? set('siteLayer', value)
    : before === undefined || project.change([{ op: 'remove', path: '/delivery/siteLayer' }]);
  field.value = taken ? value : (before ?? '');
}

const sayPlainly = (key: string): boolean =>
  project.change([{ op: 'remove', path: `/elements/${key}/important` }]);
const setAgain = (selector: string): boolean =>
  set(
    'leave',
    left.value.filter((one) => one !== selector),
  );
</script>

<template>
  <template v-if="delivery">
    <div class="field">
      <span class="quiet">Linked</span>
      <ChoiceSet
        label="Where it is linked"
        :choices="PLACES"
        :model-value="delivery.linked ?? 'before'"
        @update:model-value="set('linked', $event)"
      />
    </div>
    <label class="field">
      <span class="quiet">Layer for your own sheets</span>
      <TextField
        :model-value="delivery.siteLayer ?? ''"
        placeholder="none"
        spellcheck="false"
        @change="setSiteLayer"
      />
    </label>
    <div v-if="important.length" class="list">
      <span class="quiet">With !important, so that no rule without it wins over them</span>
      <ul aria-label="Elements with !important">
        <li v-for="[key, { name }] in important" :key="key" class="line">
          {{ name }}
          <DoButton
            label="Without"
            :aria-label="`${name} without !important`"
            @click="sayPlainly(key)"
          />
        </li>
      </ul>
    </div>
    <div v-if="left.length" class="list">
      <span class="quiet">Left to your own sheets</span>
      <ul aria-label="Texts that are left alone">
        <li v-for="selector in left" :key="selector" class="line">
          <code>{{ selector }}</code>
          <DoButton
            label="Set again"
            :aria-label="`Set ${selector} again`"
            @click="setAgain(selector)"
          />
        </li>
      </ul>
    </div>
  </template>
</template>

<style scoped>
.field {
  display: grid;
  gap: 3px;
}
.field :deep(input) {
  width: 160px;
}
.list {
  display: grid;
  flex-basis: 100%;
  gap: 3px;
}
ul {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin: 0;
  padding: 0;
  list-style: none;
}
code {
  overflow-wrap: anywhere;
}
</style>
