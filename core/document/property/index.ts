import type { Property, Values } from './property';
import { alignment } from './alignment';
import { axes } from './axes';
import { breakAfter } from './breakAfter';
import { breakBefore } from './breakBefore';
import { breakInside } from './breakInside';
import { colour } from './colour';
import { decoration } from './decoration';
import { dropLines } from './dropLines';
import { features } from './features';
import { figures } from './figures';
import { ground } from './ground';
import { hanging } from './hanging';
import { hyphenation } from './hyphenation';
import { inset } from './inset';
import { letterCase } from './letterCase';
import { letterSpacing } from './letterSpacing';
import { ligatures } from './ligatures';
import { lineColour } from './lineColour';
import { lineHeight } from './lineHeight';
import { lineKind } from './lineKind';
import { lineThickness } from './lineThickness';
import { measure } from './measure';
import { opticalSize } from './opticalSize';
import { orphans } from './orphans';
import { palette } from './palette';
import { slant } from './slant';
import { smallCaps } from './smallCaps';
import { spaceAfter } from './spaceAfter';
import { spaceBefore } from './spaceBefore';
import { step } from './step';
import { trimming } from './trimming';
import { underlineColour } from './underlineColour';
import { underlineOffset } from './underlineOffset';
import { underlineSkip } from './underlineSkip';
import { underlineThickness } from './underlineThickness';
import { voice } from './voice';
import { weight } from './weight';
import { widows } from './widows';
import { wrapping } from './wrapping';

export { PROPERTY_PARTS } from './property';
export type { LengthUnit, Property, PropertyPart, Telling, Values } from './property';

/** Every property of a text style, by its name in the document, in the order in which it is shown. */
export const PROPERTIES = {
  dropLines,
  voice,
  weight,
  slant,
  step,
  lineHeight,
  letterSpacing,
  case: letterCase,
  colour,
  figures,
  smallCaps,
  ligatures,
  opticalSize,
  features,
  axes,
  palette,
  decoration,
  underlineThickness,
  underlineOffset,
  underlineColour,
  underlineSkip,
  alignment,
  hyphenation,
  wrapping,
  hanging,
  measure,
  spaceBefore,
  spaceAfter,
  inset,
  trimming,
  ground,
  lineThickness,
  lineKind,
  lineColour,
  breakBefore,
  breakInside,
  breakAfter,
  orphans,
  widows,
} as const satisfies Record<string, Property>;

type Properties = typeof PROPERTIES;
export type PropertyName = keyof Properties;
export const PROPERTY_NAMES = Object.keys(PROPERTIES) as PropertyName[];

/** What is said of a property, whichever it is. */
export const descriptorOf = (name: PropertyName): Property => PROPERTIES[name];

type ValueOf<V extends Values> = V extends { kind: 'choice'; of: readonly (infer C)[] }
  ? C
  : V extends { kind: 'key' | 'length' | 'settings' }
    ? string
    : number;

/** What a property takes. */
export type PropertyValue<P extends PropertyName = PropertyName> = ValueOf<Properties[P]['values']>;

/** The value of a property: null only where nothing sets it and browsers have no value of their own. */
export type ComputedValue<P extends PropertyName = PropertyName> = P extends PropertyName
  ? PropertyValue<P> | (Properties[P]['initial'] extends null ? null : never)
  : never;

/** The values that a style sets, by property. */
export type PropertyValues = { [P in PropertyName]?: PropertyValue<P> };

export { lengthCss, lengthIn, settingsIn, typedLength, writtenLength } from './written';
