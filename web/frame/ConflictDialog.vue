<script setup lang="ts">
import { describePatch } from '@lettera/core/change';
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { computed } from 'vue';
import { useProject } from '../store/project';

const project = useProject();

const what = computed(() =>
  project.conflict ? describePatch(project.conflict.theirs, project.conflict.mine) : '',
);
</script>

<template>
  <Dialog
    :visible="project.conflict !== null"
    modal
    :closable="false"
    header="The same thing was changed in two places"
    :style="{ width: '460px' }"
  >
    <p>
      “{{ what }}” was changed here and, meanwhile, in another window. The other change is stored;
      the one made here is not.
    </p>
    <div class="line actions">
      <Button label="Keep the other change" @click="project.resolveConflict('theirs')" />
      <Button
        label="Make mine again"
        severity="secondary"
        variant="outlined"
        @click="project.resolveConflict('mine')"
      />
    </div>
  </Dialog>
</template>

<style scoped>
.actions {
  margin-top: 16px;
}
</style>
