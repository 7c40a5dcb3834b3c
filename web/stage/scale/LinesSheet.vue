<script setup lang="ts">
import { linesSheet as say } from './words';
import { SCALE_BOUNDS, type Patch, type ProjectDocument } from '@lettera/core/document';
import {
  fitLineMeasure,
  lineOnGrid,
  lineMeasureOf,
  resolveInUse,
  roleOf,
  stepOf,
  stylesInUse,
  suggestedFor,
  spacingHere,
  sizeInViewport,
} from '@lettera/core/style';
import { computed } from 'vue';
import DoButton from '../../control/DoButton.vue';
import FiguresTable from '../../control/FiguresTable.vue';
import OnOff from '../../control/OnOff.vue';
import NumberField from '../../control/NumberField.vue';
import { plainNumber } from '../../control/figures';
import { useLengthUnit } from '../../control/lengthUnit';
import { useMarks } from '../../store/marks';
import { useProof } from '../../store/proof';
import { useScaleDraft } from '../../store/scaleDraft';
import { caseFont } from '../../proof/caseFonts';
import ScaleNumber from './ScaleNumber.vue';

/** The measure and the line height of every style in use, at the proof's width, with what is suggested. */
const props = defineProps<{ document: ProjectDocument }>();

const proof = useProof();
const draft = useScaleDraft();
const marks = useMarks();
const lengths = useLengthUnit();

/** Why there are no measures, where there are none. */
const unmeasured = computed(() => {
  if (marks.evidence.page) return '';
  if (proof.folded) return say.showProofLinesPage;
  return proof.fonts === 'fallback' ? say.proofShowsFallbackFaces : say.pageOnProofBeing;
});

/** A line height this near to what is suggested is left alone. */
const NEAR = 0.03;

const rows = computed(() => {
  const { document } = props;
  const { page } = marks.evidence;
  return stylesInUse(document).map((key) => {
    const resolved = resolveInUse(document, key);
    const size = sizeInViewport(document, stepOf(document, key), proof.width);
    const text = page?.texts[key];
    const measure = text
      ? lineMeasureOf(text, size, spacingHere(document, resolved, proof.width))
      : null;
    const fit = fitLineMeasure(roleOf(document, key), proof.width);
    const lineHeight = resolved.lineHeight.value;
    const suggested = suggestedFor(document, key, marks.evidence);
    const seat = document.voices[resolved.voice.value ?? ''];
    const { grid } = document.scale;
    return {
      key,
      name: document.styles[key]?.name ?? key,
      size,
      measure,
      column: text?.column ?? null,
      unfit: measure !== null && fit !== null && (measure < fit.least || measure > fit.most),
      lineHeight,
      line: grid ? lineOnGrid(size, lineHeight, grid) : size * lineHeight,
      isSet: resolved.lineHeight.origin === 'set',
      suggested,
      offered: suggested !== null && Math.abs(suggested.value - lineHeight) > NEAR,
      font: {
        fontFamily: caseFont(seat?.family, seat?.generic),
        fontWeight: resolved.weight.value,
        fontStyle: resolved.slant.value,
      },
    };
  });
});
type Row = (typeof rows.value)[number];

const set = (key: string, value: number): Patch => [
  { op: 'add', path: `/styles/${key}/set/lineHeight`, value },
];
const suggestion = ({ key, suggested }: Row): Patch => (suggested ? set(key, suggested.value) : []);
/** What is set stays: only styles whose line height follows are given the suggestion together. */
const open = computed(() => rows.value.filter(({ offered, isSet }) => offered && !isSet));
const all = computed(() => rows.value.filter(({ offered }) => offered));

function reset({ key, isSet }: Row): void {
  if (isSet && key !== 'body')
    draft.change([{ op: 'remove', path: `/styles/${key}/set/lineHeight` }]);
}

const DEFAULT_GRID = 4;
function toggleGrid(on: boolean): void {
  draft.change(
    on
      ? [{ op: 'add', path: '/scale/grid', value: DEFAULT_GRID }]
      : [{ op: 'remove', path: '/scale/grid' }],
  );
}
</script>

