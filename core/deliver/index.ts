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
export { otherSizes, printedSizes } from './occasions';
export { layeredRules, narrowTokens, projectRules } from './elementRules';
export { slug } from './fileName';
export { fallbackFaceRule, localSources, servedFaceRules, webFaceRule } from './fontFaces';
export { bundleFault, MOST_BUNDLE_BYTES } from './bundleLimit';
export { headMarkup } from './head';
export { elementsSeenFirst, fontBytesFirst, preloadedFonts } from './seenFirst';
export { escapeHtml } from './html';
export { CONNECTIONS, loadTimes, STATED_CONNECTION, type Connection } from './loadTime';
export { cutName, cutOf, madeKey, PACKED, type Cut } from './cut';
export {
  caseWays,
  deliveryWays,
  type KnownFonts,
  type LeftOutFile,
  type LocalFace,
} from './deliveryWays';
export {
  casePlan,
  deliveryPlan,
  filesNow,
  takeLeast,
  totalBytes,
  type DeliveryEvidence,
  type DeliveryPlan,
  type PlannedFile,
} from './plan';
export type { Plans } from './plans';
export { changedSizes, languageTokens } from './languages';
export { stylesheet } from './stylesheet';

export { heldCharacters } from './heldCharacters';
