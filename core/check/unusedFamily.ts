import { familiesInUse } from '../style/usage';
import type { Rule } from './mark';

/** A family in the case that no text of the site is set in. It is not delivered. */
export const unusedFamily: Rule = (document) => {
  const used = familiesInUse(document);
  return Object.entries(document.case)
    .filter(([key]) => !used.includes(key))
    .map(([key, { name }]) => ({
      rule: 'unused-family',
      stage: 'pair' as const,
      family: key,
      message: `${name} is in the case, but no text is set in it, so it is not delivered.`,
      remedy: `Give it a voice in Pair, or remove it from the case.`,
    }));
};
