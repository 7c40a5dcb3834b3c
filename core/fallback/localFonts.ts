import type { Generic, Slant } from '../document/vocabulary';

export const PLATFORMS = ['windows', 'macos', 'ios', 'android', 'chromeos', 'linux'] as const;
export type LocalPlatform = (typeof PLATFORMS)[number];

/** The four styles that system text fonts come in. */
export const VARIANTS = ['regular', 'bold', 'italic', 'boldItalic'] as const;
export type LocalVariant = (typeof VARIANTS)[number];

/** What a local font is drawn as, in the words of the generic families. */
export type LocalClass = Generic | 'fantasy';

/** A font that some platforms carry as shipped. */
export interface LocalFont {
  /** The family name that CSS knows it by. */
  name: string;
  /** For `local()`: full name, then PostScript name (CSS Fonts 4 §4.3.1). Styles that it lacks are left out. */
  localNames: Partial<Record<LocalVariant, readonly string[]>>;
  /** Platforms that carry it as shipped; of Linux, its common distributions. */
  platforms: readonly LocalPlatform[];
}

/**
 * Local fonts of equal advances, which are sources of one fallback face: one tuning serves the platforms
 * of all of them. Most are sets of one.
 */
export interface LocalSet {
  /** The name of the font that leads it. */
  name: string;
  class: LocalClass;
  fonts: readonly LocalFont[];
  /**
   * The open font that advances are read from: the font itself, or one drawn to identical advances; the
   * name of a package. Null where there is none: then they are measured on the designer's machine.
   */
  twin: string | null;
  /** Whether the twin's line metrics are those of the font that leads the set as well. */
  linesAsTwin: boolean;
}

type Suffixes = Partial<Record<LocalVariant, string>>;

const HYPHENED: Suffixes = {
  regular: '-Regular',
  bold: '-Bold',
  italic: '-Italic',
  boldItalic: '-BoldItalic',
};
const BARE: Suffixes = { ...HYPHENED, regular: '' };
const MONOTYPE: Suffixes = {
  regular: 'MT',
  bold: '-BoldMT',
  italic: '-ItalicMT',
  boldItalic: '-BoldItalicMT',
};
const OBLIQUE: Suffixes = { ...BARE, italic: '-Oblique', boldItalic: '-BoldOblique' };

const STYLE_WORDS: Record<LocalVariant, string> = {
  regular: '',
  bold: ' Bold',
  italic: ' Italic',
  boldItalic: ' Bold Italic',
};

/** A font whose full and PostScript names follow one of the patterns above. */
function font(
  name: string,
  platforms: readonly LocalPlatform[],
  suffixes: Suffixes = BARE,
  postScript = name.replaceAll(' ', ''),
): LocalFont {
  const oblique = suffixes === OBLIQUE;
  const names = Object.entries(suffixes).map(([variant, suffix]) => {
    const words = STYLE_WORDS[variant as LocalVariant];
    const full = `${name}${oblique ? words.replace('Italic', 'Oblique') : words}`;
    return [variant, [full, `${postScript}${suffix}`]];
  });
  return { name, platforms, localNames: Object.fromEntries(names) as LocalFont['localNames'] };
}

const only = (suffixes: Suffixes, ...variants: LocalVariant[]): Suffixes =>
  Object.fromEntries(variants.map((variant) => [variant, suffixes[variant] ?? '']));

function set(
  setClass: LocalClass,
  fonts: LocalFont[],
  twin: string | null = null,
  linesAsTwin = twin !== null,
): LocalSet {
  return { name: fonts[0]?.name ?? '', class: setClass, fonts, twin, linesAsTwin };
}

const DESKTOPS = ['windows', 'macos'] as const;
const APPLE = ['macos', 'ios'] as const;
const DESKTOPS_IOS = ['windows', 'macos', 'ios'] as const;

/**
 * Local fonts by the key of their set. The platforms and names are as the platforms' makers list them; that
 * Helvetica, Times and Courier have the advances of Arial, Times New Roman and Courier New was checked on
 * open fonts drawn to each.
 */
