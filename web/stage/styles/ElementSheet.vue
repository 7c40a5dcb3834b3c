<script setup lang="ts">
import { selectorTexts } from '@lettera/core/css';
import { slug } from '@lettera/core/deliver';
import { BODY_STYLE, freeKey } from '@lettera/core/document';
import { elementAt } from '@lettera/core/style';
import TextField from '../../control/TextField.vue';
import PickOne from '../../control/PickOne.vue';
import { computed, onBeforeUnmount, ref } from 'vue';
import DoButton from '../../control/DoButton.vue';
import ToolRow from '../../control/ToolRow.vue';
import { count } from '../../control/figures';
import { useProject } from '../../store/project';
import { useProof } from '../../store/proof';

/** The kinds of text on the site: the selectors that each is met by, and the style that it wears. */
const emit = defineEmits<{ style: [] }>();
const project = useProject();
const proof = useProof();

const sought = ref('');
const elements = computed(() => Object.entries(project.document?.elements ?? {}));

/** The texts of the page shown that are each element, and those that its selectors meet beside. */
const places = computed(() => {
  const { shownPage: page } = proof;
  const { document } = project;
  if (!page || !document) return null;
  return new Map(
    elements.value.map(([key, { selectors }]) => {
      const met = [...page.querySelectorAll(selectors.join(', '))];
      const own = met.filter(
        (node) => elementAt(document, (selector) => node.matches(selector)) === key,
      );
      return [key, { own, elsewhere: met.length - own.length }];
    }),
  );
});

const rows = computed(() =>
  elements.value
    .filter(([, { name, selectors }]) =>
      `${name} ${selectors.join(' ')}`.toLowerCase().includes(sought.value.trim().toLowerCase()),
    )
    .map(([key, element]) => ({ key, element, places: places.value?.get(key) ?? null })),
);
const styles = computed(() =>
  Object.entries(project.document?.styles ?? {}).map(([value, { name }]) => ({
    value,
    label: name,
  })),
);
const parentsFor = (key: string) => [
  { value: null, label: 'the body' },
  ...elements.value
    .filter(([other]) => other !== key)
    .map(([value, { name }]) => ({ value, label: name })),
];

const set = (key: string, member: string, value: unknown): boolean =>
  project.change([{ op: 'replace', path: `/elements/${key}/${member}`, value }]);

function rename(key: string, event: Event): void {
  const field = event.target as HTMLInputElement;
  const name = field.value.trim();
  const before = project.document?.elements[key]?.name ?? '';
  if (name === before) return;
  if (!name || !set(key, 'name', name)) field.value = before;
}

function setSelectors(key: string, event: Event): void {
  const field = event.target as HTMLInputElement;
  const before = project.document?.elements[key]?.selectors ?? [];
  const selectors = selectorTexts(field.value);
  if (selectors.join() === before.join()) return;
  if (selectors.length === 0 || !set(key, 'selectors', selectors)) field.value = before.join(', ');
}

const name = ref('');
const selector = ref('');
function add(): void {
  const { document } = project;
  if (!document) return;
  const key = freeKey(Object.keys(document.elements), slug(name.value) || 'text', 'text');
  const taken = project.change([
    {
      op: 'add',
      path: `/elements/${key}`,
      value: {
        name: name.value.trim(),
        selectors: selectorTexts(selector.value),
        style: proof.style ?? BODY_STYLE,
        parent: null,
      },
    },
  ]);
  if (!taken) return;
  name.value = '';
  selector.value = '';
}

function point(nodes: readonly Element[]): void {
  proof.pointedOut = nodes;
  nodes[0]?.scrollIntoView({ block: 'center' });
}
function show(style: string): void {
  proof.style = style;
  emit('style');
}
onBeforeUnmount(() => (proof.pointedOut = []));
</script>

<template>
  <ToolRow>
    <TextField v-model="sought" placeholder="Find" aria-label="Filter text elements" />
    <template #end>
      <form class="line add" @submit.prevent="add">
        <TextField
          v-model="name"
          placeholder="new text element"
          aria-label="Name of a new text element"
          maxlength="60"
          required
        />
        <TextField v-model="selector" placeholder=".selector" aria-label="Its selectors" required />
        <DoButton type="submit" label="Add it" />
      </form>
    </template>
  </ToolRow>
  <div class="scroll">
    <table class="figures-table">
      <thead>
        <tr>
          <th scope="col">Text element</th>
          <th scope="col">Selectors</th>
          <th scope="col">Uses</th>
          <th scope="col">Stands in</th>
          <th scope="col" class="figure">On this page</th>
          <th scope="col"><span class="visually-hidden">Remove</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.key" :data-element="row.key">
          <td>
            <TextField
              :model-value="row.element.name"
              fluid
              maxlength="60"
              :aria-label="`Name of ${row.element.name}`"
              @change="rename(row.key, $event)"
            />
          </td>
          <td class="selectors">
            <TextField
              :model-value="row.element.selectors.join(', ')"
              fluid
              spellcheck="false"
              :aria-label="`Selectors of ${row.element.name}`"
              @change="setSelectors(row.key, $event)"
            />
          </td>
          <td>
            <span class="line">
              <PickOne
                :model-value="row.element.style"
                :choices="styles"
                :label="`Style of ${row.element.name}`"
                @update:model-value="set(row.key, 'style', $event)"
              />
              <DoButton
                class="on-point"
                label="Open"
                :aria-label="`Open the style of ${row.element.name}`"
                @click="show(row.element.style)"
              />
            </span>
          </td>
          <td>
            <PickOne
              :model-value="row.element.parent"
              :choices="parentsFor(row.key)"
              placeholder="the body"
              :label="`What ${row.element.name} stands in`"
              @update:model-value="set(row.key, 'parent', $event)"
            />
          </td>
          <td class="figure">
            <DoButton
              v-if="row.places?.own.length"
              :label="String(row.places.own.length)"
              :aria-label="`Show on the page: ${count(row.places.own.length, 'place')} of ${row.element.name}`"
              @click="point(row.places.own)"
            />
            <template v-else>{{ row.places ? 'none' : '' }}</template>
            <span
              v-if="row.places?.elsewhere"
              class="small quiet"
              title="A text element further down has selectors that meet these too, and the later one wins"
            >
              and {{ row.places.elsewhere }} of another</span
            >
          </td>
          <td>
            <DoButton
              class="on-point"
              label="Remove"
              :aria-label="`Remove ${row.element.name}`"
              @click="project.change([{ op: 'remove', path: `/elements/${row.key}` }])"
            />
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.tool-row :deep(input) {
  width: 140px;
}
.scroll {
  flex: 1;
  overflow: auto;
  min-height: 0;
  padding: 0 var(--edge) 12px;
}
.selectors {
  width: 26%;
}
</style>
