<script setup lang="ts">
import { colourSheet as say } from './words';
import { hexOf, withAlphaOf } from '@lettera/core/css';
import { slug } from '@lettera/core/deliver';
import { freeKey, GROUND, INK, type Patch } from '@lettera/core/document';
import {
  contrastRatio,
  groundColour,
  inkUses,
  proposedInks,
  usersOfColour,
  type InkUse,
} from '@lettera/core/style';
import TextField from '../../control/TextField.vue';
import { computed, ref } from 'vue';
import DoButton from '../../control/DoButton.vue';
import FiguresTable from '../../control/FiguresTable.vue';
import { count } from '../../control/figures';
import { useLayer } from '../../store/layer';
import { useProject } from '../../store/project';
import { useProof } from '../../store/proof';
import { putInto } from '../../control/putInto';

/** The colours of the project: text on its grounds with the contrast it has and needs, and the grounds themselves. */
const project = useProject();
const proof = useProof();
const layer = useLayer('styles: colour pointed at');
const name = ref('');

const SIDES = ['light', 'dark'] as const;
type Side = (typeof SIDES)[number];

/** Text of one colour on one ground: the hardest of its uses there stands for all. */
interface OnGround {
  ground: string;
  name: string;
  least: number;
  styles: string[];
  ratio: Record<Side, number>;
}

const styleName = (key: string): string => project.document?.styles[key]?.name ?? key;

const rows = computed(() => {
  const document = project.document;
  if (!document) return [];
  const uses = inkUses(document, proof.setPage?.grounds);
  return Object.entries(document.colours).map(([key, colour]) => {
    const own = uses.filter(({ ink }) => ink === key);
    const byGround = new Map<string, InkUse[]>();
    for (const use of own) byGround.set(use.ground, [...(byGround.get(use.ground) ?? []), use]);
    const grounds = [...byGround].map(([ground, all]): OnGround => {
      const on = (side: Side) => contrastRatio(colour[side], groundColour(document, ground, side));
      return {
        ground,
        name: document.colours[ground]?.name ?? ground,
        least: Math.max(...all.map(({ least }) => least)),
        styles: all.map(({ style }) => styleName(style)),
        ratio: { light: on('light'), dark: on('dark') },
      };
    });
    const needsOn = (side: Side) =>
      own.map(({ ground, least }) => ({ ground: groundColour(document, ground, side), least }));
    const proposed = (side: Side) => {
      const { softer, stronger } =
        own.length > 0
          ? proposedInks(colour[side], needsOn(side))
          : { softer: null, stronger: null };
      return [
        { label: say.softer, ink: softer },
        { label: say.stronger, ink: stronger },
      ].flatMap(({ label, ink }) => (ink ? [{ label, ...ink }] : []));
    };
    const users = usersOfColour(document, key);
    return {
      key,
      colour,
      grounds,
      proposed: { light: proposed('light'), dark: proposed('dark') },
      users,
      isFree: users.length === 0 && key !== INK && key !== GROUND,
    };
  });
});

const setTo = (key: string, side: Side, value: string): Patch => [
  { op: 'replace', path: `/colours/${key}/${side}`, value },
];

function type(key: string, side: Side, event: Event): void {
  const field = event.target as HTMLInputElement;
  const before = project.document?.colours[key]?.[side] ?? '';
  const value = field.value.trim();
  if (value !== before && !project.change(setTo(key, side, value))) putInto(field, before);
}

/** A colour picked by eye keeps what the one before it let through. */
const picked = (key: string, side: Side, event: Event): Patch =>
  setTo(
    key,
    side,
    withAlphaOf(
      (event.target as HTMLInputElement).value,
      project.document?.colours[key]?.[side] ?? '#000',
    ),
  );

function rename(key: string, event: Event): void {
  const field = event.target as HTMLInputElement;
  const before = project.document?.colours[key]?.name ?? '';
  const value = field.value.trim();
  if (value === before) return;
  const taken =
    value !== '' && project.change([{ op: 'replace', path: `/colours/${key}/name`, value }]);
  if (!taken) putInto(field, before);
}

function add(): void {
  const document = project.document;
  const wanted = name.value.trim();
  if (!document || !wanted) return;
  const ink = document.colours[INK];
  const key = freeKey(Object.keys(document.colours), slug(wanted));
  const taken = project.change([
    {
      op: 'add',
      path: `/colours/${key}`,
      value: { name: wanted.slice(0, 60), light: ink?.light ?? '#000', dark: ink?.dark ?? '#fff' },
    },
  ]);
  if (taken) name.value = '';
}
</script>

