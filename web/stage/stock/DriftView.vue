<script setup lang="ts">
import { driftView as say } from './words';
import { driftOf, type Stock, type SiteView } from '@lettera/core/stock';
import { computed } from 'vue';
import DoButton from '../../control/DoButton.vue';
import FiguresTable from '../../control/FiguresTable.vue';
import { count, minus } from '../../control/figures';
import { useProject } from '../../store/project';
import { usePlaces } from './places';

/** What of the site, as it was read, follows the project, and what does not. */
const props = defineProps<{ stock: Stock; view: SiteView }>();
const project = useProject();
const { point } = usePlaces(() => props.stock);

const drift = computed(() =>
  project.document ? driftOf(props.stock, project.document, props.view.lineages) : null,
);
/** What is told apart: what the project says and the site has otherwise, and what is left to the site. */
const groups = computed(() =>
  (['said', 'open'] as const)
    .map((by) => ({ by, drifted: drift.value?.drifted.filter((one) => one.by === by) ?? [] }))
    .filter(({ drifted }) => drifted.length > 0),
);
const nameOf = (element: string): string => project.document?.elements[element]?.name ?? element;
</script>

<template>
  <section v-if="drift" class="drift">
    <p role="status">
      <b>{{ drift.following.length }}</b>
      {{
        say.ofProjectAsSite(
          count(stock.texts.length, 'text'),
          drift.following.length === 1 ? 'follows' : 'follow',
        )
      }}
      <template v-if="drift.unclaimed.length">
        {{
          say.claimedByNoText(drift.unclaimed.length, drift.unclaimed.length === 1 ? 'is' : 'are')
        }}
        <DoButton
          class="on-point"
          :label="say.showOnPage"
          :aria-label="say.showOnPageNo(count(drift.unclaimed.length, 'text'))"
          @click="point(drift.unclaimed)"
        />
      </template>
    </p>
    <template v-for="{ by, drifted } in groups" :key="by">
      <p v-if="by === 'open'" class="quiet">{{ say.leftOpen }}</p>
      <FiguresTable>
        <thead>
          <tr>
            <th scope="col">{{ say.textElement }}</th>
            <th scope="col">{{ say.property }}</th>
            <th scope="col">{{ say.project }}</th>
            <th scope="col">{{ say.site }}</th>
            <th scope="col" class="figure">{{ say.at }}</th>
            <th scope="col" class="figure">{{ say.texts }}</th>
            <th scope="col">
              <span class="visually-hidden">{{ say.where }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(one, i) in drifted" :key="i">
            <th scope="row">{{ nameOf(one.element) }}</th>
            <td>{{ one.property }}</td>
            <td>{{ minus(one.expected) }}</td>
            <td>
              {{ one.property === 'unicode-range' ? say.noFile(one.found) : minus(one.found) }}
            </td>
            <td class="figure">{{ say.widthIn(one.width) }}</td>
            <td class="figure">{{ one.texts.length }}</td>
            <td>
              <DoButton
                class="on-point"
                :label="say.showOnPage"
                :aria-label="
                  say.showOnPageTexts(
                    count(one.texts.length, 'text'),
                    nameOf(one.element),
                    one.property,
                    one.found,
                  )
                "
                @click="point(one.texts)"
              />
            </td>
          </tr>
        </tbody>
      </FiguresTable>
    </template>
  </section>
</template>

<style scoped>
.drift {
  padding: 0 var(--edge) 20px;
}
table {
  width: 100%;
}
th[scope='row'] {
  text-align: left;
  font-weight: 550;
}
td {
  overflow-wrap: anywhere;
}
</style>
