import type { Said } from './said';

/** The controls: every word that is read there, by the component that says it. */

export const rowMoves = {
  earlier: (name: Said) => `${name}: earlier`,
  itFirst: 'It is the first',
  later: (name: Said) => `${name}: later`,
  itLast: 'It is the last',
  remove: 'Remove',
  removeName: (name: Said) => `Remove ${name}`,
};

export const foldAway = {
  ofTheseSettingsNot: (changed: Said) => `${changed} of these settings not as they are at rest`,
};

export const numberField = {
  inUnit: (shownUnit: Said) => `in ${shownUnit}`,
  from: (min: Said, max: Said) => `from ${min} to ${max}`,
  isNoNumberGive: (typed: Said, range: Said) => `“${typed}” is no number. Give one ${range}.`,
  isOutBoundsGive: (typed: Said, range: Said) => `${typed} is out of bounds. Give one ${range}.`,
};

export const progressLine = {
  stop: 'Stop',
};

export const sayDialog = {
  close: 'Close',
};

export const toolRow = {
  more: 'More',
};

export const drag = {
  whileDragging: 'While dragging',
  breakDragOff: 'break the drag off',
};

export const keys = {
  inEveryStage: 'In every stage',
};
