/** A pair of the library’s families whose worth follows from typographic principle. */
export interface KnownPair {
  heading: string;
  text: string;
  reason: string;
  /** Which is at fault in one that does not work: the text face alone, or the two together. */
  fault?: 'text' | 'both';
}

/** Reads lines of `heading / text: reason`, with `[fault]` before the colon in bad ones. */
function read(lines: string): KnownPair[] {
  return lines
    .trim()
    .split('\n')
    .map((line) => {
      const [, heading, text, fault, reason] =
        /^(\S+) \/ (\S+?)(?: \[(text|both)\])?: (.+)$/.exec(line.trim()) ?? [];
      if (!heading || !text || !reason) throw new Error(`No known pair: ${line}`);
      return { heading, text, reason, ...(fault && { fault: fault as KnownPair['fault'] }) };
    });
}

/** Pairs that work, and that the order may be tuned on. */
export const GOOD_TUNED_ON = read(`
alegreya-sans / alegreya: a superfamily: one skeleton with and without serifs
alegreya / alegreya-sans: the same superfamily the other way round
dm-serif-display / dm-sans: drawn as companions, high contrast over even strokes
instrument-serif / instrument-sans: a condensed display serif and its sans
red-hat-display / red-hat-text: the display cut over the text cut of one design
bricolage-grotesque / literata: a characterful grotesque over a bookish serif
space-grotesk / source-serif-4: technical sans over a sober serif
abril-fatface / public-sans: fat hairline display over a plain sans
gloock / hanken-grotesk: hairline display over a plain grotesque
yeseva-one / karla: ornate display over a plain sans
anton / source-serif-4: a poster sans over a calm serif
libre-franklin / libre-baskerville: a gothic over a transitional, as newspapers do
zilla-slab / public-sans: a slab over a plain sans
bitter / libre-franklin: a slab over a gothic
fraunces / figtree: a soft display serif over a friendly sans
cormorant / alegreya-sans: a display garalde over a humanist sans
bodoni-moda / instrument-sans: a modern over a neutral sans
outfit / source-serif-4: a geometric sans over a transitional serif
unbounded / literata: a wide display sans over a bookish serif
krona-one / newsreader: a wide sans over a news serif
barlow-condensed / source-serif-4: a signage sans over a calm serif
league-spartan / libre-baskerville: geometric capitals over a transitional
urbanist / crimson-pro: a geometric sans over an oldstyle
epilogue / newsreader: a firm grotesque over a news serif
schibsted-grotesk / newsreader: a news grotesque over a news serif
plus-jakarta-sans / lora: a modern geometric over a brushed serif
rubik / source-serif-4: a rounded square sans over a calm serif
lexend / literata: a wide plain sans over a bookish serif
lora / public-sans: a brushed serif over a plain sans
newsreader / public-sans: a news serif over a plain sans
vollkorn / albert-sans: a sturdy serif over a light-footed sans
archivo / stix-two-text: a grotesque over a scholarly serif
syne / literata: an odd grotesque over a bookish serif
chivo / crimson-pro: a grotesque over an oldstyle
space-grotesk / newsreader: technical headings over a news serif
space-grotesk / spectral: technical headings over a light-footed text serif
dancing-script / lora: a script for the title over a brushed serif
cormorant / figtree: a light classical serif over a friendly sans
bitter / mulish: a slab over a plain sans
anton / karla: a poster face over a plain sans
zilla-slab / hanken-grotesk: a slab over a plain grotesque
league-spartan / crimson-pro: dense geometric headings over an oldstyle
dm-serif-display / mulish: sharp contrast over even strokes
manrope / source-serif-4: a firm modern sans over a calm serif
bungee / hanken-grotesk: letters of a sign over a plain grotesque
instrument-serif / figtree: a narrow display serif over a friendly sans
syne / source-serif-4: an artist's grotesque over a calm serif
archivo / literata: a dark grotesque over a bookish serif
outfit / spectral: clean geometry over an elegant text serif
urbanist / lora: light geometry over a brushed serif
libre-baskerville / public-sans: a transitional for the title, a plain sans for use
vollkorn / mulish: a sturdy serif over a plain sans
unbounded / figtree: a wide display over a plain friendly sans
funnel-display / source-serif-4: an odd modern display over a calm serif
fraunces / commissioner: a soft display serif over a humanist sans
space-mono / public-sans: a typewriter's tone over a plain sans
red-hat-display / source-serif-4: a geometric display over a calm serif
petrona / public-sans: a narrow text serif over a plain sans
fraunces / atkinson-hyperlegible-next: character above, legibility below
bricolage-grotesque / source-serif-4: a grotesque with character over a calm serif
bodoni-moda / mulish: a modern over a plain sans
plus-jakarta-sans / source-serif-4: a modern geometric over a calm serif
outfit / literata: clean geometry over a bookish serif
sorts-mill-goudy / alegreya-sans: a soft oldstyle over a humanist sans
fraunces / manrope: a soft wonky serif over a firm modern sans
azeret-mono / source-serif-4: a machine's headings over calm reading text
eb-garamond / figtree: a renaissance serif over a friendly sans
newsreader / hanken-grotesk: a news serif over a grotesque
libre-franklin / source-serif-4: a gothic over a calm serif
instrument-serif / hanken-grotesk: a narrow display serif over a grotesque
chivo / vollkorn: a grotesque over a sturdy serif
abril-fatface / mulish: a fat face to be seen, a quiet sans to be read
epilogue / lora: a firm grotesque over a brushed serif
lora / manrope: a brushed serif over a modern sans
libre-caslon-text / libre-franklin: an english serif over an american gothic
zilla-slab / manrope: a slab with an edge over a modern sans
alegreya / cabin: a lively calligraphic serif over a humanist sans
fredoka / literata: round friendly headings over a bookish serif
geologica / literata: a wide geometric over a bookish serif
barlow-condensed / literata: narrow signage headings over a bookish serif
karla / spectral: a quirky grotesque over an elegant text serif
crimson-pro / public-sans: an oldstyle over a plain sans
rubik / lora: rounded squares over a brushed serif
barlow-condensed / libre-baskerville: narrow headings over a wide transitional
bricolage-grotesque / spectral: a grotesque with character over an elegant serif
gloock / public-sans: a hairline display over a plain sans
cormorant / mulish: a display garalde over a plain sans
yeseva-one / cabin: an ornate display over a humanist sans
krona-one / manrope: a wide display over a narrower plain sans
bodoni-moda / commissioner: a modern over a humanist sans
`);

