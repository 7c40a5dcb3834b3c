import type { Patch } from '../document/patch';
import type { Scale } from '../document/scale';
import type { Rounding } from '../document/scaleBounds';

/** A scale to start from for a kind of site, and why it suits. */
export interface SiteKind {
  key: string;
  name: string;
  /** Why, in a designer's words. */
  reason: string;
  small: { base: number; ratio: number };
  large: { base: number; ratio: number };
  rounding: Rounding;
}

export const SITE_KINDS: readonly SiteKind[] = [
  {
    key: 'long-reading',
    name: 'Long reading',
    reason:
      'Text that is read for minutes wants size: 18 px on a phone, 21 px at a desk, held further away. Headings stay calm, a minor third at most, since there are few and they interrupt.',
    small: { base: 18, ratio: 7 / 6 },
    large: { base: 21, ratio: 6 / 5 },
    rounding: 'none',
  },
  {
    key: 'reference',
    name: 'Reference and tables',
    reason:
      'Many levels, close together, and much on a screen: a little over a major second keeps six levels just apart without a huge first one, and whole pixels keep columns of figures crisp.',
    small: { base: 16, ratio: 1.14 },
    large: { base: 17, ratio: 1.175 },
    rounding: 'whole',
  },
  {
    key: 'shopfront',
    name: 'Shopfront',
    reason:
      'A few large words beside pictures, and short text: a perfect fourth makes the first heading loud at a desk, while a phone keeps to a minor third so that names of things fit on a line.',
    small: { base: 16, ratio: 6 / 5 },
    large: { base: 17, ratio: 4 / 3 },
    rounding: 'none',
  },
  {
    key: 'dashboard',
    name: 'Dashboard',
    reason:
      'Figures and labels that are compared, in panes whose widths vary: nearly the same sizes everywhere, on even pixels, so that nothing shifts as panes are opened.',
    small: { base: 16, ratio: 1.17 },
    large: { base: 16, ratio: 1.2 },
    rounding: 'even',
  },
];

/** The change that makes a scale that of a kind of site. Widths, the number of steps and names stay. */
export function siteKindPatch(scale: Scale, { small, large, rounding }: SiteKind): Patch {
  return [
    { op: 'replace', path: '/scale/small', value: { width: scale.small.width, ...small } },
    { op: 'replace', path: '/scale/large', value: { width: scale.large.width, ...large } },
    { op: 'replace', path: '/scale/rounding', value: rounding },
    { op: 'replace', path: '/scale/overrides', value: {} },
    ...(scale.display ? [{ op: 'remove' as const, path: '/scale/display' }] : []),
  ];
}
