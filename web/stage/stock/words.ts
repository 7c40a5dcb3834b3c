import type { Said } from '../../control/said';

/** Take stock: every word that is read there, by the component that says it. */

export const addressForm = {
  https: 'https://',
  addressPage: 'Address of a page',
  fetch: 'Fetch it',
  typeAddress: 'Type an address',
  fetchingPage: 'Fetching the page …',
  stop: 'Stop',
  behindPassword: 'Behind a password',
  sentTo: (host: Said) =>
    `Sent to ${host} alone, each time that its page is fetched. It is held in this window until you close it, and is written down nowhere.`,
  name: 'Name',
  password: 'Password',
  cookie: 'Cookie',
  header: 'Header',
  allowedBy: 'Allowed by',
  yourName: 'your name',
  unnamed: 'unnamed',
  allowAndFetch: (host: Said) => `Allow ${host} and fetch`,
  allowedHosts: 'Hosts that are allowed for this project',
  hostAllowed: (host: Said, by: Said, day: Said) => `${host}, allowed by ${by}, ${day}`,
  withdraw: 'Withdraw',
  withdrawHost: (host: Said) => `Withdraw ${host}`,
};

export const bringSite = {
  waysBringSite: 'Ways to bring a site',
  bringPagesSiteExists:
    'Bring pages of a site that exists. Lettera reads, as a browser would, what really sets their text: which families, sizes, weights and lines, how much of each, and which rule says so. It is a look: the project stays as it is.',
  savedPage: 'A saved page',
  htmlStyleSheetsPictures:
    'HTML with its style sheets, pictures and fonts: as files, a folder or a zip, or pasted. It shows all that was saved; not what scripts add later, and no font that stayed elsewhere.',
  livePageThroughReader: 'The live page, through the reader',
  smallScriptYouRun:
    'A small script that you run on the page in your own browser, signed in or built by scripts as it may be. It sends nothing, and gives one file to bring here; run again at another width, it adds to it. It shows what the page has become; not font files, nor style sheets of other hosts that keep theirs closed. Form fields and hidden text stay out.',
  address: 'An address',
  letteraFetchesPageStyle:
    'Lettera fetches the page, its style sheets and its fonts, once, and only when you press Fetch. It shows what the server sends to anybody; not what scripts add or signing in brings, and a page on this machine or its neighbours only where you allow that host.',
  pagesHere: 'Pages that are here',
  sitesOwnPagesProject:
    'The site’s own pages that the project is proofed on, without the project’s type.',
  read: (pages: Said) => `Read ${pages}`,
};

export const driftView = {
  ofProjectAsSite: (texts: Said, also: Said) =>
    `of ${texts} ${also} the project, as the site was read.`,
  claimedByNoText: (unclaimed: Said, also: Said) =>
    `${unclaimed} ${also} claimed by no text element.`,
  showOnPage: 'Show on the page',
  showOnPageNo: (texts: Said) => `Show on the page: ${texts} that no element claims`,
  textElement: 'Text element',
  property: 'Property',
  project: 'The project',
  site: 'The site',
  at: 'At',
  texts: 'Texts',
  where: 'Where',
  noFile: (found: Said) => `no file for ${found}`,
  widthIn: (width: Said) => `${width} px`,
  showOnPageTexts: (texts: Said, name: Said, property: Said, found: Said) =>
    `Show on the page: ${texts}: ${name}, ${property} ${found}`,
  leftOpen:
    'Left open by their styles, so your site’s own values stay. Set a property in the style to change it.',
};

