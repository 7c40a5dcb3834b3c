import type { Said } from '../../control/said';

/** Styles: every word that is read there, by the component that says it. */

export const addStyle = {
  addStyle: 'Add a style',
  name: 'Name',
  nameNewStyle: 'Name of a new style',
  follows: 'Follows',
  styleNewOneFollows: 'Style that the new one follows',
  add: 'Add it',
  itNoNameYet: 'It has no name yet',
};

export const colourSheet = {
  colours: 'Colours',
  colour: 'Colour',
  onLight: 'On light',
  onDark: 'On dark',
  asTextOn: 'As text, on',
  light: 'Light',
  dark: 'Dark',
  needed: 'Needed',
  usedBy: 'Used by',
  name: (name: Said) => `Name of ${name}`,
  pickByEyeOn: (name: Said, side: Said) => `Pick ${name} by eye, on the ${side} background`,
  onGround: (name: Said, side: Said) => `${name} on the ${side} background`,
  toWhereHardestRead: (colour: Said, ratio: Said, least: Said) =>
    `${colour}: ${ratio} to 1 where it is hardest to read, ${least} needed`,
  onGroundLabel: (label: Said, name: Said, side: Said, colour: Said) =>
    `${label} ${name} on the ${side} background: ${colour}`,
  ratioToOne: (ratio: Said) => `${ratio} to 1`,
  andMore: (styles: Said) => ` and ${styles} more`,
  everyPage: 'every page',
  notAsText: (styles: Said) => `${styles}, not as text`,
  nothing: 'nothing',
  remove: 'Remove',
  removeName: (name: Said) => `Remove ${name}`,
  newColour: 'new colour',
  nameNewColour: 'Name of a new colour',
  add: 'Add it',
  itNoNameYet: 'It has no name yet',
  softer: 'Softer',
  stronger: 'Stronger',
};

export const elementSheet = {
  none: 'none',
  find: 'Find',
  filterTextElements: 'Filter text elements',
  newTextElement: 'new text element',
  nameNewTextElement: 'Name of a new text element',
  selectors: 'Its selectors',
  add: 'Add it',
  textElement: 'Text element',
  selectorsExample: 'Selectors',
  uses: 'Uses',
  stands: 'Stands in',
  onPage: 'On this page',
  remove: 'Remove',
  name: (name: Said) => `Name of ${name}`,
  selectorsName: (name: Said) => `Selectors of ${name}`,
  style: (name: Said) => `Style of ${name}`,
  open: 'Open',
  openStyle: (name: Said) => `Open the style of ${name}`,
  body: 'the body',
  whatStands: (name: Said) => `What ${name} stands in`,
  showOnPage: (places: Said, name: Said) => `Show on the page: ${places} of ${name}`,
  textElementFurtherDown:
    'A text element further down has selectors that meet these too, and the later one wins',
  andAnother: (elsewhere: Said) => ` and ${elsewhere} of another`,
  removeName: (name: Said) => `Remove ${name}`,
};

export const gatheredView = {
  styles: 'the styles',
  letFollow: 'Let it follow',
  strays: 'Strays',
  setWhereAllOthers: 'Set where all others of the group follow: a change to the group misses them.',
  everythingCouldFollowGroup: 'Everything that could follow its group does.',
  letAllFollow: 'Let all follow',
  setNothing: 'Set for nothing',
  setWhatTheyWould: 'Set to what they would follow anyway.',
  nothingSetWhatWould: 'Nothing is set to what it would follow anyway.',
  dropAll: 'Drop all',
  drop: 'Drop it',
  outsidePair: 'Outside the pair',
  setVoiceTheirOwn:
    'Set in a voice of their own: another family for headings or text does not reach them.',
  anotherPairFamiliesReaches: 'Another pair of families reaches every style.',
  forStyles: (reaches: Said) => `for ${reaches} styles`,
  stylesSaySame: 'Styles that say the same',
  theyAgreeEverythingBut: 'They agree in everything but for rounding.',
  noTwoStylesSame: 'No two styles are the same.',
  makeOneEach: 'Make one of each',
  and: (others: Said) => `and ${others}`,
  keep: (name: Said) => `Keep ${name}`,
  stylesNothingUses: 'Styles that nothing uses',
  noTextElementThem: 'No text element has them, and no style follows them.',
  everyStyleShowsSomewhere: 'Every style shows somewhere.',
  removeAll: 'Remove all',
  showsNowhere: 'shows nowhere',
  remove: 'Remove it',
};

