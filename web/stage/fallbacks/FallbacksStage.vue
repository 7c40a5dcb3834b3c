<script setup lang="ts">
import { candidateError, LOCAL_FONTS } from '@lettera/core/fallback';
import { cssPercent } from '@lettera/core/deliver';
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import DoButton from '../../control/DoButton.vue';
import { percent } from '../../control/figures';
import { useFallbacks } from '../../store/fallbacks';
import { usePlans } from '../../store/plans';
import { useProject } from '../../store/project';
import { useProof } from '../../store/proof';
import StageHeader from '../StageHeader.vue';
import {
  choosePatch,
  missingCharacters,
  platforms,
  twinName,
  unfittedError,
  voicesOf,
} from './fallbackView';

const project = useProject();
const proof = useProof();
const fallbacks = useFallbacks();
const plans = usePlans();
const route = useRoute();

const KINDS: Record<string, string> = {
  web: 'web face',
  fallback: 'fallback face',
  local: 'local font as it is',
  generic: 'generic family',
};

const voices = computed(() => {
  const document = project.shown;
  return document ? voicesOf(document, plans.fallbackOf(document), fallbacks.trials) : [];
});

const choose = (voice: string, local: string, first: boolean): boolean =>
  project.change(choosePatch(voice, local, first));
</script>

