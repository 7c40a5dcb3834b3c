import {
  freeKey,
  libraryFaces,
  type FaceClass,
  type Family,
  type Generic,
  type LibraryFamily,
  type Patch,
  type ProjectDocument,
} from '@lettera/core/document';
import { languageOf } from '@lettera/core/script';
import { weightChanges, weightPatch, type MatchableFace } from '@lettera/core/style';
import type { LineUpRow } from './rows';

/** The generic that stands in for each class of face. */
const GENERIC_OF: Record<FaceClass, Generic> = {
  serif: 'serif',
  'sans-serif': 'sans-serif',
  monospace: 'monospace',
  display: 'sans-serif',
  handwriting: 'cursive',
};

/** The change that seats a family of the case, or none, in a voice: with its generic, and its weights. */
export function seatPatch(
  document: ProjectDocument,
  voice: string,
  familyKey: string | null,
  family: { class: FaceClass; faces: readonly MatchableFace[] } | null,
): Patch {
  const generic = family ? GENERIC_OF[family.class] : undefined;
  const current = document.voices[voice];
  return [
    { op: 'replace', path: `/voices/${voice}/family`, value: familyKey },
    ...(generic && generic !== current?.generic
      ? [
          { op: 'replace' as const, path: `/voices/${voice}/generic`, value: generic },
          { op: 'replace' as const, path: `/voices/${voice}/fallback`, value: null },
        ]
      : []),
    ...(family ? weightPatch(document, weightChanges(document, voice, family.faces)) : []),
  ];
}

/** The change that seats a family of the case in a new voice, which is called by its name, and that voice's key. */
export function ownVoicePatch(
  document: ProjectDocument,
  familyKey: string,
): { patch: Patch; voice: string } {
  const family = document.case[familyKey];
  const voice = freeKey(Object.keys(document.voices), familyKey, 'voice');
  const value = {
    name: (family?.name ?? familyKey).slice(0, 60),
    family: familyKey,
    generic: family ? GENERIC_OF[family.class] : 'sans-serif',
    fallback: null,
  };
  return { patch: [{ op: 'add', path: `/voices/${voice}`, value }], voice };
}

/** A family of the library as it would stand in the case, in its files of a script: to be looked at only. */
export function familyToLookAt(library: LibraryFamily, row: LineUpRow, of = 'latin'): Family {
  const latin = library.files.filter(({ script }) => script === of);
  return {
    name: library.name,
    class: row.class,
    source: 'foundry',
    licence: library.licence,
    faces: libraryFaces({ files: latin.length > 0 ? latin : library.files }).map(
      ({ files, ...face }) => ({
        ...face,
        files: files
          .slice(0, 1)
          .map(({ sha256, script, bytes }) => ({ sha256, script, bytes, unicodeRange: null })),
      }),
    ),
  };
}

/** The change that shows a family in a voice, though it may not have been taken in. */
export function lookPatch(document: ProjectDocument, voice: string, row: LineUpRow): Patch {
  if (row.caseKey) {
    return seatPatch(document, voice, row.caseKey, document.case[row.caseKey] ?? null);
  }
  if (!row.library) return [];
  const family = familyToLookAt(row.library, row);
  const key = freeKey(Object.keys(document.case), row.library.id);
  return [
    { op: 'add', path: `/case/${key}`, value: family },
    ...seatPatch(document, voice, key, family),
  ];
}

const LATIN_1 = 0xff;

/** Scripts of a family that the project's languages need files of. */
export function scriptsNeeded(document: ProjectDocument, family: LibraryFamily): string[] {
  const needed = new Set(['latin']);
  for (const tag of document.languages) {
    const language = languageOf(tag);
    if (!language) continue;
    if (language.script !== 'latin') needed.add(language.script);
    else if ([...language.characters].some((letter) => (letter.codePointAt(0) ?? 0) > LATIN_1)) {
      needed.add('latin-ext');
    }
  }
  const scripts = family.scripts.filter((script) => needed.has(script));
  return scripts.length > 0 ? scripts : family.scripts.slice(0, 1);
}