export const familyShares = {
  asked: 'Asked for',
  ofText: 'Of the text',
  asBar: 'As a bar',
  whatShows: 'What shows',
  none: 'None',
  was: ' Was ',
  meant: 'meant?',
  showOnPage: 'Show on the page',
  noFamily: 'no family',
  showOnPageTexts: (texts: Said, name: Said) => `Show on the page: ${texts} in ${name}`,
  inCase: 'in the case',
  useProject: 'Use in this project',
  useProjectName: (name: Said) => `Use in this project: ${name}`,
  servedByOthersNot: (elsewhere: Said) =>
    `Served by others, and not asked for here: ${elsewhere}. Their faces are not on these pages as they are shown.`,
  anotherFontWhichBrowser: 'Another font, which the browser looks for,',
  declaredShown: (faces: Said) => `${faces} declared and shown.`,
  declaredByNoPage:
    'Declared by no page. It shows here since this machine has it; visitors without it see what stands behind it.',
  declaredNotHereFiles: (instead: Said) =>
    `Declared, and not here: its files were not brought along or did not load. ${instead} shows instead.`,
  declaredByNoPageVisitors: (platformNames: Said, instead: Said) =>
    `Declared by no page. Visitors on ${platformNames} have it; this machine has not. ${instead} shows here.`,
  declaredByNoPageNothing: (instead: Said) =>
    `Declared by no page, and nothing answers to the name. ${instead} shows instead.`,
  noFamilyAskedBy: 'No family is asked for by the style sheets that are here; others are not.',
  noFamilyAskedBrowsers: 'No family is asked for: browsers take their own.',
  whateverVisitorsBrowserTakes: 'Whatever the visitor’s browser takes for it.',
  fetchedNoTextShows: 'Fetched, and no text shows it.',
  declaredNoTextAsks: 'Declared, and no text asks for it.',
};

export const fightList = {
  nothingNoRuleStands: 'Nothing: no rule stands in another’s way, and all text can be read.',
  whereSiteFightsItself: 'Conflicts in the site’s own rules',
  showOnPage: 'Show on the page',
  showOnPageTexts: (texts: Said, message: Said) => `Show on the page: ${texts}: ${message}`,
  andMore: (sources: Said) => `and ${sources} more`,
};

export const foldScale = {
  none: 'none',
  nothing: 'nothing',
  atPx: (width: Said) => `At ${width} px`,
  baseAtPx: (width: Said) => `Base at ${width} px`,
  ratioAtPx: (width: Said) => `Ratio at ${width} px`,
  endsRounded: 'Ends rounded',
  rounding: 'Rounding',
  sizeOwn: (haveOwn: Said) => `, ${haveOwn} a size of its own`,
  scaleAsFound: 'The scale as found',
  step: 'Step',
  atPxWidth: (width: Said) => `at ${width} px`,
  sizesBecome: 'Sizes that become it',
  moveBy: 'Move by',
  text: 'Text',
  ofItsOwn: 'a size of its own',
  fromTo: (least: Said, most: Said) => `${least} to ${most}`,
  andMore: (more: Said) => ` and ${more} more`,
};

export const foldView = {
  widthsToo: (names: Said) => `Styles can differ where the site’s own do: ${names}.`,
  builtOn: (name: Said) =>
    `The site is built on ${name}. Once this is applied, its parts (buttons, badges, cards) can become text elements: View › This page › Who sets its text.`,
  nothingWasChanged: (fault: Said) => `${fault} Nothing was changed.`,
  tryAgain: 'Try again',
  foldingWasStopped: 'Folding was stopped.',
  foldAfterAll: 'Fold after all',
  folding: (texts: Said) => `Folding ${texts} …`,
  stop: 'Stop',
  applyWhatTicked: 'Apply what is ticked',
  onPage: 'On the page',
  siteAs: 'The site as it is',
  foldedB: 'Folded (b)',
  foldingAnew: 'Folding anew …',
  inMean: (pixels: Said) => `, ${pixels} on average`,
  asLaidOutOn: (pages: Said) => `, as laid out on ${pages}`,
  estimatedFromStylesAlone: ', estimated from the styles alone',
  layingOut: (title: Said) => `Laying out ${title} …`,
  takenAsOneChange:
    'Applied as one change: Undo gives the project back as it was. The pages are proof pages now.',
  familiesVoices: 'Families to voices',
  sizesScale: 'Sizes to a scale',
  sizesMayMoveBy: 'Sizes may move by',
  textsStyles: 'Texts to styles',
  style: 'Style',
  where: 'Where',
  whatMoves: 'What moves',
  nameStyle: (name: Said) => `Name of the style ${name}`,
  showOnPage: 'Show on the page',
  showOnPageName: (name: Said) => `Show on the page: ${name}`,
  fold: 'Fold',
  foldName: (name: Said) => `Fold ${name}`,
  whatCouldNotBe: 'What could not be folded',
  showOnPageWhat: (what: Said) => `Show on the page: what was not folded: ${what}`,
  ofTextStaysWithin: (share: Said, ratio: Said, steps: Said) =>
    `${share} of the text stays within ${ratio} px, in at most ${steps} steps.`,
  inTakeStock: 'In Take stock',
  siteAsOnProof: 'the site as it is on the proof, or folded',
  nothingMoves: 'nothing moves',
  upTo: (pixels: Said) => `up to ${pixels}`,
  inWeight: (percent: Said) => `${percent} in weight`,
  movesOf: (texts: Said, texts2: Said, also: Said) => `${texts} of ${texts2} ${also}`,
  byHowMuch: (by: Said) => ` by ${by}`,
  uprightOrSlantedNot: (turned: Said, also: Said) =>
    `, ${turned} upright or slanted that ${also} not`,
  nothingOn: 'Nothing is on',
  itNotBeenFolded: 'It has not been folded yet',
  projectCannotBeMade: 'The project cannot be made so',
};

