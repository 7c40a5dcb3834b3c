import { onceFor } from '../document/once';
import type { ProjectDocument } from '../document/projectDocument';
import { descriptorOf, PROPERTIES, PROPERTY_NAMES, type PropertyName } from '../document/property';
import { lengthCss, settingsCss, settingsIn } from '../document/property/written';
import { voiceFallback, wholeStack, type FallbackPlan } from '../fallback/plan';
import { systemWord } from '../fallback/plainNames';
import type { Scale } from '../document/scale';
import { stepName } from '../scale/names';
import { stepCss } from '../scale/sizeAt';
import { stepsOf } from '../scale/steps';
import { narrowDocument, occasionsUsed, saidAt } from '../style/documentAt';
import { resolveStyle, type ResolvedStyle } from '../style/resolve';
import { remCss } from '../scale/fluid';
import { cssNumber, cssString } from './css';

/** A custom property's name and value, in the order in which they are delivered. */
export type CustomProperty = readonly [name: string, value: string];

export const fontProperty = (voice: string): string => `--font-${voice}`;
export const sizeProperty = (scale: Scale, step: number): string =>
  `--size-${stepName(scale, step)}`;
export const colourProperty = (colour: string): string => `--colour-${colour}`;
/** @param occasion the key of what it is for, where it is not for all: two hyphens are in no key */
export const styleProperty = (style: string, property: PropertyName, occasion?: string): string =>
  `--style-${style}-${PROPERTIES[property].css}${occasion ? `--${occasion}` : ''}`;

const reference = (name: string): string => `var(${name})`;

/** How the value that a style sets is written in CSS: a token of the project's, or the value itself. */
function ownValue(
  { scale }: ProjectDocument,
  property: PropertyName,
  value: string | number,
): string {
  const { values } = descriptorOf(property);
  switch (values.kind) {
    case 'key':
      return reference(
        values.of === 'voices' ? fontProperty(String(value)) : colourProperty(String(value)),
      );
    case 'step':
      return reference(sizeProperty(scale, Number(value)));
    case 'choice':
      return String(value);
    case 'number':
      return `${cssNumber(Number(value))}${values.unit ?? ''}`;
    case 'length':
      return lengthCss(String(value), values);
    case 'settings':
      return settingsCss(settingsIn(value, values) ?? []);
  }
}

/** Whether the stacks name the web faces, or leave visitors with the fallback. */
export type FontsShown = 'web' | 'fallback';

/** `--font-<voice>`: each voice's whole stack. */
export function voiceProperties(
  document: ProjectDocument,
  fallback: FallbackPlan,
  fonts: FontsShown = 'web',
): CustomProperty[] {
  return Object.keys(document.voices).map((voice) => [
    fontProperty(voice),
    wholeStack(voiceFallback(fallback, voice))
      .filter(({ kind }) => fonts === 'web' || kind !== 'web')
      .map(({ kind, name }) => (kind === 'generic' || systemWord(name) ? name : cssString(name)))
      .join(', '),
  ]);
}

/** `--size-<step>`: each step, as it goes between the two ends. */
export const sizeProperties = ({ scale }: ProjectDocument): CustomProperty[] =>
  stepsOf(scale).map((step) => [sizeProperty(scale, step.number), stepCss(scale, step).value]);

/** `--size-<step>` from the change on, where plain sizes change at one width; empty where they run. */
export const changedSizeProperties = ({ scale }: ProjectDocument): CustomProperty[] =>
  stepsOf(scale).flatMap((step): CustomProperty[] => {
    const { from } = stepCss(scale, step);
    return from === null ? [] : [[sizeProperty(scale, step.number), from]];
  });

/** `--grid`: the height of the baseline grid, where there is one. */
export const GRID_PROPERTY = '--grid';
export const gridProperties = ({ scale }: ProjectDocument): CustomProperty[] =>
  scale.grid === undefined ? [] : [[GRID_PROPERTY, remCss(scale.grid, scale.root)]];

/** `--colour-<colour>` for one ground. */
export const colourProperties = (
  { colours }: ProjectDocument,
  ground: 'light' | 'dark',
): CustomProperty[] =>
  Object.entries(colours).map(([key, colour]) => [colourProperty(key), colour[ground]]);

/** Tokens of styles as they were made last, by the style as it is resolved, and then by names. */
const tokensOf = onceFor<ResolvedStyle, Map<string, readonly CustomProperty[]>>(() => new Map());

