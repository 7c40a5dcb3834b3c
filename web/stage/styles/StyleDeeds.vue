<script setup lang="ts">
import { styleDeeds as say } from './words';
import { BODY_STYLE, freeKey } from '@lettera/core/document';
import { takeOutStylePatch } from '@lettera/core/style';
import { computed, nextTick, useTemplateRef } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { count } from '../../control/figures';
import TextField from '../../control/TextField.vue';
import { useProject } from '../../store/project';
import { useProof } from '../../store/proof';
import type { StyleRow } from './styleRow';
import { putInto } from '../../control/putInto';

/** What is done with a style as a whole, while its row is selected. */
const props = defineProps<{ row: StyleRow }>();
const emit = defineEmits<{ done: [] }>();
const root = useTemplateRef<HTMLElement>('root');
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
  if (!taken) putInto(field, before);
}

/** What removing the style does to what has it, in words. */
const removing = computed(() => {
  const { key, elements, followers } = props.row;
  const document = project.document;
  const next = document?.styles[key]?.follows ?? BODY_STYLE;
  const name = document?.styles[next]?.name ?? '';
  return [
    elements.length ? say.willBeSetAs(count(elements.length, 'text element'), name) : '',
    followers ? say.willFollowWhatFollows(count(followers, 'style')) : '',
  ]
    .filter(Boolean)
    .join('; ');
});
function remove(): void {
  if (!project.document) return;
  if (project.change(takeOutStylePatch(project.document, props.row.key))) {
    proof.style = null;
    emit('done');
  }
}

/** A style that is used by choice gets a class of its own. */
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
  // The word that was pressed is gone with what it did: the work goes on in the row.
  void nextTick(() => root.value?.querySelector('input')?.focus());
}
</script>

<template>
  <span ref="root" class="line whole">
    <TextField
      :model-value="row.style.name"
      class="name"
      maxlength="60"
      :aria-label="say.name(row.style.name)"
      @change="rename($event)"
    />
    <DoButton v-if="row.elements.length === 0" :label="say.giveClass" @click.stop="giveClass" />
    <DoButton
      v-if="row.key !== BODY_STYLE"
      :label="say.remove"
      :aria-label="say.removeName(row.style.name)"
      :title="removing"
      @click.stop="remove"
    />
    <span class="small quiet">{{ row.selectors.join(', ') }}</span>
    <DoButton class="end" :label="say.done" @click.stop="$emit('done')" />
  </span>
</template>

<style scoped>
.whole {
  min-height: 34px;
}
.name {
  width: 170px;
}
.end {
  margin-left: auto;
}
</style>
