import { resolveElement } from '../style/resolve';
import { styleName, type Mark, type Rule } from './mark';

/**
 * Text elements without a line height: their line box is the face's own, and an engine that leaves metric
 * overrides out takes the local font's while the fallback shows.
 */
export const noLineHeight: Rule = (document) => {
  const styles = new Map<string, string[]>();
  for (const [key, element] of Object.entries(document.elements)) {
    if (resolveElement(document, key).lineHeight.origin !== 'browser') continue;
    styles.set(element.style, [...(styles.get(element.style) ?? []), element.name]);
  }
  return [...styles].map(([style, names]): Mark => ({
    rule: 'no-line-height',
    stage: 'styles',
    style,
    message: `${styleName(document, style)}: in Safari, lines of ${names.slice(0, 4).join(', ')}${names.length > 4 ? ' and others' : ''} change their height when the web face comes. They have no line height, and Safari leaves out what would hold the fallback’s to the web face’s.`,
    remedy: 'Set a line height as a number; it holds the same in every browser.',
    fix: {
      does: 'Set its line height to 1.4',
      patch: [{ op: 'add', path: `/styles/${style}/set/lineHeight`, value: 1.4 }],
    },
  }));
};