/**
 * `--style-<style>-<property>`: what a style sets, and, as a reference to the style it is set in, what
 * it takes from a style it follows. What comes from the text around it is inherited and has no token.
 */
export function styleProperties(document: ProjectDocument): CustomProperty[] {
  // Tokens name steps, and not their sizes.
  const names = JSON.stringify(document.scale.names ?? null);
  return Object.keys(document.styles).flatMap((key) => {
    const resolved = resolveStyle(document, key);
    const known = tokensOf(resolved);
    const id = `${key} ${names}`;
    const tokens = known.get(id) ?? tokensOfStyle(document, key, resolved);
    known.set(id, tokens);
    return tokens;
  });
}

function tokensOfStyle(
  document: ProjectDocument,
  key: string,
  resolved: ResolvedStyle,
): CustomProperty[] {
  return PROPERTY_NAMES.flatMap((property): CustomProperty[] => {
    const { origin, source } = resolved[property];
    const name = styleProperty(key, property);
    if (origin === 'style' && source) return [[name, reference(styleProperty(source, property))]];
    const value = document.styles[key]?.set[property];
    return value === undefined ? [] : [[name, ownValue(document, property, value)]];
  });
}

/** `--style-<style>-<property>` where it differs on narrow screens. */
export function narrowStyleProperties(document: ProjectDocument): CustomProperty[] {
  const narrow = narrowDocument(document);
  if (narrow === document) return [];
  const usual = new Map(styleProperties(document));
  return styleProperties(narrow).filter(([name, value]) => usual.get(name) !== value);
}

/** `--style-<style>-<property>--<occasion>`: what a style sets otherwise, or takes so from a style that it follows. */
export const occasionProperties = (document: ProjectDocument): CustomProperty[] =>
  occasionsUsed(document).flatMap((key) =>
    Object.keys(document.styles).flatMap((style) =>
      saidAt(document, style, key).map(({ property, resolved }): CustomProperty => {
        const name = styleProperty(style, property, key);
        const { source, value } = resolved;
        return source !== null && source !== style
          ? [name, reference(styleProperty(source, property, key))]
          : [name, ownValue(document, property, value ?? '')];
      }),
    ),
  );

/** The names of all tokens, in the order in which they are delivered. */
export const tokenNames = (document: ProjectDocument): string[] => [
  ...Object.keys(document.voices).map(fontProperty),
  ...stepsOf(document.scale).map(({ number }) => sizeProperty(document.scale, number)),
  ...gridProperties(document).map(([name]) => name),
  ...Object.keys(document.colours).map(colourProperty),
  ...new Set(
    [
      ...styleProperties(document),
      ...narrowStyleProperties(document),
      ...occasionProperties(document),
    ].map(([name]) => name),
  ),
];

/** A custom property as it is delivered under the project's prefix: `--font-text` is `--tl-font-text`. */
export const prefixedName = ({ delivery }: ProjectDocument, name: string): string =>
  delivery.prefix ? `--${delivery.prefix}-${name.slice(2)}` : name;

/** Why a name cannot be given to a token; null where it can. */
export function nameFault(document: ProjectDocument, theirs: string, ours: string): string | null {
  const names = tokenNames(document);
  if (!names.includes(ours)) return `${ours} is no token of this project.`;
  const taken = names.map((name) => prefixedName(document, name));
  return taken.includes(theirs) ? `${theirs} is the name of a token itself.` : null;
}

/** Names that the site's own style sheet reads, each set to its token; those that cannot be are left out. */
export const otherNames = (document: ProjectDocument): CustomProperty[] =>
  Object.entries(document.delivery.names ?? {}).flatMap(([theirs, ours]): CustomProperty[] =>
    nameFault(document, theirs, ours) === null ? [[theirs, reference(ours)]] : [],
  );

/** All custom properties of a project, those that others refer to first. */
export function customProperties(
  document: ProjectDocument,
  fallback: FallbackPlan,
  { fonts = 'web', ground = 'light' }: { fonts?: FontsShown; ground?: 'light' | 'dark' } = {},
): CustomProperty[] {
  return [
    ...voiceProperties(document, fallback, fonts),
    ...sizeProperties(document),
    ...gridProperties(document),
    ...colourProperties(document, ground),
    ...styleProperties(document),
    ...occasionProperties(document),
  ];
}
