import type { ProjectDocument } from '../document/projectDocument';
import { lowContrast } from './lowContrast';
import type { Mark, Rule } from './mark';
import { missingFace } from './missingFace';
import { unusedFamily } from './unusedFamily';

export { contrastRatio } from './lowContrast';
export type { Mark } from './mark';

/** Every rule, in the order in which its marks are listed. */
const RULES: Rule[] = [missingFace, lowContrast, unusedFamily];

/** All marks on a project as it stands. */
export const marksOf = (document: ProjectDocument): Mark[] =>
  RULES.flatMap((rule) => rule(document));
