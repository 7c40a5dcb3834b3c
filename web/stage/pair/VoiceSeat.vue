<script setup lang="ts">
import { voiceSeat as say } from './words';
import { totalBytes } from '@lettera/core/deliver';
import { GENERICS, siteName, type Slant } from '@lettera/core/document';
import { matchFace, voiceUses, weightChanges, weightPatch } from '@lettera/core/style';
import TextField from '../../control/TextField.vue';
import PickOne from '../../control/PickOne.vue';
import { computed } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { kilobytes } from '../../control/figures';
import { caseFont } from '../../proof/caseFonts';
import { usePlans } from '../../store/plans';
import { useProject } from '../../store/project';
import { pickableWeights } from '../../store/rows/picks';
import { seatPatch } from '../../store/rows/seating';
import { putInto } from '../../control/putInto';

/** A voice: who sits in it, the weights that carry its duties and what each costs, and how its stack ends. */
const props = defineProps<{ voice: string }>();

const project = useProject();
const plans = usePlans();
const NONE = 'none';

const seat = computed(() => project.document?.voices[props.voice]);
const family = computed(() => project.document?.case[seat.value?.family ?? '']);
const generics = GENERICS.map((value) => ({ value, label: value }));
const choices = computed(() => [
  ...Object.entries(project.document?.case ?? {}).map(([key, one]) => ({
    value: key,
    label: siteName(one),
  })),
  { value: NONE, label: say.noWebFace },
]);

function sit(key: string): void {
  const { document } = project;
  if (!document) return;
  const chosen = document.case[key];
  project.change(seatPatch(document, props.voice, chosen ? key : null, chosen ?? null));
}

/** What the styles ask of the voice, what shows, and the bytes of the face that shows it. */
const duties = computed(() => {
  const { document } = project;
  const faces = family.value?.faces ?? [];
  return (document ? (voiceUses(document).get(props.voice)?.requests ?? []) : []).map(
    ({ weight, slant, styles }) => {
      const match = matchFace(faces, { weight, slant });
      const offered = pickableWeights(faces.filter(({ style }) => style === slant));
      return {
        key: `${weight} ${slant}`,
        weight,
        slant,
        styles,
        names: styles.map((key) => document?.styles[key]?.name ?? key).join(', '),
        choices: [...new Set([...offered, weight])]
          .sort((a, b) => a - b)
          .map((value) => ({ value, label: slant === 'italic' ? say.italic(value) : `${value}` })),
        trouble: match ? troubleOf(match, weight, slant) : '',
        bytes: totalBytes(
          (match?.face.files ?? []).map(({ sha256, bytes }) => ({
            bytes: plans.caseBytes.has(sha256) ? (plans.caseBytes.get(sha256) ?? null) : bytes,
          })),
        ),
      };
    },
  );
});

function troubleOf(
  match: { weight: number; fakedBold: boolean; fakedItalic: boolean },
  weight: number,
  slant: Slant,
): string {
  if (match.fakedItalic && slant === 'italic') return say.noTrueItalicSlanted;
  if (match.fakedBold) return say.noBoldThickenedBy;
  return match.weight === weight ? '' : say.showsAs(match.weight);
}

function setWeight(styles: readonly string[], from: number, to: number): void {
  const { document } = project;
  if (!document) return;
  project.change(
    weightPatch(
      document,
      styles.map((style) => ({ style, from, to })),
    ),
  );
}

/** Gives each duty the nearest weight that the family has. */
function settle(): void {
  const { document } = project;
  if (!document || !family.value) return;
  project.change(weightPatch(document, weightChanges(document, props.voice, family.value.faces)));
}
const unsettled = computed(() => duties.value.some(({ trouble }) => trouble.startsWith('shows')));
const used = computed(() => duties.value.length > 0);

/** Styles that are set in the voice, which stand in the way of removing it. */
const wearers = computed(() =>
  Object.values(project.document?.styles ?? {})
    .filter(({ set }) => set.voice === props.voice)
    .map(({ name }) => name),
);
const staysBecause = computed(() => {
  if (wearers.value.length > 0) return say.itSets(wearers.value.join(', '));
  const only = Object.keys(project.document?.voices ?? {}).length < 2;
  return only ? say.projectKeepsOneVoice : undefined;
});

/** Takes the voice away; where it plays a part in Pair, the project's own choice of voices goes with it. */
function remove(): void {
  const paired = Object.values(project.document?.pair ?? {}).includes(props.voice);
  project.change([
    ...(paired ? [{ op: 'remove' as const, path: '/pair' }] : []),
    { op: 'remove', path: `/voices/${props.voice}` },
  ]);
}

function rename(event: Event): void {
  const input = event.target as HTMLInputElement;
  const name = input.value.trim().slice(0, 60);
  if (!name) putInto(input, seat.value?.name ?? '');
  else if (name !== seat.value?.name) {
    project.change([{ op: 'replace', path: `/voices/${props.voice}/name`, value: name }]);
  }
}
</script>

<template>
  <section v-if="seat" :aria-labelledby="`voice-${voice}`">
    <div class="line wrap">
      <h2 :id="`voice-${voice}`" class="visually-hidden">{{ seat.name }}</h2>
      <TextField
        :model-value="seat.name"
        maxlength="60"
        :aria-label="say.nameVoice(seat.name)"
        class="voice-name"
        :style="{ width: `${Math.min(44, Math.max(12, seat.name.length + 3))}ch` }"
        @change="rename"
      />
      <span class="sitter" :style="{ fontFamily: caseFont(seat.family, seat.generic) }">{{
        family ? siteName(family) : say.noWebFace
      }}</span>
      <span v-if="family?.reference" class="small stands">{{
        say.shown(family.reference.standIn)
      }}</span>
      <span class="line choose">
        <PickOne
          :model-value="seat.family ?? NONE"
          :choices="choices"
          :label="say.familyCase(seat.name)"
          @update:model-value="sit($event)"
        />
        <label class="line small quiet">
          {{ say.ends }}
          <PickOne
            :model-value="seat.generic"
            :choices="generics"
            :label="say.genericFamilyEndsStack(seat.name)"
            @update:model-value="
              project.change([{ op: 'replace', path: `/voices/${voice}/generic`, value: $event }])
            "
          />
        </label>
      </span>
    </div>
    <ul v-if="family" class="duties small">
      <li v-for="duty in duties" :key="duty.key" :title="duty.names">
        <PickOne
          :model-value="duty.weight"
          :choices="duty.choices"
          :label="say.weight(duty.names)"
          @update:model-value="setWeight(duty.styles, duty.weight, $event)"
        />
        <span class="quiet">{{ kilobytes(duty.bytes) }}</span>
        <span v-if="duty.trouble" class="mark-text">{{ duty.trouble }}</span>
      </li>
    </ul>
    <p class="small">
      <span v-if="!used" class="quiet">{{ say.noStyleUsesVoice }} </span>
      <DoButton v-if="unsettled" @click="settle">
        {{ say.giveEachStyleNearest }}
      </DoButton>
      <DoButton class="on-point" :label="say.removeVoice" :why="staysBecause" @click="remove" />
    </p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 4px;
  padding: 8px 0;
  border-top: 1px solid var(--rule);
}
.voice-name {
  max-width: 100%;
  font-weight: 550;
}
.sitter {
  font-size: 20px;
  line-height: 1.2;
}
.choose {
  flex-basis: 100%;
  gap: 12px;
}
.duties {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}
li {
  display: flex;
  gap: 6px;
  align-items: center;
}
button {
  min-height: 24px;
  margin-right: 12px;
}
.stands {
  color: var(--local);
}
</style>
