<script setup lang="ts">
import { occasionLine as say } from './words';
import { occasionOf, type Patch } from '@lettera/core/document';
import { removeWidthPatch } from '@lettera/core/style';
import { computed, ref } from 'vue';
import DoButton from '../../control/DoButton.vue';
import OnOff from '../../control/OnOff.vue';
import TextField from '../../control/TextField.vue';
import { readNumber } from '../../control/readNumber';
import { useProject } from '../../store/project';
import OwnScaleFields from './OwnScaleFields.vue';

/** What belongs to the occasion, or the width, that the sheet shows: how browsers take it, and what is set for it as a whole. */
const props = defineProps<{ occasion: string }>();
const emit = defineEmits<{ removed: [] }>();
const project = useProject();

const named = computed(() => occasionOf(props.occasion));
const width = computed(() => project.document?.widths?.[props.occasion] ?? null);
const print = computed(() => project.document?.print ?? null);
const path = computed(() => `/widths/${props.occasion}`);

/** What a scale of its own begins with: what the site has at that width. */
const scaleThere = computed(() => {
  const { small, large } = project.document?.scale ?? {};
  const from = width.value?.from ?? 0;
  const end = large && from >= large.width ? large : small;
  return { base: end?.base ?? 16, ratio: end?.ratio ?? 1.2 };
});

const set = (name: string, value: unknown): boolean =>
  project.change([{ op: 'add', path: `${path.value}/${name}`, value }]);
/** What was typed and is no width. */
const refused = ref('');
/** Where a width begins or ends; it keeps one of the two. */
function setEnd(name: 'from' | 'below', text: string): void {
  refused.value = '';
  if (text.trim()) {
    const px = readNumber(text, 'px');
    if (px === null) refused.value = say.isNoWidth(text);
    else set(name, Math.round(px));
  } else if (width.value?.[name] !== undefined) {
    project.change([{ op: 'remove', path: `${path.value}/${name}` }]);
  }
}
function setContainer(text: string): void {
  const name = text.trim();
  const patch: Patch = [
    ...(name && width.value?.scale ? [{ op: 'remove' as const, path: `${path.value}/scale` }] : []),
    ...(name
      ? [{ op: 'add' as const, path: `${path.value}/container`, value: name }]
      : width.value?.container === undefined
        ? []
        : [{ op: 'remove' as const, path: `${path.value}/container` }]),
  ];
  project.change(patch);
}
const ownScale = computed({
  get: () => width.value?.scale !== undefined,
  set: (on) =>
    on
      ? set('scale', scaleThere.value)
      : project.change([{ op: 'remove', path: `${path.value}/scale` }]),
});
function remove(): void {
  if (project.document && project.change(removeWidthPatch(project.document, props.occasion)))
    emit('removed');
}

/** Paper is read near: a size that books have, and the ratio of the small end. */
const printed = computed({
  get: () => print.value !== null,
  set: (on) =>
    project.change(
      on
        ? [
            {
              op: 'add',
              path: '/print',
              value: { base: 10, ratio: project.document?.scale.small.ratio ?? 1.2 },
            },
          ]
        : [{ op: 'remove', path: '/print' }],
    ),
});
const addresses = computed({
  get: () => print.value?.addresses === true,
  set: (on) =>
    project.change([
      on
        ? { op: 'add', path: '/print/addresses', value: true }
        : { op: 'remove', path: '/print/addresses' },
    ]),
});
</script>

<template>
  <div v-if="named?.says || width || occasion === 'print'" class="occasion small">
    <p v-if="named?.says" class="quiet says">{{ named.says }}</p>
    <template v-if="occasion === 'print'">
      <OnOff v-model="printed" :label="say.sizesInPt" />
      <template v-if="print">
        <OwnScaleFields
          :scale="print"
          unit="pt"
          :smallest="5"
          :largest="36"
          @set="(name, value) => project.change([{ op: 'replace', path: `/print/${name}`, value }])"
        />
        <OnOff v-model="addresses" :label="say.linkAddresses" />
      </template>
    </template>
    <template v-else-if="width">
      <label
        >{{ say.name }}
        <TextField
          class="name"
          :model-value="width.name"
          @change="set('name', ($event.target as HTMLInputElement).value)"
      /></label>
      <label
        >{{ say.from }}
        <TextField
          class="px"
          :model-value="width.from === undefined ? '' : `${width.from} px`"
          :placeholder="say.any"
          @change="setEnd('from', ($event.target as HTMLInputElement).value)"
      /></label>
      <label
        >{{ say.below }}
        <TextField
          class="px"
          :model-value="width.below === undefined ? '' : `${width.below} px`"
          :placeholder="say.any"
          @change="setEnd('below', ($event.target as HTMLInputElement).value)"
      /></label>
      <label :title="say.containerName"
        >{{ say.ofContainer }}
        <TextField
          class="name"
          :model-value="width.container ?? ''"
          :placeholder="say.thePage"
          @change="setContainer(($event.target as HTMLInputElement).value)"
      /></label>
      <template v-if="width.container === undefined">
        <OnOff v-model="ownScale" :label="say.ownScale" />
        <OwnScaleFields
          v-if="width.scale"
          :scale="width.scale"
          unit="px"
          :smallest="8"
          :largest="64"
          @set="(name, value) => set(`scale/${name}`, value)"
        />
      </template>
      <DoButton :label="say.removeWidth" @click="remove" />
      <span v-if="refused" role="alert" class="mark-text">{{ refused }}</span>
    </template>
  </div>
</template>

<style scoped>
.occasion {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
  padding: 0 var(--edge) 8px;
}
.says {
  flex: 1 1 100%;
  max-width: 72ch;
  margin: 0;
}
.name {
  width: 96px;
}
.px {
  width: 64px;
}
</style>
