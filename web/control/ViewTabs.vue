<script setup lang="ts" generic="T extends string">
import Tab from 'primevue/tab';
import TabList from 'primevue/tablist';
import Tabs from 'primevue/tabs';

/**
 * Going to another view of a stage: words on the line under the stage’s title, the present one underlined.
 * A view can be given the number of things in it.
 */
defineProps<{ label: string; views: readonly { value: T; label: string; count?: number }[] }>();
const model = defineModel<T>({ required: true });
</script>

<template>
  <Tabs :value="model" unstyled :show-navigators="false" @update:value="model = $event as T">
    <TabList
      unstyled
      :pt="{ root: 'l-tabs', tabList: { 'aria-label': label }, activeBar: 'l-none' }"
    >
      <!-- What it shows is the stage itself, which has no panel of the tabs’ own to point at. -->
      <Tab
        v-for="view in views"
        :key="view.value"
        :value="view.value"
        unstyled
        class="l-tab"
        :pt="{ root: { 'aria-controls': undefined } }"
        >{{ view.label }}<span v-if="view.count" class="count">{{ ` ${view.count}` }}</span></Tab
      >
    </TabList>
  </Tabs>
</template>
