<script setup lang="ts">
import type { RankedPartner, Role } from '@lettera/core/pairing';
import { computed, useTemplateRef } from 'vue';
import NearRows from '../../control/NearRows.vue';
import { useCopy } from '../../store/copy';
import { usePairing } from '../../store/pairing';
import { useProject } from '../../store/project';
import type { LineUpRow } from '../../store/rows/rows';
import PartnerRow from './PartnerRow.vue';
import { specimenStyle } from './specimenStyle';

/** Partners in order; only those near the window are there. */
defineProps<{
  partners: readonly { row: LineUpRow; ranked: RankedPartner; place: number }[];
}>();
const emit = defineEmits<{ keep: [key: string] }>();

const project = useProject();
const pairing = usePairing();
const copy = useCopy();

const ROW_HEIGHT = 132;
const BEYOND = 3;
/** Sizes are the project's own at this viewport width: the workbench stands for a desktop. */
const WIDTH = 1280;
const ELEMENT_OF: Record<Role, string> = { heading: 'h2', subheading: 'h3', text: 'body' };

/** A heading is set no larger in a row, so that four partners are seen at once, px. */
const LARGEST = 30;

const specimen = computed(() => {
  if (!project.document) return {};
  const style = specimenStyle(project.document, ELEMENT_OF[pairing.sought], WIDTH);
  return { ...style, fontSize: `min(${style.fontSize ?? '18px'}, ${LARGEST}px)` };
});

const list = useTemplateRef('list');
defineExpose({ measureAnew: () => list.value?.measureAnew() });

const take = (key: string): void => {
  const pair = pairing.pairWith(key);
  if (pair) void pairing.take(pair);
};
</script>

<template>
  <NearRows
    ref="list"
    v-slot="{ row: partner }"
    :rows="partners"
    :key-of="({ row }) => row.key"
    :estimate="() => ROW_HEIGHT"
    :beyond="BEYOND"
    ordered
    label="Partners in order"
  >
    <PartnerRow
      :row="partner.row"
      :held="pairing.heldRows"
      :sought="pairing.sought"
      :place="partner.place"
      :ranked="partner.ranked"
      :copy="copy"
      :specimen="specimen"
      :seated="pairing.seated(pairing.sought)?.key === partner.row.key"
      @look="pairing.look(pairing.pairWith(partner.row.key))"
      @leave="pairing.look(null)"
      @take="take(partner.row.key)"
      @keep="emit('keep', partner.row.key)"
    />
  </NearRows>
</template>
