import { sameStyles } from '../style/gathered';
import { mergePatch, standsForAll } from '../style/mergeStyles';
import { inWords, styleName, type Rule, subjectOf } from './mark';

/** Styles that are the same in everything: one that is changed leaves the others behind. */
export const sameStyle: Rule = (document) =>
  sameStyles(document).map((group) => {
    const kept = standsForAll(document, group);
    const others = group.filter((key) => key !== kept);
    return {
      rule: 'same-style',
      stage: 'styles' as const,
      style: kept,
      subject: subjectOf(...others),
      message: `${inWords(group.map((key) => styleName(document, key)))} look the same: they agree in everything, so a change to one leaves the others behind.`,
      remedy: 'Make one style of them, or tell them apart.',
      fix: {
        does: `Use ${styleName(document, kept)} for all of them`,
        patch: mergePatch(document, kept, others),
      },
    };
  });
