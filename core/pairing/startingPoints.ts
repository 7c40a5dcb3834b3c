/** A pair to begin with, and what it is good for. */
export interface StartingPoint {
  /** Ids of families of the library. */
  heading: string;
  text: string;
  goodFor: string;
}

/** Twelve pairs of our own choosing. A test holds each to the order: it must stand in the upper third. */
export const STARTING_POINTS: readonly StartingPoint[] = [
  {
    heading: 'bricolage-grotesque',
    text: 'literata',
    goodFor: 'A place with weather in it: headings with an edge over text for long reading.',
  },
  {
    heading: 'alegreya-sans',
    text: 'alegreya',
    goodFor:
      'One hand throughout: a superfamily for histories, guides and anything with footnotes.',
  },
  {
    heading: 'dm-serif-display',
    text: 'dm-sans',
    goodFor: 'A front page with few words: a sharp serif to be seen, a plain sans to be used.',
  },
  {
    heading: 'space-grotesk',
    text: 'source-serif-4',
    goodFor: 'Technical headings over calm text: instruments, data and the essays about them.',
  },
  {
    heading: 'archivo',
    text: 'stix-two-text',
    goodFor: 'News and notices: a grotesque that carries urgency, a serif that carries argument.',
  },
  {
    heading: 'barlow-condensed',
    text: 'source-serif-4',
    goodFor: 'Long headings in little room: timetables, signs and captions over reading text.',
  },
  {
    heading: 'fraunces',
    text: 'figtree',
    goodFor: 'Warm and modern: a shop, a kitchen, a house to let.',
  },
  {
    heading: 'outfit',
    text: 'lora',
    goodFor: 'Clean geometry over a brushed serif: culture, events, a programme.',
  },
  {
    heading: 'bodoni-moda',
    text: 'instrument-sans',
    goodFor: 'Elegance at large sizes only, with every small word in a sans that holds.',
  },
  {
    heading: 'cormorant',
    text: 'alegreya-sans',
    goodFor: 'Light classical headings: poems, menus, invitations, with text in a humanist sans.',
  },
  {
    heading: 'rubik',
    text: 'source-serif-4',
    goodFor: 'Friendly, square-shouldered headings: children’s pages, forms, help.',
  },
  {
    heading: 'abril-fatface',
    text: 'public-sans',
    goodFor: 'A poster: one loud word a page, and a plain voice for all the rest.',
  },
];
