<script setup lang="ts">
import type { LineUpRow } from '../../store/rows/rows';
import { rowFont, useSpecimenFont } from './specimenFonts';

/** Text set in a family's own face, once that is there: its name, unless other words are given. */
const props = defineProps<{ row: LineUpRow; words?: string }>();

const { state } = useSpecimenFont(props.row.library, () => props.words ?? props.row.name);
</script>

<template>
  <bdi
    :class="{ loading: state === 'loading' }"
    :style="{ fontFamily: state === 'shown' ? rowFont(row) : undefined }"
    >{{ words ?? row.name }}</bdi
  >
</template>

<style scoped>
/* A letter in a stand-in face would be taken for the family's own. */
.loading {
  opacity: 0;
}
</style>
