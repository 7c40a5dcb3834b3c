<script setup lang="ts">
import { voiceSeats as say } from './words';
import { slug } from '@lettera/core/deliver';
import { freeKey } from '@lettera/core/document';
import type { Role } from '@lettera/core/pairing';
import TextField from '../../control/TextField.vue';
import PickOne from '../../control/PickOne.vue';
import { computed, ref } from 'vue';
import DoButton from '../../control/DoButton.vue';
import OnOff from '../../control/OnOff.vue';
import { usePairing } from '../../store/pairing';
import { useProject } from '../../store/project';
import VoiceSeat from './VoiceSeat.vue';

/** Every voice of the project, and further ones by name. */
const project = useProject();
const pairing = usePairing();
const voices = computed(() => Object.keys(project.document?.voices ?? {}));
const voiceName = ref('');
const named = computed(() =>
  Object.entries(project.document?.voices ?? {}).map(([key, { name }]) => ({
    value: key,
    label: name,
  })),
);

/** Has a voice play a part in Pair; the voice that played it takes the other's part. */
function pairAs(role: Role, voice: string): void {
  const { seats } = pairing;
  if (!seats) return;
  const parts = Object.entries({ ...seats, [role]: voice }).map(([part, key]) =>
    part !== role && key === voice ? [part, seats[role]] : [part, key],
  );
  project.change([
    {
      op: 'add',
      path: '/pair',
      value: Object.fromEntries(parts.filter(([, key]) => key !== null)),
    },
  ]);
}

function addVoice(): void {
  const name = voiceName.value.trim();
  if (!name || !project.document) return;
  const key = freeKey(Object.keys(project.document.voices), slug(name));
  const taken = project.change([
    {
      op: 'add',
      path: `/voices/${key}`,
      value: { name: name.slice(0, 60), family: null, generic: 'sans-serif', fallback: null },
    },
  ]);
  if (taken) voiceName.value = '';
}
</script>

<template>
  <div class="seats">
    <div v-if="pairing.seats" class="line wrap paired">
      <span>{{ say.pairWorks }}</span>
      <label v-for="role in pairing.roles" :key="role" class="line">
        <span class="quiet">{{ role }}</span>
        <PickOne
          :model-value="pairing.seats[role]"
          :choices="named"
          :placeholder="say.noneYet"
          :label="say.voicePairedAs(role)"
          @update:model-value="pairAs(role, $event)"
        />
      </label>
      <OnOff v-model="pairing.three" :label="say.threeVoices" />
    </div>
    <VoiceSeat v-for="voice in voices" :key="voice" :voice="voice" />
    <form class="line small" @submit.prevent="addVoice">
      <TextField
        v-model="voiceName"
        maxlength="60"
        :placeholder="say.anotherVoiceDataQuotation"
        :aria-label="say.nameAnotherVoice"
        class="new-voice"
      />
      <DoButton type="submit" :label="say.addVoice" />
    </form>
  </div>
</template>

<style scoped>
.seats {
  padding: 0 var(--edge) 8px;
}
.paired {
  gap: 6px 14px;
  padding-bottom: 10px;
}
.seats form {
  padding-top: 10px;
}
.new-voice {
  width: 250px;
}
</style>
