<script setup lang="ts">
import { besideSite as say } from './words';
import type { SheetPlace } from '@lettera/core/document';
import TextField from '../../control/TextField.vue';
import { computed } from 'vue';
import ChoiceSet from '../../control/ChoiceSet.vue';
import DoButton from '../../control/DoButton.vue';
import { useProject } from '../../store/project';
import { liftInWords } from './liftInWords';
import { useDeliverySettings } from './deliverySettings';
import { putInto } from '../../control/putInto';

/** How the style sheet stands beside those that a site has of its own. */
const project = useProject();
const set = useDeliverySettings();
const delivery = computed(() => project.document?.delivery);

const PLACES: { value: SheetPlace; label: string }[] = [
  { value: 'before', label: say.beforeYours },
  { value: 'after', label: say.afterYours },
];

const important = computed(() =>
  Object.entries(project.document?.elements ?? {}).filter(([, element]) => element.important),
);
const heavy = computed(() =>
  Object.entries(project.document?.elements ?? {}).filter(([, element]) => element.weight),
);
const sayLightly = (key: string): boolean =>
  project.change([{ op: 'remove', path: `/elements/${key}/weight` }]);
const left = computed(() => delivery.value?.leave ?? []);

function setSiteLayer(event: Event): void {
  const field = event.target as HTMLInputElement;
  const value = field.value.trim();
  const before = delivery.value?.siteLayer;
  const taken = value
    ? set('siteLayer', value)
    : before === undefined || project.change([{ op: 'remove', path: '/delivery/siteLayer' }]);
  putInto(field, taken ? value : (before ?? ''));
}

const sayPlainly = (key: string): boolean =>
  project.change([{ op: 'remove', path: `/elements/${key}/important` }]);
const kept = computed(() => delivery.value?.keepColoursOn ?? []);
const colourAgain = (selector: string): boolean =>
  set(
    'keepColoursOn',
    kept.value.filter((one) => one !== selector),
  );
const setAgain = (selector: string): boolean =>
  set(
    'leave',
    left.value.filter((one) => one !== selector),
  );
</script>

<template>
  <template v-if="delivery">
    <div class="field">
      <span class="quiet">{{ say.linked }}</span>
      <ChoiceSet
        :label="say.whereLinked"
        :choices="PLACES"
        :model-value="delivery.linked ?? 'before'"
        @update:model-value="set('linked', $event)"
      />
    </div>
    <label class="field">
      <span class="quiet">{{ say.layerYourOwnSheets }}</span>
      <TextField
        :model-value="delivery.siteLayer ?? ''"
        :placeholder="say.none"
        spellcheck="false"
        @change="setSiteLayer"
      />
    </label>
    <div v-if="important.length" class="list">
      <span class="quiet">{{ say.withImportantSoNo }}</span>
      <ul :aria-label="say.elementsImportant">
        <li v-for="[key, { name }] in important" :key="key" class="line">
          {{ name }}
          <DoButton
            :label="say.without"
            :aria-label="say.withoutImportant(name)"
            @click="sayPlainly(key)"
          />
        </li>
      </ul>
    </div>
    <div v-if="heavy.length" class="list">
      <span class="quiet">{{ say.withWeight }}</span>
      <ul :aria-label="say.elementsWithWeight">
        <li v-for="[key, { name, weight }] in heavy" :key="key" class="line">
          {{ name }} {{ liftInWords(weight) }}
          <DoButton
            :label="say.without"
            :aria-label="say.withoutWeight(name)"
            @click="sayLightly(key)"
          />
        </li>
      </ul>
    </div>
    <div v-if="kept.length || delivery.keepDarkColours" class="list">
      <span class="quiet">{{ say.coloursStay }}</span>
      <ul :aria-label="say.coloursStayOn">
        <li v-if="delivery.keepDarkColours" class="line">
          {{ say.onDarkGround }}
          <DoButton
            :label="say.setAgain"
            :aria-label="say.giveColours(say.onDarkGround)"
            @click="set('keepDarkColours', false)"
          />
        </li>
        <li v-for="selector in kept" :key="selector" class="line">
          <code>{{ selector }}</code>
          <DoButton
            :label="say.setAgain"
            :aria-label="say.giveColours(selector)"
            @click="colourAgain(selector)"
          />
        </li>
      </ul>
    </div>
    <div v-if="left.length" class="list">
      <span class="quiet">{{ say.leftYourOwnSheets }}</span>
      <ul :aria-label="say.textsLeftAlone">
        <li v-for="selector in left" :key="selector" class="line">
          <code>{{ selector }}</code>
          <DoButton
            :label="say.setAgain"
            :aria-label="say.setAgainSelector(selector)"
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
