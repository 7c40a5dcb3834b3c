import { siteName } from '../document/familyName';
import type { Face, FaceFile, Family, ProjectDocument } from '../document/projectDocument';
import { familiesInUse } from '../style/usage';
import { fontFileName } from './fileName';

/** A font file that the site will load, or that stands in on the proof for one served elsewhere. */
export interface DeliveredFont {
  familyKey: string;
  family: Family;
  face: Face;
  file: FaceFile;
  /** Its path in the bundle. */
  path: string;
}

/** Files with a path in the bundle each, no two alike. */
export function uniquePaths<F extends Omit<DeliveredFont, 'path'>>(
  fonts: readonly F[],
): (F & { path: string })[] {
  const taken = new Map<string, number>();
  return fonts.map((font) => {
    const name = fontFileName(font.family, font.face, font.file);
    const count = (taken.get(name) ?? 0) + 1;
    taken.set(name, count);
    const path = `fonts/${count === 1 ? name : name.replace(/\.woff2$/, `-${count}.woff2`)}`;
    return { ...font, path };
  });
}

/** Every font file of some families of the case, in their order. */
const fontsOf = (
  document: Pick<ProjectDocument, 'case'>,
  families: readonly string[],
): DeliveredFont[] =>
  uniquePaths(
    families.flatMap((familyKey) => {
      const family = document.case[familyKey];
      return (family?.faces ?? []).flatMap((face) =>
        family ? face.files.map((file) => ({ familyKey, family, face, file })) : [],
      );
    }),
  );

const mayBeDelivered = ({ family }: DeliveredFont): boolean => family.source !== 'reference';

/**
 * The font files that the proof shows: every face taken of each family whose voice is in use, stand-ins
 * of families by reference included, and what stands for families that visitors have installed. Families in the case that no voice in use holds are left out.
 */
export const shownFonts = (document: ProjectDocument): DeliveredFont[] =>
  fontsOf(document, familiesInUse(document));

/** The font files that the site loads from the bundle: those shown but for stand-ins. */
export const deliveredFonts = (document: ProjectDocument): DeliveredFont[] =>
  shownFonts(document).filter((font) => mayBeDelivered(font) && !font.family.localOnly);

/** The font files that the site would load if all of the case were in use. */
export const caseFonts = (document: Pick<ProjectDocument, 'case'>): DeliveredFont[] =>
  fontsOf(document, Object.keys(document.case)).filter(mayBeDelivered);

/** The families in use that someone else's style sheet serves. */
export const referencedFamilies = (
  document: ProjectDocument,
): { name: string; stylesheet: string; standIn: string }[] =>
  familiesInUse(document).flatMap((key) => {
    const family = document.case[key];
    return family?.reference ? [{ name: siteName(family), ...family.reference }] : [];
  });
