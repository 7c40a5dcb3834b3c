import type { Said } from '../../control/said';

/** What is told about the page: every word that is read there, by the component that says it. */

export const frameworkParts = {
  partsOf: (name: Said) => `Parts of ${name} on this page`,
  eachGetsStyle:
    'Each gets a style of its own that leaves everything open: nothing changes until you set something in it.',
  addAll: (parts: Said) => `Make text elements of all ${parts}`,
  showOnPage: (places: Said, name: Said) => `Show on the page: ${places}, ${name}`,
  add: 'Make it a text element',
  addPart: (name: Said) => `Make a text element of ${name}`,
};

export const accountView = {
  pagesStyleSheetsCould: 'The page’s style sheets could not be read.',
  tryAgain: 'Try again',
  workingOutWhoSets: 'Working out who sets the text of this page …',
  atPx: (texts: Said, width: Said) => `${texts} at ${width} px:`,
  followLetteraEverything: 'follow Lettera in everything',
  leftPagesOwnStyle: (left: Said) => `, ${left} left to the page’s own style sheets`,
  whatOverrulesLetteraOn: 'What overrules Lettera on this page',
  overruledBy: 'Overruled by',
  inSheet: 'In',
  texts: 'Texts',
  howWinOver: 'How to win over it',
  showOnPageDecides: (texts: Said, key: Said) => `Show on the page: ${texts} that ${key} decides`,
  close: 'Close',
  howWinOverKey: (key: Said) => `How to win over ${key}`,
  ofThere: (texts: Said) => `of ${texts} there`,
  ofThereNoText: (unclaimedThere: Said, texts: Said) =>
    `${unclaimedThere} of ${texts} there are of no text element, so that no rule of Lettera’s is about them: make one of them, below.`,
  nothingPagesOwnOverrules: 'Nothing of the page’s own overrules it.',
  leastWouldWin: 'The least that would win',
  eachWayTriedOn: (texts: Said) => `Each way is tried on all ${texts}, also takes a while.`,
  tryThem: 'Try them',
  noWeightLetterasRules:
    'No weight of Lettera’s rules wins more of these texts: remove what sets their type from the rules above, or leave those texts alone.',
  textsNoTextElement: 'Texts that no text element claims',
  noFewWordsMeet: (tag: Said, classes: Said) => `<${tag}> ${classes}: no few words meet just these`,
  showOnPage: (places: Said, name: Said) => `Show on the page: ${places} of ${name}`,
  style: (name: Said) => `Style for ${name}`,
  makeTextElement: 'Make it a text element',
  makeTextElementName: (name: Said) => `Make it a text element: ${name}`,
};

export const movedView = {
  sinceOrBy: 'Since, or by',
  sinceWhen: 'Since when',
  whichWaypoint: 'Which waypoint',
  whichChange: 'Which change',
  nothingBeenChangedHere: 'Nothing has been changed here yet.',
  layingPageOut: 'Laying the page out …',
  whatDiffers: 'What differs',
  atPx: (width: Said, height: Said) => `At ${width} px: ${height}`,
  noBlockDiffers: 'No block differs.',
  differ: (blocks: number) => (blocks === 1 ? 'differs' : 'differ'),
  withMoreLines: (headings: Said) => `; ${headings} with more lines`,
  showOnPage: 'Show on the page',
  showOnPageWords: (words: Said) => `Show on the page: ${words}`,
  lastChange: 'Last change',
  hourAgo: 'An hour ago',
  waypoint: 'Waypoint',
  opening: 'Opening',
  oneChange: 'One change',
  highAsBefore: (height: Said) => `${height} high, as before`,
  highThanBefore: (height: Said, difference: Said, also: Said) =>
    `${height} high, ${difference} ${also} than before`,
  to: (was: Said, lines: Said) => `${was} to ${lines}`,
  linesBreakElsewhere: 'lines break elsewhere',
};

