<script setup lang="ts">
import type { ProjectDocument } from '@lettera/core/document';
import {
  candidateError,
  localName,
  localSet,
  platformNames,
  platformsOf,
  scriptCandidates,
  voiceFallback,
} from '@lettera/core/fallback';
import { computed } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { percent } from '../../control/figures';
import FiguresTable from '../../control/FiguresTable.vue';
import PickOne from '../../control/PickOne.vue';
import RowMoves from '../../control/RowMoves.vue';
import { useFallbacks } from '../../store/fallbacks';
import { usePlans } from '../../store/plans';
import { useProject } from '../../store/project';
import { scriptStacks as say } from './words';

/** The local fonts that stand in for the families of a voice's further scripts, each for its own characters alone. */
const props = defineProps<{ document: ProjectDocument; voice: string }>();

const project = useProject();
const plans = usePlans();
const fallbacks = useFallbacks();

const stacks = computed(() =>
  voiceFallback(plans.fallbackOf(props.document), props.voice).scripts.map((stack) => {
    const { key, large } = stack.script;
    const seat = props.document.voices[props.voice];
    const locals = stack.entries.map(({ local }) => local);
    return {
      ...stack,
      key,
      locals,
      isChosen: seat?.scripts?.[key]?.fallback !== undefined,
      rows: stack.entries.map(({ local }) => {
        const tuned = stack.tuned.find((one) => one.local === local);
        return {
          local,
          name: localName(local),
          drawn: localSet(local)?.class ?? '',
          platforms: platformNames(platformsOf(local)),
          widths: tuned
            ? say.within(percent(candidateError(tuned), 2))
            : large
              ? say.squares
              : fallbacks.state === 'ready'
                ? say.notMeasured
                : say.fitting,
          isTuned: tuned !== undefined || large,
        };
      }),
      others: scriptCandidates(key, seat?.scripts?.[key]?.generic ?? seat?.generic ?? 'serif')
        .filter((local) => !locals.includes(local))
        .map((local) => ({ value: local, label: localName(local) })),
    };
  }),
);

function take(script: string, locals: readonly string[] | null): void {
  const path = `/voices/${props.voice}/scripts/${script}/fallback`;
  project.change(
    locals === null ? [{ op: 'remove', path }] : [{ op: 'add', path, value: [...locals] }],
  );
}
const moved = (locals: readonly string[], at: number, by: number): string[] => {
  const next = [...locals];
  const [one] = next.splice(at, 1);
  if (one !== undefined) next.splice(at + by, 0, one);
  return next;
};
</script>

<template>
  <section v-for="stack in stacks" :key="stack.key" :aria-label="stack.script.name">
    <h3>{{ say.head(stack.script.name, stack.name, Math.round(stack.size * 100)) }}</h3>
    <FiguresTable>
      <thead>
        <tr>
          <th>{{ say.local }}</th>
          <th>{{ say.platforms }}</th>
          <th>{{ say.widths }}</th>
          <th></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, i) in stack.rows" :key="row.local">
          <td>
            {{ row.name }} <span class="small quiet">{{ row.drawn }}</span>
          </td>
          <td>{{ row.platforms }}</td>
          <td :class="{ quiet: !row.isTuned }">{{ row.widths }}</td>
          <td>
            <RowMoves
              :name="row.name"
              :at="i"
              :of="stack.rows.length"
              @move="take(stack.key, moved(stack.locals, i, $event))"
              @remove="
                take(
                  stack.key,
                  stack.locals.filter((local) => local !== row.local),
                )
              "
            />
          </td>
        </tr>
      </tbody>
    </FiguresTable>
    <p class="line wrap">
      <PickOne
        v-if="stack.others.length"
        :model-value="null"
        :choices="stack.others"
        :placeholder="say.add"
        :label="say.addFor(stack.script.name)"
        @update:model-value="$event !== null && take(stack.key, [...stack.locals, $event])"
      />
      <DoButton v-if="stack.isChosen" :label="say.proposed" @click="take(stack.key, null)" />
    </p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 6px;
  margin-top: 14px;
}
</style>
