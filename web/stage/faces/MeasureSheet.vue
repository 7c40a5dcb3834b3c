<script setup lang="ts">
import { measureSheet as say } from './words';
import type { FamilySheet } from '@lettera/core/measure';
import { computed } from 'vue';
import { MEASURES, withUnit } from '../../store/rows/measures';

/** Every measure of the regular, with what each is. */
const props = defineProps<{ sheet: FamilySheet }>();

const figures = computed(() => {
  const { figures: own } = props.sheet.measures.regular;
  if (!own) return say.none;
  const further = own.offers.filter((name) => name !== own.spacing && name !== own.form);
  return `${own.spacing}, ${own.form}${further.length ? say.also(further.join(', ')) : ''}`;
});
</script>

<template>
  <section>
    <h3>{{ say.measuresRegular }}</h3>
    <dl>
      <div v-for="measure in MEASURES" :key="measure.key" :title="measure.means">
        <dt>{{ measure.short }}</dt>
        <dd>{{ withUnit(measure, measure.value(sheet.measures)) }}</dd>
      </div>
      <div class="wide">
        <dt>{{ say.figures }}</dt>
        <dd>{{ figures }}</dd>
      </div>
      <div>
        <dt>{{ say.smallCapitals }}</dt>
        <dd>{{ sheet.measures.regular.smallCaps ? say.drawn : say.none }}</dd>
      </div>
    </dl>
  </section>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(148px, 1fr));
  gap: 2px 20px;
}
div {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  border-bottom: 1px solid var(--rule);
}
div.wide {
  grid-column: span 2;
}
dt {
  color: var(--ink-2);
}
dd {
  text-align: right;
}
</style>
