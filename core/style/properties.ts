import type { StyleProperties } from '../document/projectDocument';

export type PropertyName = keyof StyleProperties;
export type PropertyValue<P extends PropertyName> = NonNullable<StyleProperties[P]>;

interface Property {
  /** What it is called in the interface. */
  label: string;
  /** The CSS property that it becomes. */
  css: string;
  /** What browsers take when nothing sets it. */
  initial: string | number | null;
}

/** Every property of a text style, in the order in which it is shown. CSS inherits all of them. */
export const PROPERTIES = {
  voice: { label: 'Voice', css: 'font-family', initial: null },
  weight: { label: 'Weight', css: 'font-weight', initial: 400 },
  slant: { label: 'Slant', css: 'font-style', initial: 'normal' },
  step: { label: 'Size', css: 'font-size', initial: 0 },
  lineHeight: { label: 'Line height', css: 'line-height', initial: 1.2 },
  letterSpacing: { label: 'Letter spacing', css: 'letter-spacing', initial: 0 },
  case: { label: 'Case', css: 'text-transform', initial: 'none' },
  colour: { label: 'Colour', css: 'color', initial: null },
} as const satisfies Record<PropertyName, Property>;

export const PROPERTY_NAMES = Object.keys(PROPERTIES) as PropertyName[];
