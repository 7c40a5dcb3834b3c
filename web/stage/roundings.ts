import { roundings as say } from './words';
import { ROUNDINGS } from '@lettera/core/document';

/** How sizes are rounded, as it is chosen. */
export const ROUNDING_CHOICES = ROUNDINGS.map((value) => ({
  value,
  label: value === 'none' ? say.asFalls : `${value} px`,
}));
