export {
  applyChange,
  ChangeError,
  previewOf,
  MOST_OPERATIONS,
  patchBetween,
  patchesTouch,
  reapply,
  type AppliedChange,
} from './change';
export { differences } from './differences';
export { describePatch, describePath } from './describe';
export {
  correctFacePatch,
  dropFacePatch,
  faceOf,
  moveFacePatch,
  takeFilesIn,
  type RefusedFamily,
  type TakenFile,
} from './takeIn';
export { documentErrors } from './validate';
