<script setup lang="ts">
/** Weights as ticks on an axis from 1 to 1000; a bar for a variable range. */
defineProps<{ weights: number[]; variable: boolean }>();

const at = (weight: number): number => (weight / 1000) * 88 + 4;
</script>

<template>
  <svg
    viewBox="0 0 96 14"
    width="96"
    height="14"
    role="img"
    :aria-label="
      variable ? `Weights ${weights[0]} to ${weights.at(-1)}` : `Weights ${weights.join(', ')}`
    "
  >
    <line x1="4" x2="92" y1="10.5" y2="10.5" class="axis" />
    <line
      v-for="hundred in 9"
      :key="hundred"
      :x1="at(hundred * 100)"
      :x2="at(hundred * 100)"
      y1="10.5"
      y2="12.5"
      class="axis"
    />
    <rect
      v-if="variable"
      :x="at(weights[0] ?? 0)"
      y="6"
      :width="at(weights.at(-1) ?? 0) - at(weights[0] ?? 0)"
      height="4"
      class="bar"
    />
    <line
      v-for="weight in variable ? [] : weights"
      :key="weight"
      :x1="at(weight)"
      :x2="at(weight)"
      y1="2"
      y2="10.5"
      class="tick"
    />
  </svg>
</template>

<style scoped>
.axis {
  stroke: var(--rule);
}
.tick {
  stroke: var(--ink);
  stroke-width: 2;
}
.bar {
  fill: var(--ink);
}
</style>
