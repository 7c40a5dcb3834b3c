<script setup lang="ts">
import { textHere as say } from './words';
import {
  charactersOfStock,
  lookOf,
  stockDescriptor,
  provenanceAt,
  STOCK_PROPERTIES,
  type Stock,
  type StockProperty,
} from '@lettera/core/stock';
import { hexOf } from '@lettera/core/css';
import { computed } from 'vue';
import DoButton from '../../control/DoButton.vue';
import FiguresTable from '../../control/FiguresTable.vue';
import { count, percent, pixels } from '../../control/figures';
import { overriddenOf } from '../../reader/stockReader';
import { useOwnPages } from '../../store/ownPages';
import { useProof } from '../../store/proof';
import { usePlaces } from './places';
import { sourceInWords } from './inWords';

/** The text that was clicked on the page: how it is set, where each property comes from, and how much is like it. */
const props = defineProps<{ stock: Stock; slugs: readonly string[] }>();
const { point, clicked, node } = usePlaces(() => props.stock);
const proof = useProof();
const own = useOwnPages();

/** Declarations that lose are reported at most, of a property. */
const MOST_LOSING = 4;
/** A text of a site has a family where a style has a voice. */
const labelOf = (property: StockProperty): string =>
  property === 'font-family' ? say.family : stockDescriptor(property).label;

const text = computed(() =>
  clicked.value === null ? null : (props.stock.texts[clicked.value] ?? null),
);
const look = computed(() => text.value && lookOf(props.stock, text.value, 'wide'));
const narrow = computed(() => text.value && lookOf(props.stock, text.value, 'narrow'));
/** How it is known which face draws it. */
const known = computed(() =>
  props.stock.pages[text.value?.page ?? -1]?.live
    ? say.byWidthsLettersWhere
    : say.byWidthsLettersAs,
);
const face = computed(() => {
  if (!look.value) return '';
  const { face: shown, stack } = look.value;
  const [asked = ''] = stack;
  if (shown === null) return say.asksFontBrowserLooks(asked);
  return shown.toLowerCase() === asked.toLowerCase() ? shown : say.asksShows(asked, shown);
});
/** Texts that look the same at both ends. */
const alike = computed(() => {
  const one = text.value;
  if (!one) return [];
  return props.stock.texts.flatMap((other, number) =>
    other.wide.look === one.wide.look && other.narrow.look === one.narrow.look ? [number] : [],
  );
});
const share = computed(() => {
  const characters = alike.value.reduce(
    (sum, number) => sum + (props.stock.texts[number]?.characters ?? 0),
    0,
  );
  return characters / Math.max(1, charactersOfStock(props.stock));
});

function valueOf(property: StockProperty): string {
  const [wide, small] = [look.value, narrow.value];
  if (!wide || !small) return '';
  const both = (a: string, b: string) => (a === b ? a : say.fromTo(b, a));
  switch (property) {
    case 'font-family':
      return wide.stack.join(', ');
    case 'font-size':
      return both(pixels(wide.size), pixels(small.size));
    case 'font-weight':
      return both(String(wide.weight), String(small.weight));
    case 'font-style':
      return wide.slant;
    case 'line-height':
      return wide.lineHeight === null
        ? 'normal'
        : `${(wide.lineHeight / wide.size).toFixed(2)}, ${pixels(wide.lineHeight)}`;
    case 'letter-spacing':
      return wide.letterSpacing === 0 ? 'none' : pixels(wide.letterSpacing);
    case 'text-transform':
      return wide.letterCase === 'none' ? say.asTyped : wide.letterCase;
    case 'color':
      return wide.ground === null
        ? hexOf(wide.colour)
        : say.colourOn(hexOf(wide.colour), hexOf(wide.ground));
  }
}
/** What loses on the page that is shown, once its rules have come. */
const overridden = computed(() => {
  const { shownPage } = proof;
  return shownPage && own.account ? overriddenOf(shownPage, own.account) : null;
});
const rows = computed(() => {
  const one = text.value;
  if (!one) return [];
  const losing = node.value && overridden.value ? overridden.value(node.value) : {};
  return STOCK_PROPERTIES.map((property) => {
    const { source, from } = provenanceAt(props.stock, one, 'wide', property);
    const by = sourceInWords(source);
    return {
      property,
      value: valueOf(property),
      by: from === null ? by : say.fromAround(from, by),
      over: (losing[property] ?? []).slice(0, MOST_LOSING).map(sourceInWords),
    };
  });
});
</script>

<template>
  <section v-if="text" class="here" :aria-label="say.textWasClicked">
    <p class="line wrap">
      <b class="words">“{{ text.words }}”</b> <span>{{ face }}</span>
      <span class="small quiet">{{ say.known(known) }}</span>
    </p>
    <FiguresTable>
      <tbody>
        <tr v-for="row in rows" :key="row.property">
          <th scope="row">{{ labelOf(row.property) }}</th>
          <td>{{ row.value }}</td>
          <td class="quiet">
            {{ row.by }}
            <span v-for="(one, i) in row.over" :key="i" class="over">{{ say.over(one) }}</span>
          </td>
        </tr>
      </tbody>
    </FiguresTable>
    <p class="line wrap">
      {{ say.ofSitesTextSet(percent(share)) }}
      <DoButton :label="say.showOnPage(count(alike.length, 'text'))" @click="point(alike)" />
    </p>
  </section>
  <p v-else class="small quiet none">
    {{ say.clickAnyTextPage }}
  </p>
</template>

<style scoped>
.none {
  padding: 0 var(--edge);
  margin: 0 0 8px;
}
.here {
  margin: 0 var(--edge) 12px;
  padding: 8px 0;
  border-top: 1px solid var(--rule);
  border-bottom: 1px solid var(--rule);
}
.over {
  display: block;
}
.words {
  overflow-wrap: anywhere;
}
th,
td {
  padding-block: 2px;
}
th {
  width: 110px;
  text-align: left;
}
td {
  font-size: 12px;
  overflow-wrap: anywhere;
}
p {
  margin: 0 0 6px;
}
</style>
