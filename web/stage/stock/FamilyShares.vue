<script setup lang="ts">
import { familiesOf, type Stock, type StockFamily } from '@lettera/core/stock';
import { computed, ref } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { count, percent } from '../../control/figures';
import { useProject } from '../../store/project';
import { useUpload } from '../../store/upload';
import { usePlaces } from './places';
import ShareBar from './ShareBar.vue';
import { weightsInWords } from './words';

/** The families of a site by how much text asks for each, and what became of that. */
const props = defineProps<{ stock: Stock }>();
const { point } = usePlaces(() => props.stock);

const project = useProject();
const upload = useUpload();
const filesOf = ({ faces }: StockFamily): string[] => [
  ...new Set(faces.flatMap(({ file, state }) => (file && state !== 'failed' ? [file] : []))),
];
const isInCase = ({ name }: StockFamily): boolean =>
  Object.values(project.document?.case ?? {}).some((one) =>
    [one.name, one.alias].some((known) => known?.toLowerCase() === name.toLowerCase()),
  );
/** Takes the files that the page brought into the case, under the name that the site knows the family by. */
const failed = ref('');
async function takeIn(family: StockFamily): Promise<void> {
  failed.value = '';
  try {
    const files = await Promise.all(
      filesOf(family).map(async (address) => {
        const response = await fetch(address);
        if (!response.ok) throw new Error('A font file did not come. The case is as it was.');
        return new File([await response.blob()], address.replace(/^.*\//, ''));
      }),
    );
    await upload.take(files);
    for (const taken of upload.families) {
      const [key] =
        Object.entries(project.document?.case ?? {}).find(([, { name }]) => name === taken) ?? [];
      if (key && taken.toLowerCase() !== family.name.toLowerCase()) {
        project.change([{ op: 'add', path: `/case/${key}/alias`, value: family.name }]);
      }
    }
  } catch (error) {
    failed.value = (error as Error).message;
  }
}

const families = computed(() => familiesOf(props.stock));
const elsewhere = computed(() => [...new Set(props.stock.pages.flatMap((page) => page.elsewhere))]);

const instead = ({ instead: other }: StockFamily): string =>
  other === null || other === undefined
    ? 'Another font, which the browser looks for,'
    : other.charAt(0).toUpperCase() + other.slice(1);

function says(family: StockFamily): string {
  switch (family.state) {
    case 'shown':
      return `${count(family.faces.length, 'face')} declared and shown.`;
    case 'local':
      return 'Declared by no page. It shows here since this machine has it; visitors without it see what stands behind it.';
    case 'missing':
      return `Declared, and not here: its files were not brought along or did not load. ${instead(family)} shows instead.`;
    case 'unanswered':
      return `Declared by no page, and nothing here answers to the name. ${instead(family)} shows instead.`;
    case 'unset':
      return 'No family is asked for: browsers take their own.';
    case 'generic':
      return 'Whatever the visitor’s browser takes for it.';
    case 'fetched':
      return 'Fetched, and no text shows it.';
    case 'unused':
      return 'Declared, and no text asks for it.';
  }
}

const lacks = ({ lacking }: StockFamily): string =>
  lacking.length === 0
    ? ''
    : `No face of its own for ${weightsInWords(lacking)}: the nearest is shown, or it is faked.`;
</script>

<template>
  <table class="shares figures-table">
    <thead>
      <tr>
        <th scope="col">Family asked for</th>
        <th scope="col" class="figure">Of the text</th>
        <th scope="col"><span class="visually-hidden">As a bar</span></th>
        <th scope="col">What shows</th>
        <th scope="col"><span class="visually-hidden">Where</span></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="family in families" :key="family.name" :class="family.state">
        <th scope="row">{{ family.name || 'None' }}</th>
        <td class="figure">{{ family.characters ? percent(family.share) : '' }}</td>
        <td class="bar"><ShareBar :share="family.share" /></td>
        <td>
          {{ says(family) }} {{ lacks(family) }}
          <template v-if="family.nearest">
            Was <b>{{ family.nearest }}</b> meant?</template
          >
        </td>
        <td>
          <DoButton
            v-if="family.texts.length"
            label="Point"
            :aria-label="`Point at ${count(family.texts.length, 'text')} in ${family.name || 'no family'}`"
            @click="point(family.texts)"
          />
          <span v-if="isInCase(family)" class="small quiet">in the case</span>
          <DoButton
            v-else-if="filesOf(family).length"
            label="Take it in"
            :aria-label="`Take it in: ${family.name}`"
            :why="upload.state === 'reading' ? 'Files are on their way in' : undefined"
            @click="takeIn(family)"
          />
        </td>
      </tr>
    </tbody>
  </table>
  <p v-if="failed" role="alert" class="small note mark-text">{{ failed }}</p>
  <div v-if="upload.state === 'done'" class="small note" role="status">
    <p v-if="upload.brought">{{ count(upload.brought, 'face') }} taken into the case.</p>
    <p v-for="line in upload.troubled" :key="line.text" class="mark-text">{{ line.text }}</p>
  </div>
  <p v-if="elsewhere.length" class="small note">
    Served by others, and not asked for here: {{ elsewhere.join(', ') }}. Their faces are not on
    these pages as they are shown.
  </p>
</template>

<style scoped>
.note {
  padding: 0 20px 16px;
}
.bar {
  width: 90px;
}
.missing th,
.unanswered th {
  text-decoration: underline dashed var(--mark);
  text-underline-offset: 3px;
}
</style>

<style>
.shares {
  width: calc(100% - 40px);
  margin: 0 20px 12px;
}
.shares th[scope='row'] {
  padding: 4px 12px 4px 0;
  text-align: left;
  font-weight: 550;
  color: var(--ink);
  overflow-wrap: anywhere;
}
.shares td {
  vertical-align: top;
}
</style>
