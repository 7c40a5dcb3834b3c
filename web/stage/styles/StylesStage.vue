<script setup lang="ts">
import { stylesStage as say } from './words';
import { gatheredCount } from '@lettera/core/style';
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import { afterRest } from '../../control/afterRest';
import ViewTabs from '../../control/ViewTabs.vue';
import StageHeader from '../StageHeader.vue';
import AddStyle from './AddStyle.vue';
import ColourSheet from './ColourSheet.vue';
import ElementSheet from './ElementSheet.vue';
import GatheredView from './GatheredView.vue';
import LanguageSheet from './LanguageSheet.vue';
import StartingSets from './StartingSets.vue';
import StyleSheet from './StyleSheet.vue';
import { useProject } from '../../store/project';

/** Assigning type to the whole site: text styles, the text elements that use them, and their colours. */
type View = 'sheet' | 'elements' | 'colours' | 'languages' | 'gathered';
const project = useProject();
const settled = afterRest(() => project.document);
const views = computed((): { value: View; label: string; count?: number }[] => [
  { value: 'sheet', label: say.styles },
  { value: 'elements', label: say.elements },
  { value: 'colours', label: say.colours },
  { value: 'languages', label: say.languages },
  {
    value: 'gathered',
    label: say.cleanUp,
    count: settled.value ? gatheredCount(settled.value) : 0,
  },
]);
const route = useRoute();
const view = ref<View>(route.query['view'] === 'languages' ? 'languages' : 'sheet');
</script>

<template>
  <div class="styles">
    <StageHeader :title="say.styles">
      <template #views
        ><ViewTabs v-model="view" :label="say.viewsStyles" :views="views"
      /></template>
      <template #actions>
        <StartingSets />
        <AddStyle v-if="view === 'sheet'" />
      </template>
      {{ say.everyKindTextOn }}
    </StageHeader>
    <StyleSheet v-if="view === 'sheet'" />
    <ElementSheet v-else-if="view === 'elements'" @style="view = 'sheet'" />
    <ColourSheet v-else-if="view === 'colours'" class="scrolls" />
    <LanguageSheet v-else-if="view === 'languages'" class="scrolls" />
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
