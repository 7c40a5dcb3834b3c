<script setup lang="ts">
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
    header="The same thing was changed in two places"
    width="460px"
  >
    <p>
      “{{ what }}” was changed here and, meanwhile, in another window. The other change is stored;
      the one made here is not.
    </p>
    <div class="line actions">
      <DoButton label="Keep the other change" @click="project.resolveConflict('theirs')" first />
      <DoButton label="Make mine again" @click="project.resolveConflict('mine')" />
    </div>
  </SayDialog>
</template>

<style scoped>
.actions {
  margin-top: 16px;
}
</style>
