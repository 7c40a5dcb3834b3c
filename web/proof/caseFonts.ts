import type { Family } from '@lettera/core/document';
import { onScopeDispose, watch } from 'vue';
import { useProject } from '../store/project';
import { BLANK, haveBlankFont } from './blankFont';
import { useFontUrl } from './fontUrl';

/** The name by which the workbench sets text in a family of the case. */
export const caseFontName = (familyKey: string): string => `case ${familyKey}`;

/** `font-family` in which the workbench sets text in a family, and where that is not there, in nothing else. */
export const inNoOther = (name: string): string => `"${name}", "${BLANK}"`;

/** `font-family` for a family of the case, quoted for a style binding; without one, the visitor's own. */
export const caseFont = (familyKey: string | null | undefined, generic = 'sans-serif'): string =>
  familyKey ? inNoOther(caseFontName(familyKey)) : generic;

/** How to make each font face of a family, by what tells it from all others. */
function fontFaces(
  fontUrl: (sha256: string) => string,
  key: string,
  family: Family,
): [string, () => FontFace][] {
  return family.faces.flatMap(({ style, weightMin, weightMax, files }) =>
    files.map(({ sha256, unicodeRange }): [string, () => FontFace] => {
      const weight = weightMin === weightMax ? `${weightMin}` : `${weightMin} ${weightMax}`;
      const make = () =>
        new FontFace(caseFontName(key), `url(${fontUrl(sha256)})`, {
          style,
          weight,
          ...(unicodeRange ? { unicodeRange } : {}),
        });
      return [[key, sha256, style, weight].join(' '), make];
    }),
  );
}

/**
 * Makes the families of the open project's case available to the workbench, each file once it is used, and
 * those that are only being looked at.
 */
export function useCaseFonts(): void {
  const project = useProject();
  const fontUrl = useFontUrl();
  const known = new Map<string, FontFace>();
  haveBlankFont();

  watch(
    () => project.shown?.case,
    (families) => {
      const wanted = new Map(
        Object.entries(families ?? {}).flatMap(([key, family]) => fontFaces(fontUrl, key, family)),
      );
      for (const [key, face] of known) {
        if (wanted.has(key)) continue;
        document.fonts.delete(face);
        known.delete(key);
      }
      for (const [key, make] of wanted) {
        if (known.has(key)) continue;
        const face = make();
        document.fonts.add(face);
        known.set(key, face);
      }
    },
    { immediate: true },
  );

  onScopeDispose(() => known.forEach((face) => document.fonts.delete(face)));
}
