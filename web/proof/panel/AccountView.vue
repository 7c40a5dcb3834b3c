<script setup lang="ts">
import { accountView as say } from './words';
import { isLayerName } from '@lettera/core/css';
import type { ProjectDocument } from '@lettera/core/document';
import type { Account, Overruling, UnclaimedKind } from '@lettera/core/page';
import { unclaimedKinds } from '@lettera/core/page';
import PickOne from '../../control/PickOne.vue';
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import { debounce } from '../../control/debounce';
import DoButton from '../../control/DoButton.vue';
import FiguresTable from '../../control/FiguresTable.vue';
import { count } from '../../control/figures';
import { useOwnPages } from '../../store/ownPages';
import { useProject } from '../../store/project';
import { useProof } from '../../store/proof';
import { Breather, restingBetween, Stopped } from '../../reader/breathe';
import { viewOf } from '../../reader/pageView';
import { seen, textElementsOf } from '../../reader/domTree';
import { NO_RULES, pageAccount } from './pageCascade';
import { selectorsOfAll, styledElement } from '../pageText';
import { pagesRead } from './placesEverywhere';
import { inWords } from './textFacts';
import { claimPatch, nearestStyle } from './claim';
import { waysRound, waysToWin, type TriedOn, type Trying, type WayToWin } from './leastToWin';
import FrameworkParts from './FrameworkParts.vue';
import WaysList from './WaysList.vue';

/** Who sets the text of the page shown: what overrules the project, rule by rule, and what no element claims. */
const project = useProject();
const proof = useProof();
const own = useOwnPages();

const account = shallowRef<Account<Element> | null>(null);
const triedOn = shallowRef<TriedOn<Element> | null>(null);
const unclaimed = shallowRef<(UnclaimedKind<Element> & { style: string })[]>([]);
/** How long the page rests before it is reckoned anew, milliseconds. */
const REST = 300;

/** A page of the site's own is reckoned once its style sheets have been read. */
const ready = computed(() => !project.isOwnPage(proof.page) || own.account !== null);

/** The other pages, which a selector that is proposed must suit as well. */
const others = shallowRef<readonly Document[]>([]);
watch(
  [() => proof.page, () => project.pages.length],
  async ([shown]) => {
    const slugs = project.pages.map(({ slug }) => slug).filter((slug) => slug !== shown);
    const read = await pagesRead(project.id, slugs);
    if (shown === proof.page) others.value = read;
  },
  { immediate: true },
);

/** The text element that a text is of; null where only the body's type is about it. */
function keyOfElement(document: ProjectDocument, node: Element): string | null {
  const found = styledElement(document, node);
  return found && found.node !== node.ownerDocument.body ? found.key : null;
}

/** The last time that it was begun: what was begun before is given up. */
let reckoning = 0;

async function reckon(): Promise<void> {
  const mine = ++reckoning;
  const stopped = () => mine !== reckoning;
  const { shownPage: page, width } = proof;
  const document = project.shown;
  if (!page?.defaultView || !document || !ready.value) {
    account.value = null;
    triedOn.value = null;
    return;
  }
  const rules = own.account ?? NO_RULES;
  const accountWith = (of: ProjectDocument) => pageAccount(of, page, rules);
  const now = await restingBetween(accountWith(document), stopped);
  const layers = [...new Set(rules.layers.flatMap(({ layer: [outer] }) => outer ?? []))].filter(
    (name) => isLayerName(name),
  );
  account.value = now;
  triedOn.value = { document, now, accountWith, layers };
  const left = document.delivery.leave?.join(', ');
  const claimedThere = selectorsOfAll(document);
  const free = textElementsOf(page).filter((node) => {
    const around = claimedThere && node.closest(claimedThere);
    return (!around || around === page.body) && !(left && node.closest(left));
  });
  const elsewhere = (selector: string) =>
    others.value.flatMap((other) => [...other.querySelectorAll(selector)].map(seen));
  const kinds = await restingBetween(
    unclaimedKinds(free.map(seen), viewOf(page).find, elsewhere),
    stopped,
  );
  unclaimed.value = kinds.map((kind) => {
    const [first] = kind.nodes;
    const style = first && page.defaultView?.getComputedStyle(first);
    const look = {
      size: parseFloat(style?.fontSize ?? '16'),
      weight: Number(style?.fontWeight ?? 400),
    };
    return { ...kind, style: nearestStyle(document, look, width) };
  });
}
const begin = (): void => {
  reckon().catch((error: unknown) => {
    if (!(error instanceof Stopped)) throw error;
  });
};
const soon = debounce(begin, REST);
watch([() => proof.shownPage, () => own.account], begin, { immediate: true });
onBeforeUnmount(() => reckoning++);
watch([() => project.shown, () => proof.width, others], soon);
onBeforeUnmount(() => (proof.pointedOut = []));

