import type { Said } from '../../control/said';

/** Deliver: every word that is read there, by the component that says it. */

export const besideSite = {
  linked: 'Linked',
  whereLinked: 'Where it is linked',
  layerYourOwnSheets: 'Layer for your own sheets',
  none: 'none',
  withImportantSoNo: 'With !important, so that no rule without it wins over them',
  elementsImportant: 'Elements with !important',
  without: 'Without',
  withoutImportant: (name: Said) => `${name} without !important`,
  leftYourOwnSheets: 'Left to your own sheets',
  textsLeftAlone: 'Texts that are left alone',
  withWeight: 'With weight of their own',
  elementsWithWeight: 'Elements with weight of their own',
  withoutWeight: (name: Said) => `${name} without weight of its own`,
  coloursStay: 'Your site’s own colours stay on',
  coloursStayOn: 'Backgrounds on which your site’s own colours stay',
  onDarkGround: 'the dark background',
  giveColours: (selector: Said) => `Give texts on ${selector} their colours again`,
  setAgain: 'Set again',
  setAgainSelector: (selector: Said) => `Set ${selector} again`,
  beforeYours: 'Before yours',
  afterYours: 'After yours',
};

export const liftInWords = {
  ofItsOwn: 'as its selectors',
  plus: (what: Said) => `+ ${what}`,
};

export const byteBars = {
  bytesFontFiles: 'Bytes of the font files',
  allFontFiles: 'All font files',
  overBudget: (over: Said, budget: Said) => `${over} over the budget of ${budget}.`,
  underBudget: (value: Said, budget: Said) => `${value} under the budget of ${budget}.`,
};

export const codeView = {
  copy: 'Copy',
  copied: 'Copied',
  thisBrowserDoesNot: 'This browser does not let pages copy. Select the text instead.',
};

export const deliverStage = {
  deliver: 'Deliver',
  views: 'Views',
  saveProject: 'Save the project',
  projectOneFileFaces: 'The project in one file, with its faces and pages, to be opened elsewhere',
  filesSiteCanUse:
    'Files that a site can use as they are: fonts, one style sheet, tokens for other tools, and a specimen.',
  tryAgain: 'Try again',
  makingFilesWasStopped: 'Making the files was stopped. What was made is kept.',
  goOnMakingThem: 'Go on making them',
  workingOutFiles: 'Working out the files …',
  uncompressed: 'uncompressed',
  workingFilesOutAnew:
    'Working the files out anew: those that stand here are from before the last change.',
  facesTokensAloneSet: 'Faces and tokens alone set no text, so no page tries them.',
  elementRulesAloneWant:
    'Element rules alone need their tokens from elsewhere, so no page tries them.',
  file: 'File',
  what: 'What it is',
  bytes: 'Bytes',
  files: 'Files',
  fonts: 'Fonts',
  styleSheet: 'Style sheet',
  runningSite: 'Running site',
  downloadBundleOtherwise: (things: Said) => `Download the bundle, ${things} otherwise`,
  downloadBundle: 'Download the bundle',
};

export const runningSite = {
  what: 'The project’s type on the site as it runs, while you decide: each change shows there at once, and what you click there is selected here. It is for development and staging; visitors get the bundle.',
  where: 'Where the site runs',
  example: 'http://localhost:5173',
  severalPlaces: 'Several are separated by spaces or commas. Pages from elsewhere get nothing.',
  tried: 'Show what I only try there too',
  begin: 'Begin',
  change: 'Change',
  end: 'End it',
  ended: 'Ended: that address is never good again.',
  giveWhere: 'Say where the site runs',
  ways: 'Three ways onto a page',
  template: 'In the template of the development site',
  templateAbout:
    'In the head, the style sheet where it will stand later. Take both lines away before the site goes out.',
  templateAfter: 'In the head. Take the line away before the site goes out.',
  bookmark: 'A bookmark, for the page that you look at',
  bookmarkAbout:
    'Drag it to the bookmarks and press it on the page. It lasts until the page is left.',
  bookmarkName: 'Type from Lettera',
  bookmarkDrag: 'Drag it to the bookmarks: here it would do nothing.',
  plugin: 'In the dev server of a bundler',
  pluginAbout:
    'A plugin in vite.config.js, among its plugins. It is there while the site is served and never in a build, and it writes where each text stands in the sources.',
  follows: 'Pages that follow',
  none: 'No page follows yet. Open the site with one of the three ways below.',
  page: 'Page',
  browser: 'Browser',
  refused: (times: Said, from: Said) =>
    `${times} refused, the last from ${from}, which is not named here.`,
  allow: (from: Said) => `Name ${from}`,
  marks: 'Show marks there',
  read: 'Pages that were read there',
  readAbout:
    'On the page, Lettera’s own panel reads it: with what its scripts made, signed in as you are.',
  takeStock: 'Take stock of them',
  remove: 'Remove',
  removeAll: 'Remove all',
  readAt: (texts: Said, widths: Said) => `${texts} at ${widths} px`,
  device: 'On a phone or tablet',
  deviceAbout:
    'The proof as a page of its own, in the present type. What you decide here shows in your hand.',
  deviceSite:
    'For the site itself, open it there by the same name or number as Lettera, and name that above too.',
  deviceNot:
    'This Lettera is reached from this machine alone. To have it on devices of your network, start it with --host 0.0.0.0 and an access token in LETTERA_TOKEN.',
  code: 'Code to be photographed: the address of the proof',
  at: 'Address',
  last: (ended: Said, refused: Said) => `The last was ended on ${ended}, with ${refused} refused.`,
};

