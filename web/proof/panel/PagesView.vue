<script setup lang="ts">
import { pagesView as say } from './words';
import type { RemovedKind } from '@lettera/core/page';
import { computed } from 'vue';
import TextField from '../../control/TextField.vue';
import DoButton from '../../control/DoButton.vue';
import RowMoves from '../../control/RowMoves.vue';
import FiguresTable from '../../control/FiguresTable.vue';
import { count } from '../../control/figures';
import { useOwnPages } from '../../store/ownPages';
import { useProject } from '../../store/project';
import { useProof } from '../../store/proof';
import BringPages from '../BringPages.vue';
import SiteLanguages from './SiteLanguages.vue';
import { putInto } from '../../control/putInto';

/** The pages that the project is proofed on: brought in, named, put in order, removed. */
const project = useProject();
const proof = useProof();
const own = useOwnPages();

const ownPages = computed(() => Object.entries(project.document?.pages ?? {}));

function rename(slug: string, event: Event): void {
  const input = event.target as HTMLInputElement;
  const name = input.value.trim();
  const before = project.document?.pages?.[slug]?.name ?? '';
  if (name === before) return;
  if (!name || !own.rename(slug, name)) putInto(input, before);
}

/** What was taken out, as it is reported. */
const WORDS: Record<RemovedKind, string> = {
  script: say.script,
  handler: say.handler,
  frame: say.frame,
  form: say.whereFormSends,
  refresh: say.refresh,
  request: say.askedElsewhere,
  missing: say.notBroughtAlong,
};
const removed = computed(() => own.account?.removed ?? []);
</script>

<template>
  <SiteLanguages />
  <ol v-if="ownPages.length" class="rows" :aria-label="say.pagesSitesOwn">
    <li v-for="([slug, page], i) in ownPages" :key="slug" :class="{ shown: proof.page === slug }">
      <TextField
        :model-value="page.name"
        :aria-label="say.name(page.name)"
        maxlength="120"
        @change="rename(slug, $event)"
      />
      <span class="small quiet path">{{ page.path }}</span>
      <RowMoves
        :name="page.name"
        :at="i"
        :of="ownPages.length"
        @move="own.move(slug, $event)"
        @remove="own.remove(slug)"
      >
        <DoButton
          :label="say.show"
          :aria-label="say.showName(page.name)"
          :why="proof.page === slug ? say.itShown : undefined"
          @click="proof.page = slug"
        />
      </RowMoves>
    </li>
  </ol>
  <p v-else>
    {{ say.sitesOwnPagesShow }}
  </p>
  <BringPages
    :bring="own.bring"
    :first="ownPages.length === 0"
    :bringing="own.state === 'bringing'"
    @stop="own.stop()"
  />
  <p v-if="own.refusal" role="alert" class="mark-text">{{ own.refusal }}</p>
  <p v-if="own.outcome" role="status" class="small">
    {{
      own.outcome.pages.length
        ? say.added(count(own.outcome.pages.length, 'page'))
        : say.thesePagesHereAlready
    }}
    <template v-for="one in [...own.outcome.refused, ...own.outcome.leftOut]" :key="one.path">
      {{ one.path }}: {{ one.why }}
    </template>
  </p>
  <template v-if="own.account">
    <h3>{{ say.whatWasRemovedFrom }}</h3>
    <p v-for="note in own.account.notes" :key="note" class="small">{{ note }}</p>
    <FiguresTable v-if="removed.length">
      <thead>
        <tr>
          <th scope="col">{{ say.kind }}</th>
          <th scope="col">{{ say.whatWas }}</th>
          <th scope="col" class="figure">{{ say.times }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in removed" :key="`${one.kind} ${one.what}`">
          <td>{{ WORDS[one.kind] }}</td>
          <td class="what">{{ one.what }}</td>
          <td class="figure">{{ one.times }}</td>
        </tr>
      </tbody>
    </FiguresTable>
    <p v-else class="small quiet">{{ say.nothingRanNothingAsked }}</p>
  </template>
  <p v-else-if="own.accountFailed" role="alert" class="line wrap">
    {{ say.whatWasRemovedFromPage }}
    <DoButton :label="say.tryAgain" @click="own.load()" />
  </p>
</template>

<style scoped>
.rows {
  display: grid;
  margin: 0 0 8px;
  padding: 0;
  list-style: none;
}
.rows li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
}
.rows .shown {
  box-shadow: inset 2px 0 var(--verdigris);
  padding-left: 6px;
}
.rows input {
  flex: 1 1 120px;
  min-width: 0;
}
.path {
  flex: 1 1 80px;
  overflow-wrap: anywhere;
}
h3 {
  margin: 12px 0 4px;
  font-size: 13px;
}
.what {
  overflow-wrap: anywhere;
}
</style>
