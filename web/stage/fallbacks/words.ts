import type { Said } from '../../control/said';

/** Fallbacks: every word that is read there, by the component that says it. */

export const candidateList = {
  localFontsOrderFit: 'Local fonts, in order of fit × reach',
  reach: 'Reach',
  words: 'Words ±',
  linesMoreOrFewer: (widths: Said) => `Lines more or fewer at ${widths} px`,
  lines: 'Lines',
  measuredHere: ', measured here',
  inStack: 'in the stack',
  add: (name: Said) => `Add ${name}`,
  addShort: 'Add',
  blueWebFaceAmber: (also: Said, widths: Said) =>
    `Blue is the web face, amber what stands in for it; where letters lie over one another both colours are gone. Words were measured on text that nothing was fitted to, from the kind that goes best to the one that goes worst: ${also}. Lines are those of its running text at ${widths} px.`,
  widthsNotKnownHere: 'Widths not known here',
  noOpenFontWidths:
    'No open font has the widths of these, and none are guessed. Measured on a machine that has them, they are fitted like the others; only widths are kept.',
};

export const closenessChart = {
  howFarWordsOff: 'How far words are off, by how uneven letters may be',
  lettersWithinWords: (evenness: Said, mean: Said) => `Letters within ±${evenness}: words ±${mean}`,
};

export const fallbacksStage = {
  fallbacks: 'Fallbacks',
  views: 'Views',
  whatVisitorsSeeUntil:
    'What visitors see until a web face arrives, and where it never does: fonts of their own platform, fitted to it in width and height, so that the page does not move.',
  voice: 'Voice',
  fittingLocalFonts: (done: Said, all: Said) => `Fitting ${done} of ${all}`,
  fittingNow: 'Fitting local fonts …',
  showFallbackOnPage: 'Show the fallback on the page',
  showWebFacesOn: 'Show the web faces on the page',
  f: 'f',
  fallbacksCouldNotBe: 'The fallbacks could not be worked out. What was decided is kept.',
  tryAgain: 'Try again',
  fittingWasStoppedWhat: 'Fitting was stopped. What was fitted before is shown.',
  goOnFitting: 'Go on fitting',
  fittedWhichStandsFace: (standIn: Said, name: Said) =>
    `Fitted to ${standIn}, which stands in for ${name}: of the face that visitors get, the widths are not known here.`,
  stack: 'Stack',
  theFallbacks: 'the fallbacks',
  noLocalFontClass: (name: Said, generic: Said) =>
    `No local font of this class has a word of the text in common with ${name}, so none is fitted: visitors see ${generic} until it is there.`,
  tuning: 'Tuning',
  overlay: 'Overlay',
  rehearsal: 'Rehearsal',
  visitors: 'Visitors',
  noTextSiteSet:
    'No text of the site is set in a web face yet, so visitors see their own fonts from the start.',
  chooseFamilyPair: 'Choose a family in Pair',
};

export const measureLocals = {
  measureThoseOnMachine: 'Measure those on this machine',
  thisBrowserGivesNo: 'This browser gives no access to local fonts; give a file',
  fromFile: 'From a file',
  filesLocalFonts: 'Files of local fonts',
  measuring: (done: Said, all: Said) => `Measuring ${done} of ${all}`,
  inStackAs: 'in the stack, as it is',
  putAs: 'Add as it is',
  putAsName: (name: Said) => `Add as it is: ${name}`,
};

export const overlayView = {
  localFont: 'Local font',
  weight: 'Weight',
  size: 'Size',
  measure: 'Measure',
  lineEnds: 'Line ends',
  wordByWord: 'Word by word',
  webFace: (family: Said) => `${family}, the web face`,
  tuned: (localName: Said) => `${localName}, tuned`,
  text: 'Text',
  textOverlay: 'Text of the overlay',
  noLocalFontStack:
    'No local font of the stack has known widths, so there is nothing to lay over the web face.',
};

