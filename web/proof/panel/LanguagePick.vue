<script setup lang="ts">
import { languageOf, LANGUAGES } from '@lettera/core/script';
import { computed } from 'vue';
import DoButton from '../../control/DoButton.vue';
import PickOne from '../../control/PickOne.vue';
import { languagePick as say } from './words';

/** Languages, each to be taken away, and any of CLDR to be added. */
const tags = defineModel<string[]>({ required: true });
const props = defineProps<{
  /** Whether one has to stay. */
  keepsOne?: boolean;
}>();

const nameOf = (tag: string): string => languageOf(tag)?.name ?? tag;
const known = computed(() => new Set(tags.value.map((tag) => languageOf(tag)?.tag ?? tag)));
const choices = computed(() =>
  LANGUAGES.filter(({ tag }) => !known.value.has(tag)).map(({ tag, name }) => ({
    value: tag,
    label: name,
  })),
);
const staysBecause = computed(() =>
  props.keepsOne && tags.value.length < 2 ? say.oneStays : undefined,
);
const remove = (tag: string): void => {
  tags.value = tags.value.filter((one) => one !== tag);
};
</script>

<template>
  <div class="line wrap">
    <span v-for="tag in tags" :key="tag" class="one">
      {{ nameOf(tag)
      }}<DoButton
        bare
        :aria-label="say.remove(nameOf(tag))"
        :title="say.remove(nameOf(tag))"
        :why="staysBecause"
        @click="remove(tag)"
        >×</DoButton
      >
    </span>
    <PickOne
      :model-value="null"
      :choices="choices"
      :placeholder="say.add"
      :label="say.add"
      filter
      :virtual-scroller-options="{ itemSize: 28 }"
      @update:model-value="$event !== null && (tags = [...tags, $event])"
    />
  </div>
</template>

<style scoped>
.one {
  display: inline-flex;
  align-items: center;
}
</style>
