<script setup lang="ts">
import { foldView as say } from './words';
import type { ProjectDocument } from '@lettera/core/document';
import { patchBetween } from '@lettera/core/change';
import {
  charactersOfStock,
  FOLD_LIMITS,
  STYLE_TOLERANCE,
  movesTogether,
  type FoldChoice,
  type GivenSeries,
  type Moves,
  type Stock,
  type StockView,
} from '@lettera/core/stock';
import { computed, ref, shallowRef, watch } from 'vue';
import ChoiceSet from '../../control/ChoiceSet.vue';
import DoButton from '../../control/DoButton.vue';
import FiguresTable from '../../control/FiguresTable.vue';
import NumberField from '../../control/NumberField.vue';
import OnOff from '../../control/OnOff.vue';
import { count, percent, pixels, plainNumber } from '../../control/figures';
import { useKeys } from '../../control/keys';
import { useFramework } from '../../proof/builtOn';
import UnseenPage from '../../proof/UnseenPage.vue';
import { useProject } from '../../store/project';
import { useFoldProposal } from '../../store/foldProposal';
import { useProof } from '../../store/proof';
import { useStock } from '../../store/stock';
import FoldScale from './FoldScale.vue';
import FoldVoices from './FoldVoices.vue';
import { useMeasuredMoves } from './measuredMoves';
import NameField from './NameField.vue';
import { usePlaces } from './places';

/** What the site would be as voices, a scale and styles: looked at on the page, and taken in parts or whole. */
const props = defineProps<{ stock: Stock; view: StockView }>();
const project = useProject();
const site = useStock();
const proof = useProof();
const { point } = usePlaces(() => props.stock);

const voices = ref(true);
const scale = ref(true);
const styles = ref(true);
const within = ref<number>(FOLD_LIMITS.within);
const series = shallowRef<GivenSeries | null>(null);
const families = shallowRef<Readonly<Record<string, string | null>>>({});
const voiceNames = shallowRef<Readonly<Record<string, string>>>({});
const styleNames = shallowRef<Readonly<Record<string, string>>>({});
const left = shallowRef<readonly string[]>([]);

/** The project without what is looked at: what a fold is taken into. */
const document = computed(() => project.document);
const choice = computed((): FoldChoice => ({
  voices: voices.value,
  scale: scale.value,
  styles: styles.value,
  limits: { ...FOLD_LIMITS, within: within.value },
  tolerance: STYLE_TOLERANCE,
  families: families.value,
  series: series.value,
  names: { voices: voiceNames.value, styles: styleNames.value },
  left: left.value,
}));
const {
  proposal: fold,
  state,
  fault,
  stop,
  again,
} = useFoldProposal(
  () => ({ stock: props.stock, view: props.view }),
  () => document.value,
  () => choice.value,
);

const shown = computed({
  get: () => (site.folded === null ? 'is' : 'folded'),
  set: (value: 'is' | 'folded') =>
    (site.folded = value === 'folded' ? (fold.value?.patch ?? null) : null),
});
watch(fold, (now) => {
  if (site.folded !== null) site.folded = now?.patch ?? null;
});
useKeys(say.inTakeStock, [
  {
    keys: 'b',
    does: say.siteAsOnProof,
    run: () => (shown.value = shown.value === 'is' ? 'folded' : 'is'),
  },
]);

function moveInWords(move: Moves): string {
  if (move.texts === 0) return say.nothingMoves;
  const by = [
    move.most >= 0.1 ? say.upTo(pixels(move.most)) : null,
    move.weight >= 10 ? say.inWeight(Math.round(move.weight)) : null,
  ].filter(Boolean);
  return [
    say.movesOf(move.texts, count(move.of, 'text'), move.texts === 1 ? 'moves' : 'move'),
    by.length > 0 ? say.byHowMuch(by.join(' and ')) : '',
    move.turned > 0 ? say.uprightOrSlantedNot(move.turned, move.turned === 1 ? 'was' : 'were') : '',
  ].join('');
}