export const rehearsalView = {
  rehearseSwap: 'Rehearse the swap',
  slowly: 'Slowly',
  outlineWhatMoves: 'Outline what moves',
  fallbackShowsWebFaces: 'The fallback shows; the web faces come …',
  layoutShiftSwapOn: (title: Said) => `Layout shift of the swap on “${title}”`,
  laidOutTimes: (done: Said, all: Said) => `Laid out ${done} of ${all} times`,
  nameAtWidth: (name: Said, width: Said) => `${name}, ${width} px`,
  impactFractionDistanceFraction:
    'Impact fraction × distance fraction (Layout Instability), from the top of the page. Safari leaves metric overrides out. Up to 0.1 counts as good in the field.',
  waitSwapOn: (name: Said) => `The wait and the swap on ${name}`,
  fontDisplay: (name: Said) => `font-display of ${name}`,
  withoutFallbackFaces: 'Without fallback faces',
  withOneRatio: 'With one ratio',
  asTunedNow: 'As tuned now',
  asTunedOverridesLeft: 'As tuned, overrides left out',
};

export const stackColumn = {
  stack: (name: Said) => `Stack of ${name}`,
  words: (candidateError: Said) => `words ±${candidateError}`,
  plainNames: 'Plain names',
  then: 'then',
  genericFamily: 'Generic family',
  useWhatLetteraProposes: 'Use what Lettera proposes',
  asLetteraProposes: 'As Lettera proposes',
};

export const tuningView = {
  italic: (weight: Said) => `${weight} italic`,
  method: 'Method',
  wordsWithin: 'Words within',
  lettersWithin: 'Letters within ±',
  groupsAtMost: 'Groups at most',
  localFont: 'Local font',
  compressed: (zipped: Said) => `, ${zipped} compressed`,
  addStyleSheet: (fallbackFaces: Said, bytes: Said, also: Said) =>
    `${fallbackFaces} add ${bytes} to the style sheet${also}`,
  evenLettersAgainstClose: (localName: Said) =>
    `Even letters against close lines, over ${localName}`,
  fittingAtLimits: (limits: Said) => `Fitting at ${limits} limits …`,
  curveCouldNotBe: 'The curve could not be worked out. What is decided is kept.',
  wordsWithinCannotBe: (target: Said, localName: Said) =>
    `Words within ${target} cannot be had over ${localName} under this limit.`,
  whatEachGroupBuys: (evenness: Said) => `What each group brings at ±${evenness}`,
  groups: 'Groups of letters',
  eachLetter: 'Each letter',
  whatIsLeft:
    'With a ratio for each letter, what is left is the limit, and kerning between letters.',
  forEachWeightStyle: (localName: Said) => `${localName} for each weight and style`,
  weight: 'Weight',
  over: 'Over',
  words: 'Words ±',
  nineteenInTwenty: '19 in 20',
  lines: 'Lines ±',
  asItIs: 'As it is',
  oneRatio: 'One ratio',
  boldItalic: 'bold italic',
  sizeAdjustLettersWithin: (parts: Said, unevenness: Said, aside: Said) =>
    `size-adjust ${parts}; letters within ±${unevenness}; baseline without overrides ${aside}`,
  inEachKindText: (localName: Said) => `${localName} in each kind of text`,
  text: 'Text, none of it fitted on',
  wordsIn: 'Words',
  fittedOnTextProjects:
    'Fitted on text of the project’s languages and on every other sentence of its pages. Each kind of text counts alike.',
  safariLeavesOut:
    'Safari leaves metric overrides out: line boxes keep, as every text element has a line height. How far the baseline stands from its place there is given for the voice’s smallest and largest size.',
  noLocalFontStack:
    'No local font of the stack has known widths, so nothing is tuned. Add one from the stack.',
  andSpaceOwn: 'And a space of its own',
  inGroupsLetters: 'In groups of letters',
  notKnown: 'not known',
};