export const foldVoices = {
  voice: 'Voice',
  textsAsk: 'Its texts ask for',
  familyCase: 'Family of the case',
  texts: 'Texts',
  nameVoice: (asks: Said) => `Name of the voice for ${asks}`,
  family: (name: Said) => `Family for ${name}`,
  inScript: (voice: Said, script: Said) => `${voice}, ${script}`,
  noneYet: 'None yet',
};

export const readerOffer = {
  readerDidNotCome: 'The reader did not come.',
  tryAgain: 'Try again',
  copyReader: 'Copy the reader',
  readType: 'Read its type',
  foldAway: 'Fold it away',
  showAll: 'Show all of it',
  copiedPasteIntoConsole: 'Copied: paste it into the console of your browser, on the page.',
  thisBrowserDoesNot: 'This browser does not let it be copied: select it below.',
  dragBookmarksYourBrowser:
    'Drag it to the bookmarks of your browser, then choose it there on the page.',
};

export const readingLine = {
  reading: (title: Said, done: Said, all: Said) => `Reading ${title}, ${done} of ${all}`,
};

export const sizeShares = {
  ofWhichBeTold: (sizes: Said, cans: Said) => `${sizes}, of which ${cans} be told from one another`,
  read: 'Read',
  ofText: (one: Said, share: Said) => `${one}: ${share} of the text`,
  size: 'Size',
  ofTheText: 'Of the text',
  asBar: 'As a bar',
  texts: 'Texts',
  where: 'Where',
  showOnPage: 'Show on the page',
  showOnPageTexts: (texts: Said, one: Said) => `Show on the page: ${texts} of ${one}`,
  atPx: (page: Said) => `at ${page} px`,
  and: (sizes: Said) => `${sizes} and `,
};

export const stockStage = {
  takeStock: 'Take stock',
  views: 'Views',
  backWhatWasRead: 'Back to what was read',
  thisSite: 'This site',
  morePages: 'More pages',
  readAgain: 'Read again',
  fetchAgain: 'Fetch again',
  itOnWay: 'It is on its way',
  leaveSite: 'Leave this site',
  whatReallySetsType:
    'What really sets the type of a site that exists, what is wrong with it, and what it would be as voices, a scale and styles. The project stays as it is until you apply something.',
  fetchingSiteAsNow: 'Fetching the site as it is now …',
  stop: 'Stop',
  tryAgain: 'Try again',
  readingWasStopped: 'Reading was stopped.',
  readAfterAll: 'Read it after all',
  thisPage: 'this page',
  thesePages: 'these pages',
  thereNoTextOn: (also: Said) =>
    `There is no text on ${also} that anybody sees: nothing sets its type. What scripts add is not there in a saved page; the reader sees it.`,
  andOthers: ' and others',
  ofSiteNotHere: (styleSheets: Said, also: Said, unread: Said, also2: Said, also3: Said) =>
    `${styleSheets} of this site ${also} not here: ${unread}${also2}. Not all that sets its text is known: add ${also3} with the page, or use the reader on the live site.`,
  families: 'Families',
  sizes: 'Sizes',
  otherValues: 'Values',
  conflicts: 'Conflicts',
  fold: 'Fold',
  follows: 'Follows',
  pageNoLongerLooked: 'The page is no longer looked at.',
  nothingWasChanged: 'Nothing was changed.',
  pageDidNotCome: 'A page did not come. Nothing was changed.',
  asSiteWasBrought: (day: Said) => `, brought on ${day}`,
  readAtPxOn: (pages: Said, texts: Said, narrow: Said, wide: Said, day: Said, before: Said) =>
    `${pages}, ${texts}, read at ${narrow} and ${wide} px, ${day}${before}`,
};

