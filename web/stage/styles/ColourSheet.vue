<script setup lang="ts">
import { contrastRatio } from '@lettera/core/check';
import { slug } from '@lettera/core/deliver';
import { freeKey, GROUND, INK } from '@lettera/core/document';
import InputText from 'primevue/inputtext';
import { computed, ref } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { count } from '../../control/figures';
import { useProject } from '../../store/project';

/** The colours that styles may take, on both grounds, each with its contrast there. */
const project = useProject();
const name = ref('');

const GROUNDS = ['light', 'dark'] as const;

const rows = computed(() => {
  const document = project.shown;
  if (!document) return [];
  const ground = document.colours[GROUND];
  return Object.entries(document.colours).map(([key, colour]) => ({
    key,
    colour,
    users: Object.values(document.styles).filter(({ set }) => set.colour === key).length,
    contrast: (side: 'light' | 'dark') =>
      key === GROUND || !ground
        ? ''
        : `${contrastRatio(colour[side], ground[side]).toFixed(2)} to 1`,
  }));
});

function set(key: string, side: 'light' | 'dark', event: Event): void {
  const field = event.target as HTMLInputElement;
  const value = field.value.trim();
  const taken = project.change([{ op: 'replace', path: `/colours/${key}/${side}`, value }]);
  if (!taken) field.value = project.document?.colours[key]?.[side] ?? '';
}

function add(): void {
  const document = project.document;
  const wanted = name.value.trim();
  if (!document || !wanted) return;
  const ink = document.colours[INK];
  const key = freeKey(Object.keys(document.colours), slug(wanted));
  const taken = project.change([
    {
      op: 'add',
      path: `/colours/${key}`,
      value: { name: wanted.slice(0, 60), light: ink?.light ?? '#000', dark: ink?.dark ?? '#fff' },
    },
  ]);
  if (taken) name.value = '';
}
</script>

<template>
  <section aria-label="Colours">
    <table class="figures-table">
      <thead>
        <tr>
          <th>Colour</th>
          <template v-for="side in GROUNDS" :key="side">
            <th>On the {{ side }} ground</th>
            <th class="figure">Contrast</th>
          </template>
          <th>Used by</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.key">
          <td>{{ row.colour.name }}</td>
          <template v-for="side in GROUNDS" :key="side">
            <td>
              <span class="line">
                <span class="swatch" :style="{ background: row.colour[side] }" />
                <InputText
                  :model-value="row.colour[side]"
                  size="small"
                  :aria-label="`${row.colour.name} on the ${side} ground`"
                  @change="set(row.key, side, $event)"
                />
              </span>
            </td>
            <td class="figure">{{ row.contrast(side) }}</td>
          </template>
          <td class="quiet">
            {{ row.key === GROUND ? 'every page' : count(row.users, 'style') }}
            <DoButton
              v-if="row.users === 0 && row.key !== INK && row.key !== GROUND"
              label="Remove"
              :aria-label="`Remove ${row.colour.name}`"
              @click="project.change([{ op: 'remove', path: `/colours/${row.key}` }])"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <form class="line" @submit.prevent="add">
      <InputText
        v-model="name"
        size="small"
        placeholder="Name of a colour"
        aria-label="Name of a colour"
      />
      <DoButton type="submit" label="Add it" />
    </form>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
  padding: 16px;
}
.swatch {
  width: 14px;
  height: 14px;
  border: 1px solid var(--rule);
}
</style>
