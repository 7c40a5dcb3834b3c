import type { Face, FaceFile, Family, ProjectDocument } from '../document/projectDocument';
import { familiesInUse } from '../style/usage';
import { fontFileName } from './fileName';

/** A font file that the site will load. */
export interface DeliveredFont {
  familyKey: string;
  family: Family;
  face: Face;
  file: FaceFile;
  /** Its path in the bundle. */
  path: string;
}

/**
 * The font files that the site loads: every face taken of each family whose voice is in use. Families
 * in the case that no voice in use holds are left out. Paths are unique.
 */
export function deliveredFonts(document: ProjectDocument): DeliveredFont[] {
  const taken = new Map<string, number>();
  const uniquePath = (name: string) => {
    const count = (taken.get(name) ?? 0) + 1;
    taken.set(name, count);
    return `fonts/${count === 1 ? name : name.replace(/\.woff2$/, `-${count}.woff2`)}`;
  };
  return familiesInUse(document).flatMap((familyKey) => {
    const family = document.case[familyKey];
    if (!family) return [];
    return family.faces.flatMap((face) =>
      face.files.map((file) => ({
        familyKey,
        family,
        face,
        file,
        path: uniquePath(fontFileName(family, face, file)),
      })),
    );
  });
}
