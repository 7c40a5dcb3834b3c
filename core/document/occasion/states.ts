import { occasion } from './occasion';
import { everything, ofVisited } from './takes';

/** A link that was followed before. Selectors 4 §8.2.2. */
export const visited = occasion({
  label: 'visited',
  kind: 'state',
  css: ':visited',
  takes: ofVisited,
  says: 'Browsers take colours alone, so that no page can tell where somebody has been.',
});

/** What stands for the page, the step or the place that is shown. WAI-ARIA 1.2 §6.6, `aria-current`. */
export const current = occasion({
  label: 'current page',
  kind: 'state',
  css: ':is([aria-current]:not([aria-current="false"]))',
  takes: everything,
  says: 'For what the page says is current (aria-current).',
});

/** Details and dialogs that are open, what opens them, and a summary of such. HTML §4.11. */
export const open = occasion({
  label: 'open',
  kind: 'state',
  css: ':is([open], [aria-expanded="true"], [open] > summary)',
  takes: everything,
});

/** Selectors 4 §9.1. */
export const hover = occasion({
  label: 'pointed at',
  kind: 'state',
  css: ':hover',
  takes: everything,
});

/** Selectors 4 §9.4. */
export const focus = occasion({
  label: 'focused by key',
  kind: 'state',
  css: ':focus-visible',
  takes: everything,
});

/** Selectors 4 §9.2. */
export const active = occasion({
  label: 'pressed',
  kind: 'state',
  css: ':active',
  takes: everything,
});

/** A field whose entry does not hold, once it was left. Selectors 4 §13.3.2; WAI-ARIA 1.2, `aria-invalid`. */
export const invalid = occasion({
  label: 'not valid',
  kind: 'state',
  css: ':is(:user-invalid, [aria-invalid="true"])',
  takes: everything,
  says: 'Once the field was left, or where the page says so (aria-invalid).',
});

/** Selectors 4 §13.1.1; WAI-ARIA 1.2, `aria-disabled`. */
export const disabled = occasion({
  label: 'unavailable',
  kind: 'state',
  css: ':is(:disabled, [aria-disabled="true"])',
  takes: everything,
});