<template>
  <p v-if="unmeasured" class="quiet" role="status">{{ unmeasured }}</p>
  <div class="line wrap actions">
    <OnOff
      :label="say.linesOnBaselineGrid"
      :model-value="document.scale.grid !== undefined"
      @update:model-value="toggleGrid"
    />
    <ScaleNumber
      v-if="document.scale.grid !== undefined"
      :label="say.ofWidth"
      path="grid"
      :value="document.scale.grid"
      :bounds="SCALE_BOUNDS.grid"
      :step="1"
      unit="size"
      width="52px"
    />
    <span class="takes">
      <DoButton
        v-if="open.length"
        :label="say.useStylesSetNone(open.length)"
        @mouseenter="draft.look(open.flatMap(suggestion))"
        @mouseleave="draft.look(null)"
        @click="draft.change(open.flatMap(suggestion))"
        first
      />
      <DoButton
        v-if="all.length"
        :label="say.useAllSuggestions(all.length)"
        @mouseenter="draft.look(all.flatMap(suggestion))"
        @mouseleave="draft.look(null)"
        @click="draft.change(all.flatMap(suggestion))"
      />
    </span>
  </div>
  <FiguresTable>
    <thead>
      <tr>
        <th>{{ say.styleOnTwoLines }}</th>
        <th class="figure">{{ say.measure }}</th>
        <th class="figure">{{ say.lineHeight }}</th>
        <th class="figure">{{ say.line }}</th>
        <th class="figure">{{ say.suggested }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.key" :data-style="row.key">
        <td>
          <span class="small quiet">{{ row.name }}, {{ lengths.show(row.size) }}</span>
          <span
            class="whole-lines two"
            :style="{
              ...row.font,
              fontSize: `${Math.min(row.size, 22)}px`,
              lineHeight: row.lineHeight,
            }"
            >{{ document.words }}, {{ document.words }}</span
          >
        </td>
        <td class="figure" :class="{ unfit: row.unfit }">
          <template v-if="row.measure !== null"
            >{{ say.characters(Math.round(row.measure)) }}<br /><span class="small quiet">{{
              say.inPx(Math.round(row.column ?? 0))
            }}</span></template
          ><span v-else class="small quiet">{{ say.notOnPage }}</span>
        </td>
        <td class="figure">
          <NumberField
            :label="say.lineHeightName(row.name)"
            hide-label
            :class="{ hand: row.isSet }"
            :model-value="row.lineHeight"
            :min="0.5"
            :max="4"
            :step="0.05"
            width="52px"
            @update:model-value="draft.change(set(row.key, $event))"
            @reset="reset(row)"
          />
        </td>
        <td class="figure">{{ lengths.show(row.line) }}</td>
        <td class="figure">
          <template v-if="row.suggested">
            <DoButton
              v-if="row.offered"
              :title="
                say.xHeightEm(
                  plainNumber(row.suggested.xHeight),
                  lengths.show(row.suggested.sizes.small),
                  lengths.show(row.suggested.sizes.large),
                  row.suggested.measure
                    ? say.charactersLine(Math.round(row.suggested.measure))
                    : '',
                )
              "
              @mouseenter="draft.look(suggestion(row))"
              @mouseleave="draft.look(null)"
              @focus="draft.look(suggestion(row))"
              @blur="draft.look(null)"
              @click="draft.change(suggestion(row))"
            >
              {{ say.use(row.suggested.value.toFixed(2)) }}
            </DoButton>
            <span v-else class="quiet">{{ say.asItIs }}</span>
          </template>
          <span v-else class="small quiet">{{ say.noFaceMeasured }}</span>
        </td>
      </tr>
    </tbody>
  </FiguresTable>
  <p class="small quiet">
    <template v-if="marks.evidence.page">{{
      say.measuresThoseAtPx(marks.evidence.page.title, proof.width)
    }}</template>
    {{ say.samplesOverPxShown }}
    <template v-if="document.scale.grid"
      >{{ say.linesRoundedGridBy }} <code>--grid</code>{{ say.forSitesOwnMargins }}</template
    >
  </p>
</template>

<style scoped>
.two {
  --lines: 2;
}
.actions {
  gap: 6px 14px;
  padding-bottom: 6px;
}
.grid {
  gap: 6px;
  min-height: 24px;
}
.grid input {
  accent-color: var(--verdigris);
}
.takes {
  display: inline-flex;
  gap: 8px;
  margin-left: auto;
}
table {
  margin-bottom: 8px;
  table-layout: fixed;
}
th.figure {
  width: 86px;
}
.small {
  display: block;
}
.unfit {
  font-weight: 650;
}
/* In a narrow workbench the sample has a row of its own above its figures. */
@container (max-width: 520px) {
  table,
  thead,
  tbody {
    display: block;
  }
  tr {
    display: grid;
    grid-template-columns: repeat(4, minmax(0, 1fr));
  }
  tr > :first-child {
    grid-column: 1 / -1;
  }
  tbody td:first-child {
    border-bottom: 0;
  }
  th.figure {
    width: auto;
  }
}
.hand :deep(input) {
  font-weight: 650;
  border-color: var(--ink-2);
}
</style>
