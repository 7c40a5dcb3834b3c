import type { Said } from '../../control/said';

/** Faces: every word that is read there, by the component that says it. */

export const characterSheet = {
  characters: (codePoints: Said) => `Characters, ${codePoints}`,
  lettersNotLetterasTable: (name: Said) => `${name}: its letters are not in Lettera’s table.`,
  everyLetterThere: (name: Said) => `${name}: every letter is there.`,
  lacks: (name: Said) => `${name} lacks`,
  script: 'Script',
  filesDidNotCome: (name: Said) => `The files of ${name} did not come.`,
  showAll: (characters: Said) => `Show all ${characters}`,
  latin: 'Latin',
};

export const faceCorrections = {
  faceAsFileSays: 'Face, as its file says',
  family: 'Family',
  weight: 'Weight',
  width: 'Width',
  style: 'Style',
  woff: 'WOFF2',
  remove: 'Remove',
  claimsSamePlaceAs: (rivals: Said) => ` claims the same place as ${rivals}: only the later shows `,
  fileSays: (says: Said) => ` its file says: ${says}`,
  familyFullName: (fullName: Said) => `Family of ${fullName}`,
  weightFullName: (fullName: Said) => `Weight of ${fullName}`,
  widthPercent: (fullName: Said) => `Width of ${fullName}, percent`,
  styleFullName: (fullName: Said) => `Style of ${fullName}`,
  removeFullName: (fullName: Said) => `Remove ${fullName}`,
  showAllFaces: (faces: Said) => `Show all ${faces} faces`,
  upright: 'upright',
  italic: 'italic',
  face: (other: Said) => `face ${other}`,
  weightRange: (least: Said, most: Said) => `${least} to ${most}`,
};

export const faceList = {
  upright: 'Upright',
  italic: 'Italic',
};

export const faceMap = {
  mapFamilies: 'Map of the families',
  across: 'Across',
  measureAcross: 'Measure across',
  up: 'Up',
  measureUpward: 'Measure upward',
  clearRegion: 'Clear the region',
  drawRegionNarrowLine: 'Draw a region to filter the line-up by it.',
  asMap: 'As a map',
  asTable: 'As a table',
  ofNotOnMap: (unplaced: Said, within: Said) =>
    `${unplaced} of ${within} are not on the map: they have not been measured, or lack the letters.`,
  areDotsDrawRegion: (dots: Said) => `${dots} are dots: draw a region to see their letters.`,
  family: 'Family',
  a: 'a',
  enterOpens: (sayPoint: Said) => `${sayPoint}. Enter opens it.`,
  noFamilyFilterBeen: 'No family of this filter has been measured yet.',
};

export const faceVerdict = {
  notStatedBySource: 'not stated by its source',
  licenceFileSays: (licence: Said, says: Said) => `Licence: ${licence}. The file says: ${says}.`,
  closeLicence: 'Close the licence',
  readLicenceFile: 'Read the licence in the file',
  fileForbidsWhatWeb:
    'Its file forbids what a web page does with it. Ask its maker for a web licence, or refer to it where its maker serves it.',
  fileForbidsCuttingSome:
    'Its file forbids cutting it to some of its characters, so it would be delivered whole.',
  claimedAs: (classed: Said) => `Claimed as ${classed}.`,
  claimedAsButDrawn: (classed: Said, measuredClass: Said) =>
    `Claimed as ${classed}, but drawn as a ${measuredClass}.`,
  claimedAsDrawnAs: (classed: Said, measuredClass: Said) =>
    `Claimed as ${classed}, drawn as ${measuredClass}.`,
  everyLetter: (covered: Said) => `Every letter of ${covered}.`,
};

