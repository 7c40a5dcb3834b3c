import type { ProjectDocument } from '../document/projectDocument';
import { closeLevels } from './closeLevels';
import { crossedSteps } from './crossedSteps';
import { floatingLine } from './floatingLine';
import { noLineHeight } from './noLineHeight';
import { plainNames, vagueGeneric } from './plainNames';
import { stackOrder } from './stackOrder';
import { wrongGeneric } from './wrongGeneric';
import { embedding } from './embedding';
import { lineHeight } from './lineHeight';
import { lowContrast } from './lowContrast';
import type { Evidence, Mark, Rule } from './mark';
import { manyFamilies } from './manyFamilies';
import { lineMeasure } from './lineMeasure';
import { missingFace } from './missingFace';
import { sameName } from './sameName';
import { sharedPlace } from './sharedPlace';
import { smallText } from './smallText';
import { unfitText } from './unfitText';
import { unusedFamily } from './unusedFamily';
import { zoom } from './zoom';
import { strayProperty } from './strayProperty';
import { sameStyle } from './sameStyle';
import { unwornStyle } from './unwornStyle';
import { capitalText, lightText, spacedText } from './runningText';
import { unusedFace } from './unusedFace';
import { loneLine } from './loneLine';

export { contrastRatio } from './lowContrast';
export { LEAST_RATIO } from './closeLevels';
export type { Evidence, Mark, Readings, Remedy, SetPage } from './mark';

/** Every rule, in the order in which its marks are listed. */
const RULES: Rule[] = [
  missingFace,
  sharedPlace,
  sameName,
  embedding,
  crossedSteps,
  closeLevels,
  zoom,
  smallText,
  lineMeasure,
  lineHeight,
  lowContrast,
  unfitText,
  manyFamilies,
  wrongGeneric,
  plainNames,
  vagueGeneric,
  stackOrder,
  floatingLine,
  noLineHeight,
  spacedText,
  capitalText,
  lightText,
  loneLine,
  strayProperty,
  sameStyle,
  unwornStyle,
  unusedFace,
  unusedFamily,
];

/** All marks on a project as it stands, as far as what is known of it beyond the document goes. */
export const marksOf = (document: ProjectDocument, evidence: Evidence = {}): Mark[] =>
  RULES.flatMap((rule) => rule(document, evidence));
