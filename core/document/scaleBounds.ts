/** What a scale is made of, and within which bounds; without what validates it. */

export const ROUNDINGS = ['none', 'half', 'whole', 'even'] as const;
export type Rounding = (typeof ROUNDINGS)[number];

/** How a size goes from its small to its large end: with the viewport, with a container, or at once. */
export const BETWEENS = ['viewport', 'container', 'media'] as const;
export type Between = (typeof BETWEENS)[number];

/** How steps are named: numbers around the base, from small to large, or by names of the designer's own. */
export const NAMINGS = ['numbers', 'sizes', 'own'] as const;
export type Naming = (typeof NAMINGS)[number];

/** Bounds of what a scale is made of. Lengths in CSS px. */
export const SCALE_BOUNDS = {
  width: [200, 4000],
  base: [8, 64],
  displayBase: [8, 400],
  ratio: [1, 3],
  size: [4, 800],
  grid: [2, 64],
  root: [1, 100],
} as const;

/** Most steps either way from the base. */
export const MOST_STEPS = 12;

/** Characters of a step’s own name at most. */
export const LONGEST_STEP_NAME = 40;
