import { styleSheet as say } from './words';
import {
  descriptorOf,
  languagePlace,
  narrowBelowOf,
  occasionIn,
  OCCASION_KEYS,
  OCCASIONS,
  takenAt,
  valuesAt,
  widthKeys,
  type ProjectDocument,
  type PropertyName,
  type StyleValues,
} from '@lettera/core/document';
import { languageOf } from '@lettera/core/script';
import { addWidthPatch, occasionsUsed } from '@lettera/core/style';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { useProject } from '../../store/project';
import { STOPS, useProof } from '../../store/proof';

/** Stands in the list of widths for one that is added. */
const ANOTHER = 'another';
/** A place that can be chosen: where styles have values, or a width that is not there yet. */
export type Chosen = StyleValues | typeof ANOTHER;
/** Widths at which many sites change, from the widest phones on, CSS px. */
const USUAL_WIDTHS = [768, 1024, 1440, 480];

/** Whether the sheet of styles shows what is set for every width, or what differs somewhere; the page shows that too. */
export function useWhereShown() {
  const project = useProject();
  const proof = useProof();
  const at = ref<StyleValues>('set');
  const occasion = computed(() => occasionIn(at.value));
  const below = computed(() => (project.document ? narrowBelowOf(project.document) : 0));

  /** Whether a property can be set there. */
  const isTaken = (name: PropertyName): boolean =>
    occasion.value === null || !project.document
      ? descriptorOf(name).only === undefined
      : takenAt(project.document, occasion.value, name);

  const places = computed<{ label: string; choices: { value: Chosen; label: string }[] }[]>(() => {
    const { document } = project;
    const used = new Set(document ? occasionsUsed(document) : []);
    const named = (key: string, label: string) => ({
      value: valuesAt(key),
      label: used.has(key) ? say.isSet(label) : label,
    });
    const ofKind = (kind: string) =>
      OCCASION_KEYS.filter((key) => OCCASIONS[key].kind === kind).map((key) =>
        named(key, OCCASIONS[key].label),
      );
    /** What styles have otherwise in a language; in the first they are as they are. */
    const inLanguages = ({ languages, styles }: ProjectDocument) =>
      languages.slice(1).map((tag) => {
        const key = languagePlace(tag);
        const name = languageOf(tag)?.name ?? tag;
        const isSet = Object.values(styles).some(
          ({ at }) => Object.keys(at?.[key] ?? {}).length > 0,
        );
        return { value: valuesAt(key), label: isSet ? say.isSet(name) : name };
      });
    return [
      {
        label: say.widths,
        choices: [
          { value: 'set', label: say.everyWidth },
          { value: 'narrow', label: say.belowPx(below.value) },
          ...(document
            ? widthKeys(document).map((key) => named(key, document.widths?.[key]?.name ?? key))
            : []),
          { value: ANOTHER, label: say.anotherWidth },
        ],
      },
      { label: say.states, choices: ofKind('state') },
      { label: say.partsOfText, choices: ofKind('part') },
      { label: say.media, choices: ofKind('medium') },
      ...(document && document.languages.length > 1
        ? [{ label: say.languages, choices: inLanguages(document) }]
        : []),
    ];
  });

  function goTo(where: Chosen): void {
    const { document } = project;
    if (where !== ANOTHER) at.value = where;
    else if (document) {
      const taken = Object.values(document.widths ?? {}).map(({ from }) => from);
      const from = USUAL_WIDTHS.find((width) => !taken.includes(width)) ?? 1920;
      const { patch, key } = addWidthPatch(document, { from });
      if (project.change(patch)) at.value = valuesAt(key);
    }
  }

  /** The widths of a page at which what the sheet shows is so; null for all. */
  const range = computed((): { from: number; below: number } | null => {
    if (at.value === 'narrow') return { from: 0, below: below.value };
    const width = project.document?.widths?.[occasion.value ?? ''];
    return !width || width.container !== undefined
      ? null
      : { from: width.from ?? 0, below: width.below ?? Infinity };
  });
  /** The width that the proof had before others were looked at; a number, or null for its room. */
  let before: { asked: number | null } | null = null;
  function giveBack(): void {
    if (before) proof.setWidth(before.asked);
    before = null;
  }
  /** What differs somewhere is seen there. */
  watch(occasion, (key) => (proof.occasion = key));
  watch(at, () => {
    const { value: now } = range;
    if (!now) giveBack();
    else if (proof.width < now.from || proof.width >= now.below) {
      before ??= { asked: proof.asked };
      proof.setWidth(now.from || Math.min(STOPS[0].width, now.below - 1));
    }
  });
  onBeforeUnmount(() => {
    proof.occasion = null;
    giveBack();
  });
  /** A width that is gone, by an undo or in another window, is shown no longer. */
  watch(
    () => places.value.some(({ choices }) => choices.some(({ value }) => value === at.value)),
    (isThere) => {
      if (!isThere) at.value = 'set';
    },
  );

  return { at, occasion, below, isTaken, places, goTo };
}
