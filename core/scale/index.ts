export { giveBackPatch, moveEndPatch, setByHandPatch } from './byHand';
export { crossingsOf, type Crossing } from './crossing';
export { letGoPatch } from './letGo';
export {
  FEWEST_SIZES,
  findScale,
  foundScalePatch,
  MOST_SIZES,
  offAt,
  type FoundScale,
  type FoundStep,
  type GivenSize,
} from './find';
export { PX_IN } from './lengths';
export { INTERVALS, intervalOf, type Interval } from './intervals';
export { stepName } from './names';
export { stepNameFault } from './stepNameFault';
export { SITE_KINDS, siteKindPatch, type SiteKind } from './siteKinds';
export { betweenInWords, sizeInWords, widthOf } from './words';
export { bendsOf, changeWidth, sizeAt, stepCss, stepSizeAt } from './sizeAt';
export { ENDS, otherEnd, seriesAt, stepByNumber, stepsOf, type End, type Step } from './steps';
export { passingBound, zoomFailure, zoomReach, type SizeOverWidth } from './zoom';
