export { besideSize } from './besideSize';
export { measuresInScript } from './inScript';
export { meanAdvance } from './meanAdvance';
/** What follows from measures once they have been taken. What takes them stands in `file.ts`. */
export { charactersByScript, languagesCovered, missingLetters } from './coverage';
export { measuresAt, weightsMeasured } from './weights';
export type { WeightMeasures } from './weightMeasures';
export {
  boldFace,
  nearestFace,
  onOffer,
  REGULAR_WEIGHT,
  regularFace,
  weightWithin,
  type FamilyMeasures,
  type ListedFace,
  type OnOffer,
} from './family';
export type { WeightedFile, FaceFiles, FamilySheet } from './familySheet';
export type { Figures } from './figures';
export {
  fitnessCost,
  fitnessOf,
  TEXT_PARTS,
  type FamilyToJudge,
  type Fitness,
  type FitnessUse,
  type PartFitness,
  type TextPart,
} from './fitness';
export { fitnessSentences, fitnessWord, PART_NAMES } from './fitnessWords';
export type { LowerCase } from './letterCase';
export {
  classDrawn,
  classesDisagree,
  measuredClass,
  slabReadings,
  type MeasuredClass,
  type SlabReading,
} from './measuredClass';
export type { FaceMeasures } from './measureFace';
export type { ScriptMeasures } from './scriptMeasures';
export type { ItalicKind, LetterDifference } from './trueItalic';
