/** A pair of the library's families whose worth follows from typographic principle. */
export interface KnownPair {
  heading: string;
  text: string;
  /** Which of the two is held while the other is sought. */
  held: 'heading' | 'text';
  reason: string;
}

const pair = (
  heading: string,
  text: string,
  held: KnownPair['held'],
  reason: string,
): KnownPair => ({ heading, text, held, reason });

/** Pairs that work. */
export const GOOD_PAIRS: readonly KnownPair[] = [
  pair(
    'alegreya-sans',
    'alegreya',
    'heading',
    'a superfamily: one skeleton with and without serifs',
  ),
  pair('alegreya', 'alegreya-sans', 'heading', 'the same superfamily the other way round'),
  pair(
    'dm-serif-display',
    'dm-sans',
    'heading',
    'drawn as companions, high contrast over even strokes',
  ),
  pair('instrument-serif', 'instrument-sans', 'heading', 'a condensed display serif and its sans'),
  pair(
    'red-hat-display',
    'red-hat-text',
    'heading',
    'the display cut over the text cut of one design',
  ),
  pair(
    'bricolage-grotesque',
    'literata',
    'heading',
    'a characterful grotesque over a bookish serif',
  ),
  pair('bricolage-grotesque', 'literata', 'text', 'the same, sought from the text'),
  pair('space-grotesk', 'source-serif-4', 'heading', 'technical sans over a sober serif'),
  pair('abril-fatface', 'public-sans', 'heading', 'fat hairline display over a plain sans'),
  pair('gloock', 'hanken-grotesk', 'heading', 'hairline display over a plain grotesque'),
  pair('yeseva-one', 'karla', 'heading', 'ornate display over a plain sans'),
  pair('anton', 'source-serif-4', 'heading', 'a poster sans over a calm serif'),
  pair(
    'libre-franklin',
    'libre-baskerville',
    'heading',
    'a gothic over a transitional, as newspapers do',
  ),
  pair('libre-franklin', 'libre-baskerville', 'text', 'the same, sought from the text'),
  pair('zilla-slab', 'public-sans', 'heading', 'a slab over a plain sans'),
  pair('bitter', 'libre-franklin', 'heading', 'a slab over a gothic'),
  pair('fraunces', 'figtree', 'heading', 'a soft display serif over a friendly sans'),
  pair('cormorant', 'alegreya-sans', 'heading', 'a display garalde over a humanist sans'),
  pair('bodoni-moda', 'instrument-sans', 'heading', 'a modern over a neutral sans'),
  pair('outfit', 'source-serif-4', 'heading', 'a geometric sans over a transitional serif'),
  pair('unbounded', 'literata', 'heading', 'a wide display sans over a bookish serif'),
  pair('krona-one', 'newsreader', 'heading', 'a wide sans over a news serif'),
  pair('barlow-condensed', 'source-serif-4', 'heading', 'a signage sans over a calm serif'),
  pair('league-spartan', 'libre-baskerville', 'heading', 'geometric capitals over a transitional'),
  pair('urbanist', 'crimson-pro', 'heading', 'a geometric sans over an oldstyle'),
  pair('epilogue', 'newsreader', 'heading', 'a firm grotesque over a news serif'),
  pair('schibsted-grotesk', 'newsreader', 'text', 'a news grotesque over a news serif'),
  pair('plus-jakarta-sans', 'lora', 'heading', 'a modern geometric over a brushed serif'),
  pair('rubik', 'source-serif-4', 'heading', 'a rounded square sans over a calm serif'),
  pair('lexend', 'literata', 'heading', 'a wide plain sans over a bookish serif'),
  pair('lora', 'public-sans', 'heading', 'a brushed serif over a plain sans'),
  pair('newsreader', 'public-sans', 'heading', 'a news serif over a plain sans'),
  pair('vollkorn', 'albert-sans', 'heading', 'a sturdy serif over a light-footed sans'),
  pair('archivo', 'stix-two-text', 'heading', 'a grotesque over a scholarly serif'),
  pair('syne', 'literata', 'text', 'an odd grotesque over a bookish serif'),
  pair('chivo', 'crimson-pro', 'heading', 'a grotesque over an oldstyle'),
];

/** Pairs that do not. */
export const BAD_PAIRS: readonly KnownPair[] = [
  pair('public-sans', 'libre-franklin', 'heading', 'twins: one is drawn from the other'),
  pair('dm-sans', 'figtree', 'heading', 'two geometric sans that differ in nothing'),
  pair('albert-sans', 'hanken-grotesk', 'heading', 'two plain sans that differ in nothing'),
  pair('instrument-sans', 'figtree', 'heading', 'two plain sans that differ in nothing'),
  pair('public-sans', 'overpass', 'text', 'two gothics of one root'),
  pair('rethink-sans', 'dm-sans', 'heading', 'one is drawn from the other'),
  pair('source-serif-4', 'literata', 'heading', 'two bookish serifs that differ in little'),
  pair('cardo', 'eb-garamond', 'text', 'two revivals of the same age'),
  pair('abril-fatface', 'gloock', 'heading', 'two loud display faces, and text in one of them'),
  pair('bungee', 'abril-fatface', 'heading', 'two loud display faces'),
  pair('anton', 'bungee', 'heading', 'text in capitals made for signs'),
  pair('lora', 'dm-serif-display', 'heading', 'text set in a display face'),
  pair('archivo', 'dancing-script', 'heading', 'text set in a script'),
  pair('literata', 'caveat', 'heading', 'text set in handwriting'),
  pair('bricolage-grotesque', 'anton', 'heading', 'text set in a poster face'),
  pair('karla', 'krona-one', 'heading', 'text set in a wide display face'),
  pair('newsreader', 'yeseva-one', 'heading', 'text set in a display face'),
  pair('unbounded', 'space-mono', 'heading', 'text set in a monospaced face'),
];
