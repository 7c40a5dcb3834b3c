import type { Said } from '../../control/said';

/** Pair: every word that is read there, by the component that says it. */

export const contenderFacts = {
  measuredOnceCaseShown: 'measured once it is in the case and shown',
  shift: (bytes: Said, marks: Said, also: Said) => `${bytes}, ${marks}, shift ${also}`,
  use: 'Use',
  dismiss: 'Dismiss',
};

export const contenderStrip = {
  contenders: 'Contenders',
  showOnPageOr: (i: Said) => `Show on the page, or give back (${i})`,
  contenderNamesFamilyNot:
    'A contender names a family that is not here now: it was removed, or the foundry is not allowed.',
  dismiss: 'Dismiss it',
};

export const heldVoice = {
  chooseFamily: 'Choose a family',
  familyHeldAs: (name: Said) => `Family that is held as ${name}`,
};

export const scriptSeats = {
  noOtherScript:
    'All languages of this site are written in scripts that its families have. Add a language under Styles, Languages.',
  addLanguage: 'Languages of the site',
  forVoice: 'for',
  voice: 'Voice whose families are shown',
  inScript: (name: Said, languages: Said) => `${name}, for ${languages}`,
  nobody: (name: Said) => `no family yet: ${name} shows in the visitor’s own font`,
  own: (name: Said) => `${name} has these letters itself`,
  at: 'at',
  sizeOf: (name: Said) => `Size of ${name}, per cent of the text’s`,
  measured: (percent: Said) => `${percent} % looks as large`,
  asMeasured: 'Set as measured',
  ends: 'then',
  generic: (name: Said) => `Generic family behind ${name}`,
  remove: 'Remove',
  removeFrom: (family: Said, script: Said) => `Remove ${family} from ${script}`,
  partners: (script: Said, family: Said) => `For ${script} beside ${family}, the nearest first`,
  use: 'Use',
  useFor: (name: Said, script: Said) => `Use ${name} for ${script}`,
  now: 'in use',
  ownNotMeasured:
    'The voice’s own family could not be measured, so that no other can be compared with it.',
  beingMeasured: 'Which families have these letters is being worked out.',
  noneThere: 'No family of the library or the case has these letters.',
  allow: 'The foundry has more families. It is allowed under Faces.',
  taking: (name: Said) => `Adding ${name} …`,
  stop: 'Stop',
  needsFamily: 'This voice has no family of its own yet, which others are matched to.',
};

export const pairStage = {
  pair: 'Pair',
  scriptsView: 'Scripts',
  holdOneVoiceLook:
    'Hold one voice and look for a partner for the other, or for a set of three. Pointing shows a pair on the page, Use puts it into the project, and leaving gives back what was there.',
  views: 'Views',
  more: 'More',
  setThreeHeadingSubheading: 'a set of three: heading, subheading and text',
  drawOneAtRandom: 'Draw one at random',
  fromWholeListUpper: 'From the whole list, the upper part of the order more often',
  inEveryVoiceTold: (name: Said) => `${name} in every voice, told apart by weight and size`,
  useEverything: (name: Said) => `Use ${name} for everything`,
  familiesShortlistedFaces: 'Families shortlisted in Faces',
  holdAs: (roleName: Said) => `Hold as ${roleName}`,
  showFaces: 'Show in Faces',
  pairNeedsTwoVoices: 'A pair needs two voices, and the project has one.',
  addVoice: 'Add a voice',
  find: 'Find',
  whatLooked: 'What is looked for',
  toGo: 'to go with',
  and: 'and',
  workingOutOrder: 'Working out the order …',
  countOf: (order: Said) => ` of ${order}`,
  filter: 'Filter',
  class: 'Class',
  wanted: 'Wanted',
  everyLetterSitesLanguages: 'every letter of the site’s languages',
  scripts: 'Scripts',
  atMostKbFace: 'At most, KB a face',
  clearFilter: 'Clear the filter',
  use: 'Use',
  shortlist: 'Shortlist',
  drawAgain: 'Draw again',
  back: 'Back',
  forward: 'Forward',
  close: 'Close',
  partnersFoundFamilyHeld: (roleName: Said) =>
    `Partners are found for a family that is held, and the ${roleName} voice has none yet.`,
  seeStartingPoints: 'See starting points',
  lookFamilyFaces: 'Look for a family in Faces',
  allowFoundryFacesFirst: 'Allow the foundry in Faces first',
  noFamilyPassesAs: 'No family passes as a partner.',
  partners: 'Partners',
  startingPoints: 'Starting points',
  sideBySide: 'Side by side',
  voices: 'Voices',
  text: 'text',
  textFace: 'a text face',
  anyClass: 'any class',
  anotherClass: 'another class',
  sameClass: 'the same class',
  fitWithoutCaveat: 'fit without a caveat',
  trueItalic: 'a true italic',
  sameSuperfamily: 'the same superfamily',
  inCase: 'in the case',
  inPair: 'In Pair',
  contenderOnProofOr: (i: Said) => `contender ${i} on the proof, or off it`,
  contenderBefore: 'the contender before',
  contenderAfter: 'the contender after',
  giveBackWhatWas: 'give back what was drawn',
};

