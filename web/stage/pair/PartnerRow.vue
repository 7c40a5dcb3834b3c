<script setup lang="ts">
import { partnerRow as say } from './words';
import { ROLES, type RankedPartner, type Role, type TellingReason } from '@lettera/core/pairing';
import { computed, ref, type CSSProperties } from 'vue';
import DoButton from '../../control/DoButton.vue';
import FiguresTable from '../../control/FiguresTable.vue';
import { kilobytes } from '../../control/figures';
import RowInFace from '../../proof/RowInFace.vue';
import { MEASURES, withUnit } from '../../store/rows/measures';
import type { LineUpRow } from '../../store/rows/rows';

/** A partner for what is held: the pair as it would be set, with what it is good for and what decided its place. */
const props = defineProps<{
  row: LineUpRow;
  /** Families that are held, by the part they play. */
  held: Partial<Record<Role, LineUpRow>>;
  sought: Role;
  place: number;
  ranked: RankedPartner;
  /** What each part says, and how it is set. */
  copy: Record<Role, string>;
  specimens: Record<Role, CSSProperties>;
  seated: boolean;
}>();
defineEmits<{ look: []; leave: []; take: []; keep: [] }>();

/** Reasons that move it less against the head of the list are left out: they hold for most there. */
const TELLS = 0.06;
const MOST_FOR = 2;
const MOST_AGAINST = 2;
/** Lines of reasons that a row has room for, and characters on one. */
const LINES = 3;
const ON_A_LINE = 32;

const whole = ref(false);

const says = ({ text, beside }: TellingReason): string =>
  beside ? say.beside(beside, text) : text;
const telling = (sign: 1 | -1, most: number): TellingReason[] =>
  props.ranked.reasons
    .filter(({ weight, telling: tells }) => weight * sign > 0 && tells * sign >= TELLS)
    .slice(0, most);
/** What tells most for and against it, as far as there is room; the rest is told with its measures. */
const reasons = computed(() => {
  const [first, ...more] = telling(1, MOST_FOR);
  let left = LINES;
  return [...(first ? [first] : []), ...telling(-1, MOST_AGAINST), ...more]
    .filter((reason) => {
      const lines = Math.ceil(says(reason).length / ON_A_LINE);
      const fits = lines <= left;
      if (fits) left -= lines;
      return fits;
    })
    .sort((a, b) => Math.sign(b.weight) - Math.sign(a.weight));
});
/** What is set in the row, heading first. */
const parts = computed(() =>
  ROLES.flatMap((role) => {
    const family = role === props.sought ? props.row : props.held[role];
    return family ? [{ role, family }] : [];
  }),
);
const heldRows = computed(() => Object.values(props.held));
</script>