/** Which place of a list is pointed at, so that the next click goes on to the next. */
const at = ref<{ nodes: readonly Element[]; place: number }>({ nodes: [], place: -1 });
function point(nodes: readonly Element[]): void {
  const place = at.value.nodes === nodes ? (at.value.place + 1) % nodes.length : 0;
  at.value = { nodes, place };
  proof.pointedOut = nodes;
  nodes[place]?.scrollIntoView({ block: 'center' });
}

const keyOf = ({ by }: Overruling<Element>): string => inWords(by);

/** What overrules and is looked at closer, and the ways round it. */
const opened = ref('');
const lookedAt = computed(() =>
  account.value?.overruling.find((overruling) => keyOf(overruling) === opened.value),
);
const claimed = computed(() => {
  const on = triedOn.value;
  return (node: Element) => (on ? keyOfElement(on.document, node) : null);
});
const unclaimedThere = computed(
  () => lookedAt.value?.texts.filter((node) => claimed.value(node) === null).length ?? 0,
);

/** Ways as they are found: each is tried on the whole page, and the page goes on living between them. */
function useTrying(begin: () => Trying<Element> | null) {
  const found = shallowRef<readonly WayToWin<Element>[]>([]);
  const isTrying = ref(false);
  let run = 0;
  const gather = async (): Promise<void> => {
    const mine = ++run;
    found.value = [];
    const ways = begin();
    isTrying.value = ways !== null;
    const breather = new Breather();
    try {
      for (const way of ways ?? []) {
        if (way) found.value = [...found.value, way];
        await breather.pause(() => mine !== run);
      }
      isTrying.value = false;
    } catch (error) {
      if (!(error instanceof Stopped)) throw error;
    }
  };
  onBeforeUnmount(() => run++);
  return { found, isTrying, gather };
}
/** On a page of more texts than these the ways for all rules are tried only when that is asked for. */
const MANY_TEXTS = 4000;
const wanted = ref(false);
const waits = computed(() => !wanted.value && (account.value?.texts ?? 0) > MANY_TEXTS);
const all = useTrying(() =>
  triedOn.value && triedOn.value.now.overruling.length > 0 && !waits.value
    ? waysToWin(triedOn.value)
    : null,
);
const round = useTrying(() =>
  triedOn.value && lookedAt.value ? waysRound(lookedAt.value, triedOn.value, claimed.value) : null,
);
watch([triedOn, wanted], () => void all.gather(), { immediate: true });
watch([triedOn, opened], () => void round.gather());

const styles = computed(() =>
  Object.entries(project.document?.styles ?? {}).map(([value, { name }]) => ({
    value,
    label: name,
  })),
);
function claim(kind: UnclaimedKind<Element> & { style: string }): void {
  const { document } = project;
  if (!document || !kind.selector) return;
  const { name, selector, style } = kind;
  project.change(claimPatch(document, { name, selector, style }));
}
</script>

