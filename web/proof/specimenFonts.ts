import { libraryFaces, type LibraryFamily, type LibraryFile } from '@lettera/core/document';
import { regularFace } from '@lettera/core/measure';
import { onScopeDispose, ref, watch, type Ref } from 'vue';
import { api, urls } from '../api/client';
import { caseFont, inNoOther } from './caseFonts';
import { useProject } from '../store/project';
import { LATE } from './waitingFaces';
import type { LineUpRow } from '../store/rows/rows';

/** Whether a specimen shows in its own face yet. */
export type SpecimenState = 'loading' | 'shown' | 'failed';

/** Rows that are scrolled past at speed ask for nothing, milliseconds. */
const PAUSE = 70;

/** What the Latin file of every family holds, as far as text is concerned. */
const LATIN_FILE = /^[\u0020-\u00ff\u0131\u0152\u0153\u2000-\u206f\u20ac\u2122\u2212]*$/;

const libraryFontName = (id: string): string => `library ${id}`;

/** The CSS family that a row is set in. */
export const rowFont = (row: LineUpRow): string =>
  row.library ? inNoOther(libraryFontName(row.library.id)) : caseFont(row.caseKey);

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

/** Something that is set in a family of the library or of the case. */
export interface Specimen {
  /** As CSS has the family: what stands after it in the list is never waited for. */
  font: string;
  words: string;
  /** Its family, where it is the library's. */
  library?: LibraryFamily | null | undefined;
  weight?: number | string | null | undefined;
  slant?: string | null | undefined;
}

/** The first family of a list, as CSS writes it. */
const firstOf = (font: string): string => /^\s*("[^"]*"|[^,]*)/.exec(font)?.[1]?.trim() ?? font;
/** A family that CSS names itself is always there. */
const isOwn = (font: string): boolean => firstOf(font).startsWith('"');

/**
 * Has the file that a specimen is set in at hand while it is there, and lets it go with it. Text is shown once its
 * file has come, so that a browser never sets it in another.
 * @returns how far that is; whether it has lasted so long that it should be said; how to ask again; how to have all
 * weights and the italic of a library's family as well
 */
export function useSpecimenFont(specimen: () => Specimen): {
  state: Ref<SpecimenState>;
  late: Ref<boolean>;
  again: () => void;
  haveAll: () => void;
} {
  const project = useProject();
  const state = ref<SpecimenState>(isOwn(specimen().font) ? 'loading' : 'shown');
  const late = ref(false);
  let pause: ReturnType<typeof setTimeout> | undefined;
  let lateness: ReturnType<typeof setTimeout> | undefined;
  let holding: LibraryFamily | null = null;
  let asked = '';

  function letGoOf(): void {
    if (holding) letGo(holding);
    holding = null;
  }

  async function show(one: Specimen): Promise<void> {
    const { font, words, library, weight, slant } = one;
    const face = `${slant && slant !== 'normal' ? `${slant} ` : ''}${weight ?? 400} 16px ${firstOf(font)}`;
    const asking = `${face}\n${words}`;
    asked = asking;
    if (library && holding?.id !== library.id) {
      letGoOf();
      hold(project.id, library);
      holding = library;
    }
    // Without words nothing is asked for, and nothing can be said to have come.
    if (words.trim() === '') return;
    const settle = (to: SpecimenState): unknown => asked === asking && (state.value = to);
    try {
      if (library && !LATIN_FILE.test(words)) await holdWhole(project.id, library);
      await document.fonts.load(face, words);
      settle('shown');
    } catch {
      settle('failed');
    }
  }

  function wait(): void {
    clearTimeout(lateness);
    late.value = false;
    state.value = 'loading';
    lateness = setTimeout(() => (late.value = true), LATE);
  }

  function again(): void {
    letGoOf();
    wait();
    void show(specimen());
  }

  function haveAll(): void {
    const { library } = specimen();
    if (library) addFaces(project.id, library, inLatin(library));
  }

  watch(
    () => {
      const { font, words, library, weight, slant } = specimen();
      return [font, words, library?.id, weight, slant].join('\n');
    },
    (now, before) => {
      const one = specimen();
      clearTimeout(pause);
      if (!isOwn(one.font)) {
        letGoOf();
        state.value = 'shown';
        return;
      }
      // Other words in the same family wait for the files of their script; what was there stays until then.
      if (before?.split('\n')[0] !== now.split('\n')[0]) wait();
      pause = setTimeout(() => void show(one), holding || !one.library ? 0 : PAUSE);
    },
    { immediate: true },
  );
  onScopeDispose(() => {
    clearTimeout(pause);
    clearTimeout(lateness);
    letGoOf();
  });
  return { state, late, again, haveAll };
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