<template>
  <div
    class="partner"
    :class="{ seated }"
    tabindex="-1"
    @mouseenter="$emit('look')"
    @mouseleave="$emit('leave')"
    @focusin="$emit('look')"
    @focusout="$emit('leave')"
    @keydown.esc="$emit('leave')"
  >
    <span class="place">{{ place }}</span>
    <div class="pair">
      <p
        v-for="{ role, family } in parts"
        :key="role"
        class="set"
        :class="role"
        :style="specimens[role]"
      >
        <RowInFace :row="family" :words="copy[role]" :weight="Number(specimens[role].fontWeight)" />
      </p>
    </div>
    <div class="why">
      <p class="who">
        <button type="button" class="plain name" :aria-pressed="seated" @click="$emit('take')">
          <bdi>{{ row.name }}</bdi>
        </button>
        <span v-if="seated"> {{ say.now }}</span>
        <span class="bytes">{{ kilobytes(row.bytes) }}</span>
      </p>
      <p class="good">{{ ranked.goodFor }}{{ row.standIn ? say.shown(row.standIn) : '' }}</p>
      <ul class="reasons">
        <li
          v-for="reason in reasons"
          :key="says(reason)"
          :class="reason.weight > 0 ? 'for' : 'against'"
        >
          {{ says(reason) }}
        </li>
      </ul>
      <div class="line acts on-point">
        <!-- Its place stays when it has been used, so that another is not under the pointer in its stead. -->
        <DoButton
          first
          :label="say.use"
          :class="{ kept: seated }"
          :aria-hidden="seated"
          :tabindex="seated ? -1 : 0"
          :aria-label="say.useName(row.name)"
          @click="$emit('take')"
        />
        <DoButton
          :label="say.shortlist"
          :title="say.keepPairAsContender"
          :aria-label="say.shortlistName(row.name)"
          @click="$emit('keep')"
        />
        <DoButton
          :label="say.compare"
          :title="say.compareMeasuresEveryReason"
          :aria-label="say.compareMeasures(row.name)"
          :aria-expanded="whole"
          @click="whole = !whole"
        />
      </div>
    </div>
    <div v-if="whole" class="small all">
      <ul>
        <li
          v-for="reason in ranked.reasons"
          :key="says(reason)"
          :class="reason.weight > 0 ? 'for' : 'against'"
        >
          {{ says(reason) }}
        </li>
      </ul>
      <FiguresTable>
        <thead>
          <tr>
            <th>{{ say.measure }}</th>
            <th v-for="one in heldRows" :key="one.key" class="figure">{{ one.name }}</th>
            <th class="figure">{{ row.name }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="measure in MEASURES" :key="measure.key">
            <td :title="measure.means">{{ measure.name }}</td>
            <td v-for="one in [...heldRows, row]" :key="one.key" class="figure">
              {{ withUnit(measure, one.measures ? measure.value(one.measures) : null) }}
            </td>
          </tr>
        </tbody>
      </FiguresTable>
    </div>
  </div>
</template>

<style scoped>
.partner {
  position: relative;
  display: grid;
  grid-template-columns: 20px minmax(0, 1fr) 208px;
  gap: 0 14px;
  padding: 12px var(--edge) 10px;
  border-top: 1px solid var(--rule);
}
.partner:focus {
  outline: 0;
}
.partner:hover,
.partner:focus-within {
  --ink-3: var(--ink-2);
  background: var(--touched);
}
.partner.seated {
  box-shadow: inset 3px 0 var(--verdigris);
}
.place {
  padding-top: 4px;
  font-size: var(--size-beside);
  color: var(--ink-3);
}
/* Whole lines only: a specimen ends at a word. */
.set :deep(.in-face) {
  display: block;
}
.set {
  /* On a wide screen, no longer a line than is read with ease. */
  max-width: 36em;
  overflow: hidden;
  max-height: 3lh;
}
.set.heading,
.set.subheading {
  margin-bottom: 4px;
  max-height: 1lh;
}
.why {
  display: grid;
  grid-template-rows: auto auto 1fr auto;
  font-size: var(--size-beside);
  line-height: 17px;
  color: var(--ink-2);
}
.who {
  display: flex;
  gap: 4px;
  align-items: baseline;
}
.name {
  min-height: 24px;
  font-size: var(--size-read);
  font-weight: 550;
  color: var(--ink);
}
.name:hover {
  text-decoration: underline;
  text-underline-offset: 3px;
}
.bytes {
  margin-left: auto;
}
.good {
  height: 17px;
  overflow: hidden;
}
/* As high in every row, so that rows are of one height, and there is a place for what can be done. */
.reasons {
  height: 51px;
  overflow: hidden;
}
li {
  padding-left: 12px;
  text-indent: -12px;
}
li::before {
  display: inline-block;
  width: 12px;
  text-indent: 0;
}
.for::before {
  content: '+';
  color: var(--verdigris);
}
.against::before {
  content: '−';
  color: var(--ink-3);
}
.acts {
  gap: 6px;
  height: 28px;
  padding-top: 4px;
}
.kept {
  visibility: hidden;
}
.all {
  display: grid;
  grid-column: 2 / -1;
  gap: 8px;
  padding-top: 8px;
}
@container (max-width: 520px) {
  .partner {
    grid-template-columns: minmax(0, 1fr);
  }
  .place {
    display: none;
  }
  .reasons {
    height: auto;
  }
  .all {
    grid-column: 1;
  }
}
</style>
