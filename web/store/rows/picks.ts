import type { Family, LibraryFamily, Picks } from '@lettera/core/document';

/** Weights that can be picked: the hundreds within a variable axis, with its ends, or each static one. */
export function pickableWeights(
  faces: readonly { weightMin: number; weightMax: number }[],
): number[] {
  const weights = new Set<number>();
  for (const { weightMin, weightMax } of faces) {
    weights.add(weightMin).add(weightMax);
    for (let w = Math.ceil(weightMin / 100) * 100; w <= weightMax; w += 100) weights.add(w);
  }
  return [...weights].sort((a, b) => a - b);
}

/** What a family of the case was taken in with: a variable face by both ends of its range. */
export const picksOf = ({ faces }: Family): Picks => ({
  faces: faces.flatMap(({ style, weightMin, weightMax }) =>
    [...new Set([weightMin, weightMax])].map((weight) => ({ style, weight })),
  ),
  scripts: [...new Set(faces.flatMap(({ files }) => files.map(({ script }) => script)))],
});

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
