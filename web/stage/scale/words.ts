import type { Said } from '../../control/said';

/** Scale: every word that is read there, by the component that says it. */

export const betweenEnds = {
  betweenEnds: 'Between the ends',
  changesAt: 'Changes at',
  containersAsCssSelectors: 'Containers, as CSS selectors',
  suchAsArticleAside: 'such as article, aside, .notice',
  eachBecomes: 'Each becomes',
  widthThenNoLonger:
    '. Its width then no longer depends on what is in it, so leave out what shrinks to fit its text.',
  withViewport: 'with the viewport',
  eachSizeRunsLine:
    'Each size runs in a line between the ends as the window widens, and stays beyond them.',
  withContainer: 'with a container',
  eachSizeFollowsWidth:
    'Each size follows the width of the nearest container around the text, so that a heading in a narrow column is set as on a phone. Where no container is around, it follows the window.',
  atOneWidth: 'at one width',
  plainSizesThoseSmall:
    'Plain sizes: those of the small end, and from one width of the window on those of the large end. For sites that cannot take sizes that run.',
};

export const chartEnds = {
  sizeAt: (name: Said, endName: Said) => `Size of ${name} at the ${endName}`,
  byHand: 'by hand',
  betweenTwo: 'between two',
  atPx: (name: Said, width: Said, size: Said, how: Said) =>
    `${name} at ${width} px: ${size}, ${how}`,
  setByHand: ', set by hand',
  atPxName: (name: Said, width: Said, size: Said, also: Said) =>
    `${name} at ${width} px: ${size}${also}`,
};

export const chartWidths = {
  viewportWidth: (endName: Said) => `Viewport width of the ${endName}`,
  widthProofOnChart: 'Width of the proof, on the chart',
};

export const draftBar = {
  onProofOnly: 'On the proof only',
  tryingNothingKept: 'Trying: nothing is kept',
  use: 'Use it',
  leaveAsWas: 'Leave it as it was',
  changesShowOnProof: 'Changes show on the proof, and are kept only when you use them',
  tryWithoutKeeping: 'Try without keeping',
  inScale: 'In Scale',
  useWhatBeingTried: 'use what is being tried',
  leaveWhatBeingTried: 'leave what is being tried',
  giveEndCurveBack: 'give an end of a curve back to the ratio',
};

export const fromSizes = {
  kept: 'kept',
  stays: 'stays',
  giveSizesSiteAs:
    'Give the sizes that a site has, as a list or as its CSS. Lettera finds the scale that comes closest.',
  ifTheyDiffer: ', if they differ',
  sizesAt: (endName: Said, also: Said) => `Sizes at the ${endName}${also}`,
  pxPxRemPx: '14px 18px 1.5rem 32px, or h1 { font-size: 48px } …',
  notUsed: (refused: Said) => `${refused} not used`,
  sizesMoveByOn: (size: Said) => `Sizes move by ${size} on average.`,
  staysAs: (endName: Said) => `The ${endName} stays as it is.`,
  base: 'The base is',
  baseHead: 'Base',
  useScale: 'Use this scale',
  oddOne: 'the odd one',
  allOddOnes: (odd: Said) => `all ${odd} odd ones`,
  keepAsGiven: (also: Said) => `Keep ${also} as given`,
  keepNone: 'Keep none',
  step: 'Step',
  givenAt: (width: Said) => `Given at ${width}`,
  wouldBe: 'Would be',
  movesBy: 'Moves by',
  keepShort: 'Keep as given',
  keep: 'keep',
  keepAsGivenStepName: (stepName: Said) => `Keep ${stepName} as given`,
  lookingScale: 'Looking for a scale …',
  atPx: (size: Said, ratio: Said, name: Said, width: Said) =>
    `${size} × ${ratio}${name}, at ${width} px`,
  sizesAsTheyFall: 'sizes as they fall',
  onHalfPixels: 'on half pixels',
  onWholePixels: 'on whole pixels',
  onEvenPixels: 'on even pixels',
};

export const ladderSheet = {
  atProofsWidthPx: (width: Said) => `At the proof’s width, ${width} px`,
  atPx: (width: Said) => `At ${width} px`,
};

