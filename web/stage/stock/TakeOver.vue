<script setup lang="ts">
import { takeOver as say } from './words';
import { REGULAR_WEIGHT, classDrawn, type FaceMeasures } from '@lettera/core/measure';
import { embeddingRights } from '@lettera/core/font';
import { knownFont } from '@lettera/core/fallback';
import { weightsOf, type StockFamily } from '@lettera/core/stock';
import type { FaceClass, Slant } from '@lettera/core/document';
import { computed, onMounted, ref, shallowRef } from 'vue';
import { api } from '../../api/client';
import DoButton from '../../control/DoButton.vue';
import { count } from '../../control/figures';
import { useFamilies } from '../../store/families';
import { useLibrary } from '../../store/library';
import { useProject } from '../../store/project';
import { plain, type LineUpRow } from '../../store/rows/rows';
import { useUpload } from '../../store/upload';
import LookAlikes from '../families/LookAlikes.vue';
import ReferenceForm from '../families/ReferenceForm.vue';
import TakeIn from '../families/TakeIn.vue';
import { fontFilesOf } from './fontFiles';

/**
 * The ways to take a family of a site over: its own files, where they were brought and may be hosted; the
 * foundry's of that name; by reference; or what looks most like it.
 */
const props = defineProps<{
  family: StockFamily;
  /** Hosts that the pages ask for what sets type. */
  elsewhere: readonly string[];
}>();
const emit = defineEmits<{ done: [] }>();

const project = useProject();
const library = useLibrary();
const families = useFamilies();
const upload = useUpload();

const addresses = computed(() => fontFilesOf(props.family));
const failed = ref('');
/** What became of files that were taken in. */
const outcome = shallowRef<{ brought: number; troubled: readonly string[] } | null>(null);
const referring = ref(false);
const chosen = ref<LineUpRow | null>(null);

/** A file of the family that was brought, as it was measured. */
const measured = shallowRef<{ fsType: number; measures: FaceMeasures } | null>(null);

