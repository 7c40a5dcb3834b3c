<script setup lang="ts">
import { sheetChoices as say } from './words';
import { SCALE_BOUNDS, type RuleWeight, type SheetForm } from '@lettera/core/document';
import TextField from '../../control/TextField.vue';
import PickOne from '../../control/PickOne.vue';
import { computed } from 'vue';
import ChoiceSet from '../../control/ChoiceSet.vue';
import NumberField from '../../control/NumberField.vue';
import OnOff from '../../control/OnOff.vue';
import { useProject } from '../../store/project';
import BesideSite from './BesideSite.vue';
import OtherNames from './OtherNames.vue';
import { useDeliverySettings } from './deliverySettings';
import { DISPLAYS } from './deliverView';
import { putInto } from '../../control/putInto';

/** What the style sheet holds, and how it stands to the style sheets that a site has of its own. */
const project = useProject();
const delivery = computed(() => project.document?.delivery);

const set = useDeliverySettings();

const FORMS: { value: SheetForm; label: string }[] = [
  { value: 'whole', label: say.everything },
  { value: 'tokens', label: say.facesTokens },
  { value: 'rules', label: say.elementRules },
];
const WEIGHTS: { value: RuleWeight; label: string }[] = [
  { value: 'none', label: say.noLayer },
  { value: 'own', label: say.theirSelectors },
  { value: 'over', label: say.overClasses },
];

/** What will be seen on the site, where rules carry weight. */
const warning = computed(() => {
  const { form = 'whole', weight = 'none', layer, siteLayer, linked } = delivery.value ?? {};
  if (form === 'tokens') return '';
  if (siteLayer && layer && linked !== 'after') {
    return say.yourOwnSheetsWin(siteLayer, layer);
  }
  if (weight === 'none') return '';
  const inLayer = layer ? say.theyStandLayerSo(layer) : '';
  return weight === 'own' ? say.rulesSitesOwnWeigh(inLayer) : say.sitesOwnRulesUp(inLayer);
});

/** What 1rem is where a site does not set it, CSS px. */
const USUAL_ROOT = 16;
function setRoot(value: number): void {
  const before = project.document?.scale.root;
  if (value !== USUAL_ROOT) project.change([{ op: 'add', path: '/scale/root', value }]);
  else if (before !== undefined) project.change([{ op: 'remove', path: '/scale/root' }]);
}

function setLayer(event: Event): void {
  const field = event.target as HTMLInputElement;
  const taken = set('layer', field.value.trim() || null);
  if (!taken) putInto(field, delivery.value?.layer ?? '');
}

function setPrefix(event: Event): void {
  const field = event.target as HTMLInputElement;
  const value = field.value.trim().replace(/^-+|-+$/g, '');
  const before = delivery.value?.prefix;
  const taken = value
    ? set('prefix', value)
    : before === undefined || project.change([{ op: 'remove', path: '/delivery/prefix' }]);
  putInto(field, taken ? value : (before ?? ''));
}
</script>

<template>
  <section v-if="delivery" class="settings" :aria-label="say.styleSheet">
    <div class="field">
      <span class="quiet">{{ say.itHolds }}</span>
      <ChoiceSet
        :label="say.whatStyleSheetHolds"
        :choices="FORMS"
        :model-value="delivery.form ?? 'whole'"
        @update:model-value="set('form', $event)"
      />
    </div>
    <div v-if="delivery.form !== 'tokens'" class="field">
      <span class="quiet">{{ say.weightRules }}</span>
      <ChoiceSet
        :label="say.weightRules"
        :choices="WEIGHTS"
        :model-value="delivery.weight ?? 'none'"
        @update:model-value="set('weight', $event)"
      />
    </div>
    <label v-if="delivery.form !== 'tokens'" class="field">
      <span class="quiet">{{ say.cascadeLayer }}</span>
      <TextField
        :model-value="delivery.layer ?? ''"
        :placeholder="say.none"
        class="layer"
        @change="setLayer"
      />
    </label>
    <div class="field">
      <NumberField
        :label="say.remOnSitePx"
        :model-value="project.document?.scale.root ?? USUAL_ROOT"
        :min="SCALE_BOUNDS.root[0]"
        :max="SCALE_BOUNDS.root[1]"
        :step="1"
        @update:model-value="setRoot"
      />
      <span v-if="project.document?.scale.root === null" class="quiet">
        {{ say.itDiffersFromOne }}
      </span>
    </div>
    <label class="field">
      <span class="quiet">{{ say.prefixTokens }}</span>
      <TextField
        :model-value="delivery.prefix ?? ''"
        :placeholder="say.none"
        spellcheck="false"
        class="layer"
        @change="setPrefix"
      />
    </label>
    <div v-if="delivery.form !== 'rules'"><OtherNames /></div>
    <label class="field">
      <span class="quiet">{{ say.whileFontsLoad }}</span>
      <PickOne
        :model-value="delivery.display"
        :choices="DISPLAYS"
        class="display"
        :label="say.whileFontsLoad"
        @update:model-value="set('display', $event)"
      />
    </label>
    <BesideSite v-if="delivery.form !== 'tokens'" />
    <OnOff
      :label="say.darkColoursVisitorsWho"
      :model-value="delivery.dark"
      @update:model-value="set('dark', $event)"
    />
    <p v-if="warning" role="status" class="warning">{{ warning }}</p>
  </section>
</template>

<style scoped>
.settings {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 20px;
  align-items: center;
  padding: 0 var(--edge) 14px;
}
.field {
  display: grid;
  gap: 3px;
}
.layer {
  width: 120px;
}
.display {
  width: 260px;
}
.warning {
  flex-basis: 100%;
  padding-left: 10px;
  border-left: 3px solid var(--mark);
}
</style>
