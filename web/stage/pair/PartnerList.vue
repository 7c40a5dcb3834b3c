<script setup lang="ts">
import type { RankedPartner } from '@lettera/core/pairing';
import { useVirtualizer } from '@tanstack/vue-virtual';
import { computed, nextTick, onMounted, ref, watch, type ComponentPublicInstance } from 'vue';
import { useCopy } from '../../store/copy';
import { usePairing } from '../../store/pairing';
import { useProject } from '../../store/project';
import type { LineUpRow } from '../faces/lineUp';
import PartnerRow from './PartnerRow.vue';
import { specimenStyle } from './specimenStyle';

/** Partners in order; only those near the window are there. */
const props = defineProps<{
  partners: readonly { row: LineUpRow; ranked: RankedPartner; place: number }[];
  held: LineUpRow;
}>();
const emit = defineEmits<{ keep: [key: string] }>();

const project = useProject();
const pairing = usePairing();
const copy = useCopy();
const list = ref<HTMLElement | null>(null);
const scroller = ref<HTMLElement | null>(null);
const margin = ref(0);

const ROW_HEIGHT = 150;
const BEYOND = 3;
/** Sizes are the project's own at this viewport width: the workbench stands for a desktop. */
const WIDTH = 1280;

const styles = computed(() =>
  project.document
    ? {
        heading: specimenStyle(project.document, 'h2', WIDTH),
        text: specimenStyle(project.document, 'body', WIDTH),
      }
    : { heading: {}, text: {} },
);

const virtualizer = useVirtualizer(
  computed(() => ({
    count: props.partners.length,
    getScrollElement: () => scroller.value,
    estimateSize: () => ROW_HEIGHT,
    getItemKey: (index: number) => props.partners[index]?.row.key ?? index,
    overscan: BEYOND,
    scrollMargin: margin.value,
  })),
);
const near = computed(() =>
  virtualizer.value.getVirtualItems().flatMap((item) => {
    const partner = props.partners[item.index];
    return partner ? [{ item, partner }] : [];
  }),
);
const measureRow = (node: Element | ComponentPublicInstance | null): void => {
  if (node instanceof Element) virtualizer.value.measureElement(node);
};

function place(): void {
  scroller.value = list.value?.closest<HTMLElement>('.workbench') ?? null;
  margin.value = list.value?.offsetTop ?? 0;
}
onMounted(place);
watch(
  () => [props.partners, props.held],
  () => void nextTick(place),
);

const take = (key: string): void => {
  const pair = pairing.pairWith(key);
  if (pair) void pairing.take(pair);
};
</script>

<template>
  <ol
    ref="list"
    :style="{ height: `${virtualizer.getTotalSize()}px` }"
    aria-label="Partners in order"
  >
    <li
      v-for="{ item, partner } in near"
      :key="partner.row.key"
      :ref="measureRow"
      class="place"
      :data-index="item.index"
      :aria-setsize="partners.length"
      :aria-posinset="item.index + 1"
      :style="{ transform: `translateY(${item.start - margin}px)` }"
    >
      <PartnerRow
        :key="`${held.key} ${partner.row.key}`"
        :row="partner.row"
        :held="held"
        :sought="pairing.sought"
        :place="partner.place"
        :reasons="partner.ranked.reasons"
        :copy="copy"
        :styles="styles"
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
