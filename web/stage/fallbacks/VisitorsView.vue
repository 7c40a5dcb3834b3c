<script setup lang="ts">
import { visitorsView as say } from './words';
import type { Patch, ProjectDocument } from '@lettera/core/document';
import {
  DEFAULT_AUDIENCE,
  landings,
  localName,
  PLATFORM_NAMES,
  PLATFORMS,
  readAudience,
  shareOf,
  tunedShare,
  voiceFallback,
  type LocalPlatform,
  type StackEntry,
} from '@lettera/core/fallback';
import { computed, ref, shallowRef } from 'vue';
import DoButton from '../../control/DoButton.vue';
import FiguresTable from '../../control/FiguresTable.vue';
import NumberField from '../../control/NumberField.vue';
import { percent } from '../../control/figures';
import CountedVisits from './CountedVisits.vue';
import { usePlans } from '../../store/plans';
import { useProject } from '../../store/project';

/** Who visits, by platform, and where they land in the stack; beside another stack that was set aside. */
const props = defineProps<{ document: ProjectDocument; voice: string }>();

const project = useProject();
const plans = usePlans();
const stack = computed(() => voiceFallback(plans.fallbackOf(props.document), props.voice).stack);
const aside = shallowRef<{ voice: string; stack: readonly StackEntry[] } | null>(null);
const compared = computed(() => (aside.value?.voice === props.voice ? aside.value.stack : null));
/** Shares as they were given, so that a figure that is typed stays as it is; they count in proportion. */
const given = computed((): Record<LocalPlatform, number> => {
  const { audience } = props.document;
  if (!audience) return DEFAULT_AUDIENCE;
  return Object.fromEntries(
    PLATFORMS.map((platform) => [platform, audience[platform] ?? 0]),
  ) as Record<LocalPlatform, number>;
});
const total = computed(() => PLATFORMS.reduce((sum, platform) => sum + given.value[platform], 0));

const landedIn = (of: readonly StackEntry[]) => landings(of, props.document.audience);
const rows = computed(() =>
  PLATFORMS.map((platform) => ({
    platform,
    name: PLATFORM_NAMES[platform],
    share: given.value[platform],
    lands: nameAt(stack.value, platform),
    landsAside: compared.value ? nameAt(compared.value, platform) : '',
  })),
);
function nameAt(of: readonly StackEntry[], platform: LocalPlatform): string {
  const landing = landedIn(of).find((one) => one.platform === platform);
  const entry = landing ? of[landing.entry] : undefined;
  if (!entry) return '';
  if (entry.kind === 'fallback') return localName(entry.local);
  return entry.kind === 'local' ? say.nameAsItIs(entry.name) : say.platformsOwn(entry.name);
}

const bars = (of: readonly StackEntry[]) => {
  const landed = landedIn(of);
  let from = 0;
  return of.flatMap((entry, at) => {
    const share = shareOf(landed, at);
    if (share === 0) return [];
    const bar = { name: entry.name, kind: entry.kind, share, from };
    from += share;
    return [bar];
  });
};
const charts = computed(() => [
  { title: say.thisStack, entries: stack.value },
  ...(compared.value ? [{ title: say.setAside, entries: compared.value }] : []),
]);

const audiencePatch = (value: Record<string, number>): Patch => [
  { op: 'add', path: '/audience', value },
];
const setShare = (platform: LocalPlatform, value: number) =>
  project.change(audiencePatch({ ...given.value, [platform]: value }));
const reset = () =>
  props.document.audience && project.change([{ op: 'remove', path: '/audience' }]);

const input = ref<HTMLInputElement | null>(null);
const said = ref<string[]>([]);
async function read(event: Event): Promise<void> {
  const [file] = (event.target as HTMLInputElement).files ?? [];
  (event.target as HTMLInputElement).value = '';
  if (!file) return;
  try {
    const { audience, notes } = readAudience(await file.text());
    if (project.change(audiencePatch(audience as Record<string, number>))) {
      said.value = [say.takenFrom(file.name), ...notes];
    }
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    said.value = [say.wasNotTakenMix(file.name, error.message)];
  }
}
</script>

