<script setup lang="ts">
import {
  GENERICS,
  siteName,
  type FaceClass,
  type Generic,
  type Patch,
} from '@lettera/core/document';
import { matchFace, voiceUses } from '@lettera/core/style';
import Select from 'primevue/select';
import { computed, onBeforeUnmount } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { caseFont } from '../../proof/caseFonts';
import { useCopy } from '../../store/copy';
import { useLibrary } from '../../store/library';
import { useLineUp } from '../../store/lineUp';
import { useProject } from '../../store/project';
import StageHeader from '../StageHeader.vue';

const project = useProject();
const library = useLibrary();
const lineUp = useLineUp();
const route = useRoute();
const router = useRouter();
const copy = useCopy();

const families = computed(() => Object.entries(project.document?.case ?? {}));
/** What a voice can be seated with: each family of the case, or no web face. */
const choices = computed<{ key: string | null; name: string; standIn?: string }[]>(() => [
  ...families.value.map(([key, family]) => ({
    key,
    name: siteName(family),
    standIn: family.reference?.standIn,
  })),
  { key: null, name: 'No web face' },
]);

/** Families set aside in Faces that have not been taken in. */
const setAside = computed(() =>
  (project.document?.shortlist ?? []).flatMap((row) => {
    const family = library.byId.get(row.replace(/^library\//, ''));
    return family && !families.value.some(([, { name }]) => name === family.name)
      ? [{ row, name: family.name }]
      : [];
  }),
);

function showInFaces(row: string): void {
  lineUp.show(row);
  void router.push({ name: 'faces', params: { project: route.params['project'] } });
}
const voices = computed(() => Object.entries(project.document?.voices ?? {}));
const uses = computed(() => (project.document ? voiceUses(project.document) : new Map()));

/** The generic that stands in for each class of face. */
const GENERIC_OF: Record<FaceClass, Generic> = {
  serif: 'serif',
  'sans-serif': 'sans-serif',
  monospace: 'monospace',
  display: 'sans-serif',
  handwriting: 'cursive',
};

const generics = GENERICS.map((value) => ({ value, label: value }));

function seat(voice: string, family: string | null): Patch {
  const faceClass = family ? project.document?.case[family]?.class : undefined;
  const generic = faceClass ? GENERIC_OF[faceClass] : undefined;
  const current = project.document?.voices[voice];
  return [
    { op: 'replace', path: `/voices/${voice}/family`, value: family },
    ...(generic && generic !== current?.generic
      ? [
          { op: 'replace' as const, path: `/voices/${voice}/generic`, value: generic },
          { op: 'replace' as const, path: `/voices/${voice}/fallback`, value: null },
        ]
      : []),
  ];
}

const isSeated = (voice: string, family: string | null) =>
  (project.document?.voices[voice]?.family ?? null) === family;

function look(voice: string, family: string | null): void {
  project.preview = isSeated(voice, family) ? null : seat(voice, family);
}

function giveBack(): void {
  project.preview = null;
}

function take(voice: string, family: string | null): void {
  if (!isSeated(voice, family)) project.change(seat(voice, family));
}

/** What the styles ask of a voice, and what the family has for it. */
function answers(voice: string, familyKey: string): string {
  const faces = project.document?.case[familyKey]?.faces ?? [];
  const asked = uses.value.get(voice)?.requests ?? [];
  const missing = asked.flatMap(
    ({ weight, slant }: { weight: number; slant: 'normal' | 'italic' }) => {
      const match = matchFace(faces, { weight, slant });
      if (!match) return [];
      if (match.fakedItalic) return [`no true italic for ${weight}`];
      if (match.weight !== weight) return [`${weight} shows as ${match.weight}`];
      return [];
    },
  );
  if (asked.length === 0) return 'No style uses this voice';
  return missing.length ? missing.join(', ') : 'Has every weight and style asked for';
}

const askedOf = (voice: string): string =>
  (uses.value.get(voice)?.requests ?? [])
    .map(
      ({ weight, slant }: { weight: number; slant: string }) =>
        `${weight}${slant === 'italic' ? ' italic' : ''}`,
    )
    .join(', ');

onBeforeUnmount(giveBack);

if (project.document?.shortlist?.length && library.state === 'idle') void library.load();
</script>

<template>
  <StageHeader title="Pair">
    Seat a family in each voice. Pointing shows it on the proof, a click takes it, leaving gives
    back.
  </StageHeader>
  <p v-if="families.length === 0" class="empty">
    The case is empty, so there is nothing to seat.
    <RouterLink :to="{ name: 'faces', params: { project: route.params['project'] } }"
      >Take a family in</RouterLink
    >
  </p>
  <p v-if="setAside.length" class="empty small">
    <span class="quiet">On the shortlist, to be taken in before it can be seated:</span>
    <template v-for="({ row, name }, i) in setAside" :key="row"
      >{{ i > 0 ? ', ' : ' '
      }}<button type="button" class="plain aside" @click="showInFaces(row)">
        {{ name }}
      </button></template
    >
  </p>
  <section v-for="[key, voice] in voices" :key="key" :aria-labelledby="`voice-${key}`">
    <div class="line spread head">
      <h2 :id="`voice-${key}`">{{ voice.name }}</h2>
      <span class="small quiet asked">{{
        askedOf(key) ? `Asked for: ${askedOf(key)}` : 'No style uses it'
      }}</span>
      <label class="line small quiet">
        ends in
        <Select
          :model-value="voice.generic"
          :options="generics"
          option-label="label"
          option-value="value"
          size="small"
          :aria-label="`Generic family that ends the stack of ${voice.name}`"
          @update:model-value="
            project.change([{ op: 'replace', path: `/voices/${key}/generic`, value: $event }])
          "
        />
      </label>
    </div>
    <ul
      role="radiogroup"
      :aria-label="`Family of ${voice.name}`"
      @mouseleave="giveBack"
      @keydown.esc="giveBack"
    >
      <li v-for="choice in choices" :key="choice.key ?? 'none'" role="presentation">
        <button
          type="button"
          role="radio"
          class="plain"
          :aria-checked="isSeated(key, choice.key)"
          @mouseenter="look(key, choice.key)"
          @focus="look(key, choice.key)"
          @blur="giveBack"
          @click="take(key, choice.key)"
        >
          <span class="line spread small">
            <span class="name"
              ><bdi>{{ choice.name }}</bdi
              ><span v-if="choice.standIn" class="stands">
                shown in {{ choice.standIn }}</span
              ></span
            >
            <span class="quiet"
              >{{ isSeated(key, choice.key) ? 'seated · ' : ''
              }}{{
                choice.key
                  ? answers(key, choice.key)
                  : `the visitor’s own ${voice.generic}, nothing to load`
              }}</span
            >
          </span>
          <span
            v-if="choice.key"
            class="specimen"
            :class="key === 'heading' ? 'heading' : 'text'"
            :style="{ fontFamily: caseFont(choice.key, voice.generic) }"
            >{{ key === 'heading' ? copy.heading : copy.paragraph }}</span
          >
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  padding: 0 20px 18px;
}
.empty {
  padding: 0 20px 16px;
}
.head {
  padding-bottom: 6px;
  border-bottom: 1px solid var(--rule);
}
.asked {
  margin-right: auto;
  padding-left: 8px;
}
p .aside {
  display: inline;
  width: auto;
  min-height: 24px;
  padding: 0;
  border: 0;
  color: var(--verdigris);
  text-decoration: underline;
}
.stands {
  margin-left: 6px;
  font-weight: 400;
  color: var(--local);
}
li {
  border-bottom: 1px solid var(--rule);
}
button {
  display: block;
  width: 100%;
  padding: 8px 8px 8px 12px;
  border-left: 3px solid transparent;
}
button:hover {
  background: var(--touched);
}
button[aria-checked='true'] {
  border-left-color: var(--verdigris);
}
.name {
  font-size: 13px;
  font-weight: 550;
}
.specimen {
  display: block;
  margin-top: 2px;
}
.specimen.heading {
  font-size: 32px;
  font-weight: 650;
  line-height: 1.15;
}
.specimen.text {
  font-size: 16px;
  line-height: 1.5;
}
</style>
