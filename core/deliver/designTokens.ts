import { converter, formatHex } from '../css/culori';
import { colourOf } from '../css';
import { narrowBelowOf } from '../document/styleValues';
import type { ProjectDocument } from '../document/projectDocument';
import {
  descriptorOf,
  PROPERTY_NAMES,
  type PropertyName,
  type PropertyValues,
} from '../document/property';
import type { Scale } from '../document/scale';
import { voiceFallback, wholeStack, type FallbackPlan } from '../fallback/plan';
import { ROOT_SIZE } from '../scale/lengths';
import { changeWidth } from '../scale/sizeAt';
import { stepName } from '../scale/names';
import { stepByNumber, stepsOf } from '../scale/steps';
import { carries, resolveInUse } from '../style/resolve';
import { spacingHere } from '../style/spacingHere';

/** The key under which stands what the format has no place for. */
export const EXTENSION = 'lettera';

/** The form of what stands under it; raised when that changes. */
export const TOKENS_FORMAT = 1;

/** What a style without any voice is set in. */
const BROWSER_FAMILY = 'serif';

type Json = string | number | boolean | null | Json[] | { [key: string]: Json };

/** Plain data without what is left out. */
const asJson = (value: object): Record<string, Json> =>
  JSON.parse(JSON.stringify(value)) as Record<string, Json>;

const toSrgb = converter('rgb');
const rounded = (value: number): number => Number(value.toFixed(4));
/** A length of the format, which knows px and rem, at what 1rem is on the site. */
const lengthAt =
  ({ root = ROOT_SIZE }: Scale) =>
  (px: number): Json =>
    root === null ? { value: rounded(px), unit: 'px' } : { value: rounded(px / root), unit: 'rem' };

/** A CSS colour as the format has it: sRGB components of 0 to 1, alpha, and hexadecimal. */
function colourValue(css: string): Json {
  const colour = colourOf(css);
  const { r = 0, g = 0, b = 0, alpha = 1 } = toSrgb(colour);
  return {
    colorSpace: 'srgb',
    components: [r, g, b].map(rounded),
    alpha: rounded(alpha),
    hex: formatHex(colour),
  };
}

/** A property's value as the format has it: an alias of a token where it names one, else itself. */
function propertyValue(
  document: ProjectDocument,
  name: PropertyName,
  value: string | number | null,
): Json {
  const { values } = descriptorOf(name);
  switch (values.kind) {
    case 'key':
      if (value === null) return values.of === 'voices' ? BROWSER_FAMILY : null;
      return `{${values.of === 'voices' ? 'font' : 'colour'}.${value}}`;
    case 'step':
      return `{size.${stepName(document.scale, Number(value))}}`;
    case 'number':
      return values.unit ? { value, unit: values.unit } : value;
    default:
      return value;
  }
}

/** The same in the composite `typography`, which knows lengths in px and rem only. */
function compositeValue(
  document: ProjectDocument,
  name: PropertyName,
  value: string | number | null,
  size: number,
): Json {
  const { values } = descriptorOf(name);
  return values.kind === 'number' && values.unit === 'em'
    ? lengthAt(document.scale)(Number(value) * size)
    : propertyValue(document, name, value);
}

/** What a style sets, as the document holds it: read back as it was. */
const ownValues = (values: PropertyValues = {}): Json =>
  Object.fromEntries(
    PROPERTY_NAMES.flatMap((name): [string, Json][] => {
      const value = values[name];
      return value === undefined ? [] : [[name, value]];
    }),
  );

function styleToken(document: ProjectDocument, key: string): Json {
  const style = document.styles[key];
  const resolved = resolveInUse(document, key);
  const size = stepByNumber(document.scale, resolved.step.value).large;
  const composite: Record<string, Json> = {};
  const beyond: Record<string, Json> = {};
  for (const name of PROPERTY_NAMES) {
    const { token, values } = descriptorOf(name);
    // What is inherited is said as a browser computes it here; `set` below says what the style itself has.
    const value =
      name === 'letterSpacing'
        ? rounded(spacingHere(document, resolved, document.scale.large.width))
        : resolved[name].value;
    // The composite type needs each of its parts; of the rest what is left open is the site’s.
    if (!token && !carries(resolved[name])) continue;
    if (token) composite[token] = compositeValue(document, name, value, size);
    // What the composite has no place for, or no unit.
    if (!token || (values.kind === 'number' && values.unit)) {
      beyond[name] = propertyValue(document, name, value);
    }
  }
  return {
    $value: composite,
    $description: style?.name ?? key,
    $extensions: {
      [EXTENSION]: {
        ...beyond,
        ...(style?.narrow && { narrow: ownValues(style.narrow) }),
        ...(style?.at && {
          at: Object.fromEntries(
            Object.entries(style.at).map(([key, values]) => [key, ownValues(values)]),
          ),
        }),
        follows: style?.follows ?? null,
        set: ownValues(style?.set),
        selectors: Object.values(document.elements)
          .filter((element) => element.style === key)
          .flatMap(({ selectors }) => selectors),
      },
    },
  };
}

