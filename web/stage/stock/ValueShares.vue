<script setup lang="ts">
import { valueShares as say } from './words';
import {
  gatherNear,
  lookOf,
  nearWeight,
  sharesOf,
  type Gathered,
  type Share,
  type Stock,
  type StockText,
  type TextLook,
} from '@lettera/core/stock';
import { hexOf } from '@lettera/core/css';
import { computed } from 'vue';
import DoButton from '../../control/DoButton.vue';
import FiguresTable from '../../control/FiguresTable.vue';
import { count, percent, plainNumber } from '../../control/figures';
import { usePlaces } from './places';
import ShareBar from './ShareBar.vue';

/** The other values of a site's type by how much text has each, near ones gathered. */
const props = defineProps<{ stock: Stock }>();
const { point } = usePlaces(() => props.stock);

interface Row {
  words: string;
  share: number;
  texts: readonly number[];
  colour?: string;
}

const look = (text: StockText): TextLook => lookOf(props.stock, text, 'wide');
const numbers = (valueOf: (text: StockText) => number | null): Share<number>[] =>
  sharesOf(props.stock, valueOf);

const rowsOf = (gathered: readonly Gathered[], words: (values: string) => string): Row[] =>
  gathered.map(({ values, share, texts }) => ({
    words: words(values.map(({ value }) => plainNumber(value)).join(', ')),
    share,
    texts,
  }));

const rounded = (value: number, by: number): number => Math.round(value / by) * by;
const nearLine = (a: number, b: number): boolean => Math.abs(a - b) <= 0.05 + 1e-9;
const nearSpace = (a: number, b: number): boolean => Math.abs(a - b) <= 0.005 + 1e-9;

const parts = computed((): { title: string; rows: Row[] }[] => [
  {
    title: say.weights,
    rows: rowsOf(
      gatherNear(
        numbers((text) => look(text).weight),
        nearWeight,
      ),
      (values) => values,
    ),
  },
  {
    title: say.lineHeights,
    rows: [
      ...rowsOf(
        gatherNear(
          numbers((text) => {
            const { lineHeight, size } = look(text);
            return lineHeight === null || size === 0 ? null : rounded(lineHeight / size, 0.01);
          }),
          nearLine,
        ),
        (values) => say.ofSize(values),
      ),
      ...sharesOf(props.stock, (text) => (look(text).lineHeight === null ? 'normal' : null)).map(
        ({ share, texts }) => ({ words: say.normalWhichFacesOwn, share, texts }),
      ),
    ],
  },
  {
    title: say.letterSpacings,
    rows: rowsOf(
      gatherNear(
        numbers((text) => {
          const { letterSpacing, size } = look(text);
          return size === 0 ? null : rounded(letterSpacing / size, 0.001);
        }),
        nearSpace,
      ),
      (values) => (values === '0' ? 'none' : `${values} em`),
    ),
  },
  {
    title: say.colours,
    rows: sharesOf(props.stock, (text) => hexOf(look(text).colour)).map(
      ({ value, share, texts }): Row => ({ words: value, share, texts, colour: value }),
    ),
  },
]);
</script>

<template>
  <section v-for="part in parts" :key="part.title">
    <FiguresTable class="shares">
      <caption>
        {{
          part.title
        }}
      </caption>
      <thead class="visually-hidden">
        <tr>
          <th scope="col">{{ say.value }}</th>
          <th scope="col">{{ say.ofText }}</th>
          <th scope="col">{{ say.asBar }}</th>
          <th scope="col">{{ say.where }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in part.rows" :key="row.words">
          <th scope="row">
            <span
              v-if="row.colour"
              class="swatch"
              :style="{ background: row.colour }"
              aria-hidden="true"
            />
            {{ row.words }}
          </th>
          <td class="figure of">{{ percent(row.share) }}</td>
          <td class="bar"><ShareBar :share="row.share" /></td>
          <td class="where">
            <DoButton
              class="on-point"
              :label="say.showOnPage"
              :aria-label="
                say.showOnPageTexts(count(row.texts.length, 'text'), part.title, row.words)
              "
              @click="point(row.texts)"
            />
          </td>
        </tr>
      </tbody>
    </FiguresTable>
  </section>
</template>

<style scoped>
caption {
  padding-bottom: 2px;
  text-align: left;
  font-weight: 550;
}
.of {
  width: 70px;
}
.bar {
  width: 140px;
}
.where {
  width: 60px;
}
.swatch {
  display: inline-block;
  width: 12px;
  height: 12px;
  margin-right: 4px;
  vertical-align: -2px;
  border: 1px solid var(--rule);
}
</style>
