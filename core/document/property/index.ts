import type { Property, Values } from './property';
import { colour } from './colour';
import { letterCase } from './letterCase';
import { letterSpacing } from './letterSpacing';
import { lineHeight } from './lineHeight';
import { slant } from './slant';
import { step } from './step';
import { voice } from './voice';
import { weight } from './weight';

export type { Property, Telling, Values } from './property';

/** Every property of a text style, by its name in the document, in the order in which it is shown. */
export const PROPERTIES = {
  voice,
  weight,
  slant,
  step,
  lineHeight,
  letterSpacing,
  case: letterCase,
  colour,
} as const satisfies Record<string, Property>;

type Properties = typeof PROPERTIES;
export type PropertyName = keyof Properties;
export const PROPERTY_NAMES = Object.keys(PROPERTIES) as PropertyName[];

/** What is said of a property, whichever it is. */
export const descriptorOf = (name: PropertyName): Property => PROPERTIES[name];

type ValueOf<V extends Values> = V extends { kind: 'choice'; of: readonly (infer C)[] }
  ? C
  : V extends { kind: 'key' }
    ? string
    : number;

/** What a property takes. */
export type PropertyValue<P extends PropertyName = PropertyName> = ValueOf<Properties[P]['values']>;

/** What a property comes to: null only where nothing sets it and browsers have no value of their own. */
export type ComputedValue<P extends PropertyName = PropertyName> = P extends PropertyName
  ? PropertyValue<P> | (Properties[P]['initial'] extends null ? null : never)
  : never;

/** The values that a style sets, by property. */
export type PropertyValues = { [P in PropertyName]?: PropertyValue<P> };
