export { applyPatch, DOCUMENT_LIMITS, PatchError, valueAt } from './applyPatch';
export type { FieldError } from './fieldError';
export {
  claimSamePlace,
  freeKey,
  NORMAL_WIDTH,
  sharedPlaces,
  sortFaces,
  widthRange,
} from './faces';
export { siteName } from './familyName';
export {
  libraryFaces,
  type LibraryFace,
  type LibraryFamily,
  type LibraryFile,
  type Picks,
  type WantedFace,
  type WantedReference,
} from './libraryFamily';
export { newDocument } from './newDocument';
export { onceFor } from './once';
export { onceForParts } from './onceForParts';
export { touchedPaths, type Operation, type Patch } from './patch';
export { pairSeatsOf, type PairSeats } from './pairVoices';
export { inOrder, movePlace, ORDERED_PARTS, placePatch } from './places';
export * from './projectDocument';
export * from './property';
export * from './scale';
export * from './scaleBounds';
export { sharing } from './sharing';
export * from './vocabulary';
export {
  languageOfPlace,
  languagePlace,
  narrowBelowOf,
  occasionIn,
  occasionKeys,
  placesOf,
  takenAt,
  valuesAt,
  valuesOf,
  widthKeys,
  type StyleValues,
} from './styleValues';
export {
  OCCASION_KEYS,
  occasionOf,
  OCCASIONS,
  takenOn,
  widthInWords,
  type Occasion,
  type OccasionKey,
} from './occasion';
