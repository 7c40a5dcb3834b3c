import { siteName } from '../document/familyName';
import { familiesInUse } from '../style/usage';
import type { Rule } from './mark';

/** Heading, text and one more is the sensible limit: each further family is more to load and to agree. */
const MOST = 3;

const kilobytes = (bytes: number): string => `${(bytes / 1000).toFixed(0)} KB`;

/** More families in use than a site carries well, with what those beyond the third cost. */
export const manyFamilies: Rule = (document, { bytes: delivered }) => {
  // A family for one script is loaded by pages in that script alone.
  const own = new Set(Object.values(document.voices).map(({ family }) => family));
  const used = familiesInUse(document).filter((key) => own.has(key));
  if (used.length <= MOST) return [];
  const beyond = used.slice(MOST).flatMap((key) => document.case[key] ?? []);
  const bytes = beyond
    .flatMap(({ faces }) => faces.flatMap(({ files }) => files))
    .reduce((sum, file) => sum + (delivered?.get(file.sha256) ?? file.bytes), 0);
  return [
    {
      rule: 'many-families',
      stage: 'pair',
      message: `${used.length} families are in use. ${beyond.map(siteName).join(' and ')} beyond the third add up to ${kilobytes(bytes)} that visitors load.`,
      remedy: 'Seat one family in two voices, told apart by weight and size.',
    },
  ];
};
