import { siteName } from '../document/familyName';
import type { ProjectDocument } from '../document/projectDocument';
import type { FontDisplay } from '../document/vocabulary';
import { widthRange } from '../document/faces';
import { localSet, type LocalVariant } from '../fallback/localFonts';
import type { PlannedFallbackFace } from '../fallback/plan';
import { namesOf, servedRange, type NamedAt } from '../style/served';
import { cssPercent, cssRule, cssString } from './css';
import type { DeliveredFont } from './delivered';
import type { LocalFace } from './deliveryWays';

/** One value where both ends of a range agree, otherwise both. */
const cssRange = (least: number | string, most: number | string): string =>
  least === most ? `${least}` : `${least} ${most}`;

/** Where a delivered file is found, and that it is WOFF2. */
export const woff2Source = (url: string): string => `url(${cssString(url)}) format("woff2")`;

/**
 * The `@font-face` rule of one delivered file. CSS Fonts 4 §4.
 * @param source the `src`
 * @param as the name and the size that it is delivered at, where those are not its own
 */
export function webFaceRule(
  {
    family,
    face,
    file,
  }: Pick<DeliveredFont, 'family' | 'face'> & { file: Pick<DeliveredFont['file'], 'unicodeRange'> },
  source: string,
  display: FontDisplay | 'block',
  { name, size }: NamedAt = { name: siteName(family), size: 1 },
): string {
  const { weightMin, weightMax, pinned } = face;
  const [widthMin, widthMax] = widthRange(face);
  return cssRule('@font-face', [
    ['font-family', cssString(name)],
    ['font-style', face.style],
    ['font-weight', cssRange(weightMin, weightMax)],
    ...(widthMin === 100 && widthMax === 100
      ? []
      : ([
          ['font-stretch', cssRange(cssPercent(widthMin / 100), cssPercent(widthMax / 100))],
        ] as const)),
    ['font-display', display],
    ['src', source],
    ...(size === 1 ? [] : ([['size-adjust', cssPercent(size)]] as const)),
    ...(pinned
      ? ([
          ['ascent-override', cssPercent(pinned.ascent)],
          ['descent-override', cssPercent(-pinned.descent)],
          ['line-gap-override', cssPercent(pinned.lineGap)],
        ] as const)
      : []),
    ...(file.unicodeRange ? ([['unicode-range', file.unicodeRange]] as const) : []),
  ]);
}

/**
 * The `@font-face` rules of one file of a project: one for each size that voices set its family at, for the characters
 * that it serves there. CSS Fonts 5 §2.1, `size-adjust`.
 */
export function servedFaceRules(
  document: ProjectDocument,
  { familyKey, family, face, file }: Pick<DeliveredFont, 'familyKey' | 'family' | 'face' | 'file'>,
  source: string,
  display: FontDisplay | 'block',
): string {
  const unicodeRange = servedRange(document, familyKey, file.unicodeRange);
  if (unicodeRange === '') return '';
  return namesOf(document, familyKey)
    .map((as) => webFaceRule({ family, face, file: { unicodeRange } }, source, display, as))
    .join('\n');
}

/** The `@font-face` rule of a face that shows only where visitors have it installed. */
export const localFaceRule = ({ family, face, names }: LocalFace, display: FontDisplay): string =>
  webFaceRule(
    { family, face, file: { unicodeRange: null } },
    names.map((name) => `local(${cssString(name)})`).join(', ') ||
      `local(${cssString(family.name)})`,
    family.display ?? display,
  );

/**
 * `local()` for each name that platforms know the face by: of the font that leads its set, and of others for
 * the platforms that no font before them is on.
 */
export function localSources(local: string, variant: LocalVariant): string[] {
  const served = new Set<string>();
  const names = (localSet(local)?.fonts ?? []).flatMap(({ localNames, platforms }) => {
    if (platforms.every((platform) => served.has(platform))) return [];
    for (const platform of platforms) served.add(platform);
    return localNames[variant] ?? [];
  });
  return [...new Set(names)].map((name) => `local(${cssString(name)})`);
}

/**
 * The `@font-face` rule of a fallback face.
 * @param sources the `src` list; the bundle names only local fonts
 */
export function fallbackFaceRule(
  face: PlannedFallbackFace,
  {
    sources = localSources(face.local, face.variant),
    unicodeRange = face.unicodeRange,
  }: { sources?: string[]; unicodeRange?: string | null } = {},
): string {
  return cssRule('@font-face', [
    ['font-family', cssString(face.name)],
    ...(face.slant === 'normal' ? [] : ([['font-style', face.slant]] as const)),
    ['font-weight', `${face.weight}`],
    ['src', sources.join(', ')],
    ['size-adjust', cssPercent(face.sizeAdjust)],
    ...(face.overrides
      ? ([
          ['ascent-override', cssPercent(face.overrides.ascent)],
          ['descent-override', cssPercent(face.overrides.descent)],
          ['line-gap-override', cssPercent(face.overrides.lineGap)],
        ] as const)
      : []),
    ...(unicodeRange ? ([['unicode-range', unicodeRange]] as const) : []),
  ]);
}
