<script setup lang="ts">
import { gatheredView as say } from './words';
import { PROPERTIES, type Patch } from '@lettera/core/document';
import {
  mergeAllPatch,
  mergePatch,
  ownVoices,
  redundant,
  sameStyles,
  standsForAll,
  strays,
  unwornStyles,
  type StyleProperty,
} from '@lettera/core/style';
import { computed } from 'vue';
import DoButton from '../../control/DoButton.vue';
import NearRows from '../../control/NearRows.vue';
import { useProject } from '../../store/project';
import { useProof } from '../../store/proof';
import StageMarks from '../StageMarks.vue';
import SiteCheck from './SiteCheck.vue';
import { valueText } from './propertyText';

/** Strays, what is set for nothing, styles that say the same and styles that nothing wears: each with one action. */
const emit = defineEmits<{ style: [] }>();
const project = useProject();
const proof = useProof();

interface Found {
  key: string;
  style: string;
  says: string;
  does: string;
  patch: Patch;
}
interface List {
  title: string;
  about: string;
  none: string;
  all: string;
  /** Puts all right at once, where that is more than one after the other. */
  together?: Patch;
  found: Found[];
}

/** Height of a row, px. */
const ROW = 33;

const nameOf = (style: string): string => project.document?.styles[style]?.name ?? style;

function followAgain({ style, property }: StyleProperty): Found {
  const { document } = project;
  const value = document?.styles[style]?.set[property] ?? null;
  return {
    key: `${style} ${property}`,
    style,
    says: `${PROPERTIES[property].label}: ${document ? valueText(document, property, value) : ''}`,
    does: say.letFollow,
    patch: [{ op: 'remove', path: `/styles/${style}/set/${property}` }],
  };
}

const lists = computed<List[]>(() => {
  const { document } = project;
  if (!document) return [];
  return [
    {
      title: say.strays,
      about: say.setWhereAllOthers,
      none: say.everythingCouldFollowGroup,
      all: say.letAllFollow,
      found: strays(document).map(followAgain),
    },
    {
      title: say.setNothing,
      about: say.setWhatTheyWould,
      none: say.nothingSetWhatWould,
      all: say.dropAll,
      found: redundant(document).map((one) => ({ ...followAgain(one), does: say.drop })),
    },
    {
      title: say.outsidePair,
      about: say.setVoiceTheirOwn,
      none: say.anotherPairFamiliesReaches,
      all: say.letAllFollow,
      found: ownVoices(document).map(({ style, voice, family, reaches }) => ({
        key: style,
        style,
        says: [
          `${document.voices[voice]?.name ?? voice}${family ? `, ${document.case[family]?.name ?? family}` : ''}`,
          reaches.length > 1 ? say.forStyles(reaches.length) : '',
        ]
          .filter(Boolean)
          .join(' '),
        does: say.letFollow,
        patch: [{ op: 'remove', path: `/styles/${style}/set/voice` }],
      })),
    },
    {
      title: say.stylesSaySame,
      about: say.theyAgreeEverythingBut,
      none: say.noTwoStylesSame,
      all: say.makeOneEach,
      together: mergeAllPatch(document, sameStyles(document)),
      found: sameStyles(document).map((group) => {
        const kept = standsForAll(document, group);
        const others = group.filter((key) => key !== kept);
        return {
          key: group.join(' '),
          style: kept,
          says: say.and(others.map(nameOf).join(', ')),
          does: say.keep(nameOf(kept)),
          patch: mergePatch(document, kept, others),
        };
      }),
    },
    {
      title: say.stylesNothingUses,
      about: say.noTextElementThem,
      none: say.everyStyleShowsSomewhere,
      all: say.removeAll,
      found: unwornStyles(document).map((style) => ({
        key: style,
        style,
        says: say.showsNowhere,
        does: say.remove,
        patch: [{ op: 'remove', path: `/styles/${style}` }],
      })),
    },
  ];
});

function open(style: string): void {
  proof.style = style;
  emit('style');
}
</script>

<template>
  <div class="gathered">
    <StageMarks stage="styles" :on="say.styles" />
    <SiteCheck class="whole" />
    <section v-for="list in lists" :key="list.title" :aria-label="list.title">
      <h2 class="line spread">
        {{ list.title }}
        <DoButton
          v-if="list.found.length > 1"
          :label="list.all"
          @click="project.change(list.together ?? list.found.flatMap(({ patch }) => patch))"
        />
      </h2>
      <p v-if="list.found.length === 0" class="small quiet">{{ list.none }}</p>
      <template v-else>
        <p class="small quiet">{{ list.about }}</p>
        <NearRows
          v-slot="{ row: one }"
          :rows="list.found"
          :key-of="({ key }) => key"
          :estimate="() => ROW"
          :beyond="12"
          :label="list.title"
        >
          <div class="one">
            <button type="button" class="plain name" @click="open(one.style)">
              {{ nameOf(one.style) }}
            </button>
            <span class="small">{{ one.says }}</span>
            <DoButton
              class="on-point"
              :label="one.does"
              :aria-label="`${one.does}: ${nameOf(one.style)}, ${one.says}`"
              @click="project.change(one.patch)"
            />
          </div>
        </NearRows>
      </template>
    </section>
  </div>
</template>

<style scoped>
.gathered {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
  gap: 14px 24px;
  align-items: start;
  padding: 4px var(--edge) 16px;
}
.gathered > :first-child,
.whole {
  grid-column: 1 / -1;
}
.one {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: baseline;
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
}
.one > :last-child {
  margin-left: auto;
}
.name {
  font-weight: 600;
}
</style>