export const pagesView = {
  pagesSitesOwn: 'Pages of the site’s own',
  name: (name: Said) => `Name of ${name}`,
  show: 'Show',
  showName: (name: Said) => `Show ${name}`,
  itShown: 'It is shown',
  sitesOwnPagesShow:
    'The site’s own pages show its type where it will stand: HTML with its style sheets, pictures and fonts. Nothing in them runs here, and nothing is asked for elsewhere.',
  added: (pages: Said) => `${pages} added.`,
  thesePagesHereAlready: 'These pages are here already.',
  whatWasRemovedFrom: 'What was removed from this page',
  kind: 'Kind',
  whatWas: 'What it was',
  times: 'Times',
  nothingRanNothingAsked: 'Nothing: it ran nothing, and asked for nothing elsewhere.',
  whatWasRemovedFromPage: 'What was removed from this page could not be told.',
  tryAgain: 'Try again',
  script: 'Script',
  handler: 'Handler',
  frame: 'Frame',
  whereFormSends: 'Where a form sends',
  refresh: 'Refresh',
  askedElsewhere: 'Asked for elsewhere',
  notBroughtAlong: 'Not brought along',
};

export const proofPanel = {
  aboutPage: 'About this page',
  close: 'Close',
};

export const siteLanguages = {
  site: 'The site is in',
  pagesSay: (names: Said) => `Pages say that they are in ${names} too.`,
  add: (count: number) => (count === 1 ? 'Add it' : 'Add them'),
};

export const languagePick = {
  add: 'Add a language',
  remove: (name: Said) => `Remove ${name}`,
  oneStays: 'A site is in one language at least',
};

export const textView = {
  clickTextPageSee: 'Click a text of the page to see what sets it.',
  style: 'Style',
  noneNoTextElement: 'none: no text element claims it, so it has what is around it',
  usedByOnPage: (name: Said, places: Said) => `, used by ${name}, ${places} on this page`,
  onPages: (places: Said, pages: Said) => `, ${places} on ${pages}`,
  size: 'Size',
  herePxWidth: (ends: Said) => ` here; ${ends} px of width`,
  line: 'Line',
  high: (lineHeight: Said) => `${lineHeight} high`,
  aboutCharacters: (measure: Said) => `, about ${measure} characters`,
  weight: 'Weight',
  asked: (asked: Said) => `${asked} asked for`,
  thickenedByBrowser: ', thickened by the browser',
  shown: (shown: Said, also: Said) => `, ${shown} shown${also}`,
  face: 'Face',
  knownByWidthBrowser: 'Known by the width that this browser gives each letter.',
  contrast: 'Contrast',
  toOn: (ratio: Said, ground: Said) => `${ratio} to 1 on ${ground}`,
  unknown: (unknown: Said) => `unknown: ${unknown}`,
  property: 'Property',
  value: 'Value',
  from: 'From',
  overruledBy: 'overruled by ',
  wordsOnPage: 'Its words on this page',
  setTheseWords: 'Set these words',
  givePagesOwnBack: 'Give the page’s own back',
  styleOnlyHere: 'A style only here',
  at: (stepSizeAt: Said, width: Said) => `${stepSizeAt} at ${width}`,
};

export const waysList = {
  rules: (says: Said) => ` Rules ${says}:`,
  theyStayAsYour: (following: Said, texts: Said) =>
    `they stay as your style sheets have them, and ${following} of ${texts} on the page follow.`,
  followOnPage: (about: Said, following: Said, texts: Said) =>
    `${about} follow, ${following} of ${texts} on the page.`,
  ofFollow: (texts: Said) => `of ${texts} follow.`,
  andOthers: ' and others',
  stillOverruledBy: (overruling: Said, also: Said) => ` Still overruled by ${overruling}${also}.`,
  deliverThemSo: 'Deliver them so',
  deliverRules: (says: Said) => `Deliver the rules ${says}`,
  tryingMoreWaysOn: 'Trying more ways on the page …',
};

export const claim = {
  onlyHere: (name: Said) => `${name}, only here`,
};

