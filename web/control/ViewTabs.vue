<script setup lang="ts" generic="T extends string">
import Tab from 'primevue/tab';
import TabList from 'primevue/tablist';
import Tabs from 'primevue/tabs';

/** Going to another view of a stage: tabs that stand on the line of the sheet, the present one joined to it. */
defineProps<{ label: string; views: readonly { value: T; label: string }[] }>();
const model = defineModel<T>({ required: true });
</script>

<template>
  <Tabs :value="model" unstyled @update:value="model = $event as T">
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
        >{{ view.label }}</Tab
      >
    </TabList>
  </Tabs>
</template>
