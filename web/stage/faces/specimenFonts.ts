import { libraryFaces, type LibraryFamily, type LibraryFile } from '@lettera/core/document';
import { regularFace } from '@lettera/core/measure';
import { onScopeDispose, ref, toValue, watch, type MaybeRefOrGetter, type Ref } from 'vue';
import { api, urls } from '../../api/client';
import { caseFont } from '../../proof/caseFonts';
import { useProject } from '../../store/project';
import type { LineUpRow } from '../../store/rows/rows';

/** Whether a specimen shows in its own face yet. */
export type SpecimenState = 'loading' | 'shown' | 'failed';

/** Rows that are scrolled past at speed ask for nothing, milliseconds. */
const PAUSE = 70;

/** What the Latin file of every family holds, as far as text is concerned. */
const LATIN_FILE = /^[\u0020-\u00ff\u0131\u0152\u0153\u2000-\u206f\u20ac\u2122\u2212]*$/;

const libraryFontName = (id: string): string => `library ${id}`;

/** The CSS family that a row is set in. */
export const rowFont = (row: LineUpRow): string =>
  row.library ? `"${libraryFontName(row.library.id)}"` : caseFont(row.caseKey);

/** The face that a browser would have to fake bold and italic from: the regular of a row, alone. */
export const loneFontName = (row: LineUpRow): string => `regular of ${row.key}`;

interface Held {
  holders: number;
  faces: FontFace[];
  /** Which files are there, by name. */
  names: Set<string>;
  /** Whether the files of all scripts are there, and not the Latin ones alone. */
  whole: boolean;
}

const held = new Map<string, Held>();

function addFaces(
  projectId: string,
  family: LibraryFamily,
  files: readonly (LibraryFile & { unicodeRange?: string })[],
): void {
  const entry = held.get(family.id);
  if (!entry) return;
  for (const { name, style, weightMin, weightMax, unicodeRange } of files) {
    if (entry.names.has(name)) continue;
    entry.names.add(name);
    const face = new FontFace(
      libraryFontName(family.id),
      `url(${urls.libraryFont(projectId, family.id, name)})`,
      {
        style,
        weight: weightMin === weightMax ? `${weightMin}` : `${weightMin} ${weightMax}`,
        ...(unicodeRange ? { unicodeRange } : {}),
      },
    );
    document.fonts.add(face);
    entry.faces.push(face);
  }
}

const inLatin = ({ files }: LibraryFamily): LibraryFile[] => {
  const latin = files.filter(({ script }) => script === 'latin');
  return latin.length > 0 ? latin : files;
};

/** Makes the regular of a family known to the page. Each face known costs the page a restyle. */
function hold(projectId: string, family: LibraryFamily): void {
  const entry = held.get(family.id);
  if (entry) {
    entry.holders++;
    return;
  }
  held.set(family.id, { holders: 1, faces: [], names: new Set(), whole: false });
  const latin = inLatin(family);
  const regular = regularFace(libraryFaces({ files: latin }));
  addFaces(projectId, family, regular?.files ?? latin);
}

function letGo({ id }: LibraryFamily): void {
  const entry = held.get(id);
  if (!entry || --entry.holders > 0) return;
  for (const face of entry.faces) document.fonts.delete(face);
  held.delete(id);
}

/** Adds the files of the other scripts, each for its own characters. */
async function holdWhole(projectId: string, family: LibraryFamily): Promise<void> {
  const entry = held.get(family.id);
  if (!entry || entry.whole) return;
  entry.whole = true;
  addFaces(projectId, family, inLatin(family));
  const { files } = await api.libraryDetails(projectId, family.id);
  addFaces(
    projectId,
    family,
    files.filter(({ script }) => script !== 'latin'),
  );
}

/**
 * Has the regular of a family at hand while its row is there, and lets it go with the row.
 * @returns whether the words given show in it; how to have all its weights and its italic as well
 */
export function useSpecimenFont(
  library: LibraryFamily | null,
  words: MaybeRefOrGetter<string>,
): { state: Ref<SpecimenState>; again: () => void; haveAll: () => void } {
  const project = useProject();
  const state = ref<SpecimenState>(library ? 'loading' : 'shown');
  let pause: ReturnType<typeof setTimeout> | undefined;
  let holding = false;

  async function show(family: LibraryFamily): Promise<void> {
    if (!holding) {
      hold(project.id, family);
      holding = true;
    }
    const text = toValue(words);
    try {
      if (!LATIN_FILE.test(text)) await holdWhole(project.id, family);
      await document.fonts.load(`16px "${libraryFontName(family.id)}"`, text);
      state.value = 'shown';
    } catch {
      state.value = 'failed';
    }
  }

  function again(): void {
    if (!library) return;
    if (holding) letGo(library);
    holding = false;
    state.value = 'loading';
    void show(library);
  }

  function haveAll(): void {
    if (library) addFaces(project.id, library, inLatin(library));
  }

  if (library) {
    watch(
      () => toValue(words),
      () => {
        clearTimeout(pause);
        pause = setTimeout(() => void show(library), holding ? 0 : PAUSE);
      },
      { immediate: true },
    );
    onScopeDispose(() => {
      clearTimeout(pause);
      if (holding) letGo(library);
    });
  }
  return { state, again, haveAll };
}

/** Address and weight of the file that holds a row's regular, in Latin where there is a choice. */
function regularFile(projectId: string, row: LineUpRow): { url: string; weight: number } | null {
  const project = useProject();
  const caseFaces = project.document?.case[row.caseKey ?? '']?.faces ?? [];
  if (!row.library) {
    const face = regularFace(caseFaces);
    const file = face?.files.find(({ script }) => script === 'latin') ?? face?.files[0];
    return face && file ? { url: urls.font(projectId, file.sha256), weight: face.weightMin } : null;
  }
  const face = regularFace(libraryFaces(row.library));
  const file = face?.files.find(({ script }) => script === 'latin') ?? face?.files[0];
  return face && file
    ? { url: urls.libraryFont(projectId, row.library.id, file.name), weight: face.weightMin }
    : null;
}

/** Has the regular of a row at hand alone, so that what a browser fakes from it can be seen. */
export function useLoneRegular(row: LineUpRow): void {
  const project = useProject();
  const file = regularFile(project.id, row);
  if (!file) return;
  const weight = row.variable ? 400 : file.weight;
  const face = new FontFace(loneFontName(row), `url(${file.url})`, { weight: `${weight}` });
  document.fonts.add(face);
  onScopeDispose(() => document.fonts.delete(face));
}