const {
  moved,
  progress: measuring,
  failed: unmeasured,
  source,
  onLoad,
  stop: stopMeasuring,
} = useMeasuredMoves(
  () => ({ stock: props.stock, slugs: site.read?.slugs ?? [] }),
  () => ({
    document: document.value,
    patch: styles.value && fold.value?.isPossible ? fold.value.patch : null,
  }),
);
/** What moves of some texts: as measured, and estimated until then. */
const movesOf = (estimated: Moves, texts: readonly number[]): Moves =>
  moved.value
    ? movesTogether(texts.flatMap((number) => moved.value?.get(number) ?? []))
    : estimated;
const allMoves = computed(() =>
  movesOf(fold.value?.moves ?? movesTogether([]), [...props.stock.texts.keys()]),
);

/** Widths at which the site sets type otherwise, which come with the styles. */
const widths = computed(() => {
  const found = fold.value?.patch.find(({ path }) => path === '/widths');
  const value = found && 'value' in found ? (found.value as ProjectDocument['widths']) : {};
  return Object.values(value ?? {})
    .map(({ name }) => name)
    .join(', ');
});
/** What the site is built on, whose parts can be text elements once it is a page of the project. */
const built = useFramework(() => proof.shownPage);

function leave(key: string, on: boolean): void {
  left.value = on ? left.value.filter((one) => one !== key) : [...left.value, key];
}

/** The project as it was made by taking; it is shown as long as it stands so. */
const takenAs = shallowRef<ProjectDocument | null>(null);
const isTaken = computed(
  () =>
    takenAs.value !== null &&
    document.value !== null &&
    patchBetween(takenAs.value, document.value).length === 0,
);
function take(): void {
  if (!fold.value) return;
  const change = fold.value.patch;
  site.folded = null;
  takenAs.value = project.change([...change]) ? project.document : null;
}
/** Why nothing can be taken; undefined where it can. */
const whyNot = computed(() => {
  if (!voices.value && !scale.value && !styles.value) return say.nothingOn;
  if (state.value !== 'ready') return say.itNotBeenFolded;
  return fold.value?.isPossible ? undefined : say.projectCannotBeMade;
});

const selectorsOf = (style: string): string =>
  fold.value?.elements
    .filter(({ element }) => element.style === style)
    .flatMap(({ element }) => element.selectors)
    .join(', ') ?? '';
</script>

