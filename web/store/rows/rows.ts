import { scriptOf } from '@lettera/core/script';
import {
  libraryFaces,
  type FaceClass,
  type Family,
  type LibraryFamily,
} from '@lettera/core/document';
import {
  classesDisagree,
  fitnessOf,
  measuredClass,
  measuresInScript,
  regularFace,
  type FamilyMeasures,
  type Fitness,
  type FitnessUse,
  type ListedFace,
  type MeasuredClass,
} from '@lettera/core/measure';

/** A family as the line-up lists it, from the foundry or from the case. */
export interface LineUpRow {
  /** `library/<id>` or `case/<key>`: what the shortlist calls it too. */
  key: string;
  name: string;
  /** The name as it is searched: without capitals, accents, spaces and signs. */
  plainName: string;
  /** The class that is claimed for it. */
  class: FaceClass;
  /** Its faces, of one script each once. */
  faces: ListedFace[];
  /** Weights of the upright on offer: the range of a variable family, or each of a static one. */
  weights: number[];
  variable: boolean;
  italic: boolean;
  scripts: string[];
  /** The script that it was drawn for. */
  drawnFor: string;
  /** Bytes of the Latin upright nearest to regular, which is what a first face costs. */
  bytes: number;
  licence: string;
  /** Key of the family in the case, when it has been taken in. */
  caseKey: string | null;
  /** Name of the family that stands in for it, of a family by reference. */
  standIn: string | null;
  /** The foundry's own entry; null for a family of the designer's. */
  library: LibraryFamily | null;
  /** What was measured; undefined until it has been, null where it could not be. */
  measures: FamilyMeasures | null | undefined;
  fitness: Fitness | null;
  measuredClass: MeasuredClass | null;
  /** Whether the outlines contradict the class claimed. */
  disputed: boolean;
}

/** The script that families are of unless they say another. */
export const LATIN = 'latin';

/** A name without what people leave out or mistype: capitals, accents, spaces and signs. */
export const plain = (text: string): string =>
  text
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]/gu, '');

/** The distinct weights of faces: both ends of a variable axis, or each static weight. */
export function weightsOf(faces: readonly { weightMin: number; weightMax: number }[]): number[] {
  return [...new Set(faces.flatMap(({ weightMin, weightMax }) => [weightMin, weightMax]))].sort(
    (a, b) => a - b,
  );
}

interface RowSource {
  key: string;
  name: string;
  class: FaceClass;
  faces: (ListedFace & { files: readonly { script: string; bytes: number; sha256: string }[] })[];
  licence: string | null;
  caseKey: string | null;
  standIn?: string | null;
  library?: LibraryFamily | null;
  measures: FamilyMeasures | null | undefined;
  /** Bytes that a site loads of a file; as it is listed where that is not known. */
  bytesOf?: (sha256: string) => number | null | undefined;
  /** How the site sets text, which fitness is judged for. */
  use: FitnessUse;
}

/** The last judgement of each family: rows are made anew far more often than it changes. */
const judged = new WeakMap<FamilyMeasures, { use: FitnessUse; fitness: Fitness }>();

function fitnessFor(measures: FamilyMeasures, source: RowSource): Fitness {
  const { use, faces, class: claimed } = source;
  const known = judged.get(measures);
  if (known?.use === use) return known.fitness;
  const fitness = fitnessOf({ measures, faces, claimed }, use);
  judged.set(measures, { use, fitness });
  return fitness;
}

/** What a family of the designer's own was drawn for, as far as its letters tell: Latin, where it has that. */
function drawnForBy(measures: FamilyMeasures | null | undefined): string {
  const scripts = Object.keys(measures?.scripts ?? {});
  return scripts.includes(LATIN) ? LATIN : (scripts[0] ?? LATIN);
}

