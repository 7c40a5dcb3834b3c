import type { Face, FaceFile, Family } from '../document/projectDocument';

/** A name in lower-case ASCII letters, digits and hyphens, safe in paths, zips and URLs. */
export function slug(name: string): string {
  return (
    name
      .normalize('NFKD')
      .replace(/[ßẞ]/g, 'ss')
      .replace(/[æÆ]/g, 'ae')
      .replace(/[øØ]/g, 'o')
      .replace(/[þÞ]/g, 'th')
      .replace(/[ðÐ]/g, 'd')
      .toLowerCase()
      .replace(/\p{M}+/gu, '')
      .replace(/[^a-z0-9]+/g, '-')
      .slice(0, 80)
      .replace(/^-+|-+$/g, '') || 'family'
  );
}

const weights = ({ weightMin, weightMax }: Face) =>
  weightMin === weightMax ? `${weightMin}` : `${weightMin}-${weightMax}`;

/** What a face's file is called in the bundle, without its folder: `literata-200-900-italic-latin.woff2`. */
export const fontFileName = (family: Family, face: Face, file: FaceFile): string =>
  `${slug(family.name)}-${weights(face)}-${face.style}-${file.script}.woff2`;
