<script setup lang="ts">
import { runningSite as say } from './words';
import { computed, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { encode } from 'uqr';
import DoButton from '../../control/DoButton.vue';
import { count, dayOf } from '../../control/figures';
import FiguresTable from '../../control/FiguresTable.vue';
import OnOff from '../../control/OnOff.vue';
import TextField from '../../control/TextField.vue';
import { useLive } from '../../store/live';
import { useProject } from '../../store/project';
import { useStock } from '../../store/stock';
import CodeView from './CodeView.vue';
import { bookmarkFor, pluginCode, templateLines } from './waysOntoPage';

/** The live sheet: where it may be had, the ways onto a page, who has it, and what was read there. */
const project = useProject();
const live = useLive();
const stock = useStock();
const router = useRouter();

const sheet = computed(() => live.state?.sheet ?? null);
const typed = ref('');
const tried = ref(true);
watch(
  sheet,
  (now) => {
    if (!now) return;
    typed.value = now.origins.join(', ');
    tried.value = now.tried;
  },
  { immediate: true },
);
const origins = computed(() => typed.value.split(/[\s,]+/).filter(Boolean));
const why = computed(() => (origins.value.length > 0 ? undefined : say.giveWhere));
const isChanged = computed(
  () =>
    sheet.value !== null &&
    (sheet.value.origins.join() !== origins.value.join() || sheet.value.tried !== tried.value),
);
const want = () => live.want({ origins: origins.value, tried: tried.value });
const said = ref('');
async function end(): Promise<void> {
  await live.end();
  said.value = live.fault ? '' : say.ended;
}
const name = (from: string) =>
  live.want({ origins: [...(sheet.value?.origins ?? []), from], tried: tried.value });
/** A refusal that can be put right by naming where it came from. */
const nameable = computed(() => {
  const from = sheet.value?.refusedFrom ?? '';
  return /^https?:\/\//.test(from) && !sheet.value?.origins.includes(from) ? from : null;
});

const linked = computed(() => project.document?.delivery.linked ?? 'before');
const at = computed(() => `${location.origin}/live/${sheet.value?.key ?? ''}/`);
const template = computed(() => templateLines(at.value, linked.value));
const bookmark = computed(() => bookmarkFor(at.value));
const plugin = computed(() => pluginCode(at.value, linked.value));

/** The proof as devices of the network have it. */
const proofAt = computed(() => {
  const [host] = live.state?.addresses ?? [];
  const port = location.port ? `:${location.port}` : '';
  return host === undefined
    ? null
    : `${location.protocol}//${host}${port}/live/${sheet.value?.key ?? ''}/proof`;
});
const QUIET = 2;
const code = computed(() => {
  if (!proofAt.value) return null;
  const { data, size } = encode(proofAt.value, { border: QUIET });
  const path = data
    .flatMap((row, y) => row.flatMap((dark, x) => (dark ? [`M${x} ${y}h1v1h-1z`] : [])))
    .join('');
  return { path, size };
});

async function takeStock(): Promise<void> {
  const files = await live.files();
  await router.push({ name: 'stock', params: { project: project.stored?.slug ?? project.id } });
  if (await stock.bring(files)) await live.forget();
}
</script>

<template>
  <div class="running">
    <p class="what">{{ say.what }}</p>
    <form class="wish" @submit.prevent="want">
      <label>
        <span>{{ say.where }}</span>
        <TextField v-model="typed" :placeholder="say.example" spellcheck="false" />
      </label>
      <p class="small quiet">{{ say.severalPlaces }}</p>
      <div class="line wrap">
        <OnOff v-model="tried" :label="say.tried" />
        <DoButton
          v-if="!sheet || isChanged"
          type="submit"
          :first="!sheet"
          :why="why"
          :label="sheet ? say.change : say.begin"
        />
        <DoButton v-if="sheet" :label="say.end" @click="end" />
      </div>
    </form>
    <p v-if="live.fault" role="alert" class="mark-text">{{ live.fault }}</p>
    <p v-else-if="said && !sheet" role="status" class="small">{{ said }}</p>
    <p v-if="!sheet && live.state?.ended[0]" class="small quiet">
      {{
        say.last(dayOf(live.state.ended[0].endedAt), count(live.state.ended[0].refused, 'request'))
      }}
    </p>
    <template v-if="sheet">
      <p v-if="sheet.refused > 0 && nameable" role="status" class="line wrap">
        {{ say.refused(count(sheet.refused, 'request'), nameable) }}
        <DoButton :label="say.allow(nameable)" @click="name(nameable)" />
      </p>
      <h2>{{ say.follows }}</h2>
      <p v-if="!live.state?.pages.length" class="quiet">{{ say.none }}</p>
      <FiguresTable v-else>
        <thead>
          <tr>
            <th scope="col">{{ say.page }}</th>
            <th scope="col">{{ say.browser }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(page, i) in live.state.pages" :key="i">
            <td>{{ page.address }}</td>
            <td>{{ page.engine }}</td>
          </tr>
        </tbody>
      </FiguresTable>
      <OnOff v-model="live.showsMarks" :label="say.marks" />

      <h2>{{ say.ways }}</h2>
      <CodeView :path="say.template" :code="template" />
      <p class="small quiet">
        {{ linked === 'before' ? say.templateAbout : say.templateAfter }}
      </p>
      <p class="line wrap bookmark">
        <b>{{ say.bookmark }}</b>
        <!-- Nothing here may run it: it is for the bookmarks. -->
        <a class="go" :href="bookmark" draggable="true" @click.prevent="said = say.bookmarkDrag">{{
          say.bookmarkName
        }}</a>
        <span role="status" class="small">{{ said }}</span>
      </p>
      <p class="small quiet">{{ say.bookmarkAbout }}</p>
      <CodeView :path="say.plugin" :code="plugin" />
      <p class="small quiet">{{ say.pluginAbout }}</p>

      <h2>{{ say.read }}</h2>
      <p class="small quiet">{{ say.readAbout }}</p>
      <template v-if="live.readings.length">
        <ul class="readings" :aria-label="say.read">
          <li v-for="one in live.readings" :key="one.address" class="line spread">
            <span
              >{{ one.title || one.address }}
              <span class="small quiet"
                >{{ one.address }},
                {{ say.readAt(count(one.texts, 'text'), one.widths.join(', ')) }}</span
              ></span
            >
            <DoButton
              bare
              :label="say.remove"
              :aria-label="`${say.remove} ${one.address}`"
              @click="live.forget(one.address)"
            />
          </li>
        </ul>
        <p class="line">
          <DoButton first :label="say.takeStock" @click="takeStock" />
          <DoButton :label="say.removeAll" @click="live.forget()" />
        </p>
      </template>

      <h2>{{ say.device }}</h2>
      <div v-if="proofAt && code" class="device">
        <svg :viewBox="`0 0 ${code.size} ${code.size}`" role="img" :aria-label="say.code">
          <rect :width="code.size" :height="code.size" fill="#fff" />
          <path :d="code.path" fill="#000" shape-rendering="crispEdges" />
        </svg>
        <div>
          <p>{{ say.deviceAbout }}</p>
          <p>
            <a class="go" :href="proofAt" target="_blank" rel="noopener">{{ proofAt }}</a>
          </p>
          <p class="small quiet">{{ say.deviceSite }}</p>
        </div>
      </div>
      <p v-else class="small quiet">{{ say.deviceNot }}</p>
    </template>
  </div>
</template>

<style scoped>
.running {
  padding: 0 var(--edge) 24px;
}
.what,
.wish {
  max-width: 640px;
}
h2 {
  margin: 22px 0 8px;
  font-size: var(--size-read);
  font-weight: 600;
}
.wish {
  display: grid;
  gap: 6px;
}
.wish label {
  display: grid;
  gap: 4px;
}
.wish p {
  margin: 0;
}
.bookmark {
  margin: 18px 0 0;
}
.bookmark + p {
  margin-bottom: 18px;
}
.what {
  margin: 0 0 14px;
}
.readings {
  margin: 0 0 8px;
  padding: 0;
  list-style: none;
}
.readings li {
  min-height: 29px;
  border-top: 1px solid var(--rule);
}
.device {
  display: grid;
  grid-template-columns: 132px 1fr;
  gap: 16px;
}
.device svg {
  width: 132px;
}
.device p {
  margin: 0 0 6px;
  overflow-wrap: anywhere;
}
</style>
