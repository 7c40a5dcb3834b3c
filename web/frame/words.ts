import type { Said } from '../control/said';

/** The docket, the ledger, the projects and what else stands round the stages: every word that is read there, by the component that says it. */

export const conflictDialog = {
  sameThingWasChanged: 'The same thing was changed in two places',
  wasChangedHereMeanwhile: (what: Said) =>
    `“${what}” was changed here and, meanwhile, in another window. The other change is stored; the one made here is not.`,
  keepOtherChange: 'Keep the other change',
  makeMineAgain: 'Make mine again',
};

export const docket = {
  docket: 'Docket',
  projects: '‹ Projects',
  stages: 'Stages',
  marks: (of: number) => (of === 1 ? ' mark' : ' marks'),
  noWebFaceStand: 'No web face to stand in for',
  beingFitted: 'being fitted …',
  nothingFitted: 'Nothing is fitted',
  wordsWithin: (error: Said) => `words within ${error}`,
  firstAll: (firsts: Said) => `First in each stack: ${firsts}`,
  read: (pages: Said, texts: Said) => `${pages}, ${texts} read`,
  notReadYet: (pages: Said) => `${pages} not read yet`,
  noSiteRead: 'No site read',
  caseEmpty: 'The case is empty',
  stands: (siteName: Said, standIn: Said) => `${siteName}: ${standIn} stands in`,
  everyVoiceFree: 'No voice has a family yet',
  endToEnd: (size: Said, ratio: Said, size2: Said, ratio2: Said) =>
    `${size} × ${ratio} to ${size2} × ${ratio2}`,
  atPxAtPx: (width: Said, width2: Said) => `At ${width} px and at ${width2} px`,
};

export const dropFiles = {
  takeStockThem: 'take stock of them',
  seeThemProof: 'see them in the proof',
  dropFontFilesTake: (also: Said) => `Drop font files to add them to the case, or pages to ${also}`,
  readingDone: (files: Said, done: Said) => `Reading ${files}, ${done} done`,
  close: 'Close',
  addedAs: (faces: Said) => `${faces} added, as`,
  andMore: (families: Said) => ` and ${families} more`,
  openFamilyFacesCorrect: (also: Said) =>
    `${also}. Open the family in Faces to correct what a file says of itself.`,
};

export const keyHelp = {
  keys: 'Keys',
  ctrlOrCmd: 'Ctrl or Cmd ',
};

export const ledger = {
  ledger: 'Ledger',
  andLater: (files: Said) =>
    `And ${files} for letters that pages may have later, fetched by those alone.`,
  whatVisitorMayLoad: 'What a visitor may load',
  browsersFetchOnlyScripts: 'Browsers fetch only the scripts that a page has letters of.',
  andFromWhoseBytes: (name: Said, address: Said) =>
    `And ${name} from ${address}, whose bytes are not known here.`,
  timeOn: (name: Said) => `Time on ${name}`,
  msRoundTripMbit: (
    roundTrip: Said,
    bandwidth: Said,
    seconds: Said,
    css: Said,
    seconds2: Said,
    fontBytes: Said,
    preloadedBytes: Said,
  ) =>
    `${roundTrip} ms a round trip, ${bandwidth} Mbit/s. Text shows after ${seconds}, once the ${css} of style sheet are there; the web faces show after ${seconds2}, once the ${fontBytes} of faces for the site’s first language are, ${preloadedBytes} of which are fetched at once.`,
  workedOutPageLoads:
    'Worked out for a page that loads nothing else: round trips and bytes, uncompressed.',
  counted: (visits: Said, what: Said) => `Counted on the site, ${visits}: ${what}.`,
  textAndFonts: (text: Said, fonts: Said) => `text after ${text}, the last font after ${fonts}`,
  shiftOf: (shift: Said) => `layout shift ${shift}`,
  layoutShiftSwap: 'Layout shift of the swap',
  onAtPxMeasured: (shift: Said, title: Said, width: Said) =>
    `${shift} on “${title}” at ${width} px, measured from its top by laying the page out in the fallback and in the web faces.`,
  itMeasuredOnProof: 'It is measured on the proof, which is folded away.',
  proofShowsSiteAs:
    'The proof shows the site as it is, without the project’s type: there is nothing to measure.',
  itBeingMeasuredOn: 'It is being measured on the proof.',
  upCountsAsGood:
    'Up to 0.1 counts as good in the field. Other pages and widths shift differently.',
  marksOnProject: 'Marks on the project',
  marks: 'Marks',
  marksCounted: (of: number) => (of === 1 ? 'mark' : 'marks'),
  beingChecked: 'The project is being checked.',
  nothingCheckedWrong: 'No marks: nothing that is checked is wrong.',
  setAside: (aside: Said) => `${aside} set aside`,
  bringBack: 'Bring back',
  bringBackMessage: (message: Said) => `Bring back: ${message}`,
  elsewhere: (elsewhere: Said) => `, ${elsewhere} elsewhere`,
  textAfter: 'text after',
  webFacesAfter: 'web faces after',
  noSwap: 'no swap',
  onMark: (name: Said) => `on ${name}`,
  shift: 'shift',
  noShift: 'none',
  notMeasured: 'not measured',
  beingMeasured: 'being measured',
};

