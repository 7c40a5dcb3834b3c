<script setup lang="ts">
import { BODY_STYLE, freeKey } from '@lettera/core/document';
import { takeOutStylePatch } from '@lettera/core/style';
import InputText from 'primevue/inputtext';
import { computed } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { count } from '../../control/figures';
import { useProject } from '../../store/project';
import { useProof } from '../../store/proof';
import type { StyleRow } from './styleRow';

/** What a row of the sheet is: the style in its own face, and, while it is open, what is done with it as a whole. */
const props = defineProps<{ row: StyleRow; editing: boolean }>();
defineEmits<{ toggle: [] }>();
const project = useProject();
const proof = useProof();

function rename(event: Event): void {
  const { key } = props.row;
  const field = event.target as HTMLInputElement;
  const name = field.value.trim();
  const before = project.document?.styles[key]?.name ?? '';
  if (name === before) return;
  const taken =
    name !== '' && project.change([{ op: 'replace', path: `/styles/${key}/name`, value: name }]);
  if (!taken) field.value = before;
}

/** What taking the style out does to what has it, in words. */
const takingOut = computed(() => {
  const { key, elements, followers } = props.row;
  const document = project.document;
  const next = document?.styles[key]?.follows ?? BODY_STYLE;
  const name = document?.styles[next]?.name ?? '';
  return [
    elements.length ? `${count(elements.length, 'text element')} will be set as ${name}` : '',
    followers ? `${count(followers, 'style')} will follow what it follows` : '',
  ]
    .filter(Boolean)
    .join('; ');
});
function takeOut(): void {
  if (!project.document) return;
  if (project.change(takeOutStylePatch(project.document, props.row.key))) proof.style = null;
}

/** A style that is worn by choice gets a class of its own. */
function giveClass(): void {
  const { document } = project;
  const { key, style } = props.row;
  if (!document) return;
  const element = freeKey(Object.keys(document.elements), key, 'text');
  project.change([
    {
      op: 'add',
      path: `/elements/${element}`,
      value: { name: style.name, selectors: [`.${key}`], style: key, parent: null },
    },
  ]);
}
</script>

<template>
  <InputText
    v-if="editing"
    :model-value="row.style.name"
    size="small"
    fluid
    maxlength="60"
    :aria-label="`Name of ${row.style.name}`"
    @change="rename($event)"
  />
  <button
    v-else
    type="button"
    class="plain name"
    :aria-pressed="editing"
    :style="{
      fontFamily: row.font,
      fontWeight: row.resolved.weight.value,
      fontStyle: row.resolved.slant.value,
    }"
    @click.stop="$emit('toggle')"
  >
    {{ row.style.name }}
  </button>
  <span class="selectors" :title="row.selectors.join(', ')">{{
    row.selectors.join(', ') ||
    (row.followers ? `followed by ${count(row.followers, 'style')}` : 'used by nothing')
  }}</span>
  <span v-if="editing" class="line wrap own">
    <DoButton label="Done" @click.stop="$emit('toggle')" />
    <DoButton v-if="row.elements.length === 0" label="Give it a class" @click.stop="giveClass" />
    <DoButton
      v-if="row.key !== BODY_STYLE"
      label="Take out"
      :title="takingOut"
      @click.stop="takeOut"
    />
  </span>
</template>

<style scoped>
.name {
  display: block;
  max-width: 100%;
  font-size: 15px;
  line-height: 1.2;
}
.own {
  margin-top: 4px;
}
.selectors {
  display: block;
  font-size: 11px;
  font-weight: 400;
  color: var(--ink-2);
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
</style>
