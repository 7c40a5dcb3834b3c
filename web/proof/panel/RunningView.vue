<script setup lang="ts">
import { runningView as say } from './words';
import { contrastRatio, resolveElement, sizeInViewport } from '@lettera/core/style';
import { computed, ref, watch } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { count, minus } from '../../control/figures';
import FiguresTable from '../../control/FiguresTable.vue';
import PickOne from '../../control/PickOne.vue';
import { useLive } from '../../store/live';
import { useProject } from '../../store/project';
import { useProof } from '../../store/proof';
import { claimPatch, nearestStyle } from './claim';

/** What is known of a text that was clicked on the running site, and what the project has for it. */
const project = useProject();
const proof = useProof();
const live = useLive();

const text = computed(() => live.pointed);
const element = computed(() => project.shown?.elements[text.value?.element ?? ''] ?? null);
const styleName = computed(() => project.shown?.styles[element.value?.style ?? '']?.name ?? '');
const contrast = computed(() => {
  const { colour, ground } = text.value ?? {};
  return colour && ground ? contrastRatio(colour, ground).toFixed(2) : null;
});

/** Sizes and lines that differ by less are rounded otherwise, CSS px. */
const ROUNDED = 0.06;
const px = (value: number): string => minus(`${Number(value.toFixed(2))} px`);

interface Row {
  label: string;
  there: string;
  here: string;
  differs: boolean;
}

/** What the browser sets there beside what the project has for that text element. */
const rows = computed<Row[]>(() => {
  const [now, document] = [text.value, project.shown];
  if (!now || !document) return [];
  const resolved =
    now.element !== null && element.value ? resolveElement(document, now.element) : null;
  const size = resolved && sizeInViewport(document, resolved.step.value, now.width);
  const measured = (label: string, there: number | null, here: number | null): Row => ({
    label,
    there: there === null ? say.normal : px(there),
    here: here === null ? '' : px(here),
    differs: there !== null && here !== null && Math.abs(there - here) > ROUNDED,
  });
  const family = document.case[document.voices[resolved?.voice.value ?? '']?.family ?? '']?.name;
  const face = now.face ?? say.notKnownFont;
  const weight = resolved?.weight.value;
  return [
    measured(say.size, now.size, size),
    {
      label: say.weight,
      there: `${now.weight}`,
      here: weight === undefined ? '' : `${weight}`,
      differs: weight !== undefined && weight !== now.weight,
    },
    measured(
      say.line,
      now.lineHeight,
      resolved && size !== null && typeof resolved.lineHeight.value === 'number'
        ? resolved.lineHeight.value * size
        : null,
    ),
    measured(
      say.spacing,
      now.letterSpacing,
      resolved && size !== null && typeof resolved.letterSpacing.value === 'number'
        ? resolved.letterSpacing.value * size
        : null,
    ),
    {
      label: say.face,
      there: face,
      here: family ?? '',
      differs: family !== undefined && family !== face,
    },
  ];
});
const differs = computed(() => rows.value.some((row) => row.differs));

// A text that nothing claims can be made a text element.
const selector = ref('');
watch(
  text,
  (now) => {
    selector.value = now?.selectors.find(({ texts }) => texts > 0)?.selector ?? '';
  },
  { immediate: true },
);
const selectors = computed(() =>
  (text.value?.selectors ?? []).map((one) => ({
    value: one.selector,
    label: say.meets(one.selector, count(one.texts, 'text')),
  })),
);
const nearest = computed(() => {
  const [now, document] = [text.value, project.document];
  return now && document ? nearestStyle(document, now, now.width) : '';
});
function claim(): void {
  const [now, document] = [text.value, project.document];
  if (!now || !document || !selector.value) return;
  const name = selector.value.replace(/^[.#]/, '').replace(/[-_.]+/g, ' ');
  const patch = claimPatch(document, { name, selector: selector.value, style: nearest.value });
  if (!project.change(patch)) return;
  const [made] = patch;
  live.pointed = { ...now, element: made?.path.split('/').pop() ?? null };
  proof.style = nearest.value;
}
</script>

<template>
  <p v-if="live.swapped" class="small">
    {{ say.swapped(live.swapped.address, live.swapped.width) }}
    {{ live.swapped.shift === null ? say.noShift : say.shift(live.swapped.shift.toFixed(3)) }},
    {{ say.moved(count(live.swapped.moved, 'block'), live.swapped.farthest.toFixed(1)) }}
  </p>
  <p v-if="!text" class="quiet">{{ say.pointThere }}</p>
  <template v-else>
    <dl class="l-facts">
      <dt>{{ say.words }}</dt>
      <dd>{{ text.words }}</dd>
      <dt>{{ say.page }}</dt>
      <dd>{{ say.atPx(text.address, text.width) }}</dd>
      <template v-if="text.source">
        <dt>{{ say.source }}</dt>
        <dd>
          <code>{{ text.source }}</code>
        </dd>
      </template>
      <dt>{{ say.style }}</dt>
      <dd>{{ element ? say.usedBy(styleName, element.name) : say.noElement }}</dd>
      <dt>{{ say.contrast }}</dt>
      <dd>{{ contrast ? say.toOn(contrast, text.ground ?? '') : say.notKnown }}</dd>
      <template v-if="text.measure">
        <dt>{{ say.characters }}</dt>
        <dd>{{ say.about(text.measure) }}</dd>
      </template>
    </dl>
    <form v-if="!element && selectors.length" class="claim" @submit.prevent="claim">
      <PickOne v-model="selector" :label="say.chooseWhat" :choices="selectors" />
      <p class="small quiet">
        {{ say.takesStyle(project.document?.styles[nearest]?.name ?? nearest) }}
      </p>
      <DoButton type="submit" first :label="say.makeElement" />
    </form>
    <FiguresTable>
      <thead>
        <tr>
          <th scope="col">{{ say.property }}</th>
          <th scope="col">{{ say.there }}</th>
          <th scope="col">{{ say.project }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.label">
          <td>{{ row.label }}</td>
          <td :class="{ otherwise: row.differs }">{{ row.there }}</td>
          <td>{{ row.here }}</td>
        </tr>
      </tbody>
    </FiguresTable>
    <p v-if="differs" class="small quiet">{{ say.otherwise }}</p>
  </template>
</template>

<style scoped>
.claim {
  display: grid;
  justify-items: start;
  gap: 6px;
  margin-bottom: 12px;
}
.claim p {
  margin: 0;
}
.otherwise {
  color: var(--local);
}
</style>
