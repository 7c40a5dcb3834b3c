<script setup lang="ts">
import { ref } from 'vue';
import ChoiceSet from './ChoiceSet.vue';
import DoButton from './DoButton.vue';
import FoldAway from './FoldAway.vue';
import NumberField from './NumberField.vue';
import OnOff from './OnOff.vue';
import OnOffSet from './OnOffSet.vue';
import PickOne from './PickOne.vue';
import ProgressLine from './ProgressLine.vue';
import SayDialog from './SayDialog.vue';
import SliderField from './SliderField.vue';
import TextArea from './TextArea.vue';
import TextField from './TextField.vue';
import ToolRow from './ToolRow.vue';
import ViewTabs from './ViewTabs.vue';

/** Every control in all its states, in both rooms: for whoever works on them, under `npm run dev`. */
const THEMES = ['light', 'dark'] as const;
const VIEWS = [
  { value: 'one', label: 'Line-up' },
  { value: 'two', label: 'Map' },
  { value: 'three', label: 'Clean-up', count: 3 },
];
const view = ref('one');
const CHOICES = [
  { value: 'heading', label: 'a heading' },
  { value: 'text', label: 'a text face' },
];
const choice = ref('text');
const MANY = ['Alegreya', 'Bitter', 'Bricolage Grotesque', 'Literata'].map((value) => ({
  value,
  label: value,
}));
const one = ref('Literata');
const on = ref(true);
const several = ref(['400']);
const number = ref(17);
const size = ref(30);
const words = ref('Sæfari rounds the Skerry at dusk');
const open = ref(false);
</script>

<template>
  <main>
    <section v-for="theme in THEMES" :key="theme" :style="{ colorScheme: theme }">
      <h1>Controls, {{ theme }}</h1>
      <dl>
        <dt>Going to another view</dt>
        <dd><ViewTabs v-model="view" :label="`Views, ${theme}`" :views="VIEWS" /></dd>
        <dt>Choosing one of several</dt>
        <dd><ChoiceSet v-model="choice" :label="`Part, ${theme}`" :choices="CHOICES" /></dd>
        <dt>Choosing one of many</dt>
        <dd class="line">
          <PickOne v-model="one" :choices="MANY" :label="`Family, ${theme}`" filter />
          <PickOne
            :model-value="null"
            :choices="MANY"
            :label="`None yet, ${theme}`"
            placeholder="Choose a family"
          />
        </dd>
        <dt>Turning on or off</dt>
        <dd class="line">
          <OnOff v-model="on" label="a true italic" />
          <OnOffSet
            v-model="several"
            :label="`Weights, ${theme}`"
            :choices="[
              { value: '400', label: '400' },
              { value: '700', label: '700' },
            ]"
          />
        </dd>
        <dt>Doing something</dt>
        <dd class="line wrap">
          <DoButton label="Use" first />
          <DoButton label="Shortlist" />
          <DoButton label="Open" aria-expanded="true" />
          <DoButton label="Remove" why="It sets Body" />
          <DoButton bare label="Undo" />
          <FoldAway label="Filter" :changed="2"><p>What is behind it</p></FoldAway>
        </dd>
        <dt>Going elsewhere</dt>
        <dd><a class="go" href="#top">Look for a family in Faces</a></dd>
        <dt>Typing</dt>
        <dd class="line wrap">
          <TextField v-model="words" :aria-label="`Words, ${theme}`" />
          <TextField placeholder="Find" :aria-label="`Find, ${theme}`" />
          <NumberField v-model="number" label="Base" :min="8" :max="40" :step="0.5" unit="px" />
        </dd>
        <dt>Typing several lines</dt>
        <dd><TextArea v-model="words" :aria-label="`Lines, ${theme}`" rows="2" cols="40" /></dd>
        <dt>Dragging a figure</dt>
        <dd>
          <SliderField
            v-model="size"
            :label="`Size, ${theme}`"
            :min="12"
            :max="96"
            :says="`${size} px`"
          />
        </dd>
        <dt>Waiting</dt>
        <dd><ProgressLine :done="31" :of="77" stoppable>Measuring 31 of 77</ProgressLine></dd>
        <dt>Confirming</dt>
        <dd><DoButton label="Open the dialog" @click="open = true" /></dd>
      </dl>
      <ToolRow>
        <span class="quiet">A row that does not wrap</span>
        <template #least><OnOff v-model="on" label="what is used least" /></template>
        <template #end><DoButton label="At the right edge" /></template>
      </ToolRow>
    </section>
    <SayDialog v-model:visible="open" header="Remove the project?">
      <p>It goes with everything in it. This cannot be undone.</p>
    </SayDialog>
  </main>
</template>

<style scoped>
main {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  min-height: 100%;
}
section {
  padding: 24px 0;
  color: var(--ink);
  background: var(--sheet);
}
h1 {
  padding: 0 var(--edge) 16px;
}
dl {
  display: grid;
  grid-template-columns: 170px 1fr;
  gap: 16px;
  align-items: center;
  padding: 0 var(--edge) 16px;
}
dt {
  color: var(--ink-2);
}
</style>
