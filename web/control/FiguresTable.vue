<script setup lang="ts">
/** A table of figures: its head, its rows and what stands over it come from where it is used. */
defineSlots<{ default(): unknown }>();
</script>

<template>
  <table class="figures-table">
    <slot />
  </table>
</template>

<style>
.figures-table {
  width: 100%;
}
.figures-table th {
  padding: 3px 10px 3px 0;
  font-size: var(--size-beside);
  color: var(--ink-2);
  border-bottom: 1px solid var(--rule);
}
.figures-table th.figure {
  text-align: right;
}
.figures-table td {
  padding: 4px 10px 4px 0;
  border-bottom: 1px solid var(--rule);
}
.figures-table tbody tr:hover {
  --ink-3: var(--ink-2);
  background: var(--touched);
}
/* A figure in a table is typed into where it stands. */
.figures-table .p-inputtext.l-field:not(:hover, :focus) {
  background: none;
  border-color: transparent;
  border-bottom-color: var(--rule);
}
.figures-table :is(td, th):first-child .p-inputtext.l-field {
  width: calc(100% + 7px);
  margin-left: -7px;
}
</style>
