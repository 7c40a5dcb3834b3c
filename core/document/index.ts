export {
  applyChange,
  ChangeError,
  patchBetween,
  patchesTouch,
  reapply,
  type AppliedChange,
  type Patch,
} from './change';
export { describePatch } from './describe';
export type { LibraryFamily, LibraryFile, Picks } from './libraryFamily';
export { newDocument } from './newDocument';
export * from './projectDocument';
export { faceOf, freeKey, sortFaces, takeFilesIn, type TakenFile } from './takeIn';
export { BODY_STYLE, GROUND, INK } from './references';
export { documentErrors, type FieldError } from './validate';