<template>
  <p v-if="own.accountFailed" role="alert" class="line wrap">
    {{ say.pagesStyleSheetsCould }}
    <DoButton :label="say.tryAgain" @click="own.load()" />
  </p>
  <p v-else-if="!account" role="status">{{ say.workingOutWhoSets }}</p>
  <template v-else>
    <p>
      {{ say.atPx(count(account.texts, 'text'), proof.width) }}
      <b>{{ account.following }}</b> {{ say.followLetteraEverything
      }}<template v-if="account.left">{{ say.leftPagesOwnStyle(account.left) }}</template
      >.
    </p>
    <FiguresTable v-if="account.overruling.length">
      <caption class="visually-hidden">
        {{
          say.whatOverrulesLetteraOn
        }}
      </caption>
      <thead>
        <tr>
          <th scope="col">{{ say.overruledBy }}</th>
          <th scope="col">{{ say.inSheet }}</th>
          <th scope="col" class="figure">{{ say.texts }}</th>
          <th scope="col">
            <span class="visually-hidden">{{ say.howWinOver }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <template v-for="one in account.overruling" :key="keyOf(one)">
          <tr>
            <td class="who">{{ keyOf(one) }}</td>
            <td class="small">{{ one.properties.join(', ') }}</td>
            <td class="figure">
              <DoButton
                :label="String(one.texts.length)"
                :aria-label="say.showOnPageDecides(count(one.texts.length, 'text'), keyOf(one))"
                @click="point(one.texts)"
              />
            </td>
            <td>
              <DoButton
                class="on-point"
                :label="opened === keyOf(one) ? say.close : say.howWinOver"
                :aria-expanded="opened === keyOf(one)"
                :aria-label="say.howWinOverKey(keyOf(one))"
                @click="opened = opened === keyOf(one) ? '' : keyOf(one)"
              />
            </td>
          </tr>
          <tr v-if="opened === keyOf(one)">
            <td colspan="4">
              <WaysList
                :ways="round.found.value"
                :trying="round.isTrying.value"
                :about="say.ofThere(count(one.texts.length, 'text'))"
                :label="say.howWinOverKey(keyOf(one))"
                @take="project.change($event.patch)"
              />
              <p v-if="unclaimedThere" class="small quiet">
                {{ say.ofThereNoText(unclaimedThere, count(one.texts.length, 'text')) }}
              </p>
            </td>
          </tr>
        </template>
      </tbody>
    </FiguresTable>
    <p v-else class="small quiet">{{ say.nothingPagesOwnOverrules }}</p>
    <template v-if="account.overruling.length">
      <h3>{{ say.leastWouldWin }}</h3>
      <p v-if="waits" class="line wrap small quiet">
        {{ say.eachWayTriedOn(count(account.texts, 'text')) }}
        <DoButton :label="say.tryThem" @click="wanted = true" />
      </p>
      <p v-else-if="all.found.value.length === 0 && !all.isTrying.value" class="small quiet">
        {{ say.noWeightLetterasRules }}
      </p>
      <WaysList
        v-else
        :ways="all.found.value"
        :trying="all.isTrying.value"
        :label="say.leastWouldWin"
        @take="project.change($event.patch)"
      />
    </template>
    <FrameworkParts v-if="proof.shownPage" :page="proof.shownPage" @point="point" />
    <template v-if="unclaimed.length">
      <h3>{{ say.textsNoTextElement }}</h3>
      <ul class="kinds" :aria-label="say.textsNoTextElement">
        <li v-for="kind in unclaimed" :key="`${kind.tag} ${kind.classes.join(' ')} ${kind.place}`">
          <span class="specimen">{{ kind.specimen }}</span>
          <span class="small quiet">
            <code v-if="kind.selector">{{ kind.selector }}</code>
            <template v-else>{{ say.noFewWordsMeet(kind.tag, kind.classes.join(' ')) }}</template>
          </span>
          <span class="line wrap">
            <DoButton
              :label="count(kind.nodes.length, 'place')"
              :aria-label="say.showOnPage(count(kind.nodes.length, 'place'), kind.name)"
              @click="point(kind.nodes)"
            />
            <template v-if="kind.selector">
              <PickOne v-model="kind.style" :choices="styles" :label="say.style(kind.name)" />
              <DoButton
                :label="say.makeTextElement"
                :aria-label="say.makeTextElementName(kind.name)"
                @click="claim(kind)"
              />
            </template>
          </span>
        </li>
      </ul>
    </template>
  </template>
</template>

<style scoped>
h3 {
  margin: 12px 0 4px;
  font-size: 13px;
}
.who {
  overflow-wrap: anywhere;
}
.kinds {
  display: grid;
  margin: 0;
  padding: 0;
  list-style: none;
}
.kinds li {
  display: grid;
  gap: 3px;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
.specimen {
  font-size: 15px;
}
code {
  overflow-wrap: anywhere;
}
</style>
