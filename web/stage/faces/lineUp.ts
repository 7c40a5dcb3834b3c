import type { LibraryFamily, LibraryFile } from '@lettera/core/document';

export type SortKey = 'name' | 'class' | 'weights' | 'italic' | 'scripts' | 'bytes';

/** A family as the line-up lists it, from the foundry or from the designer's files. */
export interface LineUpRow {
  key: string;
  name: string;
  class: string;
  /** Weights on offer: the range of a variable family, or each of a static one. */
  weights: number[];
  variable: boolean;
  italic: boolean;
  scripts: string[];
  /** Bytes of the Latin upright nearest to regular, which is what a first face costs. */
  bytes: number;
  licence: string;
  /** Key of the family in the case, when it has been taken in. */
  caseKey: string | null;
  /** The foundry's own entry; null for a family from files. */
  library: LibraryFamily | null;
}

const REGULAR = 400;

const offRegular = ({ weightMin, weightMax }: LibraryFile): number =>
  Math.max(weightMin - REGULAR, REGULAR - weightMax, 0);

/** The file that shows a family in the line-up: Latin, upright, nearest to regular. */
export function specimenFile({ files }: LibraryFamily): LibraryFile | undefined {
  return files
    .filter(({ script, style }) => script === 'latin' && style === 'normal')
    .sort((a, b) => offRegular(a) - offRegular(b))[0];
}

/** The distinct weights of a style: both ends of a variable axis, or each static weight. */
export function weightsOf(files: readonly { weightMin: number; weightMax: number }[]): number[] {
  return [...new Set(files.flatMap(({ weightMin, weightMax }) => [weightMin, weightMax]))].sort(
    (a, b) => a - b,
  );
}

/** Weights that can be picked: the hundreds within a variable axis, with its ends, or each static one. */
export function pickableWeights(
  files: readonly { weightMin: number; weightMax: number }[],
): number[] {
  const weights = new Set<number>();
  for (const { weightMin, weightMax } of files) {
    weights.add(weightMin).add(weightMax);
    for (let w = Math.ceil(weightMin / 100) * 100; w <= weightMax; w += 100) weights.add(w);
  }
  return [...weights].sort((a, b) => a - b);
}

export const rowOfLibrary = (family: LibraryFamily, caseKey: string | null): LineUpRow => ({
  key: `library ${family.id}`,
  name: family.name,
  class: family.class,
  weights: weightsOf(family.files),
  variable: family.variable,
  italic: family.files.some(({ style }) => style === 'italic'),
  scripts: family.scripts,
  bytes: specimenFile(family)?.bytes ?? 0,
  licence: family.licence,
  caseKey,
  library: family,
});

const plain = (text: string): string =>
  text
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9]/g, '');

export interface LineUpFilter {
  text: string;
  classes: string[];
}

/** Rows that pass a filter; names typed without spaces, capitals or accents are found all the same. */
export const filterRows = (
  rows: readonly LineUpRow[],
  { text, classes }: LineUpFilter,
): LineUpRow[] =>
  rows.filter(
    (row) =>
      plain(row.name).includes(plain(text)) &&
      (classes.length === 0 || classes.includes(row.class)),
  );

const sortValue = (row: LineUpRow, key: SortKey): number | string => {
  switch (key) {
    case 'weights':
      return (row.weights.at(-1) ?? 0) - (row.weights[0] ?? 0);
    case 'italic':
      return row.italic ? 0 : 1;
    case 'scripts':
      return -row.scripts.length;
    default:
      return row[key];
  }
};

/** Rows in order of a column; equal ones by name. */
export function sortRows(rows: readonly LineUpRow[], key: SortKey, direction: 1 | -1): LineUpRow[] {
  return [...rows].sort((a, b) => {
    const [x, y] = [sortValue(a, key), sortValue(b, key)];
    const order = typeof x === 'string' ? x.localeCompare(String(y), 'en') : Number(x) - Number(y);
    return order * direction || a.name.localeCompare(b.name, 'en');
  });
}

/** Bytes of the files that picks would fetch. A variable file holds all its weights, so it counts once. */
export function pickedBytes(
  family: LibraryFamily,
  scripts: readonly string[],
  faces: readonly { style: string; weight: number }[],
): { bytes: number; files: number } {
  const picked = family.files.filter(
    (file) =>
      scripts.includes(file.script) &&
      faces.some(
        ({ style, weight }) =>
          style === file.style && weight >= file.weightMin && weight <= file.weightMax,
      ),
  );
  return { bytes: picked.reduce((sum, { bytes }) => sum + bytes, 0), files: picked.length };
}
