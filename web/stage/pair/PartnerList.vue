<script setup lang="ts">
import { partnerList as say } from './words';
import type { RankedPartner, Role } from '@lettera/core/pairing';
import { computed, useTemplateRef, type CSSProperties } from 'vue';
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

const ROW_HEIGHT = 145;
const BEYOND = 3;
/** Sizes are the project's own at this viewport width: the workbench stands for a desktop. */
const WIDTH = 1280;
/** What stands for each part, and no larger than this in a row, px, so that four partners are seen at once. */
const PARTS: Record<Role, { element: string; largest: number }> = {
  heading: { element: 'h2', largest: 24 },
  subheading: { element: 'h3', largest: 18 },
  text: { element: 'body', largest: 16 },
};

const forRoles = <T,>(make: (role: Role) => T): Record<Role, T> => ({
  heading: make('heading'),
  subheading: make('subheading'),
  text: make('text'),
});
const specimens = computed(() =>
  forRoles((role): CSSProperties => {
    if (!project.document) return {};
    const { element, largest } = PARTS[role];
    const style = specimenStyle(project.document, element, WIDTH);
    return { ...style, fontSize: `min(${style.fontSize ?? '18px'}, ${largest}px)` };
  }),
);
const copies = computed(() => forRoles((role) => (role === 'text' ? copy.paragraph : copy.short)));
const held = computed(() =>
  Object.fromEntries(
    pairing.roles.flatMap((role) => {
      const row = role === pairing.sought ? undefined : pairing.held[role];
      return row ? [[role, row]] : [];
    }),
  ),
);

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
    :label="say.partnersOrder"
  >
    <PartnerRow
      :row="partner.row"
      :held="held"
      :sought="pairing.sought"
      :place="partner.place"
      :ranked="partner.ranked"
      :copy="copies"
      :specimens="specimens"
      :seated="pairing.seated(pairing.sought)?.key === partner.row.key"
      @look="pairing.look(pairing.pairWith(partner.row.key))"
      @leave="pairing.look(null)"
      @take="take(partner.row.key)"
      @keep="emit('keep', partner.row.key)"
    />
  </NearRows>
</template>
