<script setup lang="ts">
import {
  LANGUAGE_BOUNDS,
  type Emphasis,
  type LanguageSetting,
  type Patch,
} from '@lettera/core/document';
import { languageOf } from '@lettera/core/script';
import { languagesPatch, siteLanguages } from '@lettera/core/style';
import { computed, ref } from 'vue';
import DoButton from '../../control/DoButton.vue';
import FiguresTable from '../../control/FiguresTable.vue';
import NumberField from '../../control/NumberField.vue';
import PickOne from '../../control/PickOne.vue';
import TextField from '../../control/TextField.vue';
import SiteLanguages from '../../proof/panel/SiteLanguages.vue';
import { useProject } from '../../store/project';
import { languageSheet as say } from './words';

/** The languages of the site, and how text in each is set beside that of the first. */
const project = useProject();
const wrong = ref('');

const tags = computed(() => project.document?.languages ?? []);
const set = computed(() => (project.document ? siteLanguages(project.document) : []));
const rows = computed(() =>
  tags.value.map((tag, i) => {
    const language = languageOf(tag);
    const key = tag.toLowerCase();
    return {
      tag,
      key,
      name: language?.name ?? tag,
      isFirst: i === 0,
      own: project.document?.byLanguage?.[key],
      known: set.value.find((one) => one.key === key),
      direction: language?.direction,
    };
  }),
);

const FACTORS = [
  { key: 'lineHeight', label: say.lineHeight },
  { key: 'size', label: say.size },
  { key: 'measure', label: say.measure },
] as const;
const SPACINGS = [
  { value: 'kept', label: say.kept },
  { value: 'none', label: say.none },
] as const;
const EMPHASES: { value: Emphasis; label: string }[] = [
  { value: 'italic', label: say.italic },
  { value: 'weight', label: say.weight },
  { value: 'dots', label: say.dots },
  { value: 'none', label: say.nothing },
];
const JUSTIFIED = [
  { value: 'justify', label: say.justify },
  { value: 'start', label: say.start },
] as const;
const HYPHENS = [
  { value: 'styled', label: say.asStyled },
  { value: 'none', label: say.none },
  { value: 'manual', label: say.manual },
  { value: 'auto', label: say.auto },
] as const;
const NUMERALS = [
  { value: 'western', label: say.western },
  { value: 'own', label: say.own },
] as const;

function makeFirst(tag: string): void {
  const { document } = project;
  if (document)
    project.change(languagesPatch(document, [tag, ...tags.value.filter((one) => one !== tag)]));
}

/** The change that sets something of a language; null lets it go by its script. */
function change<K extends keyof LanguageSetting>(
  key: string,
  part: K,
  value: LanguageSetting[K] | null,
): void {
  const all = project.document?.byLanguage;
  const { [part]: _before, ...others } = all?.[key] ?? {};
  const setting = value === null ? others : { ...others, [part]: value };
  const patch: Patch = all
    ? [{ op: 'add', path: `/byLanguage/${key}`, value: setting }]
    : [{ op: 'add', path: '/byLanguage', value: { [key]: setting } }];
  project.change(patch);
}

function typeQuotes(key: string, event: Event): void {
  const field = event.target as HTMLInputElement;
  const marks = field.value.trim().split(/\s+/).filter(Boolean);
  wrong.value = '';
  if (marks.length === 0) change(key, 'quotes', null);
  else if (marks.length === 2 || marks.length === 4) change(key, 'quotes', marks);
  else wrong.value = say.quotesWrong;
}
</script>