export const takeOver = {
  useProject: (name: Said) => `Use ${name} in this project`,
  ownFiles: 'Its own files',
  add: (files: Said) => `Add ${files}`,
  andSayThemselves: (says: Said) => `, and say of themselves “${says}”`,
  theyCamePageWhat: (also: Said) =>
    ` They came with the page${also}. What a licence says goes before that. `,
  addedCase: (faces: Said) => `${faces} added to the case.`,
  foundrys: (name: Said) => `The foundry’s ${name}`,
  byReference: 'By reference',
  refer: 'Refer to it',
  suchAs: (elsewhere: Said) => `, such as ${elsewhere}`,
  itStaysWhereServed: (also: Said) =>
    ` It stays where it is served from${also}; a look-alike stands in on the proof. `,
  facesAsksWhetherFoundry: 'Faces asks whether the foundry may be looked at.',
  whatLooksLikeCan: (also: Said) =>
    `What looks like it can be told from a file of it, or from the foundry’s own. ${also}`,
  itCase: 'It is in the case.',
  done: 'Done',
  onlyLook: 'Only look',
  fontFileDidNot: 'A font file did not come. The case is as it was.',
  filesOnTheirWay: 'Files are on their way in',
  fileSaysItselfRefer: (says: Said) =>
    `The file says of itself “${says}”: refer to it, or use what looks like it`,
};

export const textHere = {
  textWasClicked: 'The text that was clicked',
  known: (known: Said) => `known ${known}`,
  over: (one: Said) => `over ${one}`,
  ofSitesTextSet: (share: Said) => `${share} of the site’s text is set so.`,
  showOnPage: (texts: Said) => `Show on the page: ${texts}`,
  clickAnyTextPage:
    'Click any text of the page for its face, where that comes from, and how much is like it.',
  family: 'Family',
  byWidthsLettersWhere: 'by the widths of its letters where the page is live',
  byWidthsLettersAs: 'by the widths of its letters, as they are drawn here',
  asksFontBrowserLooks: (asked: Said) =>
    `asks for ${asked}; a font that the browser looks for shows`,
  asksShows: (asked: Said, shown: Said) => `asks for ${asked}; ${shown} shows`,
  fromTo: (b: Said, a: Said) => `${b} to ${a}`,
  asTyped: 'as typed',
  colourOn: (hex: Said, hex2: Said) => `${hex} on ${hex2}`,
  fromAround: (from: Said, by: Said) => `from ${from} around it: ${by}`,
};

export const valueShares = {
  value: 'Value',
  ofText: 'Of the text',
  asBar: 'As a bar',
  where: 'Where',
  showOnPage: 'Show on the page',
  showOnPageTexts: (texts: Said, title: Said, wordsValue: Said) =>
    `Show on the page: ${texts}: ${title}, ${wordsValue}`,
  weights: 'Weights',
  lineHeights: 'Line heights',
  ofSize: (values: Said) => `${values} of the size`,
  normalWhichFacesOwn: 'normal, which is the face’s own',
  letterSpacings: 'Letter spacings',
  colours: 'Colours',
};

export const inWords = {
  hasNoFaceFaked: (asked: Said, faked: Said, from: Said) =>
    `${asked} has no face and is faked (${faked}) from ${from}`,
  hasNoFaceShows: (asked: Said, from: Said) => `${asked} has no face and shows as ${from}`,
  inLine: (selector: Said, sheet: Said, line: Said) => `${selector} in ${sheet}, line ${line}`,
  layer: (layer: Said) => `layer ${layer}`,
  styleAttribute: (source: Said, also: Said) => `a style attribute: ${source}${also}`,
  browsersOwnStyleSheet: 'the browser’s own style sheet',
  nothingSets: 'nothing sets it',
};

export const measuredMoves = {
  whatMovesEstimatedOnly: 'What moves is estimated only.',
};
