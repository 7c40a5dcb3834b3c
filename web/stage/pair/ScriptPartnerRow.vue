<script setup lang="ts">
import type { ScriptPartner } from '@lettera/core/pairing';
import type { Script } from '@lettera/core/script';
import { computed } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { kilobytes } from '../../control/figures';
import RowInFace from '../../proof/RowInFace.vue';
import { useFamilies } from '../../store/families';
import { scriptSeats as say } from './words';

/** A family that would serve a script: running text in it at its size, and why it stands where it does. */
const props = defineProps<{
  partner: ScriptPartner;
  script: Script;
  language: string;
  seated: boolean;
}>();
defineEmits<{ look: []; leave: []; take: [] }>();

const families = useFamilies();
const row = computed(() => families.byKey.get(props.partner.key));
const SPECIMEN = 20;
const MOST_REASONS = 3;
const reasons = computed(() => props.partner.reasons.slice(0, MOST_REASONS));
</script>

<template>
  <div
    v-if="row"
    class="partner"
    :class="{ seated }"
    @mouseenter="$emit('look')"
    @mouseleave="$emit('leave')"
    @focusin="$emit('look')"
    @focusout="$emit('leave')"
  >
    <p
      class="words"
      :dir="script.direction"
      :lang="language"
      :style="{ fontSize: `${(SPECIMEN * partner.size).toFixed(2)}px` }"
    >
      <RowInFace :row="row" :words="script.sentence" mute />
    </p>
    <div class="why small">
      <p class="line">
        <bdi class="name">{{ row.name }}</bdi>
        <span class="quiet">{{ kilobytes(row.bytes) }}</span>
        <span v-if="seated" class="quiet">{{ say.now }}</span>
        <DoButton
          v-else
          class="on-point"
          :label="say.use"
          :aria-label="say.useFor(row.name, script.name)"
          @click="$emit('take')"
        />
      </p>
      <ul>
        <li
          v-for="reason in reasons"
          :key="reason.text"
          :class="reason.weight > 0 ? 'for' : 'against'"
        >
          {{ reason.text }}
        </li>
      </ul>
    </div>
  </div>
</template>

<style scoped>
.partner {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 250px;
  gap: 0 16px;
  padding: 8px 0 8px 12px;
  border-top: 1px solid var(--rule);
}
.partner:hover,
.partner:focus-within {
  background: var(--touched);
}
.seated {
  box-shadow: inset 3px 0 var(--verdigris);
}
.words {
  overflow: hidden;
  max-height: 3lh;
  margin: 0;
  line-height: 1.6;
}
.words :deep(.in-face) {
  display: block;
}
.why p {
  justify-content: flex-start;
  margin: 0;
}
.name {
  font-weight: 550;
}
ul {
  margin: 2px 0 0;
  padding: 0;
  list-style: none;
}
.for::before {
  content: '+ ';
  color: var(--verdigris);
}
.against::before {
  content: '− ';
  color: var(--mark);
}
</style>