export const linesSheet = {
  linesOnBaselineGrid: 'Lines on a baseline grid',
  ofWidth: 'of',
  useStylesSetNone: (open: Said) => `Use the ${open} for styles that set none`,
  useAllSuggestions: (all: Said) => `Use all ${all} suggestions`,
  styleOnTwoLines: 'Style, on two lines',
  measure: 'Measure',
  lineHeight: 'Line height',
  line: 'A line',
  suggested: 'Suggested',
  characters: (percent: Said) => `${percent} characters`,
  inPx: (percent: Said) => `in ${percent} px`,
  notOnPage: 'not on this page',
  lineHeightName: (name: Said) => `Line height of ${name}`,
  charactersLine: (percent: Said) => `, ${percent} characters a line`,
  xHeightEm: (ratio: Said, size: Said, size2: Said, also: Said) =>
    `x-height ${ratio} em, ${size} to ${size2}${also}`,
  use: (suggested: Said) => `Use ${suggested}`,
  asItIs: 'as it is',
  noFaceMeasured: 'no face measured',
  measuresThoseAtPx: (title: Said, width: Said) =>
    `Measures are those of “${title}” at ${width} px, by the mean advance of each face.`,
  samplesOverPxShown:
    'Samples over 22 px are shown at 22. Suggestions go by x-height, size and measure, from 1 to 1.8.',
  linesRoundedGridBy: 'Lines are rounded to the grid by the browser; its height is delivered as',
  forSitesOwnMargins: ', for the site’s own margins.',
  showProofLinesPage: 'Show the proof, and the lines of its page are measured.',
  proofShowsFallbackFaces: 'The proof shows fallback faces. Lines are measured in the web faces.',
  pageOnProofBeing: 'The page on the proof is being measured …',
};

export const scaleChart = {
  sizeOfEachStep: 'Size of each step against width. The table of steps holds the figures.',
  draggingEndMoves: 'Dragging an end moves',
  noStyleUses: 'unused',
  setByHand: 'set by hand',
  wholeSeries: 'its whole series',
  thatStepAlone: 'that step alone',
};

export const scaleEnds = {
  base: 'Base',
  ratio: 'Ratio',
  ticksRatiosName: 'Ticks: ratios with a name',
  ratioAt: (name: Said) => `Ratio at the ${name}`,
  container: 'Container',
  viewport: 'Viewport',
  smallEnd: 'Small end',
  largeEnd: 'Large end',
};

export const scaleStage = {
  scale: 'Scale',
  sizesShown: 'Sizes shown in',
  baseRatioAtEach:
    'A base and a ratio at each end of a range of widths. Between the ends sizes run; beyond them they stay.',
  theScale: 'the scale',
  views: 'Views',
  steps: 'Steps',
  ladder: 'Ladder',
  lines: 'Lines',
  betweenEnds: 'Between the ends',
  fromSizes: 'From sizes',
  kindsSite: 'Kinds of site',
};

export const siteKinds = {
  endToEnd: (size: Said, ratio: Said, size2: Said, ratio2: Said, rounded: Said) =>
    `${size} × ${ratio} to ${size2} × ${ratio2}, ${rounded}`,
  inUse: 'In use',
  use: 'Use',
  useScale: (name: Said) => `Use the scale for ${name}`,
  takingOneKeepsViewport:
    'Using one keeps the viewport widths, the number of steps and their names; steps set by hand go back to the ratio.',
  asFalls: 'as it falls',
  onHalfPx: 'on half px',
  onWholePx: 'on whole px',
  onEvenPx: 'on even px',
};

export const stepName = {
  ownName: (name: Said) => `Own name of ${name}`,
};

export const stepSettings = {
  steps: 'Steps',
  sizesWithin: 'Limits',
  noSmallerThan: 'no smaller than',
  noLargerThan: 'no larger than',
  endsRounded: 'Ends rounded',
  rounding: 'Rounding',
  namedBy: 'Named by',
  namesSteps: 'Names of steps',
  secondSeriesFrom: 'Second series from',
  secondSeriesBeginsAt: 'A second series begins at',
  its: (endName: Said) => `Its ${endName}`,
  base: 'base',
  ratio: 'ratio',
  numbers: 'numbers',
  smallLarge: 'small to large',
  own: 'own',
  belowBase: 'below the base',
  aboveBase: 'above the base',
  noStep: 'no step',
};

export const stepTable = {
  step: 'Step',
  proof: (width: Said) => `Proof, ${width}`,
  usedBy: 'Used by',
  addOrRemove: 'Add or remove',
  stepAtEnd: (name: Said, endName: Said) => `${name} at the ${endName}`,
  setByHandDouble: 'Set by hand; double-click gives it back to the ratio',
  fromBaseRatio: 'From base and ratio',
  noStyle: 'no style',
  remove: 'Remove',
  removeName: (name: Said) => `Remove ${name}`,
  addAbove: 'Add above',
  addAboveName: (name: Said) => `Add above ${name}`,
  addStepBetweenNext: (name: Said) => `Add a step between ${name} and the next larger`,
  deliveredRem: (name: Said) => `Delivered in rem: ${name} is`,
  inUnit: 'In',
  atWidth: 'At',
  then: (value: Said, from: Said) => `${value}, then ${from}`,
};

export const scaleView = {
  smallEnd: 'small end',
  largeEnd: 'large end',
};
