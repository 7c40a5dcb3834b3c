export { BARE_ELEMENT, barePage } from './barePage';
export { bundleFiles, type BundleFile, type LicenceTexts } from './bundle';
export {
  colourProperty,
  customProperties,
  fontProperty,
  nameFault,
  tokenNames,
  GRID_PROPERTY,
  sizeProperty,
  styleProperty,
  type CustomProperty,
  type FontsShown,
} from './customProperties';
export {
  caseFonts,
  deliveredFonts,
  referencedFamilies,
  shownFonts,
  type DeliveredFont,
} from './delivered';
export { cssNumber, cssPercent, cssString } from './css';
export { fallbackBytes } from './fallbackBytes';
export { layeredRules, narrowTokens, projectRules } from './elementRules';
export { slug } from './fileName';
export { fallbackFaceRule, localSources, webFaceRule } from './fontFaces';
export { headMarkup, preloadedFonts } from './head';
export { escapeHtml } from './html';
export { CONNECTIONS, loadTimes, STATED_CONNECTION, type Connection } from './loadTime';
export { cutName, cutOf, madeKey, PACKED, type Cut } from './cut';
export {
  casePlan,
  deliveryPlan,
  firstFonts,
  totalBytes,
  type DeliveryEvidence,
  type DeliveryPlan,
  type LeftOutFile,
  type PlannedFile,
} from './plan';
export type { Plans } from './plans';
export { FIGURES, reductionsOf, type Reduction } from './reductions';
export { readTokens, type ReadTokens, type Unused } from './reading/readTokens';
export { TokensError } from './reading/tokenTree';
export {
  differencesOf,
  facesMissing,
  saidOf,
  typeOf,
  widthsToVerify,
  type Difference,
  type GivenFace,
  type SetType,
} from './verification';
export { changedSizes, stylesheet } from './stylesheet';
