import type { Said } from '../../control/said';

/** How a family comes into the project, wherever that is offered: every word that is read there, by the component that says it. */

export const foundryAsk = {
  mayLetteraAskFoundry: 'May Lettera ask the foundry?',
  toShowThemLetteras:
    'To show them, Lettera’s server asks the foundry for its list and for the files you look at. The foundry learns which families are looked at, and nothing of this project, of you or of its visitors. Families that you add are stored here; visitors to the site never reach the foundry.',
  allowedBy: 'Allowed by',
  yourName: 'Your name',
  allowFoundry: 'Allow the foundry',
  itCanBeWithdrawn: 'It can be withdrawn at any time; what was added stays.',
};

export const lookAlikes = {
  moreLike: 'More like this',
  noOtherFamilyBeen: 'No other family has been measured yet to compare it with.',
  noDifferenceBeSeen: 'no difference to be seen',
  inCase: 'in the case',
};

export const referenceForm = {
  https: 'https://',
  familyServedElsewhere: 'A family served elsewhere',
  forFamilyWhoseLicence:
    'For a family whose licence forbids hosting it. Lettera never fetches it: a look-alike stands in on the proof, and its real name and address are delivered.',
  exactFamilyName: 'Exact family name',
  addressStyleSheet: 'Address of its style sheet',
  faces: 'Faces',
  class: 'Class',
  classFamily: 'Class of the family',
  stands: 'Stands in:',
  lookAlikeStands: 'Look-alike that stands in',
  lookedAmongRegularsRegular: (weight: Said) =>
    `, a ${weight} looked for among regulars: its regular finds a nearer one`,
  chosenByWhatWas: (name: Said, also: Said) =>
    `Chosen by what was measured on your file of ${name}${also}.`,
  withFileAtHand: 'With a file of it at hand, the look-alike is chosen by measure. ',
  measureFile: 'Measure a file',
  itMeasuredNotKept: ' It is measured and not kept.',
  fontFileMeasure: 'Font file to measure',
  addByReference: 'Add by reference',
  leave: 'Leave',
  italic: (weight: Said) => `${weight} italic`,
  familyNameItself: 'the family of that name itself',
  noDifferenceBeSeen: 'no difference to be seen',
  anotherClass: (classed: Said) => `a ${classed}, of another class`,
  giveExactNameStyle: 'Give the exact name that its style sheet uses.',
  giveAddressStyleSheet: 'Give the address of its style sheet, beginning with https://.',
  giveFacesAsWeights: 'Give its faces as weights, with “italic” behind one: 400, 400 italic, 700.',
  thereNoFamilyHere:
    'There is no family here to stand in for it. Allow the foundry, or add a family.',
};

export const takeIn = {
  add: (name: Said) => `Add ${name}`,
  upright: 'Upright',
  italic: 'Italic',
  scripts: 'Scripts',
  oneFileStyleCarries:
    'One file a style carries every weight; it is cut to the range from the lightest to the heaviest picked.',
  addWhatPicked: 'Add what is picked',
  addCase: 'Add to the case',
  faceOf: (weight: Said, style: 'normal' | 'italic') =>
    `${weight} ${style === 'normal' ? 'upright' : 'italic'}`,
  countOf: (done: Said, files: Said) => `${done} of ${files}`,
  askingFoundry: 'Asking the foundry …',
  stop: 'Stop',
  atMost: 'at most ',
  storedHereDeliveredAs: (licence: Said) =>
    `${licence}. Stored here and delivered as WOFF2, which every browser in use reads.`,
  stoppedNothingWasAdded: 'Stopped. Nothing was added.',
};
