export { BROWSER_SETS } from './browserDefaults';
export {
  Cascade,
  layerPlaces,
  type Decided,
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
export { accountOf, decisionOf, type Account, type Decision, type Overruling } from './overruled';
export { REMOVED_KINDS, type Removed, type RemovedKind } from './removed';
export {
  innerPath,
  isPagePath,
  mediaTypeOf,
  SITE_LIMITS,
  SiteError,
  type SiteFile,
} from './siteFile';
export { unclaimedKinds, type Seen, type UnclaimedKind } from './unclaimed';
export type {
  Condition,
  LayerStatement,
  RuleSelector,
  TypeDeclaration,
  TypeRule,
  TypeRules,
} from './typeRules';