<template>
  <p v-if="fault" role="alert" class="notice mark-text">
    {{ say.nothingWasChanged(fault) }} <DoButton :label="say.tryAgain" @click="again" />
  </p>
  <p v-else-if="state === 'stopped'" role="status" class="notice">
    {{ say.foldingWasStopped }} <DoButton :label="say.foldAfterAll" first @click="again" />
  </p>
  <p v-else-if="state === 'folding' && !fold" role="status" class="notice line">
    {{ say.folding(count(stock.texts.length, 'text')) }}
    <DoButton :label="say.stop" @click="stop" />
  </p>
  <UnseenPage v-if="source" ref="unseen" :source="source" @load="onLoad" />
  <section v-if="fold" class="fold" :aria-busy="state === 'folding'">
    <div class="line wrap take">
      <DoButton :label="say.applyWhatTicked" first :why="whyNot" @click="take" />
      <ChoiceSet
        v-model="shown"
        :label="say.onPage"
        :choices="[
          { value: 'is', label: say.siteAs },
          { value: 'folded', label: say.foldedB },
        ]"
      />
      <span v-if="state === 'folding'" class="line late" role="status">
        {{ say.foldingAnew }} <DoButton :label="say.stop" @click="stop" />
      </span>
      <span v-else-if="styles" role="status" class="moves"
        >{{ moveInWords(allMoves)
        }}<template v-if="allMoves.texts">{{ say.inMean(pixels(allMoves.mean)) }}</template
        >{{
          moved ? say.asLaidOutOn(count(stock.pages.length, 'page')) : say.estimatedFromStylesAlone
        }}</span
      >
      <span v-if="measuring" class="line late">
        {{ say.layingOut(measuring.title) }} <DoButton :label="say.stop" @click="stopMeasuring" />
      </span>
      <span v-else-if="unmeasured" role="alert" class="mark-text">{{ unmeasured }}</span>
    </div>
    <p v-if="isTaken" role="status">
      {{ say.takenAsOneChange }}
    </p>
    <p v-if="project.refusal" role="alert" class="mark-text">{{ project.refusal.message }}</p>

    <div class="part">
      <OnOff v-model="voices" :label="say.familiesVoices" />
      <FoldVoices
        v-if="voices"
        :voices="fold.voices"
        :names="voiceNames"
        :families="families"
        @name="(key, name) => (voiceNames = { ...voiceNames, [key]: name })"
        @family="(key, family) => (families = { ...families, [key]: family })"
      />
    </div>

    <div class="part">
      <div class="line wrap">
        <OnOff v-model="scale" :label="say.sizesScale" />
        <NumberField
          v-if="scale"
          v-model="within"
          :label="say.sizesMayMoveBy"
          :min="0.1"
          :max="8"
          :step="0.5"
          unit="px"
        />
      </div>
      <FoldScale
        v-if="scale && fold.scale"
        :scale="fold.scale"
        :characters="charactersOfStock(stock)"
        :series="series"
        @series="series = $event"
      />
    </div>

    <div class="part">
      <OnOff v-model="styles" :label="say.textsStyles" />
      <p v-if="styles && widths.length" class="small quiet">{{ say.widthsToo(widths) }}</p>
      <p v-if="styles && built" class="small quiet">{{ say.builtOn(built.name) }}</p>
      <FiguresTable v-if="styles" class="styles">
        <thead>
          <tr>
            <th scope="col">{{ say.style }}</th>
            <th scope="col">{{ say.where }}</th>
            <th scope="col">{{ say.whatMoves }}</th>
            <th scope="col"></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="{ key, style, texts, characters, moves } in fold.styles" :key="key">
            <th scope="row">
              <NameField
                :label="say.nameStyle(style.name)"
                :proposed="style.name"
                :given="styleNames[key]"
                @name="styleNames = { ...styleNames, [key]: $event }"
              />
            </th>
            <td class="where">
              {{ selectorsOf(key) }}
              <span v-if="texts.length" class="quiet">{{ count(texts.length, 'text') }}</span>
            </td>
            <td>{{ characters ? moveInWords(movesOf(moves, texts)) : '' }}</td>
            <td>
              <span class="line">
                <DoButton
                  v-if="texts.length"
                  class="on-point"
                  :label="say.showOnPage"
                  :aria-label="say.showOnPageName(style.name)"
                  @click="point(texts)"
                />
                <OnOff
                  v-if="key !== 'body'"
                  :model-value="!left.includes(key)"
                  :label="say.fold"
                  :aria-label="say.foldName(style.name)"
                  @update:model-value="leave(key, $event)"
                />
              </span>
            </td>
          </tr>
        </tbody>
      </FiguresTable>
    </div>

    <div v-if="styles && fold.unfolded.length" class="part">
      <h2>{{ say.whatCouldNotBe }}</h2>
      <ul>
        <li v-for="(one, i) in fold.unfolded" :key="i">
          {{ one.what }}, {{ count(one.texts.length, 'text') }}: {{ one.why }}.
          <DoButton
            class="on-point"
            :label="say.showOnPage"
            :aria-label="say.showOnPageWhat(one.what)"
            @click="point(one.texts)"
          />
        </li>
      </ul>
    </div>
    <p class="quiet small">
      {{
        say.ofTextStaysWithin(percent(FOLD_LIMITS.share, 0), plainNumber(within), FOLD_LIMITS.steps)
      }}
    </p>
  </section>
</template>

<style scoped>
.notice {
  padding: 0 var(--edge);
}
/* What is there at once is not said to be on its way. */
.late {
  animation: come 0s 0.5s backwards;
}
@keyframes come {
  from {
    visibility: hidden;
  }
}
.fold {
  display: grid;
  gap: 14px;
  padding: 0 var(--edge) 24px;
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
