export { apparentSizePatch } from './apparentSize';
export { subheadingPatch } from './subheading';
export { textUseOf, type SetAt, type TextUse } from './textUse';
export { FEATURE_PROPERTIES, featuresBy, type FeatureProperty } from './featureTags';
export { lackingFeatures } from './lackingFeatures';
export { elementAt, elementsAt, lasting } from './elementAt';
export { LINE_HEIGHTS, lineOnGrid, suggestedLineHeight } from './lineHeight';
export { suggestedFor, type SuggestedLineHeight } from './lineHeightOf';
export {
  fitLineMeasure,
  headingLevels,
  lineMeasureOf,
  PHONE,
  roleOf,
  type SetText,
  type TextRole,
} from './lineMeasure';
export {
  namesakes,
  replaceFamilyPatch,
  seatsOf,
  takeOutPatch,
  type SeatInUse,
} from './familyInUse';
export { matchFace, type FaceMatch, type FaceRequest, type MatchableFace } from './faceMatch';
export {
  carries,
  resolveElement,
  resolveInUse,
  resolveStyle,
  type Origin,
  type ResolvedProperty,
  type ResolvedStyle,
  type TraceStep,
} from './resolve';
export {
  elementsByStyle,
  familiesInUse,
  followersOf,
  stepOf,
  stylesInUse,
  usersByStep,
  voiceRequests,
  voiceUses,
  type StyleRequest,
  type VoiceUse,
} from './usage';
export {
  facesWanted,
  nearestWeight,
  weightChanges,
  weightPatch,
  type WeightChange,
} from './weightPlan';
export { addWidthPatch, removeWidthPatch, sizeOn } from './siteWidths';
export {
  documentAt,
  documentAtWidth,
  documentOn,
  narrowDocument,
  occasionsUsed,
  saidAt,
  sizeInViewport,
} from './documentAt';
export { colouredBy, onGrounds, ruleSpecificity, selectorsOf, weighedSelector } from './ruleWeight';
export { ownVoices, type OwnVoice } from './ownVoices';
export {
  documentInLanguage,
  documentThere,
  scriptRequests,
  siteLanguages,
  type SetLanguage,
  type WholeSetting,
} from './inLanguage';
export {
  namesOf,
  scriptRange,
  scriptSeats,
  seatPaths,
  servedBy,
  servedRange,
  type NamedAt,
  type ServedFamily,
} from './served';
export {
  gatheredCount,
  redundant,
  sameStyles,
  strays,
  unwornStyles,
  type StyleProperty,
} from './gathered';
export {
  copiedCells,
  setCellPatch,
  followPatch,
  pastePatch,
  typedValue,
  shownValue,
  writtenValue,
  type CellRange,
  type RefusedCell,
} from './typedValue';
export { mergeAllPatch, mergePatch, standsForAll, takeOutStylePatch } from './mergeStyles';
export { STARTING_SETS, startingSetPatch, type StartingSet } from './startingSets';
export { contrastRatio, leastContrast } from './contrast';
export { groundColour, groundsOf } from './grounds';
export { inkUses, usesByInk, type FoundGrounds, type InkUse } from './inkUses';
export { proposedInks, type NeedOn, type ProposedInk } from './inks';
export { usersOfColour } from './colourUsers';
export { spacingHere } from './spacingHere';
export { languagesPatch } from './setLanguages';
