<script setup lang="ts">
import { countedVisits as say } from './words';
import { stackCounted } from '@lettera/core/deliver/visits';
import { localName, shareOf, type Landing, type StackEntry } from '@lettera/core/fallback';
import { computed, onMounted, ref } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { count, dayOf, percent } from '../../control/figures';
import FiguresTable from '../../control/FiguresTable.vue';
import TextField from '../../control/TextField.vue';
import { useProject } from '../../store/project';
import { useVisits } from '../../store/visits';

/** Visits that were counted on the site, beside what is expected of a stack. */
const props = defineProps<{
  voice: string;
  stack: readonly StackEntry[];
  landed: readonly Landing[];
}>();

const project = useProject();
const visits = useVisits();
onMounted(visits.load);

const to = computed(() => project.document?.delivery.visits ?? null);
const isHere = computed(
  () => visits.state.key !== null && to.value?.endsWith(`/visits/${visits.state.key}`) === true,
);
const isReached = !/^(127\.|localhost$|\[::1\]$)/.test(location.hostname);
const typed = ref('');

const entryName = (entry: StackEntry): string =>
  entry.kind === 'fallback' ? localName(entry.local) : entry.name;
const counted = computed(() => stackCounted(props.voice, props.stack));
/** Visits that got an earlier stack, whose entries were others. */
const earlier = computed(() => {
  const { voices, visits: all } = visits.figures;
  const sum = (voices[counted.value]?.drawn ?? []).reduce((total, times) => total + times, 0);
  return all - sum;
});
const rows = computed(() => {
  const { drawn = [], local = [] } = visits.figures.voices[counted.value] ?? {};
  const all = (list: readonly number[]) => list.reduce((sum, times) => sum + times, 0);
  const share = (list: readonly number[], i: number): string =>
    all(list) > 0 ? percent((list[i] ?? 0) / all(list)) : '';
  return [...props.stack.map(entryName), say.other].map((name, i) => ({
    name,
    expected: i === 0 || i >= props.stack.length ? '' : percent(shareOf(props.landed, i)),
    local: i === 0 ? '' : share(local, i),
    drawn: share(drawn, i),
  }));
});
const days = computed(() => {
  const [first = '', last = first] = [visits.days[0], visits.days.at(-1)];
  return first === last ? dayOf(first) : say.fromTo(dayOf(first), dayOf(last));
});
const middle = (which: 'text' | 'faces'): string =>
  visits.figures[which] === null ? say.unknown : visits.seconds(which);
</script>

<template>
  <section>
    <h2>{{ say.title }}</h2>
    <template v-if="visits.figures.visits > 0">
      <p>
        {{ say.of(count(visits.figures.visits, 'visit'), days) }}
        <template v-if="earlier > 0">{{ say.earlier(count(earlier, 'visit')) }}</template>
      </p>
      <FiguresTable>
        <thead>
          <tr>
            <th>{{ say.entry }}</th>
            <th class="figure">{{ say.expected }}</th>
            <th class="figure">{{ say.counted }}</th>
            <th class="figure">{{ say.drawn }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.name">
            <td>{{ row.name }}</td>
            <td class="figure">{{ row.expected }}</td>
            <td class="figure">{{ row.local }}</td>
            <td class="figure">{{ row.drawn }}</td>
          </tr>
        </tbody>
      </FiguresTable>
      <p>
        {{
          say.medians(
            middle('text'),
            middle('faces'),
            visits.figures.shift === null ? say.unknown : visits.figures.shift.toFixed(2),
          )
        }}
      </p>
    </template>
    <p v-else-if="isHere" class="quiet">{{ say.none }}</p>
    <p v-else-if="to" class="quiet">{{ say.sent(to) }}</p>
    <p v-if="!to" class="quiet small what">{{ say.what }}</p>
    <p v-if="isHere && !isReached" class="quiet small what">{{ say.notReachable }}</p>
    <p v-if="visits.fault" role="alert" class="mark-text">{{ visits.fault }}</p>
    <form
      v-if="!to"
      class="line wrap"
      @submit.prevent="typed.trim() && visits.sendTo(typed.trim())"
    >
      <DoButton :label="say.here" @click="visits.countHere" />
      <label class="line wrap"
        ><span>{{ say.elsewhere }}</span>
        <TextField v-model="typed" :placeholder="say.example" spellcheck="false" />
      </label>
      <DoButton v-if="typed.trim()" type="submit" :label="say.send" />
    </form>
    <DoButton v-else :label="isHere ? say.stop : say.stopSending" @click="visits.stop" />
  </section>
</template>

<style scoped>
section {
  margin-top: 28px;
}
h2 {
  margin: 0 0 8px;
  font-size: var(--size-read);
  font-weight: 600;
}
.what {
  max-width: 620px;
}
p {
  margin: 8px 0;
}
</style>
