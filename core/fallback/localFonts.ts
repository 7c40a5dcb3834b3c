import type { Generic, Slant } from '../document/vocabulary';
import {
  APPLE,
  BARE,
  DESKTOPS,
  font,
  HYPHENED,
  MONOTYPE,
  OBLIQUE,
  only,
  PLATFORMS,
  set,
  type LocalPlatform,
  type LocalSet,
  type LocalVariant,
} from './localSet';
import { SCRIPT_SETS } from './scriptFonts';

export {
  PLATFORMS,
  VARIANTS,
  type LocalClass,
  type LocalFont,
  type LocalPlatform,
  type LocalSet,
  type LocalVariant,
} from './localSet';

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
  ...SCRIPT_SETS,
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
    .filter(([, { class: drawn, script }]) => drawn === generic && script === undefined)
    .map(([key]) => key);

/** Keys of the sets of local fonts that may stand in for a family of one script, those of its class first. */
export const scriptCandidates = (script: string, generic: Generic): string[] => {
  const of = Object.entries(LOCAL_SETS).filter(([, set]) => set.script === script);
  const rank = ({ class: drawn }: LocalSet) => (drawn === generic ? 0 : 1);
  return of.sort(([, a], [, b]) => rank(a) - rank(b)).map(([key]) => key);
};
