<script setup lang="ts">
import { loadTimes as say } from './words';
import FiguresTable from '../../control/FiguresTable.vue';
import {
  CONNECTIONS,
  fontBytesFirst,
  loadTimes,
  stylesheet,
  type DeliveryPlan,
} from '@lettera/core/deliver';
import type { ProjectDocument } from '@lettera/core/document';
import { computed } from 'vue';
import { usePlans } from '../../store/plans';

/** When text shows and when the web faces take over, on stated connections. */
const props = defineProps<{ document: ProjectDocument; delivery: DeliveryPlan }>();
const plans = usePlans();

const rows = computed(() => {
  const first = fontBytesFirst(props.document, props.delivery);
  if (!first) return null;
  const fallback = plans.fallbackOf(props.document);
  const css = stylesheet(props.document, { fallback, delivery: props.delivery });
  const stylesheetBytes = new TextEncoder().encode(css).length;
  return CONNECTIONS.map((connection) => ({
    connection,
    ...loadTimes(connection, { stylesheetBytes, ...first }),
  }));
});
const seconds = (milliseconds: number): string => `${(milliseconds / 1000).toFixed(2)} s`;
</script>

<template>
  <FiguresTable v-if="rows">
    <thead>
      <tr>
        <th scope="col">{{ say.forPageFirstLanguage }}</th>
        <th scope="col" class="figure">{{ say.textAfter }}</th>
        <th scope="col" class="figure">{{ say.webFacesAfter }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="{ connection, firstText, swap } in rows" :key="connection.name">
        <th scope="row">
          {{ connection.name }}
          <span class="quiet">{{
            say.msRoundTripMbit(connection.roundTrip, connection.bandwidth / 1000)
          }}</span>
        </th>
        <td class="figure">{{ seconds(firstText) }}</td>
        <td class="figure">{{ seconds(swap) }}</td>
      </tr>
    </tbody>
  </FiguresTable>
</template>

<style scoped>
th {
  font-weight: 400;
  text-align: left;
}
th.figure {
  text-align: right;
}
</style>
