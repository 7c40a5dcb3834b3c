<script setup lang="ts">
import type { PairReason, Role } from '@lettera/core/pairing';
import { computed, ref, type CSSProperties } from 'vue';
import { kilobytes } from '../../control/figures';
import type { LineUpRow } from '../../store/rows/rows';
import { MEASURES, withUnit } from '../../store/rows/measures';
import { rowFont, useSpecimenFont } from '../faces/specimenFonts';

/** A partner for the held family: the pair set in the project's copy, and the reasons for and against. */
const props = defineProps<{
  row: LineUpRow;
  held: LineUpRow;
  sought: Role;
  place: number;
  reasons: readonly PairReason[];
  copy: { heading: string; paragraph: string };
  styles: { heading: CSSProperties; text: CSSProperties };
  seated: boolean;
}>();
defineEmits<{ look: []; leave: []; take: []; keep: [] }>();

/** Reasons that moved the order by less are not among the deciding ones. */
const DECIDING = 0.12;
const OF_HELD: Record<Role, PairReason['term'][]> = {
  text: ['headingFitness'],
  heading: ['textFitness', 'missingCut'],
};
const MOST_FOR = 3;
const MOST_AGAINST = 2;

const whole = ref(false);
const { state, haveAll } = useSpecimenFont(props.row.library, () => props.copy.heading);
haveAll();
useSpecimenFont(props.held.library, () => props.copy.heading).haveAll();

const fonts = computed(() => {
  const [own, other] = [rowFont(props.row), rowFont(props.held)];
  return props.sought === 'text' ? { heading: other, text: own } : { heading: own, text: other };
});
/** What is said of the held family alone is the same in every row, and decides nothing. */
const deciding = computed(() =>
  props.reasons.filter(({ term }) => !OF_HELD[props.sought].includes(term)),
);
const inFavour = computed(() =>
  deciding.value.filter(({ weight }) => weight >= DECIDING).slice(0, MOST_FOR),
);
const against = computed(() =>
  deciding.value.filter(({ weight }) => weight <= -DECIDING).slice(0, MOST_AGAINST),
);
</script>

<template>
  <div
    class="partner"
    :class="{ seated }"
    @mouseenter="$emit('look')"
    @mouseleave="$emit('leave')"
    @focusin="$emit('look')"
    @focusout="$emit('leave')"
    @keydown.esc="$emit('leave')"
  >
    <div class="line head">
      <span class="quiet place">{{ place }}</span>
      <button type="button" class="plain name" :aria-pressed="seated" @click="$emit('take')">
        <bdi>{{ row.name }}</bdi>
      </button>
      <span class="small quiet"
        >{{ row.class }}, {{ kilobytes(row.bytes) }} a face{{ row.caseKey ? ', in the case' : ''
        }}{{ row.standIn ? `, shown in ${row.standIn}` : '' }}{{ seated ? ', seated' : '' }}</span
      >
      <span class="line actions">
        <button type="button" class="plain again" @click="$emit('keep')">Keep as contender</button>
        <button type="button" class="plain again" :aria-expanded="whole" @click="whole = !whole">
          {{ whole ? 'Fewer figures' : 'All figures' }}
        </button>
      </span>
    </div>
    <div class="set" :class="state">
      <p class="heading" :style="{ ...styles.heading, fontFamily: fonts.heading }">
        {{ copy.heading }}
      </p>
      <p class="text" :style="{ ...styles.text, fontFamily: fonts.text }">{{ copy.paragraph }}</p>
    </div>
    <div v-if="whole" class="small all">
      <ul>
        <li v-for="reason in reasons" :key="reason.text">
          {{ reason.weight > 0 ? 'for' : 'against' }}: {{ reason.text }}
        </li>
      </ul>
      <table class="figures-table">
        <thead>
          <tr>
            <th>Measure</th>
            <th class="figure">{{ held.name }}</th>
            <th class="figure">{{ row.name }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="measure in MEASURES" :key="measure.key">
            <td :title="measure.means">{{ measure.name }}</td>
            <td v-for="one in [held, row]" :key="one.key" class="figure">
              {{ withUnit(measure, one.measures ? measure.value(one.measures) : null) }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-else class="small reasons">
      <span v-for="reason in inFavour" :key="reason.text" class="for">{{ reason.text }}</span>
      <span v-for="reason in against" :key="reason.text" class="against">{{ reason.text }}</span>
    </p>
  </div>
</template>

<style scoped>
.partner {
  padding: 8px 20px 10px 16px;
  border-bottom: 1px solid var(--rule);
  border-left: 4px solid transparent;
}
.partner:hover,
.partner:focus-within {
  background: var(--touched);
}
.partner.seated {
  border-left-color: var(--verdigris);
}
.place {
  min-width: 22px;
  font-size: 12px;
}
.name {
  min-height: 24px;
  font-weight: 550;
}
.name:hover {
  text-decoration: underline;
  text-underline-offset: 3px;
}
.actions {
  gap: 12px;
  margin-left: auto;
  font-size: 12px;
}
.actions button {
  min-height: 24px;
}
.set {
  padding: 4px 0 6px 30px;
  transition: opacity var(--motion);
}
.set.loading {
  opacity: 0;
}
.heading {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.text {
  display: -webkit-box;
  margin-top: 4px;
  overflow: hidden;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
}
.reasons,
.all {
  padding-left: 30px;
}
.all {
  display: grid;
  gap: 8px;
}
.reasons span::before {
  margin-right: 4px;
  font-weight: 650;
}
.reasons .for::before {
  content: '+';
  color: var(--verdigris);
}
.reasons .against::before {
  content: '−';
  color: var(--ink-2);
}
.reasons span {
  display: inline-block;
  margin-right: 14px;
}
.against {
  color: var(--ink-2);
}
</style>
