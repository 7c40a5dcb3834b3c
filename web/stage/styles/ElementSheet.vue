<script setup lang="ts">
import { elementSheet as say } from './words';
import { selectorTexts } from '@lettera/core/css';
import { slug } from '@lettera/core/deliver';
import { BODY_STYLE, freeKey } from '@lettera/core/document';
import { elementAt } from '@lettera/core/style';
import TextField from '../../control/TextField.vue';
import PickOne from '../../control/PickOne.vue';
import { computed, nextTick, onBeforeUnmount, ref, useTemplateRef } from 'vue';
import DoButton from '../../control/DoButton.vue';
import FiguresTable from '../../control/FiguresTable.vue';
import NearTableRows from '../../control/NearTableRows.vue';
import ToolRow from '../../control/ToolRow.vue';
import { count } from '../../control/figures';
import { useProject } from '../../store/project';
import { useProof } from '../../store/proof';
import { putInto } from '../../control/putInto';

/** The kinds of text on the site: the selectors that each is met by, and the style that it wears. */
const emit = defineEmits<{ style: [] }>();
const project = useProject();
const proof = useProof();

const sought = ref('');
const table = useTemplateRef('table');
const elements = computed(() => Object.entries(project.document?.elements ?? {}));

interface Places {
  own: Element[];
  elsewhere: number;
}
/** The texts of the page shown that are an element, and those that its selectors meet beside; null without a page. */
function placesOf(key: string): Places | null {
  const { shownPage: page } = proof;
  const { document } = project;
  const selectors = document?.elements[key]?.selectors;
  if (!page || !document || !selectors) return null;
  const met = [...page.querySelectorAll(selectors.join(', '))];
  const own = met.filter((node) => elementAt(document, node) === key);
  return { own, elsewhere: met.length - own.length };
}

const rows = computed(() =>
  elements.value
    .filter(([, { name, selectors }]) =>
      `${name} ${selectors.join(' ')}`.toLowerCase().includes(sought.value.trim().toLowerCase()),
    )
    .map(([key, element]) => ({ key, element })),
);
const styles = computed(() =>
  Object.entries(project.document?.styles ?? {}).map(([value, { name }]) => ({
    value,
    label: name,
  })),
);
const parents = computed(() => [
  { value: null, label: say.body },
  ...elements.value.map(([value, { name }]) => ({ value, label: name })),
]);
const parentsFor = (key: string) => parents.value.filter(({ value }) => value !== key);
/** Height of a row, px. */
const ROW = 37;

const set = (key: string, member: string, value: unknown): boolean =>
  project.change([{ op: 'replace', path: `/elements/${key}/${member}`, value }]);

function rename(key: string, event: Event): void {
  const field = event.target as HTMLInputElement;
  const name = field.value.trim();
  const before = project.document?.elements[key]?.name ?? '';
  if (name === before) return;
  if (!name || !set(key, 'name', name)) putInto(field, before);
}

function setSelectors(key: string, event: Event): void {
  const field = event.target as HTMLInputElement;
  const before = project.document?.elements[key]?.selectors ?? [];
  const selectors = selectorTexts(field.value);
  if (selectors.join() === before.join()) return;
  if (selectors.length === 0 || !set(key, 'selectors', selectors))
    putInto(field, before.join(', '));
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
  // It stands last, which may be far down, and is shown there.
  sought.value = '';
  void nextTick(() =>
    table.value?.scrollTo(
      rows.value.findIndex((row) => row.key === key),
      'auto',
    ),
  );
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
    <TextField v-model="sought" :placeholder="say.find" :aria-label="say.filterTextElements" />
    <template #end>
      <form class="line add" @submit.prevent="add">
        <TextField
          v-model="name"
          :placeholder="say.newTextElement"
          :aria-label="say.nameNewTextElement"
          maxlength="60"
          required
        />
        <TextField
          v-model="selector"
          placeholder=".selector"
          :aria-label="say.selectors"
          required
        />
        <DoButton type="submit" :label="say.add" />
      </form>
    </template>
  </ToolRow>
  <div class="scroll">
    <FiguresTable :aria-rowcount="rows.length + 1">
      <thead>
        <tr>
          <th scope="col">{{ say.textElement }}</th>
          <th scope="col">{{ say.selectorsExample }}</th>
          <th scope="col">{{ say.uses }}</th>
          <th scope="col">{{ say.stands }}</th>
          <th scope="col" class="figure">{{ say.onPage }}</th>
          <th scope="col">
            <span class="visually-hidden">{{ say.remove }}</span>
          </th>
        </tr>
      </thead>
      <NearTableRows
        ref="table"
        v-slot="{ row, index }"
        :rows="rows"
        :key-of="({ key }) => key"
        :estimate="() => ROW"
        :columns="6"
      >
        <tr
          v-for="{ key, places } in [{ key: row.key, places: placesOf(row.key) }]"
          :key="key"
          :data-element="key"
          :aria-rowindex="index + 2"
        >
          <td>
            <TextField
              :model-value="row.element.name"
              fluid
              maxlength="60"
              :aria-label="say.name(row.element.name)"
              @change="rename(row.key, $event)"
            />
          </td>
          <td class="selectors">
            <TextField
              :model-value="row.element.selectors.join(', ')"
              fluid
              spellcheck="false"
              :aria-label="say.selectorsName(row.element.name)"
              @change="setSelectors(row.key, $event)"
            />
          </td>
          <td>
            <span class="line">
              <PickOne
                :model-value="row.element.style"
                :choices="styles"
                :label="say.style(row.element.name)"
                @update:model-value="set(row.key, 'style', $event)"
              />
              <DoButton
                class="on-point"
                :label="say.open"
                :aria-label="say.openStyle(row.element.name)"
                @click="show(row.element.style)"
              />
            </span>
          </td>
          <td>
            <PickOne
              :model-value="row.element.parent"
              :choices="parentsFor(row.key)"
              :placeholder="say.body"
              :label="say.whatStands(row.element.name)"
              @update:model-value="set(row.key, 'parent', $event)"
            />
          </td>
          <td class="figure">
            <DoButton
              v-if="places?.own.length"
              :label="String(places.own.length)"
              :aria-label="say.showOnPage(count(places.own.length, 'place'), row.element.name)"
              @click="point(places.own)"
            />
            <template v-else>{{ places ? say.none : '' }}</template>
            <span v-if="places?.elsewhere" class="small quiet" :title="say.textElementFurtherDown">
              {{ say.andAnother(places.elsewhere) }}</span
            >
          </td>
          <td>
            <DoButton
              class="on-point"
              :label="say.remove"
              :aria-label="say.removeName(row.element.name)"
              @click="project.change([{ op: 'remove', path: `/elements/${row.key}` }])"
            />
          </td>
        </tr>
      </NearTableRows>
    </FiguresTable>
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
