<script setup lang="ts">
import { styleSheet as say } from './words';
import { BODY_STYLE, type PropertyName, type StyleValues } from '@lettera/core/document';
import { computed } from 'vue';
import PickOne from '../../control/PickOne.vue';
import { useProject } from '../../store/project';
import PropertyCell from './PropertyCell.vue';
import StyleDeeds from './StyleDeeds.vue';
import StyleRowHead from './StyleRowHead.vue';
import { followable, type StyleRow } from './styleRow';

/** A style as a row of the sheet, and below it what can be done with it while it is selected. */
const props = defineProps<{
  row: StyleRow;
  index: number;
  properties: readonly PropertyName[];
  /** Where what is shown is set. */
  where: StyleValues;
  selected: boolean;
  /** The property whose cell is open. */
  opened: PropertyName | null;
  /** The column that keys go from, where it is in this row. */
  cursor: number | null;
  /** The columns that are marked out in this row, `first-last`; null for none. */
  ranged: `${number}-${number}` | null;
}>();
defineEmits<{
  select: [key: string];
  open: [key: string, property: PropertyName, event: MouseEvent];
  close: [];
  extend: [at: [row: number, column: number], event: MouseEvent];
  focus: [at: [row: number, column: number]];
  done: [];
}>();

const project = useProject();
const choices = computed(() =>
  followable(project.document).filter(({ value }) => value !== props.row.key),
);
const follow = (follows: string | null): boolean =>
  project.change([{ op: 'replace', path: `/styles/${props.row.key}/follows`, value: follows }]);

const isRanged = computed(() => {
  const [first = 1, last = 0] = props.ranged?.split('-').map(Number) ?? [];
  return (column: number): boolean => column >= first && column <= last;
});
</script>

<template>
  <tr
    :data-style="row.key"
    :aria-rowindex="index + 2"
    class="one"
    :class="{ selected }"
    @click="selected || $event.shiftKey || $emit('select', row.key)"
  >
    <th scope="row" class="l-stays">
      <StyleRowHead :row="row" :selected="selected" @toggle="$emit('select', row.key)" />
    </th>
    <td class="follows">
      <PickOne
        v-if="selected && row.key !== BODY_STYLE"
        :model-value="row.style.follows"
        :choices="choices"
        fluid
        :label="say.styleFollows"
        :placeholder="say.textAround"
        @update:model-value="follow"
      />
      <template v-else>{{
        row.followed ?? (row.key === BODY_STYLE ? '–' : say.textAround)
      }}</template>
    </td>
    <PropertyCell
      v-for="(property, j) in properties"
      :key="property"
      :style-key="row.key"
      :property="property"
      :resolved="row.resolved[property]"
      :family="row.family"
      :slant="row.resolved.slant.value"
      :open="opened === property"
      :where="where"
      :at-end="j > properties.length - 3"
      :data-column="j"
      :tabindex="cursor === j ? 0 : -1"
      :class="{ ranged: isRanged(j) }"
      @mousedown="$emit('extend', [index, j], $event)"
      @focus="$emit('focus', [index, j])"
      @click.stop="$emit('open', row.key, property, $event)"
      @close="$emit('close')"
    />
  </tr>
  <tr v-if="selected" class="deeds">
    <td :colspan="properties.length + 2">
      <StyleDeeds :row="row" @done="$emit('done')" />
    </td>
  </tr>
</template>

<style scoped>
tr > :first-child {
  padding-left: var(--edge);
}
tr > :last-child {
  padding-right: var(--edge);
}
.one > * {
  height: 37px;
  padding-block: 0;
  border-bottom: 1px solid var(--rule);
}
.one {
  cursor: pointer;
}
.one:hover,
.selected,
.deeds {
  --ink-3: var(--ink-2);
  background: var(--touched);
}
.selected,
.selected > .l-stays {
  box-shadow: inset 3px 0 var(--verdigris);
}
.selected > * {
  border-bottom: 0;
}
.deeds td {
  padding-block: 0 4px;
  border-bottom: 1px solid var(--rule);
}
.deeds {
  box-shadow: inset 3px 0 var(--verdigris);
}
.ranged {
  --ink-3: var(--ink-2);
  background: color-mix(in srgb, var(--verdigris) 14%, transparent);
}
tbody th {
  padding-right: 10px;
  overflow: hidden;
}
td.follows {
  padding-inline: 10px;
  overflow: hidden;
  color: var(--ink-3);
  white-space: nowrap;
}
</style>