<template>
  <div class="sheet">
    <SiteLanguages />
    <p class="small quiet">{{ say.says }} {{ say.vertical }}</p>
    <div class="wide">
      <FiguresTable>
        <thead>
          <tr>
            <th class="l-stays">{{ say.language }}</th>
            <th>{{ say.script }}</th>
            <th v-for="factor in FACTORS" :key="factor.key">{{ factor.label }}</th>
            <th>{{ say.spacing }}</th>
            <th>{{ say.emphasis }}</th>
            <th>{{ say.justified }}</th>
            <th>{{ say.hyphenation }}</th>
            <th>{{ say.numerals }}</th>
            <th>{{ say.quotes }}</th>
            <th></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.key">
            <th scope="row" class="l-stays">{{ row.name }}</th>
            <template v-if="row.known">
              <td class="nowrap">
                {{ row.known.script.name
                }}<span v-if="row.direction === 'rtl'" class="quiet">, {{ say.rightToLeft }}</span>
              </td>
              <td v-for="factor in FACTORS" :key="factor.key">
                <NumberField
                  hide-label
                  width="56px"
                  :label="say.of(factor.label, row.name)"
                  :model-value="row.known.setting[factor.key]"
                  :min="LANGUAGE_BOUNDS[factor.key][0]"
                  :max="LANGUAGE_BOUNDS[factor.key][1]"
                  :step="0.05"
                  @update:model-value="change(row.key, factor.key, $event)"
                  @reset="change(row.key, factor.key, null)"
                />
              </td>
              <td>
                <span v-if="row.known.script.joining" class="small quiet" :title="say.joinedWhy">{{
                  say.joined
                }}</span>
                <PickOne
                  v-else
                  :model-value="row.known.setting.spacing"
                  :choices="SPACINGS"
                  :label="say.of(say.spacing, row.name)"
                  @update:model-value="change(row.key, 'spacing', $event)"
                />
              </td>
              <td>
                <PickOne
                  :model-value="row.known.setting.emphasis"
                  :choices="EMPHASES"
                  :label="say.of(say.emphasis, row.name)"
                  @update:model-value="change(row.key, 'emphasis', $event)"
                />
              </td>
              <td>
                <PickOne
                  :model-value="row.known.setting.justified"
                  :choices="JUSTIFIED"
                  :label="say.of(say.justified, row.name)"
                  @update:model-value="change(row.key, 'justified', $event)"
                />
              </td>
              <td>
                <PickOne
                  :model-value="row.known.setting.hyphenation ?? 'styled'"
                  :choices="HYPHENS"
                  :label="say.of(say.hyphenation, row.name)"
                  @update:model-value="
                    change(row.key, 'hyphenation', $event === 'styled' ? null : $event)
                  "
                />
              </td>
              <td>
                <PickOne
                  :model-value="row.known.setting.numerals"
                  :choices="NUMERALS"
                  :label="say.of(say.numerals, row.name)"
                  @update:model-value="change(row.key, 'numerals', $event)"
                />
              </td>
              <td>
                <TextField
                  class="quotes"
                  :model-value="row.own?.quotes?.join(' ') ?? ''"
                  :placeholder="say.quotesHint"
                  :aria-label="say.of(say.quotes, row.name)"
                  @change="typeQuotes(row.key, $event)"
                />
              </td>
            </template>
            <td v-else colspan="9" class="quiet">{{ say.unknown }}</td>
            <td class="nowrap">
              <span v-if="row.isFirst" class="quiet">{{ say.first }}</span>
              <DoButton
                v-else
                class="on-point"
                :label="say.makeFirst"
                :aria-label="say.makeFirstOf(row.name)"
                @click="makeFirst(row.tag)"
              />
              <DoButton
                v-if="row.own && Object.keys(row.own).length"
                :label="say.asScript"
                :aria-label="say.asScriptFor(row.name)"
                @click="project.change([{ op: 'remove', path: `/byLanguage/${row.key}` }])"
              />
            </td>
          </tr>
        </tbody>
      </FiguresTable>
    </div>
    <p v-if="wrong" class="wrong small" role="alert">{{ wrong }}</p>
  </div>
</template>

<style scoped>
.sheet {
  padding: 8px var(--edge) 16px;
}
.sheet > p {
  margin: 0 0 8px;
}
.wide {
  overflow-x: auto;
}
.nowrap {
  white-space: nowrap;
}
tbody th {
  font-size: inherit;
  font-weight: 550;
  color: var(--ink);
  white-space: nowrap;
}
.quotes {
  width: 78px;
}
.wrong {
  color: var(--mark);
}
</style>
