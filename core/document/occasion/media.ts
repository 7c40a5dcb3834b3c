import { occasion } from './occasion';
import { besidesColours, colours, everything } from './takes';

/** Media Queries 5 §11.3. */
export const moreContrast = occasion({
  label: 'more contrast wanted',
  kind: 'medium',
  css: '(prefers-contrast: more)',
  takes: everything,
  says: 'For visitors who ask for more contrast: darker greys, a heavier weight for what is light.',
});

/** Media Queries 5 §11.2. */
export const lessTransparency = occasion({
  label: 'less transparency wanted',
  kind: 'medium',
  css: '(prefers-reduced-transparency: reduce)',
  takes: colours,
  says: 'For visitors who ask for less transparency: whole colours in place of those with alpha. Not in Firefox.',
});

/** Media Queries 5 §11.4; CSS Color Adjustment 1 §3. */
export const forcedColours = occasion({
  label: 'forced colours',
  kind: 'medium',
  css: '(forced-colors: active)',
  takes: besidesColours,
  says: 'The visitor’s own few colours replace those of text, backgrounds and lines. Sizes, weights and underlines stay: what differs in colour alone needs one of them here.',
});

/** Media Queries 5 §2.3. */
export const print = occasion({
  label: 'in print',
  kind: 'medium',
  css: 'print',
  takes: everything,
});
