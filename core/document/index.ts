export {
  applyChange,
  ChangeError,
  lookAt,
  patchBetween,
  patchesTouch,
  reapply,
  type AppliedChange,
  type Patch,
} from './change';
export { describePatch, describePath } from './describe';
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
export * from './projectDocument';
export * from './scale';
export {
  claimSamePlace,
  correctFacePatch,
  dropFacePatch,
  moveFacePatch,
  faceOf,
  freeKey,
  sharedPlaces,
  sortFaces,
  takeFilesIn,
  widthRange,
  type TakenFile,
} from './takeIn';
export { BODY_STYLE, GROUND, INK } from './references';
export { documentErrors, type FieldError } from './validate';
