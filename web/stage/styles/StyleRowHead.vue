<script setup lang="ts">
import { styleRowHead as say } from './words';
import { count } from '../../control/figures';
import { computed } from 'vue';
import InFace from '../../proof/InFace.vue';
import type { StyleRow } from './styleRow';

/** What a row of the sheet is: the style in its own face, and what uses it. */
const props = defineProps<{ row: StyleRow; selected: boolean }>();
defineEmits<{ toggle: [] }>();

const used = computed(() => {
  const { selectors, followers } = props.row;
  const [first, ...more] = selectors;
  if (first) return more.length > 0 ? say.andMore(first, more.length) : first;
  return followers ? say.followedBy(count(followers, 'style')) : say.usedByNothing;
});
</script>

<template>
  <span class="head">
    <button type="button" class="plain name" :aria-pressed="selected" @click.stop="$emit('toggle')">
      <InFace
        :font="row.font"
        :name="row.style.name"
        :words="row.style.name"
        :weight="row.resolved.weight.value"
        :slant="row.resolved.slant.value"
        mute
      />
    </button>
    <span class="used" :title="row.selectors.join(', ')">{{ used }}</span>
  </span>
</template>

<style scoped>
/* What has no room beside the name is left out whole. */
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 0 8px;
  align-items: baseline;
  height: 24px;
  overflow: hidden;
  white-space: nowrap;
}
.name {
  font-size: 15px;
  line-height: 24px;
}
.used {
  font-size: var(--size-beside);
  font-weight: 400;
  color: var(--ink-3);
}
</style>