export const propertyCell = {
  weightsLoaded: 'Weights that are loaded',
  letFollow: 'let it follow',
  unset: 'unset',
  closeCell: 'Close the cell',
  whatFaceOffers: 'What the face offers',
  axisRange: (tag: Said, ratio: Said, ratio2: Said) => `${tag} ${ratio} to ${ratio2}`,
  pagesOwn: 'the page’s own',
  stepAt: (name: Said, size: Said, unit: Said) => `${name} · ${size} ${unit}`,
  isWhatSetEvery: (label: Said) => `${label} is what is set for every width.`,
  inVoiceOwn: (name: Said) => `${name}, in a voice of its own`,
  thickened: (weight: Said) => `, ${weight} thickened`,
  showsAs: (weight: Said) => `, shows as ${weight}`,
  drawnSmaller: 'The face has no small capitals: browsers draw its capitals smaller.',
  faceHasNone: 'The face does not have this: nothing changes.',
  showsThickened: (weight: Said) => `shows ${weight}, thickened`,
  shows: (weight: Said) => `shows ${weight}`,
  pxBelow: '1px below',
  ssCv: 'ss01, cv05 2',
  isNoValueHere: (field: Said, example: Said) => `“${field}” is no value here. Such as ${example}.`,
  bodyFollowsNothingWhat:
    'The body follows nothing: what it does not set is left to the visitor’s browser',
  letFollowAgain: 'Let it follow again',
};

export const siteCheck = {
  wholeSite: 'The whole site',
  checkAgain: 'Check it again',
  marksFound: 'Marks found on the site',
  states: {
    hover: 'pointed at',
    'focus-visible': 'focused by key',
    'focus-within': 'the focus is inside',
    focus: 'focused',
    active: 'pressed',
    visited: 'visited',
    'user-invalid': 'not valid',
    invalid: 'not valid',
  },
  check: (pages: Said) => `Check ${pages}`,
  madeOf: (title: Said, done: Said, all: Said) => `${title}, ${done} of ${all}`,
  everyPageLaidOut:
    'Every page is laid out at both ends of the scale, and marked on both backgrounds.',
  projectChangedSinceWas: 'The project has changed since this was found.',
  nothingMarkedOn: (pages: Said) => `Nothing is marked on ${pages}.`,
  nothingWasFoundOut: 'Nothing was found out.',
  atPx: (width: Said) => ` at ${width} px`,
  onEveryPage: (at: Said) => `On every page${at}`,
  onPages: (seen: Said, at: Said) => `On ${seen}${at}`,
};

export const startingSets = {
  startingSets: 'Starting sets',
  stylesKindSitePresent:
    'Styles for a kind of site, in the present voices and scale. They take the place of styles of the same name; the rest stays.',
};

export const styleDeeds = {
  name: (name: Said) => `Name of ${name}`,
  giveClass: 'Give it a class',
  remove: 'Remove',
  removeName: (name: Said) => `Remove ${name}`,
  done: 'Done',
  willBeSetAs: (textElements: Said, name: Said) => `${textElements} will be set as ${name}`,
  willFollowWhatFollows: (styles: Said) => `${styles} will follow what it follows`,
};

export const styleRowHead = {
  andMore: (first: Said, more: Said) => `${first} and ${more} more`,
  followedBy: (styles: Said) => `followed by ${styles}`,
  usedByNothing: 'used by nothing',
};

export const occasionLine = {
  sizesInPt: 'Sizes in points',
  base: 'Base',
  ratio: 'Ratio',
  linkAddresses: 'Addresses behind links',
  name: 'Name',
  from: 'from',
  below: 'below',
  any: 'any',
  ofContainer: 'of',
  thePage: 'the page',
  containerName:
    'The width of the page, or of a container: the name that the site’s CSS gives it (container-name)',
  ownScale: 'Sizes of its own',
  removeWidth: 'Remove this width',
  isNoWidth: (text: Said) => `“${text}” is no width. Such as 768 px.`,
};

