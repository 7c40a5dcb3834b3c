<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref } from 'vue';
import { urls } from '../../api/client';
import { kilobytes } from '../../frame/figures';
import { caseFont } from '../../proof/caseFonts';
import { useProject } from '../../store/project';
import { specimenFile, type LineUpRow } from './lineUp';
import WeightAxis from './WeightAxis.vue';

const props = defineProps<{ row: LineUpRow; words: string; size: number; open: boolean }>();
defineEmits<{ toggle: [] }>();

const project = useProject();
const root = ref<HTMLElement | null>(null);
const state = ref<'far' | 'loading' | 'shown' | 'failed'>('far');

const libraryFont = `library ${props.row.library?.id}`;
const font = props.row.library ? `"${libraryFont}"` : caseFont(props.row.caseKey);
let face: FontFace | null = null;

/** Fetches the family's specimen face once its row comes near, and lets it go with the row. */
async function show(): Promise<void> {
  const { library } = props.row;
  if (state.value !== 'far') return;
  const file = library && specimenFile(library);
  if (!library || !file) {
    state.value = 'shown';
    return;
  }
  state.value = 'loading';
  const { weightMin, weightMax } = file;
  face = new FontFace(libraryFont, `url(${urls.libraryFont(project.id, library.id, file.name)})`, {
    weight: weightMin === weightMax ? `${weightMin}` : `${weightMin} ${weightMax}`,
  });
  try {
    document.fonts.add(await face.load());
    state.value = 'shown';
  } catch {
    state.value = 'failed';
  }
}

const observer = new IntersectionObserver(
  (entries) => {
    if (entries.some(({ isIntersecting }) => isIntersecting)) void show();
  },
  { rootMargin: '600px' },
);
onMounted(() => root.value && observer.observe(root.value));
onBeforeUnmount(() => {
  observer.disconnect();
  if (face) document.fonts.delete(face);
});

defineExpose({ focus: () => root.value?.querySelector('button')?.focus() });
</script>

<template>
  <li ref="root" :class="{ open }">
    <button type="button" class="plain row" :aria-expanded="open" @click="$emit('toggle')">
      <span class="facts line-up-columns">
        <span class="name"
          >{{ row.name }}<span v-if="row.caseKey" class="taken">in the case</span></span
        >
        <span class="quiet">{{ row.class }}</span>
        <WeightAxis :weights="row.weights" :variable="row.variable" />
        <span class="quiet">{{ row.italic ? 'italic' : '–' }}</span>
        <span class="quiet figure">{{ row.scripts.length }}</span>
        <span class="figure">{{ kilobytes(row.bytes) }}</span>
      </span>
      <span
        class="specimen"
        :class="state"
        :style="{ fontFamily: state === 'shown' ? font : undefined, fontSize: `${size}px` }"
        >{{
          state === 'failed'
            ? 'The foundry did not send this face. Open the row to try again.'
            : words
        }}</span
      >
    </button>
    <slot v-if="open" :font="font" />
  </li>
</template>

<style scoped>
li {
  border-bottom: 1px solid var(--rule);
  content-visibility: auto;
  contain-intrinsic-size: auto 84px;
}
li.open {
  content-visibility: visible;
  background: var(--touched);
}
.row {
  display: block;
  width: 100%;
  padding: 8px 20px 10px;
}
.row:hover {
  background: var(--touched);
}
.facts {
  display: grid;
  gap: 10px;
  align-items: center;
  font-size: 12px;
}
.name {
  font-size: 13px;
  font-weight: 550;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.taken {
  margin-left: 8px;
  font-size: 11px;
  font-weight: 450;
  color: var(--verdigris);
}
.specimen {
  display: block;
  margin-top: 2px;
  line-height: 1.3;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  transition: opacity var(--motion);
}
.specimen.far,
.specimen.loading {
  opacity: 0;
}
.specimen.failed {
  font-size: 13px !important;
  color: var(--mark);
}
</style>
