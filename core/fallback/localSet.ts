import type { Generic } from '../document/vocabulary';

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
  /** Key of the script that it is for; left out for fonts of alphabets. */
  script?: string;
  /**
   * The open font that advances are read from: the font itself, or one drawn to identical advances; the
   * name of a package. Null where there is none: then they are measured on the designer's machine.
   */
  twin: string | null;
  /** Whether the twin's line metrics are those of the font that leads the set as well. */
  linesAsTwin: boolean;
}

export type Suffixes = Partial<Record<LocalVariant, string>>;

export const HYPHENED: Suffixes = {
  regular: '-Regular',
  bold: '-Bold',
  italic: '-Italic',
  boldItalic: '-BoldItalic',
};
export const BARE: Suffixes = { ...HYPHENED, regular: '' };
export const MONOTYPE: Suffixes = {
  regular: 'MT',
  bold: '-BoldMT',
  italic: '-ItalicMT',
  boldItalic: '-BoldItalicMT',
};
export const OBLIQUE: Suffixes = { ...BARE, italic: '-Oblique', boldItalic: '-BoldOblique' };

const STYLE_WORDS: Record<LocalVariant, string> = {
  regular: '',
  bold: ' Bold',
  italic: ' Italic',
  boldItalic: ' Bold Italic',
};

/** A font whose full and PostScript names follow one of the patterns above. */
export function font(
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

export const only = (suffixes: Suffixes, ...variants: LocalVariant[]): Suffixes =>
  Object.fromEntries(variants.map((variant) => [variant, suffixes[variant] ?? '']));

export function set(
  setClass: LocalClass,
  fonts: LocalFont[],
  twin: string | null = null,
  linesAsTwin = twin !== null,
): LocalSet {
  return { name: fonts[0]?.name ?? '', class: setClass, fonts, twin, linesAsTwin };
}

export const DESKTOPS = ['windows', 'macos'] as const;
export const APPLE = ['macos', 'ios'] as const;
