import type { Said } from '../control/said';

/** The page and what is said of it: every word that is read there, by the component that says it. */

export const bringPages = {
  bringFilesOrZip: 'Bring files or a zip',
  bringFolder: 'Bring a folder',
  pastePage: 'Paste a page',
  readingPages: 'Reading the pages …',
  stop: 'Stop',
  filesPages: 'Files of pages',
  folderPages: 'A folder of pages',
  html: 'HTML',
  css: 'CSS',
  bring: 'Add the page',
  pastedPage: 'Pasted page',
};

export const faceToTakeIn = {
  add: (name: Said, also: Said) => `Add ${name}${also}`,
};

export const inFace = {
  didNotCome: (name: Said) => `${name} did not come.`,
  tryAgain: 'Try again',
  fetchAgain: (name: Said) => `Fetch ${name} again`,
  isOnWay: (name: Said) => `${name} is on its way …`,
};

export const markLine = {
  setAside: 'Set aside',
  setAsideMessage: (message: Said) => `Set aside: ${message}`,
  whyRightAs: 'why it is right as it is',
  whySetAside: 'Why it is set aside',
  setItAside: 'Set it aside',
  itWantsReason: 'Give a reason first',
};

export const marksMargin = {
  marksOnPage: 'Marks on this page',
  marksHere: 'Marks here',
};

export const proofChoices = {
  page: 'Page',
  background: 'Background',
  faces: 'Faces',
  ag: 'Ag',
  webFaces: 'Web faces',
  webFacesF: 'Web faces (f)',
  fallbackFaces: 'Fallback faces',
  fallbackFacesF: 'Fallback faces (f)',
  onLight: 'On light',
  onLightBackgroundD: 'On the light background (d)',
  onDark: 'On dark',
  onDarkBackgroundD: 'On the dark background (d)',
};

export const proofFrame = {
  proofPxWide: (name: Said, width: Said) => `Proof of ${name}, ${width} px wide`,
};

export const proofPane = {
  proof: 'Proof',
  giveRoomBack: 'Back beside the workbench',
  fullWidth: 'Full width',
  asWas: (says: Said) => `As it was: ${says}`,
  showAsNow: 'Show it as it is now',
  facesOnTheirWay: 'The web faces of this page are on their way …',
  faceDidNotCome: 'A web face did not come: its fallback is shown',
  pointAtTextSee: 'Point at text to see its style',
  scaledTo: (also: Said, percent: Said) => `${also} to ${percent} %`,
  widthAndStop: (width: Said, also: Said) => `${width} px · ${also}`,
  phonePx: (width: Said) => `Phone, ${width} px`,
  laptopPx: (width: Said) => `Laptop, ${width} px`,
  webFaces: 'Web faces',
  fallback: 'Fallback',
  onGround: (ground: Said) => `On ${ground}`,
  asWasOpened: 'As it was opened',
};

export const standIns = {
  isServedElsewhereShown: (standIn: Said) =>
    `is served elsewhere and shown here in ${standIn}, which stands in for it. `,
};

export const unseenPage = {
  pageMeasured: 'A page that is measured',
};

export const viewMenu = {
  view: 'View',
  thisPage: 'This page',
  shownAsWas: 'Shown as it was',
  thereNoEarlierState: 'There is no earlier state yet.',
  beside: 'Beside it',
  whichContender: 'Which contender',
  whichWaypoint: 'Which waypoint',
  words: 'Words in',
  asWritten: 'As it is written',
  zoomed: 'Zoomed to',
  visitorsTextAt: 'Visitor’s text at',
  fontFiles: 'Font files',
  seen: 'Seen',
  onPaper: 'On paper',
  printPage: 'Print this page',
  noPageShown: 'No page is shown',
  showPlainlyAgain: 'Show it plainly again',
  alone: 'Alone',
  phone: 'Phone',
  laptop: 'Laptop',
  otherFaces: 'Other faces',
  otherBackground: 'Other background',
  asOpened: 'As opened',
  contender: 'Contender',
  waypoint: 'Waypoint',
  asAdded: 'As added',
  asDelivered: 'As delivered',
  asItIs: 'As it is',
  blurred: 'Blurred',
  fromAfar: 'From afar',
};

export const widthRuler = {
  widthPage: 'Width of the page',
  asWideAsThere: 'As wide as there is room for, at 100 %',
  widthProof: 'Width of the proof',
  dragStepArrowKeys:
    'Drag, step with the arrow keys, or double-click to type; a double-click beside it gives it the room there is',
  widthNamed: (width: Said, label: Said) => `${width} px, ${label}`,
  widthPagePx: 'Width of the page, px',
  room: 'room',
  giveWidthFromPx: (narrowest: Said, widest: Said) =>
    `Give a width from ${narrowest} to ${widest} px.`,
};

export const styleInWords = {
  andMore: (shown: Said, more: Said) => `${shown} and ${more} more`,
  and: (shown: Said, shown2: Said) => `${shown} and ${shown2}`,
  setHere: (set: Said) => `${set} set here`,
  nothingSetHere: 'nothing set here',
  restFollows: (followed: Said) => `the rest follows ${followed}`,
};

export const unseenPages = {
  pageDidNotCome: 'A page did not come.',
};
