<script setup lang="ts">
import { SEAT_SIZES, GENERICS, siteName } from '@lettera/core/document';
import { voiceUses } from '@lettera/core/style';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import ChoiceSet from '../../control/ChoiceSet.vue';
import DoButton from '../../control/DoButton.vue';
import NumberField from '../../control/NumberField.vue';
import PickOne from '../../control/PickOne.vue';
import ToolRow from '../../control/ToolRow.vue';
import { caseFont } from '../../proof/caseFonts';
import { useFamilies } from '../../store/families';
import { useLibrary } from '../../store/library';
import { useProject } from '../../store/project';
import { useScriptSeats, type SiteScript } from '../../store/scriptSeats';
import NearRows from '../../control/NearRows.vue';
import MeasuringLine from '../MeasuringLine.vue';
import ScriptPartnerRow from './ScriptPartnerRow.vue';
import { scriptSeats as say } from './words';

/** The family that a voice has for each further script of the site, and those that would go with its own. */
const project = useProject();
const families = useFamilies();
const library = useLibrary();
const seats = useScriptSeats();
const route = useRoute();

const MOST_SHOWN = 6;
/** Size of a specimen, px. */
const SPECIMEN = 22;
/** Height of a row before it has been seen, px. */
const ROW_HEIGHT = 96;

const voices = computed(() => {
  const { document } = project;
  if (!document) return [];
  const used = voiceUses(document);
  return Object.entries(document.voices)
    .filter(([key, { family }]) => used.has(key) && family !== null)
    .map(([key, { name }]) => ({ value: key, label: name }));
});
const chosen = ref('');
watch(
  voices,
  (all) => {
    if (!all.some(({ value }) => value === chosen.value))
      chosen.value = (all.find(({ value }) => value === 'text') ?? all[0])?.value ?? '';
  },
  { immediate: true },
);
const voice = computed(() => project.document?.voices[chosen.value]);
const own = computed(() => project.document?.case[voice.value?.family ?? '']);
const generics = GENERICS.map((value) => ({ value, label: value }));
const path = (script: string) => `/voices/${chosen.value}/scripts/${script}`;

const parts = computed(() =>
  seats.scripts.map((one) => {
    const key = one.script.key;
    const seat = voice.value?.scripts?.[key];
    const family = project.document?.case[seat?.family ?? ''];
    const measured = seat ? seats.measuredSize(chosen.value, key, seat.family) : null;
    const ownRow = families.ofCase(voice.value?.family);
    return {
      ...one,
      key,
      seat,
      family,
      measured,
      isOff: measured !== null && seat !== undefined && Math.abs(measured - seat.size) > 0.005,
      hasItself: Boolean(ownRow?.measures?.scripts[key]),
      partners: seats.partners(chosen.value, one).slice(0, MOST_SHOWN),
    };
  }),
);
/** Why no family is offered for a script, as far as that is known; how far measuring got is told above. */
const whyNone = computed(() => {
  const measures = families.ofCase(voice.value?.family)?.measures;
  if (measures === null) return say.ownNotMeasured;
  if (measures === undefined) return say.beingMeasured;
  if (!project.stored?.foundry) return say.allow;
  if (library.state === 'failed') return library.message;
  switch (library.measuring.state) {
    case 'done':
      return say.noneThere;
    case 'stopped':
    case 'failed':
      return '';
    default:
      return say.beingMeasured;
  }
});
/** The script, and its languages where they are called otherwise. */
function headOf({ script, languages }: SiteScript): string {
  const names = languages.map(({ name }) => name).join(', ');
  return names === script.name ? names : say.inScript(script.name, names);
}

function setSize(script: string, size: number): void {
  project.change([{ op: 'replace', path: `${path(script)}/size`, value: size }]);
}

watch(
  () => project.stored?.foundry,
  (allowed) => {
    if (allowed && library.state === 'idle') void library.load();
  },
  { immediate: true },
);
onBeforeUnmount(() => seats.look('', '', null));
</script>

