export {
  colourOf,
  composited,
  hexOf,
  isCssColour,
  isWideGamut,
  paintedColour,
  withAlphaOf,
} from './colour';
export { familiesIn } from './familyList';
export { isLayerName, isPlainName } from './name';
export { compareSpecificity, specificityOf, type Specificity } from './specificity';
export { selectorsFault, selectorTexts, subjectsOf, type Subject } from './selector';
export { structureOf, type Statement } from './structure';
export {
  EVERY_CHARACTER,
  formatUnicodeRange,
  inUnicodeRange,
  parseUnicodeRange,
  withinUnicodeRange,
  lessUnicodeRange,
  unitedUnicodeRange,
} from './unicodeRange';
export { isClosed, TOKEN, tokensOf, type Token } from './whole';