export const fetchedFirst = {
  fetchedAtOnce: 'Fetched at once',
  fetchedAtOnceAre: ' Fetched at once: ',
  none: 'none',
  whichSetWhatPages: (elements: Said) => `, which set what the pages show first: ${elements}.`,
  whichSetBodyFirst: ', which set the body and the first heading.',
  madeOf: (title: Said, done: Said, all: Said) => `${title}, ${done} of ${all}`,
  chooseByWhatShow: (pages: Said) => `Choose by what ${pages} show first`,
  bodyFirstHeading: 'Body and first heading',
  nothingWasChanged: 'Nothing was changed.',
};

export const fontsView = {
  whatFontFilesHold: 'What the font files hold',
  theyHold: 'They hold',
  layoutFeatures: 'Layout features',
  layoutFeaturesTheyKeep: 'Layout features that they keep',
  theseLettersToo: 'These letters too',
  none: 'none',
  forCopyAlone: (name: Said) => `${name} for this copy alone`,
  allSites: 'all of the site’s',
  laterLetters: 'files for letters that pages may have later',
  laterLettersWhy:
    'Of scripts with thousands of letters: each file is fetched by pages that have one of its letters',
  boldInsideItalicsWhich: 'Bold inside italics, which browsers thicken otherwise',
  fileForbidsBeingCut: (uncut: Said) =>
    `${uncut}: the file forbids being cut to some of its characters, so it is delivered whole.`,
  whatTheyWeigh: 'What they weigh',
  countedBy: 'Counted by',
  budgetKb: 'Budget, KB',
  leftOutCase: (files: Said) => `Left out: ${files} of the case`,
  whatSiteNeeds: 'What the site needs',
  allFilesCase: 'All files of the case',
  all: 'All',
  thoseUse: 'Those in use',
};

export const loadTimes = {
  forPageFirstLanguage: 'For a page in the first language on',
  textAfter: 'Text after',
  webFacesAfter: 'Web faces after',
  msRoundTripMbit: (roundTrip: Said, bandwidth: Said) =>
    `${roundTrip} ms a round trip, ${bandwidth} Mbit/s`,
};

export const makingLine = {
  localFontsBeingFitted: (word: Said, done: Said, all: Said) =>
    `${word}Local fonts are being fitted to the site’s text, ${done} of ${all}.`,
  ofPackedLargeOne: (word: Said, done: Said, fontFiles: Said) =>
    `${word}${done} of ${fontFiles} packed. A large one takes a minute or so; its faces can be used meanwhile. `,
};

export const otherNames = {
  addTheirs: (names: Said, framework: Said) => `Add the ${names} that ${framework} reads`,
  frameworkOrStyleSheet:
    'A framework, or a style sheet that the site has, may read custom properties of its own: they are set to these tokens.',
  otherNamesTokens: 'Other names for tokens',
  token: (name: Said) => `Token of ${name}`,
  remove: 'Remove',
  removeName: (name: Said) => `Remove ${name}`,
  itLeftOut: (fault: Said) => `${fault} It is left out.`,
  nameSiteReads: 'Name that the site reads',
  tokenExample: 'token',
  tokenWanted: 'Token that it is to have',
  add: 'Add it',
  itNoNameYet: 'It has no name yet',
  itNoTokenYet: 'It has no token yet',
};

