<script setup lang="ts">
import { siteName, type ProjectDocument } from '@lettera/core/document';
import { lookAt as lookAtDocument, patchBetween } from '@lettera/core/change';
import {
  FOLD_LIMITS,
  foldPatch,
  foldStock,
  movesOf,
  STYLE_TOLERANCE,
  type FoldedVoice,
  type Moves,
  type Stock,
  type StockView,
} from '@lettera/core/stock';
import { stepsOf } from '@lettera/core/scale';
import Select from 'primevue/select';
import { computed, ref, shallowRef, watch } from 'vue';
import ChoiceSet from '../../control/ChoiceSet.vue';
import DoButton from '../../control/DoButton.vue';
import NumberField from '../../control/NumberField.vue';
import OnOff from '../../control/OnOff.vue';
import { count, percent, pixels, plainNumber } from '../../control/figures';
import { useKeys } from '../../control/keys';
import { useProject } from '../../store/project';
import { useStock } from '../../store/stock';
import { usePlaces } from './places';

/** What the site would be as voices, a scale and styles: looked at on the page, and taken in parts or whole. */
const props = defineProps<{ stock: Stock; view: StockView }>();
const project = useProject();
const site = useStock();
const { point } = usePlaces(() => props.stock);

const voices = ref(true);
const scale = ref(true);
const styles = ref(true);
const within = ref<number>(FOLD_LIMITS.within);
const families = shallowRef<Readonly<Record<string, string | null>>>({});
const left = shallowRef<readonly string[]>([]);

/** The project without what is looked at: what a fold is taken into. */
const document = computed(() => project.document);

const fold = computed(() =>
  document.value
    ? foldStock(props.stock, props.view, document.value, {
        voices: voices.value,
        scale: scale.value,
        styles: styles.value,
        limits: { ...FOLD_LIMITS, within: within.value },
        tolerance: STYLE_TOLERANCE,
        families: families.value,
        left: left.value,
      })
    : null,
);
const patch = computed(() =>
  document.value && fold.value ? foldPatch(document.value, fold.value, site.pages) : [],
);
/** The project with the fold taken; null where it cannot be. */
const folded = computed(() =>
  document.value ? lookAtDocument(document.value, patch.value) : null,
);

const shown = computed({
  get: () => (site.folded === null ? 'is' : 'folded'),
  set: (value: 'is' | 'folded') => (site.folded = value === 'folded' ? patch.value : null),
});
watch(patch, (now) => {
  if (site.folded !== null) site.folded = now;
});
useKeys('In Take stock', [
  {
    keys: 'b',
    does: 'the site as it is on the proof, or folded',
    run: () => (shown.value = shown.value === 'is' ? 'folded' : 'is'),
  },
]);

const moves = computed<Moves | null>(() =>
  fold.value && folded.value && styles.value
    ? movesOf(props.stock, fold.value, folded.value)
    : null,
);
const movesOfStyle = (texts: readonly number[]): Moves | null =>
  fold.value && folded.value ? movesOf(props.stock, fold.value, folded.value, texts) : null;

function moveInWords(move: Moves | null): string {
  if (!move || move.texts === 0) return 'nothing moves';
  const by = [
    move.most >= 0.1 ? `up to ${pixels(move.most)}` : null,
    move.weight >= 10 ? `${Math.round(move.weight)} in weight` : null,
  ].filter(Boolean);
  return `${move.texts} of ${count(move.of, 'text')} ${move.texts === 1 ? 'moves' : 'move'} by ${by.join(' and ')}`;
}

const NONE = '-';
const familyFor = ({ key, family }: FoldedVoice): string =>
  (Object.hasOwn(families.value, key) ? families.value[key] : family) ?? NONE;
const cases = computed(() => [
  { value: NONE, label: 'None yet' },
  ...Object.entries(document.value?.case ?? {}).map(([value, family]) => ({
    value,
    label: siteName(family),
  })),
]);
function give(voice: string, family: string): void {
  families.value = { ...families.value, [voice]: family === NONE ? null : family };
}

const steps = computed(() => {
  const { value } = folded;
  return value && fold.value?.scale ? [...stepsOf(value.scale)].reverse() : [];
});
const odd = computed(() => new Set(fold.value?.scale?.odd ?? []));

function leave(key: string, on: boolean): void {
  left.value = on ? left.value.filter((one) => one !== key) : [...left.value, key];
}

/** The project as it was made by taking; it is told as long as it stands so. */
const takenAs = shallowRef<ProjectDocument | null>(null);
const isTaken = computed(
  () =>
    takenAs.value !== null &&
    document.value !== null &&
    patchBetween(takenAs.value, document.value).length === 0,
);
function take(): void {
  const change = patch.value;
  site.folded = null;
  takenAs.value = project.change(change) ? project.document : null;
}

const selectorsOf = (style: string): string =>
  fold.value?.styles.elements
    .filter(({ element }) => element.style === style)
    .flatMap(({ element }) => element.selectors)
    .join(', ') ?? '';
const nothing = computed(() => !voices.value && !scale.value && !styles.value);
</script>

