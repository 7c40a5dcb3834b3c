<script setup lang="ts">
import { conflictDialog as say } from './words';
import { describePatch } from '@lettera/core/change';
import { computed } from 'vue';
import DoButton from '../control/DoButton.vue';
import SayDialog from '../control/SayDialog.vue';
import { useProject } from '../store/project';

const project = useProject();

const what = computed(() =>
  project.conflict ? describePatch(project.conflict.theirs, project.conflict.mine) : '',
);
</script>

<template>
  <SayDialog
    :visible="project.conflict !== null"
    :closable="false"
    :header="say.sameThingWasChanged"
    width="460px"
  >
    <p>
      {{ say.wasChangedHereMeanwhile(what) }}
    </p>
    <div class="line actions">
      <DoButton :label="say.keepOtherChange" @click="project.resolveConflict('theirs')" first />
      <DoButton :label="say.makeMineAgain" @click="project.resolveConflict('mine')" />
    </div>
  </SayDialog>
</template>

<style scoped>
.actions {
  margin-top: 16px;
}
</style>
