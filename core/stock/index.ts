export {
  charactersOfStock,
  lookOf,
  provenanceAt,
  STOCK_ENDS,
  stockDescriptor,
  STOCK_PROPERTIES,
  StockBook,
  type Provenance,
  type Provenances,
  type SetAt,
  type Stock,
  type StockEnd,
  type StockFace,
  type StockPage,
  type StockProperty,
  type StockSource,
  type StockText,
  type TextLook,
} from './stock';
export { FACE_STATES, liveFace, LiveTexts, overLook } from './live';
export { ProvenanceReader, overriddenIn } from './provenanceReader';
export { lineages, type Around, type Claim, type Lineage } from './claims';
export { lettersOutside } from './outside';
export { driftOf, type Drift, type Drifted } from './drift';
export { breaksOf, stockWidths, widthsWithLive, type SiteBreak } from './widths';
export { gatherNear, sharesOf, type Gathered, type Share } from './shares';
export { nearSize, nearWeight } from './near';
export {
  familiesOf,
  weightsOf,
  type FamilyState,
  type LackingFace,
  type StockFamily,
} from './families';
export { bodySize, fightsOf, roleOfText, type Fight, type FightKind } from './fights';
export {
  foldPatch,
  foldStock,
  seatKey,
  WHOLE_FOLD,
  type Fold,
  type FoldChoice,
  type SiteView,
  type StockView,
} from './fold/fold';
export { movesOf } from './fold/foldMoves';
export {
  proposeFold,
  stockFacts,
  type FoldedSize,
  type Proposal,
  type StockFacts,
} from './fold/proposal';
export {
  FOLD_LIMITS,
  foldSizes,
  type FoldLimits,
  type FoldedScale,
  type GivenSeries,
  type SizeShare,
} from './fold/foldSizes';
export {
  STYLE_TOLERANCE,
  type FoldedStyle,
  type StockKind,
  type Unfolded,
} from './fold/foldStyles';
export { seatsOf, type FoldedSeat, type FoldedVoice } from './fold/foldVoices';
export { languagesOfStock, mainScript, writtenIn, type Written } from './written';
export { movesTogether, type MovedText, type Moves } from './moves';
