export { meanAdvance } from './meanAdvance';
/** What follows from measures once they have been taken. What takes them stands in `file.ts`. */
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
export type { FaceFiles, FamilySheet } from './familySheet';
export type { Figures } from './figures';
export { fitnessOf, fitnessSentence, TEXT_LIMITS, type Fitness, type OnOffer } from './fitness';
export type { LowerCase } from './letterCase';
export { classDrawn, classesDisagree, measuredClass, type MeasuredClass } from './measuredClass';
export type { FaceMeasures } from './measureFace';
export type { ItalicKind, LetterDifference } from './trueItalic';