export const facesStage = {
  faces: 'Faces',
  script: 'Script that families are lined up in',
  setYourOwnWords:
    'Set your own words in every family, and add only the weights and scripts that the site will use. A row opens to the whole family.',
  views: 'Views',
  setting: 'Setting',
  setAt: 'Set at',
  background: 'Background',
  resetWordsSizeBackground: 'Reset words, size and background',
  foundrysFamilies: 'The foundry’s families',
  addFonts: 'Add fonts',
  fontFilesYourOwn: 'Font files of your own',
  chooseFontFiles: 'Choose font files',
  familyLicenceKeepsElsewhere: 'A family that its licence keeps elsewhere',
  referFamily: 'Refer to a family',
  foundryWasAllowedBy: (allowedBy: Said, toLocaleDateString: Said) =>
    `The foundry was allowed by ${allowedBy} on ${toLocaleDateString}. What was added stays when it is withdrawn.`,
  withdraw: 'Withdraw it',
  fontFiles: 'Font files',
  whatSet: 'What is set',
  wordsSetEveryFamily: 'Words set in every family',
  yourOwnWordsSet: 'Your own words, set in every family',
  in: 'in',
  at: 'at',
  sizeWhatSet: 'Size of what is set',
  countOf: (shown: Said, families: Said) => `${shown} of ${families}`,
  find: 'Find',
  findFamilyByName: 'Find a family by name',
  filter: 'Filter',
  lookedAtLately: 'Looked at recently',
  tryAgain: 'Try again',
  sortBy: 'Sort by',
  fetchingFoundrysList: 'Fetching the foundry’s list …',
  caseEmptyFoundryListed: 'The case is empty, and the foundry listed nothing.',
  noNameHas: (typed: Said) => `No name has “${typed}” in it. These come near:`,
  noFamilyLike: 'No family passes the filter.',
  clearFilter: 'Clear the filter',
  family: 'Family',
  byName: 'By name',
  weights: 'weights',
  weightsOnOfferOn: 'Weights on offer, on an axis from 1 to 1000',
  italic: 'italic',
  drawnAsItalicSloped: 'Drawn as an italic, sloped, or none',
  lang: 'lang.',
  languagesEveryLetter: (all: number) => `Languages that it has every letter of, of ${all}`,
  bytesRegularLatin: 'Bytes of the regular in Latin',
  sheet: 'the sheet',
  light: 'light',
  dark: 'dark',
  equalSize: 'equal size',
  height: 'height',
  heightOf: (called: string) => `The ${called}, in em: how large the face looks at a size`,
  equalHeight: (height: string) => `equal ${height}`,
  lineUp: 'Line-up',
  map: 'Map',
  inFaces: 'In Faces',
  putRowOnShortlist: 'put the row on the shortlist, or remove it',
  familyBefore: 'the family before',
  familyAfter: 'the family after',
};

export const familyAxes = {
  axes: 'Axes',
  axis: (name: Said) => `${name} axis`,
  range: (min: Said, max: Said) => `${min} to ${max}`,
  here: (figures: Said) => `Here: ${figures}`,
  weight: 'Weight',
  width: 'Width',
  opticalSize: 'Optical size',
  slant: 'Slant',
  italic: 'Italic',
};

export const familyPanel = {
  tryAgain: 'Try again',
  readingFamily: 'Reading the family …',
};

export const filterSentence = {
  only: 'Only',
  remove: (text: Said) => `Remove: ${text}`,
  removeText: (text: Said) => `Remove: ${text}`,
  clearFilter: 'Clear the filter',
  class: 'Class',
  weightsNeeded: 'Weights needed',
  italic: 'Italic',
  languages: 'Languages',
  scriptsFilesTheirOwn: 'Scripts with files of their own',
  figures: 'Figures',
  fitness: 'Fitness',
  whereFrom: 'Where from',
  atMostKbFace: 'At most, KB a face',
  chooseMeasure: 'Choose a measure',
  measureFilterBy: 'Measure to filter by',
  from: 'from',
  to: 'to',
  done: 'Done',
  withOrWithout: 'with or without',
  anyItalic: 'any italic',
  trueOne: 'a true one',
  any: 'any',
};

export const inCase = {
  inCase: 'In the case',
  servedBy: 'Served by',
  whichLetteraCssImports: (standIn: Said) =>
    `, which lettera.css imports. ${standIn} stands in for it on the proof and is not delivered.`,
  noElementYet: 'no element yet',
  usedByWhichSets: (also: Said, voiceName: Said, also2: Said) =>
    `${also}Used by ${voiceName}, which sets ${also2}.`,
  noVoiceUsesYet: 'No voice uses it yet.',
  giveVoicePair: 'Give it a voice in Pair',
  knownOnSiteAs: 'Known on the site as',
  anotherNameLetsTake: 'Another name lets it take the place of one that the site’s CSS uses.',
  showOnlyWhereVisitors:
    'Show it only where visitors have it installed: no file of it is delivered',
  replaceBy: 'Replace it by …',
  familyTakePlaceEverywhere: 'Family to take its place everywhere',
  keepApparentSizeX: (difference: Said, also: Said, sizeRatio: Said) =>
    `Keep the apparent size: its x-height is ${difference} ${also}, so sizes go to ${sizeRatio}`,
  replaceEverywhere: 'Replace everywhere',
  removeFromCase: 'Remove from the case',
  willShowVisitorsOwn: (elements: Said, instead: Said) =>
    `${elements} will show in the visitor’s own ${instead}.`,
  undoBringsBackFiles: 'Undo brings it back, files too.',
  remove: 'Remove it',
  keep: 'Keep it',
};