export const partnerList = {
  partnersOrder: 'Partners in order',
};

export const partnerRow = {
  now: ' · now',
  shown: (standIn: Said) => `, shown in ${standIn}`,
  use: 'Use',
  useName: (name: Said) => `Use ${name}`,
  shortlist: 'Shortlist',
  keepPairAsContender: 'Keep this pair as a contender',
  shortlistName: (name: Said) => `Shortlist ${name}`,
  compare: 'Compare',
  compareMeasuresEveryReason: 'Compare measures, and every reason',
  compareMeasures: (name: Said) => `Compare measures of ${name}`,
  measure: 'Measure',
  beside: (beside: Said, text: Said) => `beside ${beside}: ${text}`,
};

export const sideBySide = {
  eachPxWideAt: (width: Said) => `Each ${width} px wide, at 100 %. They move together.`,
};

export const startingPoints = {
  startingPointsPairsFoundrys: 'The starting points are pairs of the foundry’s families.',
  tryAgain: 'Try again',
  fetchingFoundrysList: 'Fetching the foundry’s list …',
  startingPoints: 'Starting points',
  over: (name: Said, name2: Said) => `${name} over ${name2}`,
  use: 'Use',
  useOver: (name: Said, name2: Said) => `Use ${name} over ${name2}`,
  shortlist: 'Shortlist',
  shortlistOver: (name: Said, name2: Said) => `Shortlist ${name} over ${name2}`,
};

export const takenNotice = {
  addingPair: 'Adding the pair …',
  nothingNew: 'nothing new',
  nowUse: (names: Said) => `Now in use: ${names}.`,
  weightsDoesNotBecame: 'Weights that it does not have became the nearest:',
  close: 'Close',
  letFollow: 'Let it follow',
  letFollowName: (name: Said) => `Let it follow: ${name}`,
  letAllFollow: 'Let all follow',
  andMore: (reaches: Said) => ` and ${reaches} more`,
  fallback: 'its fallback',
  staysVoice: (name: Said, others: Said, where: Said, name2: Said) =>
    `${name}${others} stays in ${where}, the voice ${name2}.`,
};

export const voiceSeat = {
  nameVoice: (name: Said) => `Name of the voice ${name}`,
  noWebFace: 'No web face',
  shown: (standIn: Said) => `shown in ${standIn}`,
  familyCase: (name: Said) => `Family of the case in ${name}`,
  ends: ' ends in ',
  genericFamilyEndsStack: (name: Said) => `Generic family that ends the stack of ${name}`,
  weight: (names: Said) => `Weight of ${names}`,
  noStyleUsesVoice: 'No style uses this voice yet. ',
  giveEachStyleNearest: 'Give each style the nearest weight there is',
  removeVoice: 'Remove the voice',
  italic: (value: Said) => `${value} italic`,
  noTrueItalicSlanted: 'no true italic: slanted by the browser',
  noBoldThickenedBy: 'no bold: thickened by the browser',
  showsAs: (weight: Said) => `shows as ${weight}`,
  itSets: (wearers: Said) => `It sets ${wearers}`,
  projectKeepsOneVoice: 'A project keeps one voice',
};

export const voiceSeats = {
  pairWorks: 'Pair works with',
  noneYet: 'none yet',
  voicePairedAs: (role: Said) => `Voice that is paired as ${role}`,
  threeVoices: 'Three voices',
  anotherVoiceDataQuotation: 'Another voice: data, quotation, code',
  nameAnotherVoice: 'Name of another voice',
  addVoice: 'Add a voice',
};