/** Pairs that do not, and that the order may be tuned on. */
export const BAD_TUNED_ON = read(`
public-sans / libre-franklin [both]: twins: one is drawn from the other
dm-sans / figtree [both]: two geometric sans that differ in nothing
albert-sans / hanken-grotesk [both]: two plain sans that differ in nothing
instrument-sans / figtree [both]: two plain sans that differ in nothing
public-sans / overpass [both]: two gothics of one root
rethink-sans / dm-sans [both]: one is drawn from the other
source-serif-4 / literata [both]: two bookish serifs that differ in little
cardo / eb-garamond [both]: two revivals of the same age
abril-fatface / gloock [text]: two loud display faces, and text in one of them
bungee / abril-fatface [text]: two loud display faces
anton / bungee [text]: text in capitals made for signs
lora / dm-serif-display [text]: text set in a display face
archivo / dancing-script [text]: text set in a script
literata / caveat [text]: text set in handwriting
bricolage-grotesque / anton [text]: text set in a poster face
karla / krona-one [text]: text set in a wide display face
newsreader / yeseva-one [text]: text set in a display face
unbounded / space-mono [text]: text set in a monospaced face
libre-franklin / dm-serif-display [text]: text in a display serif
schibsted-grotesk / libre-franklin [both]: two news gothics
dm-sans / gloock [text]: text in a hairline display
bitter / zilla-slab [both]: two slabs
karla / bodoni-moda [text]: text whose hairlines vanish
alegreya / vollkorn [both]: two lively text serifs
spectral / newsreader [both]: two text serifs of one colour
literata / fredoka [text]: text in a round display face
manrope / plus-jakarta-sans [both]: two modern geometrics that differ in nothing
source-serif-4 / unbounded [text]: text in a wide display face
archivo / cormorant [text]: text in a light face of small x-height
public-sans / barlow-condensed [text]: text in a condensed face
hanken-grotesk / krona-one [text]: text in a wide display face
hanken-grotesk / public-sans [both]: two plain sans that differ in nothing
space-grotesk / share-tech-mono [text]: running text in a monospaced face
figtree / plus-jakarta-sans [both]: two friendly geometrics that differ in nothing
caveat / dancing-script [text]: two scripts, text in one of them
chivo / archivo [both]: two grotesques of one drawing office
outfit / urbanist [both]: two light geometrics that differ in nothing
lora / kalam [text]: text in handwriting
figtree / instrument-serif [text]: text in a narrow display serif
instrument-sans / albert-sans [both]: two plain sans that differ in nothing
libre-baskerville / libre-caslon-text [both]: two English serifs of one century
newsreader / comfortaa [text]: text in round hairless geometry
crimson-pro / eb-garamond [both]: two oldstyles of one model
eb-garamond / dancing-script [text]: text in a script
newsreader / source-serif-4 [both]: two text serifs that differ in little
jetbrains-mono / azeret-mono [text]: two monospaced faces
onest / figtree [both]: two plain modern sans
outfit / abril-fatface [text]: text in a fat face
fraunces / space-mono [text]: running text in a monospaced face
vollkorn / bungee [text]: text in capitals
sorts-mill-goudy / cardo [both]: two oldstyles of one age
archivo / jetbrains-mono [text]: running text in a monospaced face
`);

