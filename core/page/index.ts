export { BROWSER_SETS } from './browserDefaults';
export {
  Cascade,
  layerPlaces,
  type Decision,
  type Declared,
  type PageView,
  type ProjectRule,
  type ProjectRules,
  type TypeProperty,
} from './cascade';
export {
  layoutChange,
  type BlockChange,
  type LaidOutBlock,
  type LaidOutPage,
  type PageChange,
} from './layoutChange';
export { OtherWords } from './otherWords';
export { accountOf, Decisions, type Account, type Overruling } from './overruled';
export {
  namedIn,
  numberAround,
  ownTextIn,
  seenIn,
  textElementsIn,
  type PageTree,
} from './pageTree';
export { plainText, wordsOf } from './textsOfPage';
export {
  livePageOf,
  NOT_LIVE,
  livePathOf,
  type LiveFace,
  type LivePage,
  type LiveText,
  type LiveView,
} from './readerFile';
export { hostsIn, sheetsMissing, REMOVED_KINDS, type Removed, type RemovedKind } from './removed';
export {
  innerPath,
  isPagePath,
  mediaTypeOf,
  SITE_LIMITS,
  SiteError,
  type SiteFile,
} from './siteFile';
export { atOnce, type Pieces } from './pieces';
export { typeProperty } from './typeProperty';
export { unclaimedKinds, type Seen, type UnclaimedKind } from './unclaimed';
export type {
  Condition,
  LayerStatement,
  ReadRules,
  RuleSelector,
  TypeDeclaration,
  TypeRule,
  TypeRules,
} from './typeRules';
