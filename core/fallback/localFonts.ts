import type { Generic, Slant } from '../document/vocabulary';

export const PLATFORMS = ['windows', 'macos', 'ios', 'android', 'chromeos', 'linux'] as const;
export type LocalPlatform = (typeof PLATFORMS)[number];

/** Where most visits come from; a font that more of these carry serves more visitors. */
export const MAIN_PLATFORMS: readonly LocalPlatform[] = ['windows', 'macos', 'ios', 'android'];

/** The four styles that system text fonts come in. */
export type LocalVariant = 'regular' | 'bold' | 'italic' | 'boldItalic';

/** A font that some platforms carry as shipped. */
export interface LocalFont {
  /** The family name that CSS knows it by. */
  name: string;
  generic: Exclude<Generic, 'cursive'>;
  /** For `local()`: full name, then PostScript name (CSS Fonts 4 §4.3.1). */
  localNames: Record<LocalVariant, readonly string[]>;
  /** Platforms that carry it as shipped. */
  platforms: readonly LocalPlatform[];
  /**
   * The open font that its advance widths are read from: itself, or one drawn to identical advances.
   * The key of a family in the foundry's set of twins.
   */
  twin: string;
}

/** Full and PostScript names after the pattern most foundries follow. */
function usualNames(
  name: string,
  postScript: string,
  suffixes: Record<LocalVariant, string> = {
    regular: 'Regular',
    bold: 'Bold',
    italic: 'Italic',
    boldItalic: 'BoldItalic',
  },
): LocalFont['localNames'] {
  const suffix = (variant: LocalVariant) =>
    suffixes[variant] ? `${postScript}-${suffixes[variant]}` : postScript;
  return {
    regular: [name, suffix('regular')],
    bold: [`${name} Bold`, suffix('bold')],
    italic: [`${name} Italic`, suffix('italic')],
    boldItalic: [`${name} Bold Italic`, suffix('boldItalic')],
  };
}

const MONOTYPE_SUFFIXES = {
  regular: '',
  bold: 'BoldMT',
  italic: 'ItalicMT',
  boldItalic: 'BoldItalicMT',
};
const BARE_SUFFIXES = { regular: '', bold: 'Bold', italic: 'Italic', boldItalic: 'BoldItalic' };

/** Local fonts whose advance widths are known from an open font, by key. */
export const LOCAL_FONTS: Record<string, LocalFont> = {
  arial: {
    name: 'Arial',
    generic: 'sans-serif',
    localNames: {
      ...usualNames('Arial', 'Arial', MONOTYPE_SUFFIXES),
      regular: ['Arial', 'ArialMT'],
    },
    platforms: ['windows', 'macos', 'ios'],
    twin: 'arimo',
  },
  calibri: {
    name: 'Calibri',
    generic: 'sans-serif',
    localNames: usualNames('Calibri', 'Calibri', BARE_SUFFIXES),
    platforms: ['windows'],
    twin: 'carlito',
  },
  roboto: {
    name: 'Roboto',
    generic: 'sans-serif',
    localNames: usualNames('Roboto', 'Roboto'),
    platforms: ['android', 'chromeos'],
    twin: 'roboto',
  },
  'noto-sans': {
    name: 'Noto Sans',
    generic: 'sans-serif',
    localNames: usualNames('Noto Sans', 'NotoSans'),
    platforms: ['chromeos', 'linux'],
    twin: 'noto-sans',
  },
  'dejavu-sans': {
    name: 'DejaVu Sans',
    generic: 'sans-serif',
    localNames: {
      ...usualNames('DejaVu Sans', 'DejaVuSans', BARE_SUFFIXES),
      italic: ['DejaVu Sans Oblique', 'DejaVuSans-Oblique'],
      boldItalic: ['DejaVu Sans Bold Oblique', 'DejaVuSans-BoldOblique'],
    },
    platforms: ['linux'],
    twin: 'dejavu-sans',
  },
  georgia: {
    name: 'Georgia',
    generic: 'serif',
    localNames: usualNames('Georgia', 'Georgia', BARE_SUFFIXES),
    platforms: ['windows', 'macos', 'ios'],
    twin: 'gelasio',
  },
  'times-new-roman': {
    name: 'Times New Roman',
    generic: 'serif',
    localNames: {
      ...usualNames('Times New Roman', 'TimesNewRomanPS', MONOTYPE_SUFFIXES),
      regular: ['Times New Roman', 'TimesNewRomanPSMT'],
    },
    platforms: ['windows', 'macos', 'ios'],
    twin: 'tinos',
  },
  cambria: {
    name: 'Cambria',
    generic: 'serif',
    localNames: usualNames('Cambria', 'Cambria', BARE_SUFFIXES),
    platforms: ['windows'],
    twin: 'caladea',
  },
  'noto-serif': {
    name: 'Noto Serif',
    generic: 'serif',
    localNames: usualNames('Noto Serif', 'NotoSerif'),
    platforms: ['android', 'chromeos', 'linux'],
    twin: 'noto-serif',
  },
  'courier-new': {
    name: 'Courier New',
    generic: 'monospace',
    localNames: {
      ...usualNames('Courier New', 'CourierNewPS', MONOTYPE_SUFFIXES),
      regular: ['Courier New', 'CourierNewPSMT'],
    },
    platforms: ['windows', 'macos', 'ios'],
    twin: 'cousine',
  },
};

/** How many of the main platforms carry a local font as shipped. */
export const mainPlatformsWith = (local: string): number =>
  MAIN_PLATFORMS.filter((platform) => LOCAL_FONTS[local]?.platforms.includes(platform)).length;

/** Which of its four styles a local font answers a request with (CSS Fonts 4 §5.2 over 400 and 700). */
export function localVariant(weight: number, slant: Slant): LocalVariant {
  const bold = weight > 500;
  if (slant === 'italic') return bold ? 'boldItalic' : 'italic';
  return bold ? 'bold' : 'regular';
}

/**
 * Keys of the local fonts that may stand in for a voice: those of its class. No platform ships a
 * handwriting font that another shares, so there every local font is tried.
 */
export function localCandidates(generic: Generic): string[] {
  return Object.entries(LOCAL_FONTS)
    .filter(([, font]) => generic === 'cursive' || font.generic === generic)
    .map(([key]) => key);
}
