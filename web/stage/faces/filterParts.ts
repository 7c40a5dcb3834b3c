import type { FilterPart } from '../../store/rows/filter';

/** A part of the filter, or that a measure is to be chosen first. */
export type FilterPartAsked = FilterPart | 'measure';

/** What families can be filtered by, as the menu lists it. */
export const FILTER_PARTS: readonly { part: FilterPartAsked; label: string }[] = [
  { part: 'classes', label: 'Class' },
  { part: 'weights', label: 'Weights' },
  { part: 'italic', label: 'Italic' },
  { part: 'languages', label: 'Languages' },
  { part: 'scripts', label: 'Scripts' },
  { part: 'figures', label: 'Figures' },
  { part: 'fit', label: 'Fit for' },
  { part: 'mostBytes', label: 'Bytes' },
  { part: 'measure', label: 'A measure' },
  { part: 'from', label: 'Where from' },
];