export const pagesTried = {
  onYourOwnPages: 'On your own pages',
  tryThereAgain: 'Try it there again',
  tryOnYours: (pages: Said) => `Try it on ${pages} of yours`,
  madeOf: (title: Said, done: Said, all: Said) => `${title}, ${done} of ${all}`,
  projectChangedSince: 'The project has changed since.',
  asDecided: (texts: Said) => `${texts} change as you decided.`,
  nothingChangesBesides:
    'Nothing else changes, in any state that your style sheets have rules for, on both backgrounds.',
  changesBesides: 'What changes that you did not decide:',
  hardToRead: (texts: Said, before: Said, after: Said, least: Said, where: Said, named: Said) =>
    `${texts} can hardly be read ${where}, at worst with a contrast of ${after}:1 where it was ${before}:1 and ${least}:1 is asked for: ${named}`,
  changes: (texts: Said, label: Said, before: Said, after: Said, where: Said, named: Said) =>
    `${texts}: ${label} ${before} becomes ${after} ${where}: ${named}`,
  findLeast: 'Find the least weight that wins',
  useLeast: 'Use this weight',
  leastIsThere:
    'No more can be won by weight: what is left is set by style attributes or important rules of yours.',
  placed: (place: Said, layer: Said) =>
    `The style sheet is linked ${place} yours, ${layer ? `in the layer “${layer}”` : 'outside any layer'}.`,
  before: 'before',
  after: 'after',
  noWeight: 'No rule needs more weight.',
  weighing: (elements: Said) => `More weight: ${elements}.`,
  important: (elements: Said) => `With !important: ${elements}.`,
  cannotBeWon: 'Some important rules of yours still win.',
  keepTheirs: 'Keep your site’s own colours there',
  orDeliverDark:
    'On the dark background the colours may also be yours: Style sheet › dark colours.',
  quoted: (words: Said) => `“${words}”`,
  more: (texts: Said) => `${texts} more`,
  atWidth: (width: Said) => `at ${width} px`,
  onDark: 'on the dark background',
  states: {
    hover: 'when pointed at',
    'focus-visible': 'when focused by key',
    'focus-within': 'with the focus inside',
    focus: 'when focused',
    active: 'when pressed',
    visited: 'when visited',
    disabled: 'when disabled',
    'user-invalid': 'when not valid',
    invalid: 'when not valid',
  },
  ofComeOutAs: (agreeing: Said, texts: Said) =>
    `${agreeing} of ${texts} come out as the project has them.`,
  whichRulesYoursDecide:
    'Which rules of yours decide there, and the least that would win: This page › Who sets its text.',
  nothingWasFoundOut: 'Nothing was found out.',
};

export const savingsList = {
  whatWouldBeSaved: 'What would be saved',
  workOutAgain: 'Work it out again',
  workOut: 'Work it out',
  filesStillBeingMade: 'The files are still being made',
  makingFilesEach: 'Making the files of each',
  nothingWasChanged: (failed: Said) => `${failed} Nothing was changed.`,
  projectChangedSinceWork: 'The project has changed since: work it out again for the figures.',
  doThis: (says: Said) => `Do it: ${says}`,
  doIt: 'Do it',
  saves: (saved: Said) => `saves ${saved}`,
  costs: (value: Said) => `costs ${value}`,
  savesNothing: 'saves nothing',
};

export const sheetChoices = {
  styleSheet: 'The style sheet',
  itHolds: 'It holds',
  whatStyleSheetHolds: 'What the style sheet holds',
  weightRules: 'Weight of its rules',
  cascadeLayer: 'Cascade layer',
  none: 'none',
  remOnSitePx: '1rem on the site, px',
  itDiffersFromOne: 'It differs from one width to another there, so sizes are delivered in px.',
  prefixTokens: 'Prefix of tokens',
  whileFontsLoad: 'While fonts load',
  darkColoursVisitorsWho: 'Dark colours for visitors who prefer a dark background',
  everything: 'Everything',
  facesTokens: 'Faces and tokens',
  elementRules: 'Element rules',
  noLayer: 'None',
  theirSelectors: 'Their selectors’',
  overClasses: 'Over classes',
  yourOwnSheetsWin: (siteLayer: Said, layer: Said) =>
    `Your own sheets win all the same: their layer “${siteLayer}” comes after “${layer}”. Remove the layer of the rules, or link them after yours.`,
  theyStandLayerSo: (layer: Said) =>
    ` They stand in the layer “${layer}”, so that rules outside any layer win all the same: remove the layer for rules that are to win.`,
  rulesSitesOwnWeigh: (inLayer: Said) =>
    `Rules of the site’s own that weigh less lose, and among Lettera’s own the heavier wins, not the later.${inLayer}`,
  sitesOwnRulesUp: (inLayer: Said) =>
    `The site’s own rules of up to four classes lose unless they say !important, also where they were meant to win: a class on one heading does nothing any more.${inLayer}`,
};

