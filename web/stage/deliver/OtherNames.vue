<script setup lang="ts">
import { otherNames as say } from './words';
import { nameFault, tokenNames } from '@lettera/core/deliver';
import TextField from '../../control/TextField.vue';
import PickOne from '../../control/PickOne.vue';
import { computed, ref } from 'vue';
import DoButton from '../../control/DoButton.vue';
import FoldAway from '../../control/FoldAway.vue';
import { count } from '../../control/figures';
import { useFramework } from '../../proof/builtOn';
import { useProject } from '../../store/project';
import { useProof } from '../../store/proof';

/** Names of custom properties that the site’s own style sheets read, each with the token that it is to have. */
const project = useProject();
const proof = useProof();

const names = computed(() => Object.entries(project.document?.delivery.names ?? {}));
const tokens = computed(() =>
  (project.document ? tokenNames(project.document) : []).map((name) => ({
    value: name,
    label: name,
  })),
);
const label = computed(() =>
  names.value.length > 0 ? count(names.value.length, 'other name') : say.otherNamesTokens,
);

const theirs = ref('');
const ours = ref<string | null>(null);
const refused = ref('');
const why = computed(() => {
  if (!theirs.value.trim()) return say.itNoNameYet;
  return ours.value ? undefined : say.itNoTokenYet;
});

function set(name: string, token: string): boolean {
  const { document } = project;
  if (!document) return false;
  refused.value = nameFault(document, name, token) ?? '';
  if (refused.value) return false;
  return project.change(
    document.delivery.names
      ? [{ op: 'add', path: `/delivery/names/${name}`, value: token }]
      : [{ op: 'add', path: '/delivery/names', value: { [name]: token } }],
  );
}
function add(): void {
  const wanted = theirs.value.trim();
  const name = wanted.startsWith('--') ? wanted : `--${wanted}`;
  if (ours.value && set(name, ours.value)) {
    theirs.value = '';
    ours.value = null;
  }
}
/** Names that the framework of the page shown reads, and that are not set yet, each with the token that fits. */
const built = useFramework(() => proof.shownPage);
const offered = computed(() => {
  const { document } = project;
  if (!document || !built.value) return {};
  const set = document.delivery.names ?? {};
  return Object.fromEntries(
    Object.entries(built.value.properties).filter(
      ([name, token]) => !(name in set) && nameFault(document, name, token) === null,
    ),
  );
});
const addOffered = (): boolean =>
  project.change([
    {
      op: 'add',
      path: '/delivery/names',
      value: { ...project.document?.delivery.names, ...offered.value },
    },
  ]);
const faultOf = (name: string, token: string): string =>
  project.document ? (nameFault(project.document, name, token) ?? '') : '';
</script>

<template>
  <FoldAway :label="label">
    <p class="small quiet">
      {{ say.frameworkOrStyleSheet }}
    </p>
    <p v-if="built && Object.keys(offered).length" class="line wrap">
      <DoButton
        :label="say.addTheirs(count(Object.keys(offered).length, 'name'), built.name)"
        @click="addOffered"
      />
      <code class="small quiet">{{ Object.keys(offered).join(', ') }}</code>
    </p>
    <ul :aria-label="say.otherNamesTokens">
      <li v-for="[name, token] in names" :key="name" class="line">
        <code>{{ name }}</code>
        <PickOne
          :model-value="token"
          :choices="tokens"
          filter
          :label="say.token(name)"
          :placeholder="token"
          @update:model-value="set(name, $event)"
        />
        <DoButton
          :label="say.remove"
          :aria-label="say.removeName(name)"
          @click="project.change([{ op: 'remove', path: `/delivery/names/${name}` }])"
        />
        <span v-if="faultOf(name, token)" class="small mark-text">{{
          say.itLeftOut(faultOf(name, token))
        }}</span>
      </li>
    </ul>
    <form class="line" @submit.prevent="add">
      <TextField
        v-model="theirs"
        spellcheck="false"
        placeholder="--body-font"
        :aria-label="say.nameSiteReads"
        maxlength="102"
      />
      <PickOne
        v-model="ours"
        :choices="tokens"
        filter
        :placeholder="say.tokenExample"
        :label="say.tokenWanted"
      />
      <DoButton type="submit" :label="say.add" :why="why" />
    </form>
    <p v-if="refused" role="alert" class="small mark-text">{{ refused }}</p>
  </FoldAway>
</template>

<style scoped>
ul {
  display: grid;
  gap: 6px;
  max-height: 40vh;
  overflow: auto;
  margin: 6px 0;
  padding: 0;
  list-style: none;
}
code {
  min-width: 160px;
}
</style>
