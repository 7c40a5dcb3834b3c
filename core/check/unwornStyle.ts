import { unwornStyles } from '../style/gathered';
import { styleName, type Rule } from './mark';

/** A style that no text element has and no style follows. */
export const unwornStyle: Rule = (document) =>
  unwornStyles(document).map((style) => ({
    rule: 'unworn-style',
    stage: 'styles' as const,
    style,
    message: `${styleName(document, style)} shows nowhere: no text element has it, and no style follows it.`,
    remedy: 'Give it to a text element, or remove it.',
    fix: {
      does: 'Remove it',
      patch: [{ op: 'remove' as const, path: `/styles/${style}` }],
    },
  }));
