<script setup lang="ts">
import type { RankedPartner, Role } from '@lettera/core/pairing';
import { computed } from 'vue';
import { useNearRows } from '../../control/useNearRows';
import { useCopy } from '../../store/copy';
import { usePairing } from '../../store/pairing';
import { useProject } from '../../store/project';
import type { LineUpRow } from '../../store/rows/rows';
import PartnerRow from './PartnerRow.vue';
import { specimenStyle } from './specimenStyle';

/** Partners in order; only those near the window are there. */
const props = defineProps<{
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

const { near, height, measureRow, measureAnew } = useNearRows({
  rows: () => props.partners,
  keyOf: ({ row }) => row.key,
  estimate: () => ROW_HEIGHT,
  beyond: BEYOND,
});
defineExpose({ measureAnew });

const take = (key: string): void => {
  const pair = pairing.pairWith(key);
  if (pair) void pairing.take(pair);
};
</script>

<template>
  <ol ref="list" :style="{ height }" aria-label="Partners in order">
    <li
      v-for="{ row: partner, index, place } in near"
      :key="partner.row.key"
      :ref="measureRow"
      class="place"
      :data-index="index"
      :aria-setsize="partners.length"
      :aria-posinset="index + 1"
      :style="place"
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
    </li>
  </ol>
</template>

<style scoped>
ol {
  position: relative;
}
.place {
  position: absolute;
  inset: 0 0 auto;
}
</style>
