/** What the live sheet's tools say on the page of the site. */
export const tools = {
  lettera: 'Lettera',
  close: 'Close',
  tools: 'Lettera’s tools for this page',
  point: 'Hold t and click text to select it in Lettera',
  pointOnce: 'Select one text in Lettera: click or tap it',
  before: 'Before and after (b)',
  isBefore: 'Before: the page as the site has it. Press b for after.',
  marks: (many: number) => (many === 1 ? 'Show 1 mark' : `Show ${many} marks`),
  hideMarks: 'Hide the marks',
  noMarks: 'No marks on this page: choose “Show marks there” in Lettera',
  faces: 'Which fonts set this page',
  swap: 'Rehearse the swap, web fonts held back for 2 s',
  swapping: 'In fallback fonts …',
  read: 'Read this page for Take stock',
  browse: 'Read every page as I browse',
  stopBrowsing: 'Stop reading pages as I browse',
  hide: 'Hide until the page is loaded again',
  noElement: 'no text element',
  nothingLike: 'no text here',
  selected: (name: string) => `Selected in Lettera: ${name}`,
  sentText: 'Sent to Lettera, where it can become a text element',
  notSent: (why: string) => `It did not get to Lettera. ${why}`,
  goes: (texts: string, width: number, sheets: string, size: string, host: string) =>
    `${texts} at ${width} px and ${sheets}, ${size}, go to ${host} and nowhere else. Scripts, pictures, hidden text and what is typed into fields stay here.`,
  unread: (names: string) => `Not among them, since their hosts keep them closed: ${names}.`,
  send: 'Send it',
  sent: (texts: string) => `${texts} sent. They are in Lettera under Take stock.`,
  shift: (value: string) => `Layout shift ${value}`,
  noShift: 'Layout shift is not measured by this browser',
  moved: (blocks: string, farthest: string) =>
    `${blocks} moved or changed size, by ${farthest} at most`,
  nothingMoved: 'nothing moved',
  setBy: (family: string, texts: string) => `${family}: ${texts}`,
  another: 'a font that no stack names',
};

export const counted = (many: number, one: string): string =>
  `${many.toLocaleString('en')} ${many === 1 ? one : `${one}s`}`;
