import type { Said } from '../control/said';

/** What is said of changes, files, and of what failed: every word that is read there, by the component that says it. */

export const contenders = {
  pairsKeptAlreadyDismiss: (mostContenders: Said) =>
    `${mostContenders} pairs are shortlisted already. Dismiss one to shortlist another.`,
};

export const foldProposal = {
  siteCouldNotBe: (message: Said) => `The site could not be folded: ${message}`,
};

export const history = {
  madeAgain: 'Made again: ',
};

export const localMeasuring = {
  stoppedWhatHadBeen: 'Stopped. What had been measured is kept.',
  measured: (value: Said) => `Measured: ${value}.`,
  notMeasured: (one: Said) => `Not measured: ${one}`,
  browserDidNotGive: (message: Said) =>
    `The browser did not give the fonts of this machine: ${message}`,
  browserWasNotAllowed:
    'The browser was not allowed to show the fonts of this machine. Nothing was measured.',
  noneThemAmongFonts: (fonts: Said) => `None of them is among the ${fonts} fonts of this machine.`,
  nameNoneTheseLocal: (others: Said) =>
    `${others}: the name is of none of these local fonts. Name the file as the font is called, such as “Verdana Bold.ttf”.`,
};

export const missingFaces = {
  caseAsWas: (message: Said) => `${message} The case is as it was.`,
};

export const ownPages = {
  stoppedNothingWasAdded: 'Stopped. Nothing was added.',
};

export const pairing = {
  pairAsWas: 'The pair is as it was.',
  stoppedPairAsWas: 'Stopped. The pair is as it was.',
  pairAsWasMessage: (message: Said) => `${message} The pair is as it was.`,
};

export const project = {
  nothingWasChanged: (replace: Said) => `${replace}. Nothing was changed.`,
  nothingWasChangedMessage: (message: Said) => `${message} Nothing was changed.`,
};

export const samples = {
  ilORnM: 'Il1| O0 rn m cl d 5S 8B  aeo ce  Åå Ææ Øø Ðð Þþ ß  “fi fl ffi”',
  ownWords: 'own words',
  heading: 'heading',
  sentence: 'sentence',
  paragraph: 'paragraph',
  figures: 'figures',
  hardLetters: 'hard letters',
};

export const sizeSearch = {
  sizesCouldNotBe: (message: Said) => `The sizes could not be read: ${message}`,
};

export const stock = {
  siteFolded: 'the site folded',
  whatWasReadShown: (message: Said) => `${message} What was read is shown here, and not kept.`,
  stoppedNothingWasRead: 'Stopped. Nothing was read.',
};

export const upload = {
  claimsSamePlaceAs: (conflicts: Said) =>
    `claims the same place as ${conflicts}; open the family and correct its weight, width or style`,
  saysItself: (says: Said) => `says of itself “${says}”`,
  isCaseBut: (file: Said, fullName: Said, troubles: Said) =>
    `${file}: ${fullName} is in the case, but ${troubles}.`,
  stoppedNothingWasAdded: 'Stopped. Nothing was added.',
};

export const waypoints = {
  nothingWasChanged: (message: Said) => `${message} Nothing was changed.`,
  waypointsCouldNotBe: 'The waypoints could not be read.',
  lastChangeNotStored:
    'The last change is not stored yet, so that the state has no place to be named.',
  lastChangeNotStoredYet: 'The last change is not stored yet.',
  asWasOpened: 'As it was opened',
};

export const scriptSeats = {
  failed: (name: Said, why: Said) => `${name} was not added: ${why}`,
};
