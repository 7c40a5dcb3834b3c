import type { Patch } from '../document/patch';
import type { ProjectDocument } from '../document/projectDocument';
import { languagePlace } from '../document/styleValues';

/**
 * The change that sets the languages of a site; how text in one that goes is set goes with it, of all text and of
 * single styles. Empty where none is left.
 */
export function languagesPatch(document: ProjectDocument, languages: readonly string[]): Patch {
  if (languages.length === 0) return [];
  const { byLanguage = {}, styles } = document;
  const kept = new Set(languages.map((tag) => tag.toLowerCase()));
  const places = document.languages
    .filter((tag) => !kept.has(tag.toLowerCase()))
    .map(languagePlace);
  const remove = (path: string) => ({ op: 'remove' as const, path });
  return [
    ...Object.keys(byLanguage)
      .filter((key) => !kept.has(key))
      .map((key) => remove(`/byLanguage/${key}`)),
    ...Object.entries(styles).flatMap(([key, { at = {} }]) =>
      places
        .filter((place) => Object.hasOwn(at, place))
        .map((place) => remove(`/styles/${key}/at/${place}`)),
    ),
    { op: 'replace', path: '/languages', value: [...languages] },
  ];
}