export const styleSheet = {
  partSheet: 'Part of the sheet',
  at: 'at',
  languages: 'Languages',
  whereDiffers: 'Where the sheet is',
  widths: 'Widths',
  states: 'States',
  partsOfText: 'Parts of a text',
  media: 'Print, and what visitors ask for',
  anotherWidth: 'another width',
  isSet: (label: Said) => `${label}, set`,
  breaks: 'Breaks',
  narrowBelow: 'Narrow below',
  setHereOnly: 'set here only',
  filterByVoice: 'Filter by voice',
  allVoices: 'All voices',
  find: 'Find',
  filterByStyleOr: 'Filter by style or element',
  close: 'Close',
  noStyleLike: 'No style passes the filter.',
  showAll: 'Show all',
  style: 'Style',
  follows: 'Follows',
  styleFollows: 'Style that it follows',
  textAround: 'the text around it',
  type: 'Type',
  figuresFeatures: 'Features',
  setting: 'Setting',
  around: 'Around it',
  underline: 'Underline',
  inBrowsers: (label: Said, says: Said) => `${label}: ${says}`,
  everyWidth: 'every width',
  belowPx: (below: Said) => `below ${below} px`,
  couldNotHoldWhat: (cells: Said, text: Said, label: Said, name: Said) =>
    `${cells} could not hold what was pasted: “${text}” is no ${label} for ${name}. The rest was pasted.`,
  inStyles: 'In Styles',
  styleBefore: 'the style before',
  styleAfter: 'the style after',
};

export const stylesStage = {
  languages: 'Languages',
  styles: 'Styles',
  viewsStyles: 'Views of Styles',
  everyKindTextOn:
    'Every kind of text on the site uses a text style. A property is set in a style, or follows: what is followed changes with its source, everywhere at once.',
  elements: 'Elements',
  colours: 'Colours',
  cleanUp: 'Clean-up',
};

export const propertyText = {
  isSetHere: (label: Said) => `${label} is set here.`,
  whereSet: ', where it is set',
  whichLeavesOpen: ', which leaves it open',
  styleFollows: (styleName: Said, found: Said) => `the style it follows, ${styleName}${found}`,
  textAround: (name: Said, found: Said) => `the text around it, ${name}${found}`,
  body: (found: Said) => `the body${found}`,
  browsersOwnDefault: 'the browser’s own default',
};

export const styleRow = {
  textAround: 'the text around it',
};

export const languageSheet = {
  says: 'Styles are made for the first language. What another wants beside it is delivered under :lang(); it shows on pages that say their language.',
  language: 'Language',
  script: 'Script',
  lineHeight: 'Line height ×',
  size: 'Size ×',
  measure: 'Measure ×',
  spacing: 'Letter spacing',
  emphasis: 'In place of italics',
  justified: 'Justified text',
  hyphenation: 'Hyphens',
  numerals: 'List figures',
  quotes: 'Quotation marks',
  rightToLeft: 'right to left',
  unknown: 'not in the table of languages',
  first: 'first',
  makeFirst: 'Make first',
  makeFirstOf: (name: Said) => `Make first: ${name}`,
  of: (what: Said, name: Said) => `${what} in ${name}`,
  kept: 'kept',
  none: 'none',
  joined: 'none: its letters are joined',
  joinedWhy: 'Space between letters that are joined takes words apart.',
  italic: 'italics',
  weight: 'a bold weight',
  dots: 'dots beside letters',
  nothing: 'nothing',
  justify: 'justified',
  start: 'not justified',
  asStyled: 'as styles say',
  manual: 'where written',
  auto: 'by the browser',
  western: '1 2 3',
  own: 'its own',
  asScript: 'By its script',
  asScriptFor: (name: Said) => `By its script: ${name}`,
  /** What stands in a field that nothing was typed into: a browser has marks for each language. */
  quotesHint: 'browser’s',
  quotesWrong: 'Give two marks, or four with the inner ones, a space between: « » ‹ ›',
  vertical: 'Lines that run from top to bottom are not covered: text is set in rows.',
};