/** A file by its place among those of the family: two folders may have files of one name. */
function nameOf(address: string): string {
  const name = address.replace(/^.*\//, '');
  const alike = addresses.value.filter((other) => other.endsWith(`/${name}`));
  return alike.length > 1 ? `${alike.indexOf(address) + 1}-${name}` : name;
}
async function fileAt(address: string): Promise<File> {
  const response = await fetch(address);
  if (!response.ok) throw new Error(say.fontFileDidNot);
  return new File([await response.blob()], nameOf(address));
}

onMounted(async () => {
  const [first] = addresses.value;
  if (first === undefined) return;
  try {
    measured.value = await api.measureFile(project.id, await fileAt(first));
  } catch (error) {
    failed.value = (error as Error).message;
  }
});

const rights = computed(() => measured.value && embeddingRights(measured.value.fsType));
const whyNotHosted = computed(() => {
  if (upload.state === 'reading') return say.filesOnTheirWay;
  return rights.value?.forbidsWeb ? say.fileSaysItselfRefer(rights.value.says) : undefined;
});

/** Takes the files that the page brought into the case, under the name that the site knows the family by. */
async function takeFiles(): Promise<void> {
  failed.value = '';
  try {
    const ranges = props.family.faces.flatMap(({ file, unicodeRange }) =>
      file && unicodeRange ? [[nameOf(file), unicodeRange] as const] : [],
    );
    const files = await Promise.all(addresses.value.map(fileAt));
    await upload.take(files, Object.fromEntries(ranges));
    // It is said here, beside what was pressed.
    const { brought, troubled } = upload;
    outcome.value = { brought, troubled: troubled.map(({ text }) => text) };
    upload.dismiss();
    for (const taken of upload.families) {
      const [key] =
        Object.entries(project.document?.case ?? {}).find(([, { name }]) => name === taken) ?? [];
      if (key && plain(taken) !== plain(props.family.name)) {
        project.change([{ op: 'add', path: `/case/${key}/alias`, value: props.family.name }]);
      }
    }
  } catch (error) {
    failed.value = (error as Error).message;
  }
}

/** The family of that name itself, in the foundry. */
const itself = computed(() =>
  families.rows.find(
    ({ plainName, library: entry }) => entry !== null && plainName === plain(props.family.name),
  ),
);
const measures = computed(() => measured.value?.measures ?? itself.value?.measures?.regular);

/** What its texts ask for, or what is declared of it where none does. */
const given = computed(() => {
  const own = props.family.faces.map(({ weight, style }): { style: Slant; weight: number } => ({
    style: /^(italic|oblique)/.test(style) ? 'italic' : 'normal',
    weight: weightsOf({ weight })[0],
  }));
  const faces = [
    ...own,
    ...props.family.lacking.map(({ weight, slant: style }) => ({ style, weight })),
  ];
  const once = new Map(faces.map((face) => [`${face.style} ${face.weight}`, face]));
  const drawn: FaceClass | undefined = measures.value
    ? classDrawn(measures.value)
    : itself.value?.class;
  const known = knownFont(props.family.name)?.class;
  return {
    name: props.family.name,
    stylesheet: '',
    faces:
      once.size > 0 ? [...once.values()] : [{ style: 'normal' as const, weight: REGULAR_WEIGHT }],
    class: drawn ?? (known === 'serif' || known === 'monospace' ? known : 'sans-serif'),
    measures: measured.value?.measures ?? null,
  };
});
</script>

<template>
  <div class="over" :aria-label="say.useProject(family.name)" role="group">
    <section v-if="addresses.length">
      <h3>{{ say.ownFiles }}</h3>
      <p class="line wrap">
        <DoButton
          :label="say.add(count(addresses.length, 'file'))"
          :why="whyNotHosted"
          :first="!referring && !chosen"
          @click="takeFiles"
        />
        <span class="small quiet">
          {{ say.theyCamePageWhat(rights ? say.andSayThemselves(rights.says) : '') }}
        </span>
      </p>
      <div v-if="outcome" class="small" role="status">
        <p v-if="outcome.brought">{{ say.addedCase(count(outcome.brought, 'face')) }}</p>
        <p v-for="line in outcome.troubled" :key="line" class="mark-text">{{ line }}</p>
      </div>
    </section>
    <section v-if="itself?.library">
      <h3>{{ say.foundrys(itself.name) }}</h3>
      <TakeIn :family="itself.library" :case-key="itself.caseKey" />
    </section>
    <section>
      <h3>{{ say.byReference }}</h3>
      <p v-if="!referring" class="line wrap">
        <DoButton :label="say.refer" @click="referring = true" />
        <span class="small quiet">
          {{ say.itStaysWhereServed(elsewhere.length ? say.suchAs(elsewhere[0] ?? '') : '') }}
        </span>
      </p>
      <ReferenceForm v-else :rows="families.rows" :given="given" @done="referring = false" />
    </section>
    <LookAlikes
      v-if="measures"
      :measures="measures"
      :rows="families.rows"
      :own="itself?.key"
      @show="chosen = $event"
    />
    <p v-else class="small quiet">
      {{ say.whatLooksLikeCan(library.families.length === 0 ? say.facesAsksWhetherFoundry : '') }}
    </p>
    <section v-if="chosen">
      <h3>{{ chosen.name }}</h3>
      <TakeIn
        v-if="chosen.library"
        :key="chosen.key"
        :family="chosen.library"
        :case-key="chosen.caseKey"
      />
      <p v-else class="small quiet">{{ say.itCase }}</p>
    </section>
    <p v-if="failed" role="alert" class="small mark-text">{{ failed }}</p>
    <p class="line">
      <DoButton :label="outcome ? say.done : say.onlyLook" @click="emit('done')" />
    </p>
  </div>
</template>

<style scoped>
.over {
  display: grid;
  gap: 12px;
  padding: 4px 0 12px;
}
h3 {
  margin: 0 0 4px;
  font-size: 13px;
}
p {
  margin: 0;
}
:deep(.reference) {
  margin: 0;
}
</style>
