/** What a delivery is tried by, and what would make it lighter: only where it is shown. */
export { BARE_ELEMENT, barePage } from './barePage';
export {
  changedTexts,
  colouredAt,
  READ_AS,
  type Besides,
  type ChangedTexts,
  type ComputedType,
  type LostContrast,
} from './changedTexts';
export {
  demandsOn,
  demandsTogether,
  leastWeight,
  type Demands,
  type LeastWeight,
} from './leastWeight';
export { FIGURES, reductionsOf, type Reduction } from './reductions';
export {
  differencesOf,
  facesMissing,
  saidOf,
  typeOf,
  widthsToVerify,
  type Difference,
  type GivenFace,
  type SetType,
} from './verification';
