import { ROUNDINGS } from '@lettera/core/document';

/** How sizes are rounded, as it is chosen. */
export const ROUNDING_CHOICES = ROUNDINGS.map((value) => ({
  value,
  label: value === 'none' ? 'as it falls' : `${value} px`,
}));