const group = (type: string, tokens: [string, Json][]): Json => ({
  $type: type,
  ...Object.fromEntries(tokens),
});

/** How sizes go between their ends. */
const betweenEnds = (scale: Scale): Json => ({
  between: scale.between ?? 'viewport',
  ...(scale.between === 'media' ? { changeAt: changeWidth(scale) } : {}),
  ...(scale.containers ? { containers: scale.containers } : {}),
  ...(scale.grid ? { grid: lengthAt(scale)(scale.grid) } : {}),
  ...(scale.root === undefined ? {} : { root: scale.root }),
});

const sizeGroup = (scale: Scale): Json => ({
  $type: 'dimension',
  $extensions: { [EXTENSION]: betweenEnds(scale) },
  ...Object.fromEntries(
    stepsOf(scale).map((step) => [
      step.name,
      {
        $value: lengthAt(scale)(step.large),
        $extensions: {
          [EXTENSION]: {
            step: step.number,
            small: { width: scale.small.width, size: lengthAt(scale)(step.small) },
            large: { width: scale.large.width, size: lengthAt(scale)(step.large) },
          },
        },
      },
    ]),
  ),
});

/**
 * `tokens.json` in the W3C Design Tokens format, 2025.10. A style's family and size are aliases of the
 * voice's and the step's tokens. Sizes hold the large end; both ends, the fallback faces, the selectors
 * and what follows what stand under `$extensions`.
 */
export function designTokens(document: ProjectDocument, fallback: FallbackPlan): string {
  const { scale, voices, colours, styles } = document;
  const tokens: Json = {
    $description: `Typography of ${document.name}`,
    font: group(
      'fontFamily',
      Object.entries(voices).map(([key, voice]) => [
        key,
        {
          $value: wholeStack(voiceFallback(fallback, key)).map(({ name }) => name),
          $description: voice.name,
          $extensions: {
            [EXTENSION]: {
              family: document.case[voice.family ?? '']?.name ?? null,
              ...asJson({
                generic: voice.generic,
                fallback: voice.fallback,
                plain: voice.plain,
                fitting: voice.fitting,
                // Families are named, since a file of tokens holds no fonts.
                scripts:
                  voice.scripts &&
                  Object.fromEntries(
                    Object.entries(voice.scripts).map(([script, seat]) => [
                      script,
                      { ...seat, family: document.case[seat.family]?.name ?? null },
                    ]),
                  ),
              }),
            },
          },
        },
      ]),
    ),
    size: sizeGroup(scale),
    colour: group(
      'color',
      Object.entries(colours).map(([key, { name, light, dark }]) => [
        key,
        {
          $value: colourValue(light),
          $description: name,
          $extensions: { [EXTENSION]: { light, dark } },
        },
      ]),
    ),
    style: group(
      'typography',
      Object.keys(styles).map((key) => [key, styleToken(document, key)]),
    ),
    $extensions: {
      [EXTENSION]: {
        format: TOKENS_FORMAT,
        narrowBelow: narrowBelowOf(document),
        ...asJson({
          widths: document.widths,
          print: document.print,
          byLanguage: document.byLanguage,
        }),
        scale: asJson(scale),
        elements: Object.fromEntries(
          Object.entries(document.elements).map(
            ([key, { name, selectors, style, parent, important, weight }]) => [
              key,
              {
                name,
                selectors,
                style,
                parent,
                ...(important ? { important } : {}),
                ...(weight ? { weight: [...weight] } : {}),
              },
            ],
          ),
        ),
        fallbackFaces: fallback.faces.map((face) => ({
          name: face.name,
          local: face.local,
          variant: face.variant,
          weight: face.weight,
          slant: face.slant,
          sizeAdjust: rounded(face.sizeAdjust),
          ...(face.overrides
            ? {
                ascentOverride: rounded(face.overrides.ascent),
                descentOverride: rounded(face.overrides.descent),
                lineGapOverride: rounded(face.overrides.lineGap),
              }
            : {}),
          ...(face.unicodeRange ? { unicodeRange: face.unicodeRange } : {}),
        })),
      },
    },
  };
  return `${JSON.stringify(tokens, null, 2)}\n`;
}