export const leastToWin = {
  linkedAfterYourOwn: 'linked after your own style sheets',
  linkedAfterYourOwnYour: (layer: Said) => `linked after your own, in your layer “${layer}”`,
  outsideAnyCascadeLayer: 'outside any cascade layer',
  outsideAnyLayerWeight: 'outside any layer, with the weight of their selectors',
  outsideAnyLayerWeightTheir:
    'outside any layer, with the weight of their selectors, linked after your own',
  outsideAnyLayerOver: 'outside any layer, over classes',
  outsideAnyLayerYour: (sITELAYER: Said) =>
    `outside any layer, and your own style sheets in a layer “${sITELAYER}”`,
  withImportantOn: (names: Said) => `with !important on ${names}`,
  thatLeaveTheseTexts: 'that leave these texts alone',
};

export const panels = {
  pages: 'Pages',
  whoSetsText: 'Who sets its text',
  thisText: 'This text',
  whatMoved: 'What moved',
  runningSite: 'Running',
};

export const runningView = {
  pointThere: 'On the running site, hold t and click a text: what is known of it stands here.',
  noElement: 'none: no text element has it',
  words: 'Words',
  page: 'Page',
  atPx: (address: Said, width: Said) => `${address}, ${width} px wide`,
  source: 'In the sources',
  style: 'Style',
  usedBy: (style: Said, element: Said) => `${style}, by ${element}`,
  contrast: 'Contrast',
  toOn: (ratio: Said, background: Said) => `${ratio}:1 on ${background}`,
  notKnown: 'not known: it stands on a picture, or on what is partly transparent',
  characters: 'Line length',
  about: (measure: Said) => `about ${measure} characters`,
  property: 'Property',
  there: 'There',
  project: 'The project',
  size: 'Size',
  weight: 'Weight',
  line: 'Line height',
  spacing: 'Letter spacing',
  face: 'Font',
  normal: 'normal',
  notKnownFont: 'a font that no stack names',
  makeElement: 'Make it a text element',
  chooseWhat: 'What is meant by it',
  meets: (selector: Said, texts: Said) => `${selector}, ${texts} on that page`,
  takesStyle: (style: Said) => `It begins with the style that it looks most like, ${style}.`,
  otherwise:
    'What is otherwise is set by the site. Read the page there, and Who sets its text says by which rule.',
  swapped: (address: Said, width: Said) => `Swap rehearsed on ${address}, ${width} px wide:`,
  shift: (value: Said) => `layout shift ${value}`,
  noShift: 'layout shift not measured by that browser',
  moved: (blocks: Said, farthest: Said) =>
    `${blocks} moved or changed size, by ${farthest} px at most`,
};

export const textFacts = {
  browsersOwnStyleSheet: 'the browser’s own style sheet',
  lettera: 'Lettera',
  styleAttribute: (also: Said) => `a style attribute${also}`,
  inLine: (selector: Said, sheetName: Said, line: Said) =>
    `${selector} in ${sheetName}, line ${line}`,
  specificity: (specificity: Said) => `specificity ${specificity}`,
  layer: (layer: Said) => `layer ${layer}`,
  by: (property: Said) => `by “${property}”`,
  styleElement: (number: Said, page: Said) => `style element ${number} of ${page}`,
  set: (name: Said) => `set in ${name}`,
  follows: (name: Said) => `follows ${name}`,
  fromAround: (name: Said) => `from ${name} around it`,
  from: (name: Said) => `from ${name}`,
  browsersDefault: 'the browser’s default',
  nothingSets: 'nothing sets it',
  file: (style: Said, weightMin: Said, also: Said, scripts: Said) =>
    `file for ${style} ${weightMin}${also}, ${scripts}`,
  ofMachineOrOpen: (localName: Said) =>
    `${localName} of this machine, or the open font with its widths, tuned`,
  fontPagesOwn: 'a font of the page’s own',
  whatBrowserTakes: 'what this browser takes for it',
  fontMachine: 'a font of this machine',
  anotherFont: 'another font',
  noneStackThemBrowser: 'none of the stack has them: the browser looks further',
};
