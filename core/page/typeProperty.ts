import { descriptorOf, type PropertyName } from '../document/property';
import type { TypeProperty } from './cascade';

/** A property of text styles as the cascade of a page knows it. */
export function typeProperty(name: PropertyName): TypeProperty {
  const { css, longhand, shorthands = [], ...rest } = descriptorOf(name);
  return {
    ...rest,
    css: longhand ?? css,
    shorthands: longhand ? [css, ...shorthands] : shorthands,
  };
}