<template>
  <div v-if="seats.scripts.length === 0" class="empty">
    <p>{{ say.noOtherScript }}</p>
    <RouterLink
      class="go"
      :to="{
        name: 'styles',
        params: { project: route.params['project'] },
        query: { view: 'languages' },
      }"
      >{{ say.addLanguage }}</RouterLink
    >
  </div>
  <p v-else-if="!own" class="empty">{{ say.needsFamily }}</p>
  <template v-else>
    <ToolRow>
      <span class="quiet">{{ say.forVoice }}</span>
      <ChoiceSet v-model="chosen" :label="say.voice" :choices="voices" />
      <bdi>{{ siteName(own) }}</bdi>
      <template #end>
        <template v-if="seats.taking">
          <span role="status">{{ say.taking(seats.taking.name) }}</span>
          <DoButton :label="say.stop" @click="seats.taking.abort.abort()" />
        </template>
        <MeasuringLine v-else />
      </template>
    </ToolRow>
    <p v-if="seats.message" class="failed" role="alert">{{ seats.message }}</p>
    <div class="parts">
      <section v-for="part in parts" :key="part.key" :aria-labelledby="`script-${part.key}`">
        <h2 :id="`script-${part.key}`">
          {{ headOf(part) }}
        </h2>
        <p
          v-if="part.seat && part.family"
          class="set"
          :dir="part.script.direction"
          :style="{ fontSize: `${SPECIMEN}px` }"
        >
          <span
            :lang="part.languages[0]?.tag"
            :style="{
              fontFamily: caseFont(part.seat.family, part.seat.generic ?? voice?.generic),
              fontSize: `${part.seat.size}em`,
            }"
            >{{ part.script.sentence }}</span
          >
          <bdi :style="{ fontFamily: caseFont(voice?.family, voice?.generic) }">
            {{ project.document?.words }}</bdi
          >
        </p>
        <div v-if="part.seat && part.family" class="line wrap">
          <bdi class="name">{{ siteName(part.family) }}</bdi>
          <span class="quiet">{{ say.at }}</span>
          <NumberField
            hide-label
            :label="say.sizeOf(siteName(part.family))"
            :model-value="Math.round(part.seat.size * 10000) / 100"
            :min="SEAT_SIZES[0] * 100"
            :max="SEAT_SIZES[1] * 100"
            :step="1"
            @update:model-value="setSize(part.key, $event / 100)"
            @reset="part.measured !== null && setSize(part.key, part.measured)"
          />
          <span>%</span>
          <DoButton
            v-if="part.isOff && part.measured !== null"
            :title="say.asMeasured"
            @click="setSize(part.key, part.measured)"
            >{{ say.measured(Math.round(part.measured * 100)) }}</DoButton
          >
          <label class="line small quiet">
            {{ say.ends }}
            <PickOne
              :model-value="part.seat.generic ?? voice?.generic"
              :choices="generics"
              :label="say.generic(siteName(part.family))"
              @update:model-value="
                project.change([{ op: 'add', path: `${path(part.key)}/generic`, value: $event }])
              "
            />
          </label>
          <DoButton
            :label="say.remove"
            :aria-label="say.removeFrom(siteName(part.family), part.script.name)"
            @click="seats.remove(chosen, part.key)"
          />
        </div>
        <p v-else class="small" :class="part.hasItself ? 'quiet' : 'mark-text'">
          {{ part.hasItself ? say.own(siteName(own)) : say.nobody(part.script.name) }}
        </p>
        <NearRows
          v-if="part.partners.length"
          v-slot="{ row: partner }"
          :rows="part.partners"
          :key-of="({ key }) => key"
          :estimate="() => ROW_HEIGHT"
          ordered
          :label="say.partners(part.script.name, siteName(own))"
        >
          <ScriptPartnerRow
            :partner="partner"
            :script="part.script"
            :language="part.languages[0]?.tag ?? ''"
            :seated="families.byKey.get(partner.key)?.caseKey === part.seat?.family"
            @look="seats.look(chosen, part.key, partner)"
            @leave="seats.look(chosen, part.key, null)"
            @take="seats.take(chosen, part.key, partner)"
          />
        </NearRows>
        <p v-else-if="whyNone" class="small quiet" role="status">{{ whyNone }}</p>
      </section>
    </div>
  </template>
</template>

<style scoped>
.parts {
  overflow: auto;
  min-height: 0;
  padding: 0 var(--edge) 16px;
}
section {
  display: grid;
  gap: 8px;
  padding: 14px 0 18px;
  border-top: 1px solid var(--rule);
}
section:first-child {
  border-top: 0;
}
h2 {
  margin: 0;
  font-size: inherit;
  font-weight: 600;
}
.set {
  margin: 0;
  line-height: 1.7;
}
.name {
  font-weight: 550;
}
.failed {
  padding: 0 var(--edge);
  color: var(--mark);
}
.empty {
  display: grid;
  gap: 10px;
  justify-items: start;
  padding: 12px var(--edge);
}
</style>
