import { siteName } from '../document/familyName';
import { familiesInUse } from '../style/usage';
import { namesakes } from '../style/familyInUse';
import { type Rule, subjectOf } from './mark';

/** Two families in use under one name: the browser takes their faces for one family's. */
export const sameName: Rule = (document) => {
  const used = familiesInUse(document);
  return used.flatMap((key, at) => {
    const family = document.case[key];
    const other = namesakes(document, key).find((namesake) => used.indexOf(namesake) > at);
    return family && other
      ? [
          {
            rule: 'same-name',
            stage: 'faces' as const,
            family: key,
            subject: subjectOf(other),
            message: `${siteName(family)}: two families of that name are in use, and the browser mixes their faces.`,
            remedy: 'Give one of them another name on the site.',
          },
        ]
      : [];
  });
};
