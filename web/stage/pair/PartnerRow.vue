<script setup lang="ts">
import type { RankedPartner, Role, TellingReason } from '@lettera/core/pairing';
import { computed, ref, type CSSProperties } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { kilobytes } from '../../control/figures';
import type { LineUpRow } from '../../store/rows/rows';
import { MEASURES, withUnit } from '../../store/rows/measures';
import { rowFont, useSpecimenFont } from '../faces/specimenFonts';

/** A partner for what is held: set as it would be, with what it is good for and what decided its place. */
const props = defineProps<{
  row: LineUpRow;
  held: readonly LineUpRow[];
  sought: Role;
  place: number;
  ranked: RankedPartner;
  copy: { heading: string; paragraph: string };
  specimen: CSSProperties;
  seated: boolean;
}>();
defineEmits<{ look: []; leave: []; take: []; keep: [] }>();

/** Reasons that move it less against the head of the list are left out: they hold for most there. */
const TELLS = 0.06;
const MOST_FOR = 2;
const MOST_AGAINST = 2;

const whole = ref(false);
const { state, haveAll } = useSpecimenFont(props.row.library, () => props.copy.heading);
haveAll();

const telling = (sign: 1 | -1, most: number): TellingReason[] =>
  props.ranked.reasons
    .filter(({ weight, telling: tells }) => weight * sign > 0 && tells * sign >= TELLS)
    .slice(0, most);
const says = ({ text, beside }: TellingReason): string =>
  beside ? `beside ${beside}: ${text}` : text;
const inFavour = computed(() => telling(1, MOST_FOR));
const against = computed(() => telling(-1, MOST_AGAINST));
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
      <span class="small quiet facts"
        >{{ row.class }}, {{ kilobytes(row.bytes) }} a face{{ row.caseKey ? ', in the case' : ''
        }}{{ row.standIn ? `, shown in ${row.standIn}` : '' }}{{ seated ? ', seated' : '' }}</span
      >
      <span class="line actions">
        <DoButton
          label="Take it"
          :class="{ kept: seated }"
          :aria-hidden="seated"
          :tabindex="seated ? -1 : 0"
          @click="$emit('take')"
        />
        <DoButton label="Keep aside" title="Keep as a contender" @click="$emit('keep')" />
        <DoButton label="Figures" :aria-expanded="whole" @click="whole = !whole" />
      </span>
    </div>
    <p
      class="set"
      :class="[state, sought]"
      :style="{ ...specimen, fontFamily: rowFont(row) }"
      dir="auto"
    >
      {{ sought === 'text' ? copy.paragraph : copy.heading }}
    </p>
    <p class="small reasons">
      <span class="good">Good for {{ ranked.goodFor }}</span>
      <span v-for="reason in inFavour" :key="says(reason)" class="for">{{ says(reason) }}</span>
      <span v-for="reason in against" :key="says(reason)" class="against">{{ says(reason) }}</span>
    </p>
    <div v-if="whole" class="small all">
      <ul>
        <li v-for="reason in ranked.reasons" :key="says(reason)">
          {{ reason.weight > 0 ? 'for' : 'against' }}: {{ says(reason) }}
        </li>
      </ul>
      <table class="figures-table">
        <thead>
          <tr>
            <th>Measure</th>
            <th v-for="one in held" :key="one.key" class="figure">{{ one.name }}</th>
            <th class="figure">{{ row.name }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="measure in MEASURES" :key="measure.key">
            <td :title="measure.means">{{ measure.name }}</td>
            <td v-for="one in [...held, row]" :key="one.key" class="figure">
              {{ withUnit(measure, one.measures ? measure.value(one.measures) : null) }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>

<style scoped>
/* Its place stays, so that another is not under the pointer in its stead. */
.kept {
  visibility: hidden;
}
.partner {
  padding: 6px 20px 8px 16px;
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
.facts {
  height: 18px;
  overflow: hidden;
}
.actions {
  gap: 6px;
  margin-left: auto;
}
@container (max-width: 520px) {
  .facts {
    display: none;
  }
}
/* Whole lines only: a specimen ends at a word. */
.set {
  margin: 2px 0 4px 30px;
  overflow: hidden;
  max-height: 2lh;
  transition: opacity var(--motion);
}
.set.loading {
  opacity: 0;
}
.reasons,
.all {
  padding-left: 30px;
}
.all {
  display: grid;
  gap: 8px;
  padding-top: 8px;
}
.good {
  font-weight: 550;
}
.reasons .for::before,
.reasons .against::before {
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