export const visitorsView = {
  platform: 'Platform',
  share: 'Share',
  gets: 'Gets',
  inStackSetAside: 'In the stack set aside',
  shareName: (name: Said) => `Share of ${name}`,
  readMixFromCsv: 'Read a mix from CSV',
  mixPlatforms: 'A mix of platforms',
  backLetterasMix: 'Back to Lettera’s mix',
  setStackAsideCompare: 'Set this stack aside to compare',
  forgetStackSetAside: 'Forget the stack set aside',
  ofVisitsGetTuned: (tunedShare: Said) => `: ${tunedShare} of the visits get a tuned face`,
  mixProjectsOwnShares: (total: Said) =>
    `The mix is the project’s own. Its shares add up to ${total} % and count in proportion.`,
  letterasMixRoundEstimate: (platforms: Said) =>
    `Lettera’s mix is a round estimate and no measurement: ${platforms}. The site’s own figures take its place, from CSV with a platform and its share a line.`,
  nameAsItIs: (name: Said) => `${name}, as it is`,
  platformsOwn: (name: Said) => `the platform’s own ${name}`,
  thisStack: 'This stack',
  setAside: 'Set aside',
  takenFrom: (name: Said) => `Read from ${name}.`,
  wasNotTakenMix: (name: Said, message: Said) =>
    `${name} was not used. ${message} The mix is as it was.`,
};

export const waitLine = {
  itShownOnceFiles: 'It is shown once the files have been packed.',
};

export const fallbackView = {
  webFace: 'web face',
  fallbackFace: 'fallback face',
  asItIs: 'as it is',
  genericFamily: 'generic family',
  sitesOwnCopy: 'the site’s own copy',
  datesAmounts: 'dates and amounts',
  formMessages: 'messages of forms',
  kindInLanguage: (kindWord: Said, name: Said) => `${kindWord} in ${name}`,
  noPlatformListCarries: 'No platform of the list carries it: nobody gets it.',
  nobodyLandsHere: ' Nobody gets it.',
  before: (takes: Said, also: Said) => `${takes}, before it.${also}`,
  lacks: 'Lacks',
  widthsNotKnown: 'Widths not known of',
};

export const plainNames = {
  nothingWasChanged: (message: Said) => `${message} Nothing was changed.`,
};

export const wait = {
  textShowsAfterWeb: (seconds: Said) => `Text shows after ${seconds}, in the web face at once`,
  textShowsAfterFallback: (seconds: Said) => `Text shows after ${seconds} in the fallback`,
  webFaceShowsAfter: (seconds: Said) => `; the web face shows after ${seconds}.`,
  webFaceComesAfter: (seconds: Said) =>
    `; the web face comes after ${seconds}, too late for this page, and is there for the next.`,
};

export const countedVisits = {
  title: 'Counted on the site',
  what: 'A script of 2 KB in the bundle tells how visitors get the type: which entry of each stack set the text, when text and fonts came, and what moved. It tells nothing of who visits or of the page, stores nothing with them, and is silent where their browser asks not to be followed. Sums by day are kept, and nothing else.',
  here: 'Count here',
  elsewhere: 'or send it to an address of your own',
  example: 'https://count.example.org/type',
  send: 'Send it there',
  stop: 'Stop, and forget what was counted',
  stopSending: 'Stop',
  sent: (to: Said) => `The bundle sends it to ${to}, and nothing of it is here.`,
  notReachable:
    'This Lettera is reached from this machine alone, so that only visits from here are counted. Run it where visitors reach it, or send what is counted to an address of your own.',
  none: 'Nothing has been counted yet: put the bundle onto the site as it is delivered now.',
  of: (visits: Said, days: Said) => `${visits}, ${days}.`,
  fromTo: (from: Said, to: Said) => `${from} to ${to}`,
  earlier: (visits: Said) => `${visits} got an earlier stack, and are not among these.`,
  entry: 'Entry of the stack',
  expected: 'Expected',
  counted: 'Counted while the web face was not there',
  drawn: 'Set the text at last',
  medians: (text: Said, faces: Said, shift: Said) =>
    `In the middle of all visits, text came after ${text}, the last font after ${faces}, layout shift was ${shift}.`,
  unknown: 'not known',
  other: 'another font',
};

export const scriptStacks = {
  head: (script: Said, family: Said, percent: Said) => `${script}: ${family} at ${percent} %`,
  local: 'Local font',
  platforms: 'On',
  widths: 'Words',
  within: (error: Said) => `within ${error}`,
  squares: 'as wide: each letter fills the em',
  notMeasured: 'set as it is: no open font has its widths',
  fitting: 'being fitted …',
  add: 'Add a local font',
  addFor: (script: Said) => `Add a local font for ${script}`,
  proposed: 'Use those proposed',
};
