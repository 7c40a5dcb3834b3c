import { onceFor } from '../document/once';
import { onceForParts } from '../document/onceForParts';
import type { ProjectDocument, TextStyle } from '../document/projectDocument';
import {
  PROPERTIES,
  PROPERTY_NAMES,
  type ComputedValue,
  type PropertyName,
} from '../document/property';
import { BODY_STYLE } from '../document/vocabulary';

/** Where a style has a value from: set there, from a style it follows, from the text around it, from the body, or from the browser. */
export type Origin = 'set' | 'style' | 'parent' | 'body' | 'browser';

/** One place looked at on the way to a value. */
export interface TraceStep {
  origin: Origin;
  /** Key of the style looked at; null for the browser's default. */
  style: string | null;
  /** Key of the element that led there, for `parent`. */
  element?: string;
}

export interface ResolvedProperty<P extends PropertyName = PropertyName> {
  value: ComputedValue<P>;
  origin: Origin;
  /** Key of the style in which the value is set; null for the browser's default. */
  source: string | null;
  /** Every place looked at, the last being where the value was found. */
  trace: TraceStep[];
}

/** What the values of styles rest on. */
export type StyledProject = Pick<ProjectDocument, 'styles' | 'elements'>;

export type ResolvedStyle = { [P in PropertyName]: ResolvedProperty<P> };

/** The style, and the styles it follows one after another. */
function* following(document: StyledProject, styleKey: string): Generator<string> {
  for (let key: string | null = styleKey; key; key = document.styles[key]?.follows ?? null) {
    yield key;
  }
}

/** The places that a property of a style in an element is looked for, in order. */
function* places(
  document: StyledProject,
  styleKey: string,
  parentElement: string | null,
): Generator<TraceStep & { style: string }> {
  let origin: Origin = 'set';
  for (const style of following(document, styleKey)) {
    yield { origin, style };
    origin = 'style';
  }
  for (let key = parentElement; key; key = document.elements[key]?.parent ?? null) {
    const parent = document.elements[key];
    if (!parent) break;
    for (const style of following(document, parent.style)) {
      yield { origin: 'parent', style, element: key };
    }
  }
  if (styleKey !== BODY_STYLE) {
    for (const style of following(document, BODY_STYLE)) yield { origin: 'body', style };
  }
}

/** Origins that only what CSS inherits comes from. */
const INHERITED: readonly Origin[] = ['parent', 'body'];

/** A property at the first of the places that has it. */
function resolveIn(
  document: StyledProject,
  all: readonly (TraceStep & { style: string })[],
  name: PropertyName,
): ResolvedProperty {
  const { inherited, initial } = PROPERTIES[name];
  const trace: TraceStep[] = [];
  for (const place of all) {
    if (!inherited && INHERITED.includes(place.origin)) break;
    trace.push(place);
    const value = document.styles[place.style]?.set[name];
    if (value !== undefined) return { value, origin: place.origin, source: place.style, trace };
  }
  trace.push({ origin: 'browser', style: null });
  return { value: initial, origin: 'browser', source: null, trace };
}

/** What a property of a style would be, were it not set there. @param parentElement as of `resolveStyle` */
export const followedProperty = (
  document: StyledProject,
  styleKey: string,
  parentElement: string | null,
  name: PropertyName,
): ResolvedProperty =>
  resolveIn(
    document,
    [...places(document, styleKey, parentElement)].filter(({ style }) => style !== styleKey),
    name,
  );

/** What has been resolved of styles and elements, by style and the element around it. */
const resolutions = onceForParts(['styles', 'elements'], () => new Map<string, ResolvedStyle>());

type Place = TraceStep & { style: string };

/** A style as it was resolved last, and the places that it was looked for in, with the styles that stood there. */
interface Resolution {
  all: readonly Place[];
  styles: readonly (TextStyle | undefined)[];
  resolved: ResolvedStyle;
}

/** Resolutions of a style as it is, by its key and the element around it, so that a change of others leaves them. */
const lastOf = onceFor<TextStyle, Map<string, Resolution>>(() => new Map());

const samePlaces = (before: readonly Place[], now: readonly Place[]): boolean =>
  before.length === now.length &&
  before.every(({ origin, style, element }, i) => {
    const place = now[i];
    return place?.style === style && place.origin === origin && place.element === element;
  });

/** As `resolveStyle`, for styles and elements in which it has not been resolved yet. */
function resolveAnew(document: StyledProject, id: string, all: readonly Place[]): ResolvedStyle {
  const styles = all.map(({ style }) => document.styles[style]);
  const [own] = styles;
  const before = own && lastOf(own).get(id);
  if (
    before &&
    samePlaces(before.all, all) &&
    before.styles.every((style, i) => style === styles[i])
  ) {
    return before.resolved;
  }
  const resolved = Object.fromEntries(
    PROPERTY_NAMES.map((name) => [name, resolveIn(document, all, name)]),
  ) as ResolvedStyle;
  if (own) lastOf(own).set(id, { all, styles, resolved });
  return resolved;
}

/**
 * Where each property of a style comes from: set there; else the style it follows, and what that one
 * follows; else, where CSS inherits the property, the element around it, and the body's style; else the
 * browser's default. The trace lists each place looked at. Resolved once for the same styles and elements.
 *
 * @param parentElement key of the element that the text stands in; null for the body
 */
export function resolveStyle(
  document: StyledProject,
  styleKey: string,
  parentElement: string | null = null,
): ResolvedStyle {
  const known = resolutions(document);
  const id = `${styleKey} ${parentElement ?? ''}`;
  const before = known.get(id);
  if (before) return before;
  const resolved = resolveAnew(document, id, [...places(document, styleKey, parentElement)]);
  known.set(id, resolved);
  return resolved;
}

/** Whether a style has a value of its own, set there or taken from a style it follows. */
export const carries = ({ origin }: ResolvedProperty): boolean =>
  origin === 'set' || origin === 'style';

/** The style of an element, resolved where the element stands. */
export function resolveElement(document: StyledProject, elementKey: string): ResolvedStyle {
  const element = document.elements[elementKey];
  if (!element) throw new RangeError(`There is no element “${elementKey}”`);
  return resolveStyle(document, element.style, element.parent);
}

/** The element around the first element that has each style. */
const parentsInUse = onceForParts(['elements'], ({ elements }) => {
  const parents = new Map<string, string | null>();
  for (const { style, parent } of Object.values(elements)) {
    if (!parents.has(style)) parents.set(style, parent);
  }
  return parents;
});

/** A style resolved where its first element stands, or under the body when no element has it. */
export const resolveInUse = (document: StyledProject, styleKey: string): ResolvedStyle =>
  resolveStyle(document, styleKey, parentsInUse(document).get(styleKey) ?? null);
