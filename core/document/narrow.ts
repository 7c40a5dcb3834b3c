import type { ProjectDocument, TextStyle } from './projectDocument';
import type { PropertyValues } from './property';

/** Where a style's values stand: those for every width, and those that differ on narrow screens. */
export const STYLE_VALUES = ['set', 'narrow'] as const;
export type StyleValues = (typeof STYLE_VALUES)[number];

/** Viewport width under which a screen is narrow where a project does not say, CSS px: phones upright. */
const NARROW_BELOW = 600;

export const narrowBelowOf = ({ narrowBelow = NARROW_BELOW }: ProjectDocument): number =>
  narrowBelow;

/** What a style sets, for every width or on narrow screens. */
export const valuesOf = (style: TextStyle | undefined, where: StyleValues): PropertyValues =>
  style?.[where] ?? {};
