import { bootstrap } from './bootstrap';
import { bulma } from './bulma';
import { daisyui } from './daisyui';
import { foundation } from './foundation';
import { govuk } from './govuk';
import { pico } from './pico';
import { primer } from './primer';
import { pure } from './pure';
import { spectre } from './spectre';
import { uikit } from './uikit';
import type { Framework } from './framework';

export type { Framework, FrameworkPart } from './framework';

/** The frameworks that are known: one is added by a file and a line here. */
export const FRAMEWORKS: readonly Framework[] = [
  bootstrap,
  bulma,
  daisyui,
  foundation,
  govuk,
  pico,
  primer,
  pure,
  spectre,
  uikit,
];

/** How many of what tells a framework a page has to show: one may be a site's own name for something. */
const LEAST_TOLD = 2;

/**
 * The framework that a page is built on, as far as it shows; null where it shows none, or two alike.
 * @param meets whether a selector meets anything on the page
 */
export function frameworkOf(meets: (selector: string) => boolean): Framework | null {
  const told = FRAMEWORKS.map((framework) => ({
    framework,
    tellers: framework.tellers.filter(meets).length,
  })).sort((a, b) => b.tellers - a.tellers);
  const [first, second] = told;
  if (!first || first.tellers < LEAST_TOLD || first.tellers === second?.tellers) return null;
  return first.framework;
}