/**
 * Pairs that the order is judged by: written down before the weights were last set, and not looked at while
 * they were.
 */
export const GOOD_KEPT_BACK = read(`
red-hat-display / literata: a geometric display over a bookish serif
funnel-display / lora: an odd modern display over a brushed serif
syne / spectral: an artist's grotesque over an elegant text serif
krona-one / source-serif-4: a wide sans over a calm serif
unbounded / source-serif-4: a wide display over a calm serif
anton / libre-baskerville: a poster face over a wide transitional
barlow-condensed / newsreader: narrow signage headings over a news serif
league-spartan / lora: dense geometry over a brushed serif
archivo / source-serif-4: a dark grotesque over a calm serif
archivo / newsreader: a dark grotesque over a news serif
chivo / literata: a grotesque over a bookish serif
bricolage-grotesque / newsreader: a grotesque with character over a news serif
space-grotesk / literata: technical headings over a bookish serif
space-grotesk / lora: technical headings over a brushed serif
outfit / newsreader: clean geometry over a news serif
urbanist / literata: light geometry over a bookish serif
rubik / literata: rounded squares over a bookish serif
libre-franklin / literata: a gothic over a bookish serif
manrope / literata: a firm modern sans over a bookish serif
plus-jakarta-sans / literata: a modern geometric over a bookish serif
geologica / source-serif-4: a wide geometric over a calm serif
epilogue / source-serif-4: a firm grotesque over a calm serif
schibsted-grotesk / literata: a news grotesque over a bookish serif
fredoka / lora: round friendly headings over a brushed serif
fraunces / public-sans: a soft display serif over a plain sans
fraunces / dm-sans: a soft display serif over a plain geometric
dm-serif-display / public-sans: sharp contrast over a plain sans
abril-fatface / hanken-grotesk: a fat face over a plain grotesque
gloock / figtree: a hairline display over a friendly sans
yeseva-one / mulish: an ornate display over a plain sans
bodoni-moda / hanken-grotesk: a modern over a plain grotesque
cormorant / karla: a display garalde over a quirky sans
instrument-serif / public-sans: a narrow display serif over a plain sans
libre-caslon-text / figtree: an English serif over a friendly sans
libre-baskerville / mulish: a transitional over a plain sans
lora / figtree: a brushed serif over a friendly sans
newsreader / figtree: a news serif over a friendly sans
source-serif-4 / libre-franklin: a calm serif over a gothic
literata / commissioner: a bookish serif over a humanist sans
alegreya / mulish: a lively serif over a plain sans
vollkorn / commissioner: a sturdy serif over a humanist sans
eb-garamond / hanken-grotesk: a renaissance serif over a grotesque
zilla-slab / figtree: a slab with an edge over a friendly sans
bitter / public-sans: a slab over a plain sans
spectral / karla: an elegant serif over a quirky sans
crimson-pro / figtree: an oldstyle over a friendly sans
stix-two-text / instrument-sans: a scholarly serif over a plain sans
space-mono / source-serif-4: a typewriter's tone over a calm serif
bungee / public-sans: letters of a sign over a plain sans
caveat / figtree: a note by hand over a friendly sans
`);

export const BAD_KEPT_BACK = read(`
figtree / dm-sans [both]: two geometric sans that differ in nothing
urbanist / red-hat-display [both]: two light geometrics that differ in nothing
hanken-grotesk / instrument-sans [both]: two plain sans that differ in nothing
public-sans / schibsted-grotesk [both]: two plain gothics
manrope / onest [both]: two modern sans that differ in nothing
rethink-sans / figtree [both]: two plain geometrics
cabin / commissioner [both]: two humanist sans
overpass / onest [both]: two plain modern sans
literata / newsreader [both]: two bookish serifs
crimson-pro / newsreader [both]: two oldstyles of one colour
eb-garamond / sorts-mill-goudy [both]: two oldstyles of one age
vollkorn / crimson-pro [both]: two sturdy oldstyles
stix-two-text / libre-caslon-text [both]: two transitional text serifs
lora / spectral [both]: two elegant text serifs
dm-serif-display / gloock [text]: two loud display serifs
unbounded / krona-one [text]: two wide display faces
lora / abril-fatface [text]: text in a fat face
libre-franklin / bungee [text]: text in capitals
figtree / space-mono [text]: running text in a monospaced face
source-serif-4 / inconsolata [text]: running text in a monospaced face
newsreader / anton [text]: text in a poster face
public-sans / cormorant [text]: text in a light display garalde
hanken-grotesk / bodoni-moda [text]: text whose hairlines vanish
archivo / caveat [text]: text in handwriting
karla / yeseva-one [text]: text in an ornate display
fraunces / dm-serif-display [text]: text in a display serif
barlow-condensed / anton [text]: text in a poster face
spectral / unbounded [text]: text in a wide display face
eb-garamond / martian-mono [text]: running text in a monospaced face
manrope / instrument-serif [text]: text in a narrow display serif
`);