export const LOCAL_SETS: Readonly<Record<string, LocalSet>> = {
  arial: set(
    'sans-serif',
    [
      font('Arial', DESKTOPS_IOS, MONOTYPE),
      font('Helvetica', APPLE, OBLIQUE),
      font('Liberation Sans', ['linux']),
      font('Arimo', ['chromeos'], HYPHENED),
    ],
    'arimo',
  ),
  roboto: set('sans-serif', [font('Roboto', ['android', 'chromeos'], HYPHENED)], 'roboto'),
  calibri: set(
    'sans-serif',
    [font('Calibri', ['windows']), font('Carlito', ['chromeos'])],
    'carlito',
    false,
  ),
  'pt-sans': set('sans-serif', [font('PT Sans', ['macos'], HYPHENED)], 'pt-sans'),
  'noto-sans': set('sans-serif', [font('Noto Sans', ['chromeos', 'linux'], HYPHENED)], 'noto-sans'),
  'dejavu-sans': set('sans-serif', [font('DejaVu Sans', ['linux'], OBLIQUE)], 'dejavu-sans'),
  cantarell: set(
    'sans-serif',
    [font('Cantarell', ['linux'], only(HYPHENED, 'regular', 'bold'))],
    'cantarell',
  ),
  ubuntu: set('sans-serif', [font('Ubuntu', ['linux'], HYPHENED)], 'ubuntu'),
  'segoe-ui': set('sans-serif', [font('Segoe UI', ['windows'])]),
  verdana: set('sans-serif', [font('Verdana', DESKTOPS)]),
  tahoma: set('sans-serif', [font('Tahoma', DESKTOPS, only(BARE, 'regular', 'bold'))]),
  'trebuchet-ms': set('sans-serif', [
    {
      name: 'Trebuchet MS',
      platforms: DESKTOPS_IOS,
      localNames: {
        regular: ['Trebuchet MS', 'TrebuchetMS'],
        bold: ['Trebuchet MS Bold', 'TrebuchetMS-Bold'],
        italic: ['Trebuchet MS Italic', 'TrebuchetMS-Italic'],
        boldItalic: ['Trebuchet MS Bold Italic', 'Trebuchet-BoldItalic'],
      },
    },
  ]),
  'helvetica-neue': set('sans-serif', [font('Helvetica Neue', APPLE)]),
  'avenir-next': set('sans-serif', [font('Avenir Next', APPLE, HYPHENED)]),
  optima: set('sans-serif', [font('Optima', APPLE, HYPHENED)]),
  'lucida-grande': set('sans-serif', [
    font('Lucida Grande', ['macos'], only(BARE, 'regular', 'bold')),
  ]),
  geneva: set('sans-serif', [font('Geneva', ['macos'], only(BARE, 'regular'))]),
  candara: set('sans-serif', [font('Candara', ['windows'])]),
  corbel: set('sans-serif', [font('Corbel', ['windows'])]),

  georgia: set('serif', [font('Georgia', DESKTOPS_IOS)], 'gelasio', false),
  'times-new-roman': set(
    'serif',
    [
      font('Times New Roman', DESKTOPS_IOS, MONOTYPE, 'TimesNewRomanPS'),
      font('Times', APPLE, { ...HYPHENED, regular: '-Roman' }),
      font('Liberation Serif', ['linux']),
      font('Tinos', ['chromeos'], HYPHENED),
    ],
    'tinos',
  ),
  'noto-serif': set(
    'serif',
    [font('Noto Serif', ['android', 'chromeos', 'linux'], HYPHENED)],
    'noto-serif',
  ),
  cambria: set(
    'serif',
    [font('Cambria', ['windows']), font('Caladea', ['chromeos'], HYPHENED)],
    'caladea',
    false,
  ),
  'pt-serif': set('serif', [font('PT Serif', ['macos'], HYPHENED)], 'pt-serif'),
  'dejavu-serif': set('serif', [font('DejaVu Serif', ['linux'])], 'dejavu-serif'),
  palatino: set('serif', [font('Palatino', APPLE, { ...HYPHENED, regular: '-Roman' })]),
  'palatino-linotype': set('serif', [
    font('Palatino Linotype', ['windows'], { ...HYPHENED, regular: '-Roman' }),
  ]),
  constantia: set('serif', [font('Constantia', ['windows'])]),
  baskerville: set('serif', [font('Baskerville', APPLE)]),
  'hoefler-text': set('serif', [
    font('Hoefler Text', APPLE, { ...HYPHENED, bold: '-Black', boldItalic: '-BlackItalic' }),
  ]),
  'iowan-old-style': set('serif', [
    font('Iowan Old Style', APPLE, { ...HYPHENED, regular: '-Roman' }),
  ]),

  'courier-new': set(
    'monospace',
    [
      font('Courier New', DESKTOPS_IOS, MONOTYPE, 'CourierNewPS'),
      font('Courier', APPLE, OBLIQUE),
      font('Liberation Mono', ['linux']),
      font('Cousine', ['chromeos'], HYPHENED),
    ],
    'cousine',
  ),
  'dejavu-sans-mono': set(
    'monospace',
    [font('DejaVu Sans Mono', ['linux'], OBLIQUE)],
    'dejavu-mono',
  ),
  'noto-sans-mono': set(
    'monospace',
    [font('Noto Sans Mono', ['chromeos', 'linux'], only(HYPHENED, 'regular', 'bold'))],
    'noto-sans-mono',
  ),
  'ubuntu-mono': set('monospace', [font('Ubuntu Mono', ['linux'], HYPHENED)], 'ubuntu-mono'),
  'pt-mono': set('monospace', [font('PT Mono', ['macos'], only(HYPHENED, 'regular'))], 'pt-mono'),
  'droid-sans-mono': set('monospace', [
    font('Droid Sans Mono', ['android'], only(BARE, 'regular')),
  ]),
  consolas: set('monospace', [font('Consolas', ['windows'])]),
  menlo: set('monospace', [font('Menlo', APPLE, HYPHENED)]),
  monaco: set('monospace', [font('Monaco', ['macos'], only(BARE, 'regular'))]),

  'comic-sans-ms': set(
    'cursive',
    [font('Comic Sans MS', DESKTOPS, only(BARE, 'regular', 'bold'))],
    'comic-relief',
    false,
  ),
  'dancing-script': set(
    'cursive',
    [font('Dancing Script', ['android'], only(HYPHENED, 'regular', 'bold'))],
    'dancing-script',
  ),
  'segoe-script': set('cursive', [
    font('Segoe Script', ['windows'], only(BARE, 'regular', 'bold')),
  ]),
  'snell-roundhand': set('cursive', [
    font('Snell Roundhand', APPLE, only(BARE, 'regular', 'bold')),
  ]),
  'bradley-hand': set('cursive', [
    {
      name: 'Bradley Hand',
      platforms: APPLE,
      localNames: { regular: ['Bradley Hand Bold', 'BradleyHandITCTT-Bold'] },
    },
  ]),
  impact: set('fantasy', [font('Impact', DESKTOPS, only(BARE, 'regular'))]),
  papyrus: set('fantasy', [font('Papyrus', APPLE, only(BARE, 'regular'))]),
};

