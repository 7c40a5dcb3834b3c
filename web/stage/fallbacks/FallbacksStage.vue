<script setup lang="ts">
import { fallbacksStage as say } from './words';
import { triedFor } from '@lettera/core/fallback';
import { voiceUses } from '@lettera/core/style';
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import ChoiceSet from '../../control/ChoiceSet.vue';
import DoButton from '../../control/DoButton.vue';
import ProgressLine from '../../control/ProgressLine.vue';
import ViewTabs from '../../control/ViewTabs.vue';
import { useFallbacks } from '../../store/fallbacks';
import { useProject } from '../../store/project';
import { useProof } from '../../store/proof';
import StageHeader from '../StageHeader.vue';
import CandidateList from './CandidateList.vue';
import OverlayView from './OverlayView.vue';
import RehearsalView from './RehearsalView.vue';
import ScriptStacks from './ScriptStacks.vue';
import StackColumn from './StackColumn.vue';
import StageMarks from '../StageMarks.vue';
import TuningView from './TuningView.vue';
import VisitorsView from './VisitorsView.vue';

const project = useProject();
const proof = useProof();
const fallbacks = useFallbacks();
const route = useRoute();

const VIEWS = [
  { value: 'stack', label: say.stack },
  { value: 'tuning', label: say.tuning },
  { value: 'overlay', label: say.overlay },
  { value: 'rehearsal', label: say.rehearsal },
  { value: 'visitors', label: say.visitors },
] as const;
const view = ref<(typeof VIEWS)[number]['value']>('stack');

const shown = computed(() => project.shown);
/** Voices with a family that the site's text is set in. */
const voices = computed(() => {
  const document = shown.value;
  if (!document) return [];
  const used = voiceUses(document);
  return Object.entries(document.voices)
    .filter(([key, { family }]) => family !== null && used.has(key))
    .map(([key, { name }]) => ({ value: key, label: name }));
});
const chosen = ref('');
const voice = computed(
  () =>
    (
      voices.value.find(({ value }) => value === chosen.value) ??
      voices.value.find(({ value }) => value === 'text') ??
      voices.value[0]
    )?.value ?? '',
);
/** Whether local fonts have been tried for the voice; before that nothing is known of any. */
const tried = computed(
  () => shown.value !== null && triedFor(shown.value, voice.value, fallbacks.trials).length > 0,
);
const fitting = computed(() => {
  const report = project.progress.fitting;
  return report && report.done < report.of ? report : null;
});
</script>

<template>
  <StageHeader :title="say.fallbacks">
    <template #views>
      <ViewTabs v-model="view" :label="say.views" :views="VIEWS" />
    </template>
    {{ say.whatVisitorsSeeUntil }}
  </StageHeader>
  <div v-if="shown && voices.length" class="bench">
    <div class="line">
      <ChoiceSet
        v-if="voices.length > 1 && view !== 'rehearsal'"
        :label="say.voice"
        :choices="voices"
        :model-value="voice"
        @update:model-value="chosen = $event"
      />
      <ProgressLine
        v-if="fitting && fallbacks.state === 'loading'"
        :done="fitting.done"
        :of="fitting.of"
        stoppable
        @stop="fallbacks.stop()"
        >{{ say.fittingLocalFonts(fitting.done, fitting.of) }}</ProgressLine
      >
      <span v-else-if="fallbacks.state === 'loading'" class="small quiet" role="status">{{
        say.fittingNow
      }}</span>
      <DoButton
        v-if="view !== 'rehearsal'"
        class="flip"
        :label="proof.fonts === 'web' ? say.showFallbackOnPage : say.showWebFacesOn"
        :title="say.f"
        @click="proof.fonts = proof.fonts === 'web' ? 'fallback' : 'web'"
      />
    </div>
    <p v-if="fallbacks.state === 'failed'" class="line wrap" role="alert">
      {{ say.fallbacksCouldNotBe }}
      <DoButton :label="say.tryAgain" @click="fallbacks.load()" />
    </p>
    <p v-else-if="fallbacks.state === 'stopped'" class="line wrap" role="status">
      {{ say.fittingWasStoppedWhat }}
      <DoButton :label="say.goOnFitting" @click="fallbacks.load()" />
    </p>
    <p v-if="shown.case[shown.voices[voice]?.family ?? '']?.reference" class="small stands">
      {{
        say.fittedWhichStandsFace(
          shown.case[shown.voices[voice]?.family ?? '']?.reference?.standIn ?? '',
          shown.case[shown.voices[voice]?.family ?? '']?.name ?? '',
        )
      }}
    </p>
    <section v-if="view === 'stack'" :aria-label="say.stack">
      <StackColumn :document="shown" :voice="voice" />
      <ScriptStacks :document="shown" :voice="voice" />
      <StageMarks stage="fallbacks" :on="say.theFallbacks" />
      <CandidateList v-if="tried" :document="shown" :voice="voice" />
      <p v-else-if="fallbacks.state === 'ready' && !fitting" class="quiet">
        {{
          say.noLocalFontClass(
            shown.case[shown.voices[voice]?.family ?? '']?.name ?? '',
            shown.voices[voice]?.generic ?? '',
          )
        }}
      </p>
    </section>
    <section v-else-if="view === 'tuning'" :aria-label="say.tuning">
      <TuningView :document="shown" :voice="voice" />
    </section>
    <section v-else-if="view === 'overlay'" :aria-label="say.overlay">
      <OverlayView :document="shown" :voice="voice" />
    </section>
    <section v-else-if="view === 'rehearsal'" :aria-label="say.rehearsal">
      <RehearsalView :document="shown" :voice="voice" />
    </section>
    <section v-else :aria-label="say.visitors">
      <VisitorsView :document="shown" :voice="voice" />
    </section>
  </div>
  <div v-else-if="shown" class="bench">
    <p>
      {{ say.noTextSiteSet }}
    </p>
    <RouterLink class="go" :to="{ name: 'pair', params: { project: route.params['project'] } }">{{
      say.chooseFamilyPair
    }}</RouterLink>
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  gap: 8px;
  padding: 0 var(--edge) 20px;
}
section {
  display: grid;
  gap: 8px;
  min-width: 0;
}
section > :deep(h3:not(:first-child)) {
  margin-top: 12px;
}
.flip {
  margin-left: auto;
}
.stands {
  color: var(--local);
}
</style>
