import type { ProjectDocument } from '../document/projectDocument';
import { embedding } from './embedding';
import { lowContrast } from './lowContrast';
import type { Mark, Readings, Rule } from './mark';
import { manyFamilies } from './manyFamilies';
import { missingFace } from './missingFace';
import { sameName } from './sameName';
import { sharedPlace } from './sharedPlace';
import { unusedFamily } from './unusedFamily';

export { contrastRatio } from './lowContrast';
export type { Mark, Readings } from './mark';

/** Every rule, in the order in which its marks are listed. */
const RULES: Rule[] = [
  missingFace,
  sharedPlace,
  sameName,
  embedding,
  lowContrast,
  manyFamilies,
  unusedFamily,
];

/** All marks on a project as it stands; those about what files say need their readings. */
export const marksOf = (document: ProjectDocument, readings: Readings = {}): Mark[] =>
  RULES.flatMap((rule) => rule(document, readings));
