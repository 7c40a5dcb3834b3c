<script setup lang="ts">
import { stackColumn as say } from './words';
import { candidateError, localsOf } from '@lettera/core/fallback';
import { GENERICS, type ProjectDocument } from '@lettera/core/document';
import TextField from '../../control/TextField.vue';
import PickOne from '../../control/PickOne.vue';
import { computed, ref, watch } from 'vue';
import DoButton from '../../control/DoButton.vue';
import RowMoves from '../../control/RowMoves.vue';
import { percent } from '../../control/figures';
import { useFallbacks } from '../../store/fallbacks';
import { usePlans } from '../../store/plans';
import { useProject } from '../../store/project';
import { entryRows, moved, stackPatch } from './fallbackView';
import { plainPatch } from './plainNames';

/** The stack of a voice as a column from first to last, put in order by keys and by dragging. */
const props = defineProps<{ document: ProjectDocument; voice: string }>();

const project = useProject();
const fallbacks = useFallbacks();
const plans = usePlans();

const rows = computed(() =>
  entryRows(props.document, plans.fallbackOf(props.document), props.voice),
);
const voice = computed(() => props.document.voices[props.voice]);
const locals = computed(() => localsOf(props.document, props.voice, fallbacks.trials));
const proposed = computed(() => voice.value?.fallback === null);
const generics = GENERICS.map((value) => ({ value, label: value }));

const placeOf = (local: string): number => locals.value.indexOf(local);
const take = (next: readonly string[] | null) => project.change(stackPatch(props.voice, next));

function move(local: string, by: number): void {
  take(moved(locals.value, placeOf(local), placeOf(local) + by));
}

/** What is dragged: an entry of this column, or a candidate from the list below. */
const over = ref<number | null>(null);
function drop(event: DragEvent, at: number): void {
  over.value = null;
  const local = event.dataTransfer?.getData('text/lettera-local');
  if (!local) return;
  const from = placeOf(local);
  take(
    from < 0
      ? [...locals.value.slice(0, at), local, ...locals.value.slice(at)]
      : moved(locals.value, from, at > from ? at - 1 : at),
  );
}
function lift(event: DragEvent, local: string): void {
  event.dataTransfer?.setData('text/lettera-local', local);
}

/** Plain names as they are typed, as CSS has a list of them. */
const typed = ref('');
const notes = ref<string[]>([]);
const plainText = computed(() =>
  rows.value.flatMap(({ entry }) => (entry.kind === 'local' ? [entry.name] : [])).join(', '),
);
watch(plainText, (text) => (typed.value = text), { immediate: true });
function takePlain(): void {
  if (typed.value === plainText.value) return;
  const { patch, notes: said } = plainPatch(props.document, props.voice, typed.value);
  notes.value = said;
  if (patch) project.change(patch);
  else typed.value = plainText.value;
}
</script>

<template>
  <ol class="entries" :aria-label="say.stack(voice?.name ?? '')">
    <li
      v-for="({ entry, kind, platforms, share, tuned, remark }, i) in rows"
      :key="`${entry.kind} ${entry.name}`"
      :class="[entry.kind, { over: entry.kind === 'fallback' && over === placeOf(entry.local) }]"
      :draggable="entry.kind === 'fallback'"
      @dragstart="entry.kind === 'fallback' && lift($event, entry.local)"
      @dragover.prevent="over = entry.kind === 'fallback' ? placeOf(entry.local) : locals.length"
      @dragleave="over = null"
      @drop.prevent="drop($event, entry.kind === 'fallback' ? placeOf(entry.local) : locals.length)"
    >
      <span class="order">{{ i + 1 }}</span>
      <span class="who">
        <span class="entry">{{ entry.name }}</span>
        <span class="small quiet">{{ kind }}{{ platforms ? `: ${platforms}` : '' }}</span>
        <span v-if="remark" class="small remark">{{ remark }}</span>
      </span>
      <span class="figure small">{{
        tuned ? say.words(percent(candidateError(tuned), 2)) : ''
      }}</span>
      <span class="figure">
        <template v-if="entry.kind !== 'web'">{{ percent(share, 0) }}</template>
        <span v-if="entry.kind !== 'web'" class="bar" :style="{ width: `${share * 60}px` }" />
      </span>
      <RowMoves
        v-if="entry.kind === 'fallback'"
        class="moves"
        :name="entry.name"
        :at="placeOf(entry.local)"
        :of="locals.length"
        @move="move(entry.local, $event)"
        @remove="take(locals.filter((one) => one !== entry.local))"
      />
    </li>
  </ol>
  <div class="line wrap below">
    <label class="line grow">
      <span class="small">{{ say.plainNames }}</span>
      <TextField
        v-model="typed"
        class="names"
        :aria-label="say.plainNames"
        @change="takePlain"
        @keydown.enter="takePlain"
      />
    </label>
    <label class="line">
      <span class="small">{{ say.then }}</span>
      <PickOne
        :model-value="voice?.generic"
        :choices="generics"
        :label="say.genericFamily"
        @update:model-value="
          project.change([{ op: 'replace', path: `/voices/${props.voice}/generic`, value: $event }])
        "
      />
    </label>
    <DoButton v-if="!proposed" :label="say.useWhatLetteraProposes" @click="take(null)" />
    <span v-else class="small quiet">{{ say.asLetteraProposes }}</span>
  </div>
  <ul v-if="notes.length" class="small notes" role="status">
    <li v-for="note in notes" :key="note">{{ note }}</li>
  </ul>
</template>

<style scoped>
.entries li {
  display: grid;
  grid-template-columns: 16px minmax(0, 1fr) auto 64px 128px;
  gap: 8px;
  align-items: center;
  min-height: 34px;
  padding: 2px 0 2px 8px;
  border-bottom: 1px solid var(--rule);
  border-left: 3px solid var(--rule);
}
/* Without room for a column of its own, what is done with an entry lies over its figures. */
@container (max-width: 560px) {
  .entries li {
    grid-template-columns: 16px minmax(0, 1fr) auto 64px;
  }
  .entries li > :nth-child(3) {
    grid-area: 1 / 3;
  }
  .entries li > :nth-child(4) {
    grid-area: 1 / 4;
  }
  .entries .moves {
    grid-area: 1 / 3 / auto / -1;
    justify-self: end;
    background: var(--sheet);
  }
}
li.web {
  border-left-color: var(--web);
}
li.fallback {
  border-left: 3px dashed var(--local);
  cursor: grab;
}
li.local {
  border-left: 3px dotted var(--local);
}
li.over {
  box-shadow: inset 0 2px var(--verdigris);
}
.order {
  color: var(--ink-2);
}
.who {
  display: grid;
  line-height: 1.3;
}
.entry {
  font-weight: 550;
  overflow-wrap: anywhere;
}
.remark {
  color: var(--local);
}
.bar {
  display: block;
  height: 4px;
  margin-left: auto;
  background: var(--local);
}
.web .bar,
.generic .bar {
  background: var(--ink-2);
}
.below {
  padding: 6px 0;
}
.grow {
  flex: 1 1 220px;
}
.names {
  flex: 1;
  min-width: 0;
}
.notes li {
  color: var(--local);
}
</style>
