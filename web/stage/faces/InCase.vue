<script setup lang="ts">
import { inCase as say } from './words';
import { siteName } from '@lettera/core/document';
import { replaceFamilyPatch, seatsOf, takeOutPatch } from '@lettera/core/style';
import TextField from '../../control/TextField.vue';
import PickOne from '../../control/PickOne.vue';
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import DoButton from '../../control/DoButton.vue';
import OnOff from '../../control/OnOff.vue';
import { percent } from '../../control/figures';
import { useCaseReadings } from '../../store/caseReadings';
import { useLineUp } from '../../store/lineUp';
import { useProject } from '../../store/project';
import FaceCorrections from './FaceCorrections.vue';
import type { LineUpRow } from '../../store/rows/rows';

/** What a family of the case is seated in, and everything that can be done with it there. */
const props = defineProps<{ caseKey: string; rows: readonly LineUpRow[] }>();

const project = useProject();
const lineUp = useLineUp();
const caseReadings = useCaseReadings();
const route = useRoute();

const removing = ref(false);
const keepSize = ref(false);
const replacement = ref<string | null>(null);

const family = computed(() => project.document?.case[props.caseKey]);
const seats = computed(() => (project.document ? seatsOf(project.document, props.caseKey) : []));
const others = computed(() =>
  Object.entries(project.document?.case ?? {})
    .filter(([key]) => key !== props.caseKey)
    .map(([key, other]) => ({ value: key, label: siteName(other) })),
);

const xHeightOf = (key: string | null): number | null | undefined =>
  (props.rows.find((row) => row.caseKey === key)?.measures ?? caseReadings.measures[key ?? ''])
    ?.regular.xHeight;

/** x-height of this family ÷ that of the one to take its place; null where either is unknown. */
const sizeRatio = computed(() => {
  const [own, other] = [xHeightOf(props.caseKey), xHeightOf(replacement.value)];
  return own && other ? own / other : null;
});

function remove(): void {
  if (!project.document) return;
  project.change(takeOutPatch(project.document, props.caseKey));
  lineUp.open = null;
}

function replace(): void {
  if (!project.document || !replacement.value) return;
  project.change(
    replaceFamilyPatch(
      project.document,
      props.caseKey,
      replacement.value,
      keepSize.value ? sizeRatio.value : null,
    ),
  );
  replacement.value = null;
  keepSize.value = false;
}

function setAlias(event: Event): void {
  if (!family.value) return;
  const alias = (event.target as HTMLInputElement).value.trim();
  const path = `/case/${props.caseKey}/alias`;
  if (alias === (family.value.alias ?? '')) return;
  if (alias === '' || alias === family.value.name) {
    if (family.value.alias !== undefined) project.change([{ op: 'remove', path }]);
    return;
  }
  project.change([{ op: 'add', path, value: alias.slice(0, 300) }]);
}

function setLocalOnly(on: boolean): void {
  const path = `/case/${props.caseKey}/localOnly`;
  project.change(on ? [{ op: 'add', path, value: true }] : [{ op: 'remove', path }]);
}
</script>

<template>
  <section v-if="family" :aria-label="say.inCase">
    <h3>{{ say.inCase }}</h3>
    <p v-if="family.reference" class="small">
      {{ say.servedBy }}
      <a :href="family.reference.stylesheet" rel="noreferrer">{{
        family.reference.stylesheet
      }}</a>{{ say.whichLetteraCssImports(family.reference.standIn) }}
    </p>
    <p v-if="seats.length" class="small">
      <template v-for="(seat, i) in seats" :key="seat.voice">{{
        say.usedByWhichSets(
          i > 0 ? ' ' : '',
          seat.voiceName,
          seat.elements.length ? seat.elements.join(', ') : say.noElementYet,
        )
      }}</template>
    </p>
    <p v-else class="small">
      {{ say.noVoiceUsesYet }}
      <RouterLink class="go" :to="{ name: 'pair', params: { project: route.params['project'] } }">
        {{ say.giveVoicePair }}
      </RouterLink>
    </p>
    <FaceCorrections :case-key="caseKey" />
    <div class="line wrap">
      <label class="line small"
        >{{ say.knownOnSiteAs }}
        <TextField
          :model-value="family.alias ?? ''"
          :placeholder="family.name"
          maxlength="300"
          @change="setAlias"
      /></label>
      <span class="small quiet">{{ say.anotherNameLetsTake }}</span>
    </div>
    <div v-if="!family.reference" class="line">
      <OnOff
        :model-value="family.localOnly ?? false"
        :label="say.showOnlyWhereVisitors"
        @update:model-value="setLocalOnly"
      />
    </div>
    <div v-if="seats.length && others.length" class="line wrap">
      <PickOne
        v-model="replacement"
        :choices="others"
        :placeholder="say.replaceBy"
        :label="say.familyTakePlaceEverywhere"
      />
      <template v-if="replacement">
        <OnOff
          v-if="sizeRatio && Math.abs(sizeRatio - 1) > 0.005"
          v-model="keepSize"
          :label="
            say.keepApparentSizeX(
              percent(Math.abs(1 / sizeRatio - 1)),
              sizeRatio > 1 ? 'smaller' : 'larger',
              percent(sizeRatio, 0),
            )
          "
        />
        <DoButton :label="say.replaceEverywhere" @click="replace" first />
      </template>
    </div>
    <div class="line wrap">
      <DoButton
        v-if="!removing"
        :label="say.removeFromCase"
        @click="seats.length ? (removing = true) : remove()"
      />
      <template v-else>
        <span class="small"
          ><template v-for="seat in seats" :key="seat.voice"
            >{{
              say.willShowVisitorsOwn(seat.elements.join(', ') || seat.voiceName, seat.instead)
            }} </template
          >{{ say.undoBringsBackFiles }}</span
        >
        <DoButton :label="say.remove" @click="remove" />
        <DoButton @click="removing = false">{{ say.keep }}</DoButton>
      </template>
    </div>
  </section>
</template>

<style scoped>
p {
  max-width: 72ch;
  overflow-wrap: anywhere;
}
</style>
