<script setup lang="ts">
import { ref } from 'vue';
import ViewTabs from '../../control/ViewTabs.vue';
import StageHeader from '../StageHeader.vue';
import AddStyle from './AddStyle.vue';
import ColourSheet from './ColourSheet.vue';
import ElementSheet from './ElementSheet.vue';
import GatheredView from './GatheredView.vue';
import StartingSets from './StartingSets.vue';
import StyleSheet from './StyleSheet.vue';

/** Assigning type to the whole site: text styles, the text elements that use them, and their colours. */
type View = 'sheet' | 'elements' | 'colours' | 'gathered';
const VIEWS: { value: View; label: string }[] = [
  { value: 'sheet', label: 'Styles' },
  { value: 'elements', label: 'Elements' },
  { value: 'colours', label: 'Colours' },
  { value: 'gathered', label: 'Clean-up' },
];
const view = ref<View>('sheet');
</script>

<template>
  <div class="styles">
    <StageHeader title="Styles">
      <template #views><ViewTabs v-model="view" label="Views of Styles" :views="VIEWS" /></template>
      <template #actions>
        <StartingSets />
        <AddStyle v-if="view === 'sheet'" />
      </template>
      Every kind of text on the site uses a text style. A property is set in a style, or follows:
      what is followed changes with its source, everywhere at once.
    </StageHeader>
    <StyleSheet v-if="view === 'sheet'" />
    <ElementSheet v-else-if="view === 'elements'" @style="view = 'sheet'" />
    <ColourSheet v-else-if="view === 'colours'" class="scrolls" />
    <GatheredView v-else class="scrolls" @style="view = 'sheet'" />
  </div>
</template>

<style scoped>
.styles {
  display: flex;
  flex-direction: column;
  height: 100%;
}
.scrolls {
  overflow: auto;
  min-height: 0;
}
</style>
