<script setup lang="ts">
import { familyShares as say } from './words';
import { knownFont, platformNames } from '@lettera/core/fallback';
import { familiesOf, type Stock, type StockFamily } from '@lettera/core/stock';
import { computed, ref } from 'vue';
import DoButton from '../../control/DoButton.vue';
import FiguresTable from '../../control/FiguresTable.vue';
import { count, percent } from '../../control/figures';
import { useProject } from '../../store/project';
import { usePlaces } from './places';
import ShareBar from './ShareBar.vue';
import TakeOver from './TakeOver.vue';
import { lackInWords } from './inWords';

/** The families of a site by how much text asks for each, and what became of that. */
const props = defineProps<{ stock: Stock }>();
const { point } = usePlaces(() => props.stock);

const project = useProject();
const isInCase = ({ name }: StockFamily): boolean =>
  Object.values(project.document?.case ?? {}).some((one) =>
    [one.name, one.alias].some((known) => known?.toLowerCase() === name.toLowerCase()),
  );
/** Whether there is a family to take: a generic name is the visitor's own. */
const canBeTaken = ({ state }: StockFamily): boolean => state !== 'generic' && state !== 'unset';
/** Name of the family that is being taken over; null for none. */
const taking = ref<string | null>(null);

const families = computed(() => familiesOf(props.stock));
const elsewhere = computed(() => [...new Set(props.stock.pages.flatMap((page) => page.elsewhere))]);

/** Whether some of the site's style sheets are not here. */
const unread = computed(() => props.stock.pages.some((page) => (page.unread ?? []).length > 0));

const instead = ({ instead: other }: StockFamily): string =>
  other === null || other === undefined
    ? say.anotherFontWhichBrowser
    : other.charAt(0).toUpperCase() + other.slice(1);

function says(family: StockFamily): string {
  switch (family.state) {
    case 'shown':
      return say.declaredShown(count(family.faces.length, 'face'));
    case 'local':
      return say.declaredByNoPage;
    case 'missing':
      return say.declaredNotHereFiles(instead(family));
    case 'carried': {
      const platforms = knownFont(family.name)?.font.platforms ?? [];
      return say.declaredByNoPageVisitors(platformNames(platforms), instead(family));
    }
    case 'unanswered':
      return say.declaredByNoPageNothing(instead(family));
    case 'unset':
      return unread.value ? say.noFamilyAskedBy : say.noFamilyAskedBrowsers;
    case 'generic':
      return say.whateverVisitorsBrowserTakes;
    case 'fetched':
      return say.fetchedNoTextShows;
    case 'unused':
      return say.declaredNoTextAsks;
  }
}

const lacks = ({ lacking }: StockFamily): string =>
  lacking.length === 0 ? '' : `${lacking.map(lackInWords).join('; ')}.`;
</script>

<template>
  <FiguresTable class="shares">
    <thead>
      <tr>
        <th scope="col">{{ say.asked }}</th>
        <th scope="col" class="figure">{{ say.ofText }}</th>
        <th scope="col">
          <span class="visually-hidden">{{ say.asBar }}</span>
        </th>
        <th scope="col">{{ say.whatShows }}</th>
      </tr>
    </thead>
    <tbody>
      <template v-for="family in families" :key="family.name">
        <tr :class="family.state">
          <th scope="row">{{ family.name || say.none }}</th>
          <td class="figure">{{ family.characters ? percent(family.share) : '' }}</td>
          <td class="bar"><ShareBar :share="family.share" /></td>
          <td class="says">
            {{ says(family) }} {{ lacks(family) }}
            <template v-if="family.nearest">
              {{ say.was }} <b>{{ family.nearest }}</b> {{ say.meant }}</template
            >
            <span class="line wrap deeds">
              <DoButton
                v-if="family.texts.length"
                class="on-point"
                :label="say.showOnPage"
                :aria-label="
                  say.showOnPageTexts(
                    count(family.texts.length, 'text'),
                    family.name || say.noFamily,
                  )
                "
                @click="point(family.texts)"
              />
              <span v-if="isInCase(family)" class="small quiet">{{ say.inCase }}</span>
              <DoButton
                v-else-if="canBeTaken(family)"
                class="on-point"
                :label="say.useProject"
                :aria-label="say.useProjectName(family.name)"
                :aria-expanded="taking === family.name"
                @click="taking = taking === family.name ? null : family.name"
              />
            </span>
          </td>
        </tr>
        <tr v-if="taking === family.name">
          <td colspan="4">
            <TakeOver :family="family" :elsewhere="elsewhere" @done="taking = null" />
          </td>
        </tr>
      </template>
    </tbody>
  </FiguresTable>
  <p v-if="elsewhere.length" class="small note">
    {{ say.servedByOthersNot(elsewhere.join(', ')) }}
  </p>
</template>

<style scoped>
.note {
  padding: 0 var(--edge) 16px;
}
.bar {
  min-width: 90px;
}
.says {
  width: 100%;
}
/* Kept in each row, so that nothing moves when they come. */
.deeds {
  min-height: 28px;
}
.missing th,
.unanswered th {
  text-decoration: underline dashed var(--mark);
  text-underline-offset: 3px;
}
</style>

<style>
.shares {
  width: calc(100% - 2 * var(--edge));
  margin: 0 var(--edge) 12px;
}
.shares th[scope='row'] {
  padding: 4px 12px 4px 0;
  text-align: left;
  font-weight: 550;
  color: var(--ink);
  min-width: 110px;
  overflow-wrap: anywhere;
  vertical-align: top;
}
.shares td {
  vertical-align: top;
}
@container (max-width: 560px) {
  .shares th[scope='row'] {
    min-width: 64px;
  }
  .shares .bar {
    min-width: 40px;
  }
}
</style>
