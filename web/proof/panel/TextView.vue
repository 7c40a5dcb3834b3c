<script setup lang="ts">
import { textView as say } from './words';
import { sizeInViewport } from '@lettera/core/style';
import { computed, ref, shallowRef, watch } from 'vue';
import { debounce } from '../../control/debounce';
import { count } from '../../control/figures';
import TextArea from '../../control/TextArea.vue';
import DoButton from '../../control/DoButton.vue';
import FiguresTable from '../../control/FiguresTable.vue';
import { useOwnPages } from '../../store/ownPages';
import { usePlans } from '../../store/plans';
import { useProject } from '../../store/project';
import { useProof } from '../../store/proof';
import { restingBetween, Stopped } from '../../reader/breathe';
import { NO_RULES } from './pageCascade';
import { textRunsOf } from '../pageText';
import { textFactsOf, type TextFacts } from './textFacts';
import { onlyHerePatch } from './claim';
import { pagesRead, placesEverywhere } from './placesEverywhere';
import { placeSelector } from '../../reader/placeSelector';

/** All that is known of the text that was clicked, as the browser sets it now. */
const project = useProject();
const proof = useProof();
const own = useOwnPages();
const plans = usePlans();

const facts = shallowRef<TextFacts | null>(null);
/** Where its style is worn on all pages; null before they have been looked through. */
const everywhere = shallowRef<{ places: number; pages: number } | null>(null);
const REST = 200;

async function look(): Promise<void> {
  const { node } = proof;
  const document = project.shown;
  if (!node?.isConnected || !document) {
    facts.value = null;
    return;
  }
  await node.ownerDocument.fonts.ready;
  if (node !== proof.node) return;
  const work = textFactsOf(document, plans.fallbackOf(document), node, own.account ?? NO_RULES);
  const found = await restingBetween(work, () => node !== proof.node);
  facts.value = found;
  const { style } = found;
  everywhere.value = style
    ? await placesEverywhere(
        document,
        style,
        project.id,
        project.pages.map(({ slug }) => slug),
      )
    : null;
}
const begin = (): void => {
  look().catch((error: unknown) => {
    if (!(error instanceof Stopped)) throw error;
  });
};
const soon = debounce(begin, REST);
watch([() => proof.node, () => own.account], begin, { immediate: true });
watch([() => project.shown, () => proof.width, () => proof.fonts, () => proof.ground], soon);

const px = (value: number): string => `${Number(value.toFixed(2))} px`;
const ends = computed(() => {
  const document = project.shown;
  const step = facts.value?.step ?? null;
  if (!document || step === null) return null;
  const { small, large } = document.scale;
  return [small, large].map(({ width }) =>
    say.at(px(sizeInViewport(document, step, width)), width),
  );
});

/** The number of the first run of text in the element, and what stands there. */
const run = computed(() => {
  const { node, shownPage } = proof;
  if (!node || !shownPage || facts.value === null) return null;
  const number = textRunsOf(shownPage).findIndex(({ parentElement }) => parentElement === node);
  return number < 0 ? null : number;
});
const typed = ref('');
watch(
  facts,
  () => {
    const { node } = proof;
    typed.value =
      [...(node?.childNodes ?? [])]
        .find((child) => child.nodeType === Node.TEXT_NODE && child.nodeValue?.trim())
        ?.nodeValue?.replace(/\s+/g, ' ')
        .trim() ?? '';
  },
  { immediate: true },
);
const isTyped = computed(
  () => run.value !== null && project.shown?.typed?.[proof.page]?.texts[run.value] !== undefined,
);
function type(): void {
  if (run.value === null || !typed.value.trim()) return;
  const { page } = proof;
  const path = `/typed/${page}`;
  const { typed: all } = project.document ?? {};
  const value = { texts: { [run.value]: typed.value } };
  if (!all) project.change([{ op: 'add', path: '/typed', value: { [page]: value } }]);
  else if (!all[page]) project.change([{ op: 'add', path, value }]);
  else project.change([{ op: 'add', path: `${path}/texts/${run.value}`, value: typed.value }]);
}
const giveBack = () =>
  project.change([{ op: 'remove', path: `/typed/${proof.page}/texts/${run.value}` }]);