<template>
  <StageHeader title="Fallbacks">
    What visitors see until a web face arrives, and where it never does: a local font fitted to it
    in width and height, so that the page does not jump.
  </StageHeader>
  <div class="line actions">
    <DoButton
      :label="
        proof.fonts === 'web' ? 'Show the fallback on the proof' : 'Show the web faces on the proof'
      "
      @click="proof.fonts = proof.fonts === 'web' ? 'fallback' : 'web'"
      first
    />
    <span class="small quiet">or press f</span>
  </div>
  <p v-if="fallbacks.state === 'loading'" class="state quiet" role="status">
    Fitting local fonts to the web faces …
  </p>
  <p v-else-if="fallbacks.state === 'failed'" class="state" role="alert">
    The fallbacks could not be worked out. What was decided is kept.
    <DoButton @click="fallbacks.load()">Try again</DoButton>
  </p>
  <section
    v-for="{ key, voice, family, stack, chosen, candidates } in voices"
    :key="key"
    :aria-labelledby="`stack-${key}`"
  >
    <h2 :id="`stack-${key}`">{{ voice.name }}</h2>
    <ol class="stack-list">
      <li v-for="(entry, i) in stack" :key="entry.name" :class="entry.kind">
        <span class="order">{{ i + 1 }}</span>
        <span class="entry">{{ entry.name }}</span>
        <span class="small quiet"
          >{{ KINDS[entry.kind] }}{{ 'local' in entry ? `, ${platforms(entry.local)}` : '' }}</span
        >
      </li>
    </ol>
    <p v-if="!family" class="small quiet">
      No family is seated here, so visitors see their own {{ voice.generic }}.
      <RouterLink class="go" :to="{ name: 'pair', params: { project: route.params['project'] } }"
        >Seat one</RouterLink
      >
    </p>
    <template v-else-if="candidates.length">
      <h3>Local fonts tried: on most platforms first, then the closest</h3>
      <table class="figures-table">
        <thead>
          <tr>
            <th>Local font</th>
            <th class="figure">Words off by</th>
            <th class="figure">Unfitted</th>
            <th>Carried by</th>
          </tr>
        </thead>
        <tbody role="radiogroup" :aria-label="`Fallback of ${voice.name}`">
          <tr
            v-for="(candidate, i) in candidates"
            :key="candidate.local"
            :class="{ chosen: chosen?.local === candidate.local }"
          >
            <td>
              <button
                type="button"
                role="radio"
                class="l-choice l-alone"
                :aria-checked="chosen?.local === candidate.local"
                @click="choose(key, candidate.local, i === 0)"
              >
                {{ LOCAL_FONTS[candidate.local]?.name }}
              </button>
            </td>
            <td class="figure">{{ percent(candidateError(candidate), 2) }}</td>
            <td class="figure quiet">{{ percent(unfittedError(candidate), 1) }}</td>
            <td class="small quiet">{{ platforms(candidate.local) }}</td>
          </tr>
        </tbody>
      </table>
      <template v-if="chosen">
        <h3>{{ LOCAL_FONTS[chosen.local]?.name }} for {{ family.name }}</h3>
        <table class="figures-table tuning">
          <thead>
            <tr>
              <th>Weight</th>
              <th class="figure">Size</th>
              <th class="figure">Ascent</th>
              <th class="figure">Descent</th>
              <th class="figure">Line gap</th>
              <th class="figure">Words off by</th>
              <th class="figure">19 in 20 under</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="face in chosen.faces" :key="`${face.weight} ${face.slant}`">
              <td>{{ face.weight }}{{ face.slant === 'italic' ? ' italic' : '' }}</td>
              <td class="figure">{{ cssPercent(face.sizeAdjust).replace('%', ' %') }}</td>
              <td class="figure">{{ cssPercent(face.ascentOverride).replace('%', ' %') }}</td>
              <td class="figure">{{ cssPercent(face.descentOverride).replace('%', ' %') }}</td>
              <td class="figure">{{ cssPercent(face.lineGapOverride).replace('%', ' %') }}</td>
              <td class="figure">{{ percent(face.meanError, 2) }}</td>
              <td class="figure">{{ percent(face.p95Error, 1) }}</td>
            </tr>
          </tbody>
        </table>
        <p v-if="family.reference" class="small stands">
          Fitted to {{ family.reference.standIn }}, which stands in for {{ family.name }}: of the
          face that visitors get, the widths are not known here.
        </p>
        <p class="small quiet">
          Fitted on every other sentence of the project’s pages, both fonts shaped as the browser
          will, and measured on the {{ chosen.faces[0]?.words.toLocaleString('en') }} words of the
          rest.
          {{
            missingCharacters(chosen)
              ? `${LOCAL_FONTS[chosen.local]?.name} lacks ${missingCharacters(chosen)}.`
              : ''
          }}
          Where this machine has no {{ LOCAL_FONTS[chosen.local]?.name }}, the proof shows
          {{
            twinName(chosen.local) === LOCAL_FONTS[chosen.local]?.name
              ? 'an open copy of it'
              : `${twinName(chosen.local)}, which has the same widths`
          }}.
        </p>
      </template>
    </template>
    <p v-else-if="fallbacks.state === 'ready'" class="small quiet">
      No local font of this class has known widths and a word in common with {{ family.name }}, so
      none is fitted.
    </p>
  </section>
</template>

<style scoped>
.stands {
  color: var(--local);
}
.actions,
.state {
  padding: 0 20px 12px;
}
section {
  display: grid;
  gap: 8px;
  padding: 12px 20px 20px;
  border-top: 1px solid var(--rule);
}
h3 {
  margin-top: 6px;
}
.stack-list li {
  display: grid;
  grid-template-columns: 20px minmax(0, 1fr) auto;
  gap: 8px;
  align-items: baseline;
  padding: 4px 0 4px 8px;
  border-left: 3px solid var(--rule);
}
.stack-list .web {
  border-left-color: var(--web);
}
.stack-list .fallback {
  border-left: 3px dashed var(--local);
}
.stack-list .local {
  border-left: 3px dotted var(--local);
}
.order {
  color: var(--ink-2);
}
.entry {
  font-size: 14px;
  font-weight: 550;
  overflow: hidden;
  text-overflow: ellipsis;
}
.chosen td:first-child {
  box-shadow: inset 3px 0 var(--verdigris);
}
td:first-child {
  padding-left: 10px;
}
th:first-child {
  padding-left: 10px;
}
.chosen button {
  font-weight: 650;
}
</style>
