import { PROPERTIES } from '../document/property';
import { strays } from '../style/gathered';
import { styleName, type Rule, subjectOf } from './mark';

/** A property that is set where the rest of its group follows. */
export const strayProperty: Rule = (document) =>
  strays(document).map(({ style, property }) => {
    const label = PROPERTIES[property].label.toLowerCase();
    const followed = styleName(document, document.styles[style]?.follows ?? '');
    return {
      rule: 'stray-property',
      stage: 'styles' as const,
      style,
      subject: subjectOf(property),
      message: `${styleName(document, style)} stays as it is when the ${label} of ${followed} changes: it has its own, and all others that follow ${followed} have none.`,
      remedy: 'Let it follow, if that was not meant.',
      fix: {
        does: `Let its ${label} follow`,
        patch: [{ op: 'remove' as const, path: `/styles/${style}/set/${property}` }],
      },
    };
  });