async function onlyHere(): Promise<void> {
  const { node, page: shown } = proof;
  const slugs = project.pages.map(({ slug }) => slug).filter((slug) => slug !== shown);
  const others = await pagesRead(project.id, slugs);
  if (node !== proof.node) return;
  const { document } = project;
  const style = facts.value?.style;
  if (!node || !document || !style) return;
  const made = onlyHerePatch(document, { style, selector: placeSelector(node, others) });
  if (project.change(made.patch)) proof.style = made.style;
}
</script>

<template>
  <p v-if="!facts" class="quiet">{{ say.clickTextPageSee }}</p>
  <template v-else>
    <dl class="l-facts">
      <dt>{{ say.style }}</dt>
      <dd>
        {{
          facts.element
            ? (project.shown?.styles[facts.style ?? '']?.name ?? '')
            : say.noneNoTextElement
        }}<template v-if="facts.element"
          >{{ say.usedByOnPage(project.shown?.elements[facts.element]?.name ?? '', facts.places)
          }}<template v-if="everywhere">{{
            say.onPages(everywhere.places, count(everywhere.pages, 'page'))
          }}</template></template
        >
      </dd>
      <dt>{{ say.size }}</dt>
      <dd>
        {{ px(facts.size) }}<template v-if="ends"> {{ say.herePxWidth(ends.join(', ')) }}</template>
      </dd>
      <dt>{{ say.line }}</dt>
      <dd>
        {{ say.high(px(facts.lineHeight))
        }}<template v-if="facts.measure">{{ say.aboutCharacters(facts.measure) }}</template>
      </dd>
      <dt>{{ say.weight }}</dt>
      <dd>
        {{ say.asked(facts.weight.asked)
        }}<template v-if="facts.weight.shown !== null">{{
          say.shown(facts.weight.shown, facts.weight.faked ? say.thickenedByBrowser : '')
        }}</template>
      </dd>
      <dt>{{ say.face }}</dt>
      <dd>
        <span v-for="face in facts.faces" :key="face.family" class="face">
          <b>{{ face.family }}</b>, {{ face.source
          }}<template v-if="facts.faces.length > 1"
            >: <span class="letters">{{ [...face.letters].join(' ') }}</span></template
          >
        </span>
        <span class="small quiet">{{ say.knownByWidthBrowser }}</span>
      </dd>
      <dt>{{ say.contrast }}</dt>
      <dd>
        <template v-if="'ratio' in facts.contrast">{{
          say.toOn(facts.contrast.ratio.toFixed(2), facts.contrast.ground)
        }}</template>
        <template v-else>{{ say.unknown(facts.contrast.unknown) }}</template>
      </dd>
    </dl>
    <FiguresTable>
      <thead>
        <tr>
          <th scope="col">{{ say.property }}</th>
          <th scope="col">{{ say.value }}</th>
          <th scope="col">{{ say.from }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in facts.properties" :key="one.css">
          <td>{{ one.label }}</td>
          <td class="value">{{ one.value }}</td>
          <td :class="{ overruled: !one.follows }">
            {{ one.follows ? '' : say.overruledBy }}{{ one.by }}
          </td>
        </tr>
      </tbody>
    </FiguresTable>
    <form v-if="run !== null" class="typed" @submit.prevent="type">
      <label>
        <span>{{ say.wordsOnPage }}</span>
        <TextArea v-model="typed" rows="2" fluid />
      </label>
      <span class="line wrap">
        <DoButton :label="say.setTheseWords" type="submit" />
        <DoButton v-if="isTyped" :label="say.givePagesOwnBack" @click="giveBack" />
        <DoButton v-if="facts.style" :label="say.styleOnlyHere" @click="onlyHere" />
      </span>
    </form>
  </template>
</template>

<style scoped>
.face {
  display: block;
}
.letters {
  letter-spacing: 0.05em;
}
.value {
  overflow-wrap: anywhere;
}
.overruled {
  color: var(--local);
}
.typed {
  display: grid;
  gap: 6px;
  margin-top: 10px;
}
.typed label {
  display: grid;
}
.typed textarea {
  width: 100%;
  resize: vertical;
}
</style>
