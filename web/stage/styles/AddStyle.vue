<script setup lang="ts">
import { addStyle as say } from './words';
import { slug } from '@lettera/core/deliver';
import { BODY_STYLE, freeKey } from '@lettera/core/document';
import { computed, ref } from 'vue';
import DoButton from '../../control/DoButton.vue';
import FoldAway from '../../control/FoldAway.vue';
import PickOne from '../../control/PickOne.vue';
import TextField from '../../control/TextField.vue';
import { useProject } from '../../store/project';
import { useProof } from '../../store/proof';
import { followable } from './styleRow';

/** Adds a style of the designer's own, which follows the body unless another is asked for. */
const project = useProject();
const proof = useProof();

const name = ref('');
const follows = ref<string | null>(BODY_STYLE);
const choices = computed(() => followable(project.document));

function add(close: () => void): void {
  const { document } = project;
  const said = name.value.trim().slice(0, 60);
  if (!document || !said) return;
  const key = freeKey(Object.keys(document.styles), slug(said) || 'style', 'style');
  const value = { name: said, follows: follows.value, set: {} };
  if (!project.change([{ op: 'add', path: `/styles/${key}`, value }])) return;
  name.value = '';
  follows.value = BODY_STYLE;
  proof.style = key;
  close();
}
</script>

<template>
  <FoldAway v-slot="{ close }" :label="say.addStyle">
    <form class="form" @submit.prevent="add(close)">
      <label for="style-name">{{ say.name }}</label>
      <TextField id="style-name" v-model="name" :aria-label="say.nameNewStyle" maxlength="60" />
      <span>{{ say.follows }}</span>
      <PickOne v-model="follows" :choices="choices" :label="say.styleNewOneFollows" />
      <DoButton
        type="submit"
        :label="say.add"
        first
        :why="name.trim() ? undefined : say.itNoNameYet"
      />
    </form>
  </FoldAway>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: max-content 200px;
  gap: 10px 12px;
  align-items: center;
}
.form :deep(.l-do) {
  grid-column: 2;
  justify-self: start;
}
</style>