export const lineSheet = {
  lineOnEachPlatform: 'Line on each platform',
  platform: 'Platform',
  ascent: 'Ascent',
  descent: 'Descent',
  lineGap: 'Line gap',
  lineEm: 'Line, em',
  pinnedEveryPlatformGives: 'Pinned: every platform gives it the same line.',
  letFloat: 'Let it float',
  allPlatformsAgreeWithin:
    'All platforms agree to within 1 % of the em: text sits the same everywhere.',
  platformsDisagreeByMore:
    'Platforms disagree by more than 1 % of the em: text sits higher or lower from one to another.',
  pinLine: 'Pin its line',
  onceCaseLineCan: 'Once it is in the case its line can be pinned.',
  macosIos: 'macOS, iOS',
  windows: 'Windows',
  linuxAndroid: 'Linux, Android',
};

export const lineUpList = {
  families: 'Families',
};

export const lineUpRow = {
  drawn: (measuredClass: Said) => `, drawn ${measuredClass}`,
  byReference: ' · by reference',
  inCase: ' · in the case',
  onShortlist: (name: Said) => `${name} on the shortlist`,
  onShortlistK: 'On the shortlist (k)',
  putOnShortlistK: 'Put on the shortlist (k)',
  servedElsewhereNotLoaded: (standIn: Said) =>
    `Served elsewhere and not loaded here: shown in ${standIn}, which stands in for it.`,
};

export const measureSheet = {
  measuresRegular: 'Measures of the regular',
  figures: 'Figures',
  smallCapitals: 'Small capitals',
  drawn: 'drawn',
  none: 'none',
  also: (further: Said) => `; also ${further}`,
};

export const trueAndFaked = {
  trueFaked: 'True and faked',
  trueItalic: 'True italic',
  fakedItalic: 'Faked italic',
  trueBold: (boldWeight: Said) => `True bold, ${boldWeight}`,
  fakedBold: 'Faked bold',
  thereNoItalicWhat: 'There is no italic: this is what a browser makes of the upright.',
  italicUprightLeanedAdjusted: 'The italic is the upright, leaned and adjusted by its maker.',
  drawnAsItalicDiffer: (value: Said) => `Drawn as an italic: ${value} differ most.`,
};

export const waysToBegin = {
  waysBegin: 'Ways to begin',
  howDoYouWant: 'How do you want to begin?',
  withFamilies: 'With families',
  foundrysOpenLicensedFamilies:
    'The foundry’s open-licensed families, set in your own words, measured and sorted.',
  lookAtFamilies: 'Look at families',
  withReadyPair: 'With a ready pair',
  twelvePairsWorkEach:
    'Twelve pairs that work, each with what it is good for, to be changed as you go.',
  seeStartingPoints: 'See starting points',
  withFontFilesYour: 'With font files of your own',
  ttfOtfWoffWoff: 'TTF, OTF, WOFF and WOFF2. Drop them anywhere, or choose them.',
  chooseFontFiles: 'Choose font files',
  withSiteExists: 'With a site that exists',
  pagesSavedOrBy:
    'Its pages, saved or by address: what sets their type, and what it would be as a scale.',
  takeStockSite: 'Take stock of a site',
  familyWhoseLicenceKeeps: 'A family whose licence keeps it elsewhere can be referred to.',
  referFamily: 'Refer to a family',
};

export const weightAxis = {
  weight: (name: Said, spoken: Said) => `Weight of ${name}, of ${spoken}`,
  anyWeightFrom: (spoken: Said) => `Any weight from ${spoken}`,
  weights: (spoken: Said) => `Weights ${spoken}`,
  weightRange: (least: Said, most: Said) => `${least} to ${most}`,
};

export const filterParts = {
  class: 'Class',
  weights: 'Weights',
  italic: 'Italic',
  languages: 'Languages',
  scripts: 'Scripts',
  figures: 'Figures',
  fit: 'Fit for',
  bytes: 'Bytes',
  measure: 'A measure',
  whereFrom: 'Where from',
};
