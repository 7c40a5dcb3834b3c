import { onceFor } from '../document/once';
import { onceForParts } from '../document/onceForParts';
import type { ProjectDocument, TextStyle } from '../document/projectDocument';
import { PROPERTY_NAMES, type PropertyName } from '../document/property';
import type { Scale } from '../document/scale';
import {
  narrowBelowOf,
  occasionIn,
  occasionKeys,
  placesOf,
  valuesAt,
  valuesOf,
  widthKeys,
  type StyleValues,
} from '../document/styleValues';
import { stepSizeAt } from '../scale/sizeAt';
import {
  carries,
  resolveStyle,
  type ResolvedProperty,
  type ResolvedStyle,
  type StyledProject,
} from './resolve';

type Styles = ProjectDocument['styles'];

/** Something for each place where a style has values, worked out once for as long as what it is of stays. */
const byPlace = <K extends object, V>(make: (key: K, where: StyleValues) => V) => {
  const known = onceFor<K, Map<StyleValues, V>>(() => new Map());
  return (key: K, where: StyleValues): V => {
    const all = known(key);
    const before = all.get(where);
    if (before !== undefined) return before;
    const made = make(key, where);
    all.set(where, made);
    return made;
  };
};

/** A style without the values that it has somewhere beside those for every width. */
function without({ ...style }: TextStyle, where: StyleValues): TextStyle {
  const key = occasionIn(where);
  if (key === null) {
    delete style.narrow;
    return style;
  }
  const { [key]: _taken, ...at } = style.at ?? {};
  return { ...style, at };
}

/** A style as it is there; the same one where nothing differs. */
const styleAt = byPlace((style: TextStyle, where): TextStyle => {
  const values = valuesOf(style, where);
  return Object.keys(values).length === 0
    ? style
    : { ...without(style, where), set: { ...style.set, ...values } };
});

/** Styles as they are there; the same ones where nothing differs. */
const stylesAt = byPlace((styles: Styles, where): Styles => {
  const all = Object.entries(styles);
  return all.every(([, style]) => styleAt(style, where) === style)
    ? styles
    : Object.fromEntries(all.map(([key, style]) => [key, styleAt(style, where)]));
});

const withStylesAt = byPlace((project: Pick<ProjectDocument, 'styles'>, where) => ({
  ...project,
  styles: stylesAt(project.styles, where),
}));

/**
 * The project as it is on an occasion, at a width or on narrow screens: what styles set there stands in place of what
 * they set for every width, and what follows them follows it. The project itself where nothing differs.
 */
export const documentAt = <P extends Pick<ProjectDocument, 'styles'>>(
  project: P,
  where: StyleValues,
): P =>
  where === 'set' || stylesAt(project.styles, where) === project.styles
    ? project
    : (withStylesAt(project, where) as P);

/** The project as it is on narrow screens. */
export const narrowDocument = <P extends Pick<ProjectDocument, 'styles'>>(project: P): P =>
  documentAt(project, 'narrow');

/** Places where styles have values of their own, as they come. */
const placesUsed = onceForParts(['styles'], ({ styles }): ReadonlySet<StyleValues> => {
  const found = new Set<StyleValues>();
  for (const style of Object.values(styles)) {
    if (!style.narrow && !style.at) continue;
    for (const where of placesOf(style)) {
      if (Object.keys(valuesOf(style, where)).length > 0) found.add(where);
    }
  }
  return found;
});

/** Keys of the occasions and widths at which some style differs, in the order of their rules. */
export const occasionsUsed = (document: Pick<ProjectDocument, 'styles' | 'widths'>): string[] => {
  const used = placesUsed(document);
  return used.size === 0 ? [] : occasionKeys(document).filter((key) => used.has(valuesAt(key)));
};

/** The project as it is in all of its ways: for every width, on narrow screens, and on each occasion that it differs. */
export const documentsAt = <P extends Pick<ProjectDocument, 'styles'>>(project: P): P[] => [
  ...new Set([project, ...[...placesUsed(project)].map((where) => documentAt(project, where))]),
];

/** pt in CSS px. CSS Values 4 §6.2. */
const PT = 96 / 72;

/** The scale on an occasion that has one of its own, which has one end; null where it has none. */
function scaleOn({ print, scale, widths }: ProjectDocument, key: string): Scale | null {
  const own = key === 'print' ? print : widths?.[key]?.scale;
  if (!own) return null;
  const base = own.base * (key === 'print' ? PT : 1);
  const { display: _display, floor: _floor, ceiling: _ceiling, ...rest } = scale;
  const end = { base, ratio: own.ratio };
  return {
    ...rest,
    small: { ...scale.small, ...end },
    large: { ...scale.large, ...end },
    rounding: 'none',
    overrides: {},
  };
}

/** Projects as they are on occasions, and together on several, by the keys of those. */
const together = onceFor<ProjectDocument, Map<string, ProjectDocument>>(() => new Map());

/** The project as it is on several occasions at once, the later ones going before the earlier; its sizes too. */
function documentOnAll(document: ProjectDocument, places: readonly StyleValues[]): ProjectDocument {
  if (places.length === 0) return document;
  const known = together(document);
  const id = places.join(' ');
  const before = known.get(id);
  if (before) return before;
  const made = places.reduce((at, where) => {
    const there = documentAt(at, where);
    const key = occasionIn(where);
    const scale = key === null ? null : scaleOn(document, key);
    return scale ? { ...there, scale } : there;
  }, document);
  known.set(id, made);
  return made;
}

/** The project as it is on an occasion, its sizes too. */
export const documentOn = (document: ProjectDocument, key: string): ProjectDocument =>
  documentOnAll(document, [valuesAt(key)]);

/** The project as it is in a viewport of a width, CSS px, its sizes too. */
export function documentAtWidth(document: ProjectDocument, width: number): ProjectDocument {
  const widths = widthKeys(document).filter((key) => {
    const { from = 0, below = Infinity, container } = document.widths?.[key] ?? {};
    return container === undefined && width >= from && width < below;
  });
  const isNarrow = width < narrowBelowOf(document);
  return documentOnAll(document, [
    ...(isNarrow ? ['narrow' as const] : []),
    ...widths.map(valuesAt),
  ]);
}

/** The size of a step in a viewport of a width, both CSS px. */
export const sizeInViewport = (document: ProjectDocument, step: number, width: number): number =>
  stepSizeAt(documentAtWidth(document, width).scale, step, width);

/** A property of a style on an occasion. */
export interface SaidAt {
  property: PropertyName;
  resolved: ResolvedProperty;
}

const NOTHING_SAID: readonly SaidAt[] = [];

/** What was found for a style as it is resolved on an occasion: it rests on nothing else. */
const saidBy = onceFor<ResolvedStyle, Map<string, readonly SaidAt[]>>(() => new Map());

/** What a style has on an occasion that it, or a style that it follows, sets for it, in the order of properties. */
export function saidAt(document: StyledProject, style: string, key: string): readonly SaidAt[] {
  const where = valuesAt(key);
  const there = documentAt(document, where);
  if (there === document) return NOTHING_SAID;
  const resolved = resolveStyle(there, style);
  const known = saidBy(resolved);
  const before = known.get(key);
  if (before) return before;
  const said = PROPERTY_NAMES.flatMap((property): SaidAt[] => {
    const one = resolved[property];
    const source = document.styles[one.source ?? ''];
    return carries(one) && valuesOf(source, where)[property] !== undefined
      ? [{ property, resolved: one }]
      : [];
  });
  known.set(key, said);
  return said;
}
