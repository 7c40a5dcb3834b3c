<script setup lang="ts">
import { faceToTakeIn as say } from './words';
import type { WantedFace } from '@lettera/core/document';
import { computed } from 'vue';
import DoButton from '../control/DoButton.vue';
import { kilobytes } from '../control/figures';
import { useMissingFaces } from '../store/missingFaces';

/** A face that is asked for and not in the case, taken in where it is missed. */
const props = defineProps<{ family: string; wanted: WantedFace }>();
const missing = useMissingFaces();
missing.ask();

const offer = computed(() => missing.offerOf(props.family, props.wanted));
const id = computed(() => missing.idOf(props.family, props.wanted));
</script>

<template>
  <DoButton
    v-if="offer"
    :loading="missing.taking === id"
    :label="say.add(offer.name, offer.bytes ? `, ${kilobytes(offer.bytes)}` : '')"
    @click.stop="missing.take(family, wanted)"
  />
  <span v-if="missing.refused?.id === id" role="alert" class="mark-text">{{
    missing.refused.why
  }}</span>
</template>