export const nowhereView = {
  thereNothingAtAddress: 'There is nothing at this address',
  goProjects: 'Go to the projects',
};

export const projectName = {
  nameProject: 'Name of the project',
  renameProject: 'Rename the project',
};

export const projectView = {
  projectCouldNotBe: 'The project could not be opened',
  tryAgain: 'Try again',
  orGo: 'or go to',
  projects: 'the projects',
  widthProofsColumn: 'Width of the proof’s column',
  showPage: 'Show the page',
  showWorkbench: 'Show the workbench',
  hidePage: 'Hide the page',
  keys: 'Keys',
  keysHint: 'Keys (?)',
  openingProject: 'Opening the project …',
  lettera: (title: Said, name: Said) => `${title} · ${name} · Lettera`,
  productName: 'Lettera',
};

export const projectsView = {
  projects: 'Projects',
  signOut: 'Sign out',
  tryAgain: 'Try again',
  revision: (revision: Said, format: Said) => `revision ${revision}, ${format}`,
  remove: 'Remove',
  removeName: (name: Said) => `Remove ${name}`,
  startProject: 'Start a project',
  nameSite: 'Name of the site',
  start: 'Start',
  beingOpened: 'Being opened …',
  openProjectFile: 'Open a project file',
  itBeingRead: 'It is being read',
  savedFromDeliverHere: 'saved from Deliver, here or elsewhere, its faces included',
  projectFile: 'Project file',
  removeAsked: (name: Said) => `Remove ${name}?`,
  documentHistoryPagesDeleted:
    'Its document, its history and its pages are deleted. This cannot be undone.',
  keep: 'Keep it',
  removeIt: 'Remove it',
  wasNotRemoved: (name: Said, message: Said) => `${name} was not removed: ${message}`,
  youStillSigned: (message: Said) => `You are still signed in: ${message}`,
};

export const refusalNotice = {
  letGoOf: (steps: Said) => `Let go of ${steps}, set by hand`,
  letThemCrossAll: 'Let them cross anyway',
  leave: 'Leave it',
  closeWhatSaidChange: 'close the notice of a refused change',
};

export const saveLine = {
  undo: 'Undo',
  redo: 'Redo',
  redoRedo: (redo: Said) => `Redo: ${redo}`,
  thereNothingRedo: 'There is nothing to redo',
  yourChangesKeptBrowser: (message: Said) =>
    `${message} Your changes are kept in this browser and will be sent again.`,
  sendNow: 'Send now',
  saved: 'Saved',
  saving: 'Saving …',
  notSavedYet: 'Not saved yet',
  changedElsewhere: 'Changed elsewhere',
  giveBackWhatBeing: 'Leave what is being tried',
  undoUndo: (undo: Said) => `Undo: ${undo}`,
  thereNothingUndo: 'There is nothing to undo',
};

export const signInView = {
  accessToken: 'Access token',
  thisLetteraCanBe:
    'This Lettera can be reached by others, so it asks for the token it was started with.',
  token: 'Token',
  sign: 'Sign in',
};

export const startView = {
  opening: 'Opening …',
};

export const themeSwitch = {
  lightOrDarkRoom: 'Light or dark room',
  asSystem: 'as the system',
  light: 'light',
  dark: 'dark',
};

export const waypointsMenu = {
  waypoint: (name: Said) => `Waypoint: ${name}`,
  waypoints: 'Waypoints',
  suchAsBeforeNew: 'such as: before the new face',
  namePresentState: 'Name of the present state',
  nameThePresentState: 'Name the present state',
  itNoNameYet: 'It has no name yet',
  waypointStateNameCompare:
    'A waypoint is a state with a name: to compare with, and to go back to.',
  nameWaypoint: (name: Said) => `Name of waypoint ${name}`,
  compare: 'Compare',
  compareName: (name: Said) => `Compare with ${name}`,
  goBack: 'Go back',
  goBackName: (name: Said) => `Go back to ${name}`,
  remove: 'Remove',
  removeName: (name: Said) => `Remove ${name}`,
  removeGood: 'Remove for good',
  removeGoodName: (name: Said) => `Remove ${name} for good`,
  keep: 'Keep',
  keepName: (name: Said) => `Keep ${name}`,
  whatWasChanged: 'What was changed',
  tryAgain: 'Try again',
  nothingYet: 'Nothing yet.',
  whatMoved: 'What moved',
  whatMovedBy: (said: Said) => `What moved by ${said}`,
};

export const stages = {
  takeStock: 'Take stock',
};

export const useShortcuts = {
  undo: 'undo',
  redo: 'redo',
  webOrFallbackFaces: 'web or fallback faces on the proof',
  lightOrDarkBackground: 'light or dark background on the proof',
  lastWaypointOnProof: 'the last waypoint on the proof, or back',
  nextWidthProof: 'next width of the proof',
  fullWidthProofOr: 'full width for the proof, or back',
  leaveOrGiveBack: 'leave, or give back what is looked at',
  theseKeys: 'these keys',
  arrowKeys: 'arrow keys',
  stepNumberOrEnd: 'step a number or an end of a curve, ten at a time with Shift',
  go: (name: Said) => `go to ${name}`,
};
