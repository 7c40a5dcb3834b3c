import { occasionOf } from '../document/occasion';
import { onceFor } from '../document/once';
import { onceForParts } from '../document/onceForParts';
import type { ProjectDocument, TextStyle } from '../document/projectDocument';
import { PROPERTY_NAMES, type PropertyName } from '../document/property';
import type { Scale } from '../document/scale';
import { BODY_STYLE } from '../document/vocabulary';
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

/** Keys of the styles that differ somewhere: those that have values there, and those that follow one that has. */
const reachedAt = byPlace((styles: Styles, where): ReadonlySet<string> => {
  const reached = new Map<string, boolean>();
  const differs = (key: string): boolean => {
    const known = reached.get(key);
    if (known !== undefined) return known;
    // What follows itself is no document's; it would not end.
    reached.set(key, false);
    const style = styles[key];
    const own = Object.keys(valuesOf(style, where)).length > 0;
    const found = own || (style?.follows ? differs(style.follows) : false);
    reached.set(key, found);
    return found;
  };
  return new Set(Object.keys(styles).filter(differs));
});

/** Whether what differs there is handed on to text within: on a medium and at a width, not in a state or a part. */
function isHandedOn(where: StyleValues): boolean {
  const kind = occasionOf(occasionIn(where) ?? '')?.kind;
  return kind !== 'state' && kind !== 'part';
}

/** A way in which a project differs from what it is for every width. */
export interface WayAt<P> {
  where: StyleValues;
  at: P;
  /** Keys of the styles that differ there. */
  styles: ReadonlySet<string>;
}

/** The ways in which a project differs: on narrow screens, at widths, and on occasions. */
export const waysAt = <P extends Pick<ProjectDocument, 'styles'>>(project: P): WayAt<P>[] =>
  [...placesUsed(project)]
    .filter((where) => where !== 'set')
    .map((where) => ({
      where,
      at: documentAt(project, where),
      styles: reachedAt(project.styles, where),
    }));

/**
 * Every text element as the project has it, and as it has it wherever that may be something else: what no way reaches
 * is looked at once.
 */
export function* elementsInAllWays<P extends StyledProject>(
  project: P,
): Generator<readonly [at: P, element: string]> {
  const { elements } = project;
  for (const key of Object.keys(elements)) yield [project, key];
  for (const { where, at, styles } of waysAt(project)) {
    const isEverywhere = isHandedOn(where) && styles.has(BODY_STYLE);
    for (const [key, { style, parent }] of Object.entries(elements)) {
      let isReached = isEverywhere || styles.has(style);
      for (let around = parent; !isReached && isHandedOn(where) && around;) {
        isReached = styles.has(elements[around]?.style ?? '');
        around = elements[around]?.parent ?? null;
      }
      if (isReached) yield [at, key];
    }
  }
}

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