<template>
  <FiguresTable>
    <thead>
      <tr>
        <th>{{ say.platform }}</th>
        <th class="figure">{{ say.share }}</th>
        <th>{{ say.gets }}</th>
        <th v-if="compared">{{ say.inStackSetAside }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.platform">
        <td>{{ row.name }}</td>
        <td class="figure">
          <NumberField
            :label="say.shareName(row.name)"
            hide-label
            :model-value="row.share"
            :min="0"
            :max="100"
            :step="1"
            unit="%"
            width="56px"
            @update:model-value="setShare(row.platform, $event)"
          />
        </td>
        <td>{{ row.lands }}</td>
        <td v-if="compared">{{ row.landsAside }}</td>
      </tr>
    </tbody>
  </FiguresTable>
  <div class="line wrap">
    <DoButton :label="say.readMixFromCsv" @click="input?.click()" />
    <input
      ref="input"
      type="file"
      hidden
      accept=".csv,text/csv,text/plain"
      :aria-label="say.mixPlatforms"
      @change="read"
    />
    <DoButton v-if="document.audience" :label="say.backLetterasMix" @click="reset" />
    <DoButton
      v-if="!compared"
      :label="say.setStackAsideCompare"
      @click="aside = { voice, stack }"
    />
    <DoButton v-else :label="say.forgetStackSetAside" @click="aside = null" />
  </div>
  <ul v-if="said.length" class="small" role="status">
    <li v-for="line in said" :key="line">{{ line }}</li>
  </ul>
  <figure v-for="{ title, entries } in charts" :key="title">
    <figcaption class="small">
      <b>{{ title }}</b>{{
        say.ofVisitsGetTuned(percent(tunedShare(entries, document.audience), 1))
      }}
    </figcaption>
    <svg class="landing" viewBox="0 0 1000 34" preserveAspectRatio="none" aria-hidden="true">
      <defs>
        <pattern id="hatch" width="8" height="8" patternUnits="userSpaceOnUse">
          <path d="M0 8L8 0" class="hatch" />
        </pattern>
      </defs>
      <rect
        v-for="bar in bars(entries)"
        :key="bar.name"
        :class="bar.kind"
        :x="bar.from * 1000 + 1"
        :width="Math.max(1, bar.share * 1000 - 2)"
        y="1"
        height="32"
      />
    </svg>
    <ul class="small names">
      <li v-for="bar in bars(entries)" :key="bar.name" :style="{ flexGrow: bar.share * 100 }">
        {{ bar.name }} <b>{{ percent(bar.share, 0) }}</b>
      </li>
    </ul>
  </figure>
  <p class="small quiet">
    {{
      document.audience
        ? say.mixProjectsOwnShares(Number(total.toFixed(2)))
        : say.letterasMixRoundEstimate(
            PLATFORMS.map((key) => `${PLATFORM_NAMES[key]} ${DEFAULT_AUDIENCE[key]} %`).join(', '),
          )
    }}
  </p>
  <CountedVisits :stack="stack" :voice="voice" :landed="landedIn(stack)" />
</template>

<style scoped>
figure {
  display: grid;
  gap: 4px;
}
.landing {
  width: 100%;
  height: 34px;
}
rect {
  stroke-width: 1;
  vector-effect: non-scaling-stroke;
}
rect.fallback {
  fill: url('#hatch');
  stroke: var(--local);
  stroke-dasharray: 4 2;
}
.hatch {
  stroke: var(--local);
  stroke-width: 1.5;
}
rect.local,
rect.generic {
  fill: none;
  stroke: var(--ink-2);
}
.names {
  display: flex;
  gap: 2px 14px;
  flex-wrap: wrap;
}
b {
  font-weight: 550;
}
</style>