/** A family as it is lined up by the letters of a script. */
const rowInScript = (row: LineUpRow, script: string, use: FitnessUse | null): LineUpRow => ({
  ...row,
  measures: row.measures && measuresInScript(row.measures, script),
  // Of scripts of which no text faces were measured, none is known to be fit.
  fitness:
    row.measures && use && scriptOf(script)?.text
      ? fitnessOf({ measures: row.measures, faces: row.faces, claimed: row.class }, use, script)
      : null,
  measuredClass: null,
  disputed: false,
});

const inScript = new WeakMap<LineUpRow, Map<string, { use: FitnessUse | null; row: LineUpRow }>>();

/** Families that can be lined up in a script: those drawn for Latin, or all that have the letters of another. */
export function rowsInScript(
  rows: readonly LineUpRow[],
  script: string,
  use: FitnessUse | null = null,
): LineUpRow[] {
  if (script === LATIN)
    return rows.filter(({ drawnFor, caseKey }) => drawnFor === LATIN || caseKey !== null);
  return rows
    .filter(({ scripts, measures }) =>
      measures ? Object.hasOwn(measures.scripts, script) : scripts.includes(script),
    )
    .map((row) => {
      const known =
        inScript.get(row) ?? new Map<string, { use: FitnessUse | null; row: LineUpRow }>();
      inScript.set(row, known);
      const before = known.get(script);
      if (before?.use === use) return before.row;
      const made = rowInScript(row, script, use);
      known.set(script, { use, row: made });
      return made;
    });
}

function rowOf(listed: RowSource): LineUpRow {
  const {
    faces,
    measures,
    standIn = null,
    library = null,
    bytesOf = () => null,
    use: _use,
    ...source
  } = listed;
  const uprights = faces.filter(({ style }) => style === 'normal');
  const regular = regularFace(faces);
  const file = regular?.files.find(({ script }) => script === 'latin') ?? regular?.files[0];
  const seen = measures ? measuredClass(measures.regular) : null;
  return {
    ...source,
    licence: source.licence ?? '',
    standIn,
    library,
    measures,
    faces: faces.map(({ style, weightMin, weightMax }) => ({ style, weightMin, weightMax })),
    plainName: plain(source.name),
    weights: weightsOf(uprights.length > 0 ? uprights : faces),
    variable: faces.some(({ weightMin, weightMax }) => weightMin < weightMax),
    italic: faces.some(({ style }) => style === 'italic'),
    scripts: [...new Set(faces.flatMap(({ files }) => files.map(({ script }) => script)))],
    drawnFor: library?.drawnFor ?? drawnForBy(measures),
    bytes: file ? (bytesOf(file.sha256) ?? file.bytes) : 0,
    fitness: measures ? fitnessFor(measures, listed) : null,
    measuredClass: seen,
    disputed: classesDisagree(source.class, seen),
  };
}

const CLASSES: readonly FaceClass[] = [
  'serif',
  'sans-serif',
  'monospace',
  'display',
  'handwriting',
];

/** The row of a family of the library. */
export const rowOfLibrary = (
  family: LibraryFamily,
  caseKey: string | null,
  use: FitnessUse,
  measures?: FamilyMeasures | null,
): LineUpRow =>
  rowOf({
    use,
    key: `library/${family.id}`,
    name: family.name,
    class: CLASSES.find((name) => name === family.class) ?? 'display',
    faces: libraryFaces(family),
    licence: family.licence,
    caseKey,
    library: family,
    measures,
  });

/** The row of a family of the case that the library does not list. */
export const rowOfCase = (
  caseKey: string,
  family: Family,
  use: FitnessUse,
  measures?: FamilyMeasures | null,
  bytesOf?: (sha256: string) => number | null | undefined,
): LineUpRow =>
  rowOf({
    use,
    bytesOf,
    key: `case/${caseKey}`,
    name: family.alias ? `${family.alias} (${family.name})` : family.name,
    class: family.class,
    faces: family.faces,
    licence: family.licence,
    caseKey,
    standIn: family.reference?.standIn ?? null,
    measures,
  });
