<script setup lang="ts">
import { siteKinds as say } from './words';
import { SITE_KINDS, siteKindPatch, type SiteKind } from '@lettera/core/scale';
import type { Scale } from '@lettera/core/document';
import DoButton from '../../control/DoButton.vue';
import { plainNumber } from '../../control/figures';
import { useLengthUnit } from '../../control/lengthUnit';
import { useScaleDraft } from '../../store/scaleDraft';

/** Scales to start from, each with its reason: shown while pointed at, taken on a click. */
const props = defineProps<{ scale: Scale }>();

const draft = useScaleDraft();
const lengths = useLengthUnit();

const patch = (kind: SiteKind) => siteKindPatch(draft.scale ?? props.scale, kind);
const holds = ({ small, large, rounding }: SiteKind): boolean =>
  (['small', 'large'] as const).every((end) => {
    const wanted = end === 'small' ? small : large;
    const { base, ratio } = props.scale[end];
    return base === wanted.base && ratio === wanted.ratio;
  }) && props.scale.rounding === rounding;
const ROUNDED = {
  none: say.asFalls,
  half: say.onHalfPx,
  whole: say.onWholePx,
  even: say.onEvenPx,
};
</script>

<template>
  <ul>
    <li
      v-for="kind in SITE_KINDS"
      :key="kind.key"
      @mouseenter="draft.look(patch(kind))"
      @mouseleave="draft.look(null)"
    >
      <div>
        <h3>{{ kind.name }}</h3>
        <p>{{ kind.reason }}</p>
        <p class="small quiet">
          {{
            say.endToEnd(
              lengths.show(kind.small.base),
              plainNumber(kind.small.ratio),
              lengths.show(kind.large.base),
              plainNumber(kind.large.ratio),
              ROUNDED[kind.rounding],
            )
          }}
        </p>
      </div>
      <span v-if="holds(kind)" class="quiet">{{ say.inUse }}</span>
      <DoButton
        v-else
        :label="say.use"
        :aria-label="say.useScale(kind.name.toLowerCase())"
        @focus="draft.look(patch(kind))"
        @blur="draft.look(null)"
        @click="draft.change(patch(kind))"
      />
    </li>
  </ul>
  <p class="small quiet">
    {{ say.takingOneKeepsViewport }}
  </p>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 16px;
  align-items: center;
  padding: 10px 0;
  border-bottom: 1px solid var(--rule);
}
li:hover {
  background: var(--touched);
}
ul + p {
  margin-top: 8px;
}
</style>
