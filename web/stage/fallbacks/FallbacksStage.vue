<script setup lang="ts">
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
import StackColumn from './StackColumn.vue';
import StageMarks from '../StageMarks.vue';
import TuningView from './TuningView.vue';
import VisitorsView from './VisitorsView.vue';

const project = useProject();
const proof = useProof();
const fallbacks = useFallbacks();
const route = useRoute();

const VIEWS = [
  { value: 'stack', label: 'Stack' },
  { value: 'tuning', label: 'Tuning' },
  { value: 'overlay', label: 'Overlay' },
  { value: 'rehearsal', label: 'Rehearsal' },
  { value: 'visitors', label: 'Visitors' },
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
  <StageHeader title="Fallbacks">
    <template #views>
      <ViewTabs v-model="view" label="Views" :views="VIEWS" />
    </template>
    What visitors see until a web face arrives, and where it never does: fonts of their own
    platform, fitted to it in width and height, so that the page does not move.
  </StageHeader>
  <div v-if="shown && voices.length" class="bench">
    <div class="line">
      <ChoiceSet
        v-if="voices.length > 1 && view !== 'rehearsal'"
        label="Voice"
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
        >Fitting local fonts, {{ fitting.done }} of {{ fitting.of }}</ProgressLine
      >
      <span v-else-if="fallbacks.state === 'loading'" class="small quiet" role="status"
        >Fitting local fonts …</span
      >
      <DoButton
        class="flip"
        :label="
          proof.fonts === 'web' ? 'Show the fallback on the page' : 'Show the web faces on the page'
        "
        title="f"
        @click="proof.fonts = proof.fonts === 'web' ? 'fallback' : 'web'"
      />
    </div>
    <p v-if="fallbacks.state === 'failed'" class="line wrap" role="alert">
      The fallbacks could not be worked out. What was decided is kept.
      <DoButton label="Try again" @click="fallbacks.load()" />
    </p>
    <p v-else-if="fallbacks.state === 'stopped'" class="line wrap" role="status">
      Fitting was stopped. What was fitted before is shown.
      <DoButton label="Go on fitting" @click="fallbacks.load()" />
    </p>
    <p v-if="shown.case[shown.voices[voice]?.family ?? '']?.reference" class="small stands">
      Fitted to {{ shown.case[shown.voices[voice]?.family ?? '']?.reference?.standIn }}, which
      stands in for {{ shown.case[shown.voices[voice]?.family ?? '']?.name }}: of the face that
      visitors get, the widths are not known here.
    </p>
    <section v-if="view === 'stack'" aria-label="Stack">
      <StackColumn :document="shown" :voice="voice" />
      <StageMarks stage="fallbacks" on="the fallbacks" />
      <CandidateList v-if="tried" :document="shown" :voice="voice" />
      <p v-else-if="fallbacks.state === 'ready' && !fitting" class="quiet">
        No local font of this class has a word of the text in common with
        {{ shown.case[shown.voices[voice]?.family ?? '']?.name }}, so none is fitted: visitors see
        {{ shown.voices[voice]?.generic }} until it is there.
      </p>
    </section>
    <section v-else-if="view === 'tuning'" aria-label="Tuning">
      <TuningView :document="shown" :voice="voice" />
    </section>
    <section v-else-if="view === 'overlay'" aria-label="Overlay">
      <OverlayView :document="shown" :voice="voice" />
    </section>
    <section v-else-if="view === 'rehearsal'" aria-label="Rehearsal">
      <RehearsalView :document="shown" :voice="voice" />
    </section>
    <section v-else aria-label="Visitors">
      <VisitorsView :document="shown" :voice="voice" />
    </section>
  </div>
  <div v-else-if="shown" class="bench">
    <p>
      No text of the site is set in a web face yet, so visitors see their own fonts from the start.
    </p>
    <RouterLink class="go" :to="{ name: 'pair', params: { project: route.params['project'] } }"
      >Choose a family in Pair</RouterLink
    >
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
.flip {
  margin-left: auto;
}
.stands {
  color: var(--local);
}
</style>