/** A set of local fonts by its key; undefined for one that is not in the table. */
export const localSet = (key: string): LocalSet | undefined =>
  Object.hasOwn(LOCAL_SETS, key) ? LOCAL_SETS[key] : undefined;

/** What a set of local fonts is called: by the font that leads it. */
export const localName = (key: string): string => localSet(key)?.name ?? key;

/** Platforms that carry a font of a set. */
export const platformsOf = (key: string): LocalPlatform[] =>
  PLATFORMS.filter((platform) =>
    localSet(key)?.fonts.some(({ platforms }) => platforms.includes(platform)),
  );

/** The style of a local font that stands for a slant at one of its two weights. */
export const variantOf = (bold: boolean, slant: Slant): LocalVariant =>
  slant === 'italic' ? (bold ? 'boldItalic' : 'italic') : bold ? 'bold' : 'regular';

/** Which of its styles a local font answers a request with by weight alone (CSS Fonts 4 §5.2 over 400 and 700). */
export const localVariant = (weight: number, slant: Slant): LocalVariant =>
  variantOf(weight > 500, slant);

/** Keys of the sets of local fonts that may stand in for a voice: those of its class. */
export const localCandidates = (generic: Generic): string[] =>
  Object.entries(LOCAL_SETS)
    .filter(([, { class: drawn }]) => drawn === generic)
    .map(([key]) => key);