export const sinceDelivered = {
  sinceLastDelivery: 'Since the last delivery',
  sinceDelivery: 'Since the delivery of',
  whichDelivery: 'Which delivery',
  downloadOneAgain: 'Download that one again',
  tryAgain: 'Try again',
  comparing: 'Comparing …',
  everyFileSame: 'Every file is the same.',
  whatDiffers: 'What differs',
};

export const tokensFile = {
  readTokens: 'Read a token file',
  fileWCDesign:
    'A file of W3C design tokens. One of Lettera’s own takes the place of voices, scale, colours, styles and elements; another’s is added beside them, as far as it goes.',
  chooseFile: 'Choose a file',
  fileDesignTokens: 'A file of design tokens',
  itBrings: (used: Said) => `It brings ${used}.`,
  nothingCanBeUsed: 'Nothing in it can be used.',
  toKnow: (things: Said) => `${things} to know`,
  whatWasNotUsed: 'What was not used, or otherwise',
  apply: 'Apply',
  leave: 'Leave it',
  hasMbFileTokens: (name: Said, percent: Said, mostMegabytes: Said) =>
    `${name} has ${percent} MB; a file of tokens has at most ${mostMegabytes}. Nothing was read.`,
  nothingWasChanged: (message: Said) => `${message} Nothing was changed.`,
  wasReadUndoTakes: (name: Said, used: Said) => `Read from ${name}: ${used}. Undo takes it back.`,
};

export const verifiedLine = {
  itCouldNotBe: (failed: Said) => `It could not be tried: ${failed}`,
  tryAgain: 'Try it again',
  whatComesOutOtherwise: 'What comes out otherwise',
  pageTriesDidNot: 'The page that tries it did not come.',
  bundleCouldNotBe: 'The bundle could not be read from the server.',
  beingTriedPageOwn: 'Being tried in a page of its own …',
  atPx: (elements: Said, widths: Said) => `${elements} at ${widths} px`,
  moreWhichPointingBrings: (untried: Said) =>
    ` ${untried} more, which pointing brings about or a voice without a family sets, were not.`,
  triedPageOwnCome: (where: Said, left: Said) =>
    `Tried in a page of its own: ${where} come out as the project has them.${left}`,
  triedPageOwnComeOut: (where: Said, things: Said, left: Said) =>
    `Tried in a page of its own, ${where}: ${things} come out otherwise.${left}`,
};

export const deliverView = {
  swapWebFaceWhenever: 'swap: web face whenever it comes',
  fallbackOnlyWithinSeconds: 'fallback: only within seconds',
  optionalOnlyIfThere: 'optional: only if there at once',
};

export const differenceWords = {
  lineHeight: 'line height',
  atPxOnPage: (name: Said, what: Said, width: Said, browser: Said, project: Said) =>
    `${name}, ${what} at ${width} px: ${browser} on the page, ${project} in the project`,
};

export const fileChanges = {
  addedRemoved: (lines: Said, linesThat: Said) => `${lines} added, ${linesThat} removed`,
  bytes: (bytes: Said) => `${bytes} bytes`,
  fromTo: (bytes: Said, sized: Said) => `${bytes} to ${sized}`,
};

export const fontRows = {
  file: 'File',
  face: 'Face',
  script: 'Script',
  what: 'What for',
  weightRange: (weightMin: Said, weightMax: Said) => `${weightMin} to ${weightMax}`,
  nothing: 'Nothing',
  noTextElementAsks: 'no text element asks for this face',
  noCharacterNeeded: 'no character of it is needed',
  otherFilesFaceAll: 'other files of this face have all of it that is needed',
  toWeightMin: (weightMin: Said, weightMax: Said) => `${weightMin} to ${weightMax}`,
};

export const verifyPage = {
  pageNoPlaceStyle: 'The page has no place for the style sheet.',
  styleSheetDidNot: 'The style sheet did not come.',
};