<template>
  <section :aria-label="say.colours">
    <FiguresTable>
      <thead>
        <tr>
          <th scope="col">{{ say.colour }}</th>
          <th scope="col">{{ say.onLight }}</th>
          <th scope="col">{{ say.onDark }}</th>
          <th scope="col">{{ say.asTextOn }}</th>
          <th scope="col" class="figure">{{ say.light }}</th>
          <th scope="col" class="figure">{{ say.dark }}</th>
          <th scope="col" class="figure">{{ say.needed }}</th>
          <th scope="col">{{ say.usedBy }}</th>
        </tr>
      </thead>
      <tbody v-for="row in rows" :key="row.key" :data-colour="row.key">
        <tr v-for="(on, i) in row.grounds.length ? row.grounds : [null]" :key="on?.ground ?? ''">
          <template v-if="i === 0">
            <td :rowspan="Math.max(1, row.grounds.length)">
              <TextField
                :model-value="row.colour.name"
                fluid
                maxlength="60"
                :aria-label="say.name(row.colour.name)"
                @change="rename(row.key, $event)"
              />
            </td>
            <td v-for="side in SIDES" :key="side" :rowspan="Math.max(1, row.grounds.length)">
              <span class="line">
                <input
                  type="color"
                  class="swatch"
                  :value="hexOf(row.colour[side])"
                  :aria-label="say.pickByEyeOn(row.colour.name, side)"
                  @input="layer.show(picked(row.key, side, $event))"
                  @change="layer.take(picked(row.key, side, $event))"
                />
                <TextField
                  :model-value="row.colour[side]"
                  spellcheck="false"
                  :aria-label="say.onGround(row.colour.name, side)"
                  @change="type(row.key, side, $event)"
                />
              </span>
              <span class="line proposed on-point">
                <DoButton
                  v-for="one in row.proposed[side]"
                  :key="one.label"
                  :title="say.toWhereHardestRead(one.colour, one.ratio.toFixed(2), one.least)"
                  :aria-label="say.onGroundLabel(one.label, row.colour.name, side, one.colour)"
                  @mouseenter="layer.show(setTo(row.key, side, one.colour))"
                  @mouseleave="layer.show(null)"
                  @focus="layer.show(setTo(row.key, side, one.colour))"
                  @blur="layer.show(null)"
                  @click="layer.take(setTo(row.key, side, one.colour))"
                >
                  <span class="dot" :style="{ background: one.colour }" />{{ one.label }}
                </DoButton>
              </span>
            </td>
          </template>
          <td>{{ on?.name ?? '' }}</td>
          <td
            v-for="side in SIDES"
            :key="side"
            class="figure"
            :class="{ 'mark-text': on && on.ratio[side] < on.least }"
          >
            {{ on ? say.ratioToOne(on.ratio[side].toFixed(2)) : '' }}
          </td>
          <td class="figure quiet">{{ on ? on.least : '' }}</td>
          <td v-if="on" class="quiet" :title="on.styles.join(', ')">
            {{ on.styles.slice(0, 2).join(', ')
            }}{{ on.styles.length > 2 ? say.andMore(on.styles.length - 2) : '' }}
          </td>
          <td v-else class="quiet">
            {{
              row.key === GROUND
                ? say.everyPage
                : row.users.length
                  ? say.notAsText(count(row.users.length, 'style'))
                  : say.nothing
            }}
            <DoButton
              v-if="row.isFree"
              class="on-point"
              :label="say.remove"
              :aria-label="say.removeName(row.colour.name)"
              @click="project.change([{ op: 'remove', path: `/colours/${row.key}` }])"
            />
          </td>
        </tr>
      </tbody>
    </FiguresTable>
    <form class="line" @submit.prevent="add">
      <TextField
        v-model="name"
        :placeholder="say.newColour"
        :aria-label="say.nameNewColour"
        maxlength="60"
      />
      <DoButton type="submit" :label="say.add" :why="name.trim() ? undefined : say.itNoNameYet" />
    </form>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
  padding: 4px var(--edge) 16px;
}
tbody td {
  vertical-align: top;
}
/* A field, and the line below it that is kept for what is offered: rows share one height, whatever stands in them. */
tbody tr {
  height: 34px;
}
tbody tr:only-child {
  height: 68px;
}
.swatch {
  flex: none;
  width: 24px;
  height: 24px;
  padding: 0;
  border: 1px solid var(--ink-3);
  border-radius: var(--corner);
  background: none;
  cursor: pointer;
}
.swatch::-webkit-color-swatch-wrapper {
  padding: 0;
}
.swatch::-webkit-color-swatch {
  border: 0;
}
.line input[type='text'] {
  width: 96px;
}
.proposed {
  margin-top: 4px;
}
.dot {
  display: inline-block;
  width: 9px;
  height: 9px;
  margin-right: 5px;
  border: 1px solid var(--rule);
}
</style>