<template>
  <section v-if="fold" class="fold">
    <div class="line wrap take">
      <DoButton
        label="Take what is on"
        first
        :why="nothing ? 'Nothing is on' : folded ? undefined : 'The project cannot be made so'"
        @click="take"
      />
      <ChoiceSet
        v-model="shown"
        label="On the page"
        :choices="[
          { value: 'is', label: 'The site as it is' },
          { value: 'folded', label: 'Folded (b)' },
        ]"
      />
      <span v-if="moves" role="status"
        >{{ moveInWords(moves)
        }}<template v-if="moves.texts">, {{ pixels(moves.mean) }} in the mean</template></span
      >
    </div>
    <p v-if="isTaken" role="status">
      Taken, as one change: Undo gives the project back as it was. The pages are proof pages now.
    </p>
    <p v-if="project.refusal" role="alert" class="mark-text">{{ project.refusal.message }}</p>

    <div class="part">
      <OnOff v-model="voices" label="Families to voices" />
      <table v-if="voices" class="figures-table">
        <thead>
          <tr>
            <th scope="col">Voice</th>
            <th scope="col">Its texts ask for</th>
            <th scope="col">Family of the case</th>
            <th scope="col" class="figure">Texts</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="voice in fold.voices.voices" :key="voice.key">
            <th scope="row">{{ voice.name }}</th>
            <td>{{ voice.asks }}</td>
            <td>
              <Select
                :model-value="familyFor(voice)"
                :options="cases"
                option-label="label"
                option-value="value"
                size="small"
                :aria-label="`Family for ${voice.name}`"
                @update:model-value="give(voice.key, $event)"
              />
            </td>
            <td class="figure">{{ voice.texts.length }}</td>
          </tr>
        </tbody>
      </table>
    </div>

    <div class="part">
      <div class="line wrap">
        <OnOff v-model="scale" label="Sizes to a scale" />
        <NumberField
          v-if="scale"
          v-model="within"
          label="Sizes may move by"
          :min="0.1"
          :max="8"
          :step="0.5"
          unit="px"
        />
      </div>
      <template v-if="scale && fold.scale">
        <p class="small">
          {{ plainNumber(fold.scale.scale.small.base) }} ×
          {{ plainNumber(fold.scale.scale.small.ratio) }} at {{ fold.scale.scale.small.width }} px,
          {{ plainNumber(fold.scale.scale.large.base) }} ×
          {{ plainNumber(fold.scale.scale.large.ratio) }} at {{ fold.scale.scale.large.width }} px,
          {{ count(steps.length, 'step')
          }}<template v-if="odd.size"
            >, {{ count(odd.size, 'of them has', 'of them have') }} a size of its own</template
          >
        </p>
        <table class="figures-table">
          <thead>
            <tr>
              <th scope="col">Step</th>
              <th scope="col" class="figure">at {{ fold.scale.scale.small.width }} px</th>
              <th scope="col" class="figure">at {{ fold.scale.scale.large.width }} px</th>
              <th scope="col"></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="step in steps" :key="step.number">
              <th scope="row">{{ step.name }}</th>
              <td class="figure">{{ pixels(step.small) }}</td>
              <td class="figure">{{ pixels(step.large) }}</td>
              <td class="quiet">{{ odd.has(step.number) ? 'a size of its own' : '' }}</td>
            </tr>
          </tbody>
        </table>
      </template>
    </div>

    <div class="part">
      <OnOff v-model="styles" label="Texts to styles" />
      <table v-if="styles" class="figures-table styles">
        <thead>
          <tr>
            <th scope="col">Style</th>
            <th scope="col">Where</th>
            <th scope="col">What moves</th>
            <th scope="col"></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="{ key, style, texts, characters } in fold.styles.styles" :key="key">
            <th scope="row">{{ style.name }}</th>
            <td class="where">
              {{ selectorsOf(key) }}
              <span v-if="texts.length" class="quiet">{{ count(texts.length, 'text') }}</span>
            </td>
            <td>{{ characters ? moveInWords(movesOfStyle(texts)) : '' }}</td>
            <td class="what">
              <DoButton
                v-if="texts.length"
                label="Point"
                :aria-label="`Point at ${style.name}`"
                @click="point(texts)"
              />
              <OnOff
                v-if="key !== 'body'"
                :model-value="!left.includes(key)"
                label="Take"
                :aria-label="`Take ${style.name}`"
                @update:model-value="leave(key, $event)"
              />
            </td>
          </tr>
        </tbody>
      </table>
    </div>

    <div v-if="styles && fold.styles.unfolded.length" class="part">
      <h2>What could not be folded</h2>
      <ul>
        <li v-for="(one, i) in fold.styles.unfolded" :key="i">
          {{ one.what }}, {{ count(one.texts.length, 'text') }}: {{ one.why }}.
          <DoButton
            label="Point"
            :aria-label="`Point at what was not folded: ${one.what}`"
            @click="point(one.texts)"
          />
        </li>
      </ul>
    </div>
    <p class="quiet small">
      {{ percent(FOLD_LIMITS.share, 0) }} of the text stays within {{ plainNumber(within) }} px, in
      at most {{ FOLD_LIMITS.steps }} steps.
    </p>
  </section>
</template>

<style scoped>
.fold {
  display: grid;
  gap: 14px;
  padding: 0 20px 24px;
}
.part {
  display: grid;
  gap: 6px;
  justify-items: start;
  padding-top: 8px;
  border-top: 1px solid var(--rule);
}
table {
  width: 100%;
}
th[scope='row'] {
  text-align: left;
  font-weight: 550;
}
.what {
  white-space: nowrap;
}
.where {
  overflow-wrap: anywhere;
}
.styles td {
  vertical-align: top;
}
h2 {
  margin: 0;
  font-size: 14px;
}
ul {
  margin: 0;
  padding-left: 18px;
}
p {
  margin: 0;
}
</style>
