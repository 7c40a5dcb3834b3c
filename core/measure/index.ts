export {
  charactersByScript,
  LANGUAGE_SOURCE,
  languageOf,
  LANGUAGES,
  languagesCovered,
  missingLetters,
  type Language,
  type Script,
} from './coverage';
export {
  boldFace,
  nearestFace,
  onOffer,
  REGULAR_WEIGHT,
  regularFace,
  weightWithin,
  type FamilyMeasures,
  type ListedFace,
} from './family';
export { familySheet, type FaceFiles, type FamilySheet } from './familySheet';
export type { Figures } from './figures';
export { fitnessOf, fitnessSentence, TEXT_LIMITS, type Fitness, type OnOffer } from './fitness';
export type { LowerCase } from './letterCase';
export { classesDisagree, measuredClass, type MeasuredClass } from './measuredClass';
export { measure, measureFace, MEASURES_VERSION, type FaceMeasures } from './measureFace';
export {
  italicDifferences,
  italicKind,
  type ItalicKind,
  type LetterDifference,
} from './trueItalic';
