<script setup lang="ts">
import { keyHelp as say } from './words';
import { computed } from 'vue';
import SayDialog from '../control/SayDialog.vue';
import { EVERYWHERE, keyGroups, type Key } from '../control/keys';

const visible = defineModel<boolean>({ required: true });

const MODIFIERS: readonly (readonly [name: string, says: string])[] = [
  ['Shift+', 'Shift '],
  ['Mod+', say.ctrlOrCmd],
];

/** A key as it is written on a keyboard. */
const says = (keys: string): string => {
  const spelled = MODIFIERS.reduce((text, [name, words]) => text.replace(name, words), keys);
  return spelled.replace(
    /^(.*Cmd )(.)$/,
    (_all, modifiers: string, letter: string) => modifiers + letter.toUpperCase(),
  );
};

/** Groups by their headings. What every stage has comes last: what is particular to this one is looked for. */
const groups = computed(() => {
  const byHeading = new Map<string, (Key & { says: string })[]>();
  for (const { group, keys } of keyGroups.value) {
    const said = keys.map((key) => ({ ...key, says: says(key.keys) }));
    byHeading.set(group, [...said, ...(byHeading.get(group) ?? [])]);
  }
  const entries = [...byHeading].map(([group, keys]) => ({ group, keys }));
  return entries.sort((a, b) => Number(a.group === EVERYWHERE) - Number(b.group === EVERYWHERE));
});
</script>

<template>
  <SayDialog v-model:visible="visible" :header="say.keys">
    <section v-for="{ group, keys } in groups" :key="group">
      <h3>{{ group }}</h3>
      <dl>
        <template v-for="key in keys" :key="key.keys">
          <dt>{{ key.says }}</dt>
          <dd>{{ key.does }}</dd>
        </template>
      </dl>
    </section>
  </SayDialog>
</template>

<style scoped>
section + section {
  margin-top: 12px;
}
h3 {
  margin-bottom: 4px;
  font-size: 12px;
  color: var(--ink-2);
}
dl {
  display: grid;
  grid-template-columns: 150px 1fr;
  gap: 4px 16px;
}
dt {
  font-weight: 550;
}
</style>
