<script setup lang="ts">
import { fontsView as say } from './words';
import { filesNow, totalBytes } from '@lettera/core/deliver';
import {
  siteName,
  type FeaturesKept,
  type LettersKept,
  type ProjectDocument,
} from '@lettera/core/document';
import { scriptOfTag } from '@lettera/core/script';
import TextField from '../../control/TextField.vue';
import { computed, ref } from 'vue';
import ChoiceSet from '../../control/ChoiceSet.vue';
import NumberField from '../../control/NumberField.vue';
import { count } from '../../control/figures';
import OnOff from '../../control/OnOff.vue';
import { usePlans } from '../../store/plans';
import { useProject } from '../../store/project';
import ByteBars from './ByteBars.vue';
import { useDeliverySettings } from './deliverySettings';
import { byteGroups, GROUPINGS, leftOutLines, type Grouping } from './fontsView';
import FetchedFirst from './FetchedFirst.vue';
import LoadTimes from './LoadTimes.vue';
import SavingsList from './SavingsList.vue';
import { putInto } from '../../control/putInto';

/** What the font files hold, what they weigh against a budget, and what would make them lighter. */
const props = defineProps<{ document: ProjectDocument }>();
const project = useProject();
const plans = usePlans();

const delivery = computed(() => props.document.delivery);
const plan = computed(() => plans.settledDelivery(props.document));
const by = ref<Grouping>('file');
const groups = computed(() => byteGroups(props.document, plan.value, by.value));
const bytes = computed(() => totalBytes(filesNow(plan.value)));
/** Whether some script of the site has more letters than its pages show. */
const isLarge = computed(() =>
  props.document.languages.some((tag) => scriptOfTag(tag)?.large ?? false),
);
const leftOut = computed(() => leftOutLines(plan.value));
const families = computed(() => {
  const keys = [...plan.value.files, ...plan.value.leftOut].map(({ familyKey }) => familyKey);
  return [...new Set(keys)].flatMap((key) => {
    const family = props.document.case[key];
    return family ? [{ key, name: siteName(family), onlyFor: family.onlyFor ?? '' }] : [];
  });
});

const set = useDeliverySettings();

const LETTERS: { value: LettersKept; label: string }[] = [
  { value: 'needed', label: say.whatSiteNeeds },
  { value: 'whole', label: say.allFilesCase },
];
const FEATURES: { value: FeaturesKept; label: string }[] = [
  { value: 'all', label: say.all },
  { value: 'used', label: say.thoseUse },
];

function setText(event: Event, path: string, before: string): void {
  const field = event.target as HTMLInputElement;
  const { value } = field;
  if (value === before) return;
  const taken =
    value === ''
      ? project.change([{ op: 'remove', path }])
      : project.change([{ op: 'add', path, value }]);
  if (!taken) putInto(field, before);
}
const KILO = 1000;
</script>

<template>
  <section class="settings" :aria-label="say.whatFontFilesHold">
    <div class="field">
      <span class="quiet">{{ say.theyHold }}</span>
      <ChoiceSet
        :label="say.whatFontFilesHold"
        :choices="LETTERS"
        :model-value="delivery.letters ?? 'needed'"
        @update:model-value="set('letters', $event)"
      />
    </div>
    <div class="field">
      <span class="quiet">{{ say.layoutFeatures }}</span>
      <ChoiceSet
        :label="say.layoutFeaturesTheyKeep"
        :choices="FEATURES"
        :model-value="delivery.features ?? 'all'"
        @update:model-value="set('features', $event)"
      />
    </div>
    <template v-if="delivery.letters !== 'whole'">
      <label class="field">
        <span class="quiet">{{ say.theseLettersToo }}</span>
        <TextField
          :model-value="delivery.alsoLetters ?? ''"
          :placeholder="say.none"
          maxlength="5000"
          class="letters"
          @change="setText($event, '/delivery/alsoLetters', delivery.alsoLetters ?? '')"
        />
      </label>
      <label v-for="{ key, name, onlyFor } in families" :key="key" class="field">
        <span class="quiet">{{ say.forCopyAlone(name) }}</span>
        <TextField
          :model-value="onlyFor"
          :placeholder="say.allSites"
          maxlength="5000"
          class="letters"
          @change="setText($event, `/case/${key}/onlyFor`, onlyFor)"
        />
      </label>
      <OnOff
        v-if="isLarge"
        :label="say.laterLetters"
        :title="say.laterLettersWhy"
        :model-value="delivery.laterLetters ?? true"
        @update:model-value="set('laterLetters', $event)"
      />
      <OnOff
        :label="say.boldInsideItalicsWhich"
        :model-value="delivery.boldItalics ?? false"
        @update:model-value="set('boldItalics', $event)"
      />
    </template>
    <p v-if="plan.uncut.length" role="status" class="warning">
      {{ say.fileForbidsBeingCut(plan.uncut.join(' and ')) }}
    </p>
  </section>
  <section class="bytes" :aria-label="say.whatTheyWeigh">
    <div class="line wrap">
      <ChoiceSet v-model="by" :label="say.countedBy" :choices="GROUPINGS" />
      <NumberField
        :label="say.budgetKb"
        :model-value="delivery.budget === undefined ? null : delivery.budget / KILO"
        :min="1"
        :max="100000"
        :step="5"
        @update:model-value="set('budget', Math.round($event * KILO))"
        @reset="
          delivery.budget !== undefined &&
          project.change([{ op: 'remove', path: '/delivery/budget' }])
        "
      />
    </div>
    <ByteBars :groups="groups" :budget="delivery.budget ?? null" />
    <LoadTimes :document="document" :delivery="plan" />
    <FetchedFirst :document="document" :delivery="plan" />
    <details v-if="leftOut.length">
      <summary>{{ say.leftOutCase(count(leftOut.length, 'file')) }}</summary>
      <ul>
        <li v-for="line in leftOut" :key="line">{{ line }}</li>
      </ul>
    </details>
    <p v-for="reason in plans.failed" :key="reason" class="mark-text" role="alert">{{ reason }}</p>
  </section>
  <SavingsList class="savings" :document="document" :bytes="bytes" />
</template>

<style scoped>
.settings {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 20px;
  align-items: end;
  padding: 0 var(--edge) 14px;
}
.field {
  display: grid;
  gap: 3px;
}
.letters {
  width: 220px;
}
.bytes {
  display: grid;
  gap: 8px;
  padding: 0 var(--edge) 14px;
}
.savings {
  padding: 0 var(--edge) 20px;
}
.warning {
  flex-basis: 100%;
  padding-left: 10px;
  border-left: 3px solid var(--mark);
}
summary {
  cursor: pointer;
}
details ul {
  margin: 4px 0 0;
  padding-left: 18px;
  font-size: 12px;
}
</style>
