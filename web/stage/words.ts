import type { Said } from '../control/said';

/** What several stages share: every word that is read there, by the component that says it. */

export const sizeOffers = {
  looksThanDidAt: (voiceName: Said, difference: Said, also: Said, to: Said, from: Said) =>
    `${voiceName} looks ${difference} ${also} in ${to} than it did in ${from} at the same size, by their x-heights.`,
  keepApparentSizeEach: (ratio: Said) => `Keep the apparent size: ${ratio} of each size`,
  leave: 'Leave it',
};

export const measuringLine = {
  measuring: (done: Said, all: Said) => `Measuring ${done} of ${all}`,
  measuringWasStopped: 'Measuring was stopped',
  measuringEndedSinceFoundry: 'Measuring ended, since the foundry does not answer',
  atFamiliesOthersShow: (also: Said, done: Said, all: Said) =>
    `${also} at ${done} of ${all} families; the others show without figures.`,
  goOn: 'Go on',
};

export const stageHeader = {
  what: (title: Said) => `What ${title} is for`,
  whatTitle: (title: Said) => `What ${title} is for`,
};

export const stageMarks = {
  marksOn: (on: Said) => `Marks on ${on}`,
  fold: 'Fold',
  show: 'Show',
};

export const roundings = {
  asFalls: 'as it falls',
};
