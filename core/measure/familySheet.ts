import { unpack } from '../font/container';
import { offeredFeatures, type OfferedFeature } from '../font/features';
import { readFace, type FaceReading } from '../font/reading';
import { Shaper } from '../font/shape';
import { formatUnicodeRange } from '../css/unicodeRange';
import { languagesCovered } from './coverage';
import { weightMeasuresOf, type WeightMeasures } from './weightMeasures';
import type { FamilyMeasures } from './family';
import { measure } from './measureFace';
import { scriptMeasures, type ScriptMeasures } from './scriptMeasures';
import { italicDifferences, italicKind, type LetterDifference } from './trueItalic';

/** The files of one face, the one with Latin letters first, and the weight to read it at. */
export interface FaceFiles {
  files: Uint8Array[];
  weight: number;
}

/** A file of the upright with Latin letters, and the weights that it is measured at. */
export interface WeightedFile {
  file: Uint8Array;
  weights: number[];
}

/** Everything read and measured on a family: what its opened row shows. */
export interface FamilySheet {
  measures: FamilyMeasures;
  /** The reading of the regular's first file. */
  reading: FaceReading;
  /** Characters of the regular over all its files, as a unicode-range. */
  characters: string;
  /** OpenType features that can be switched on in the regular's first file. */
  features: OfferedFeature[];
  /** Letters of the italic beside those of the upright slanted, most different first; empty without one. */
  italicLetters: LetterDifference[];
}

const openAt = async (file: Uint8Array, weight: number): Promise<Shaper> =>
  Shaper.over((await unpack(file)).sfnt, { wght: weight });

const measuredWeights = async ({ file, weights }: WeightedFile): Promise<WeightMeasures[]> => {
  const { sfnt } = await unpack(file);
  return weights.map((weight) =>
    weightMeasuresOf(measure(Shaper.over(sfnt, { wght: weight })), weight),
  );
};

/**
 * Reads and measures a family on its regular, at the weights of its upright and, when there is one, on
 * its italic.
 * @throws FontError when a file is not a font, RangeError when the regular has no file
 */
export async function familySheet(
  regular: FaceFiles,
  italic: FaceFiles | null,
  uprights: readonly WeightedFile[] = [],
): Promise<FamilySheet> {
  const [main] = regular.files;
  if (!main) throw new RangeError('A family is read on one file at least.');
  const shapers = await Promise.all(regular.files.map((file) => openAt(file, regular.weight)));
  const [upright] = shapers as [Shaper];
  const codePoints = new Set(shapers.flatMap(({ characters }) => [...characters]));
  const [italicFile] = italic?.files ?? [];
  const leaning = italic && italicFile ? await openAt(italicFile, italic.weight) : null;
  const italicLetters = leaning ? italicDifferences(upright, leaning) : [];
  return {
    measures: {
      regular: measure(upright),
      weights: (await Promise.all(uprights.map(measuredWeights)))
        .flat()
        .sort((a, b) => a.weight - b.weight),
      italic: leaning ? italicKind(italicLetters) : null,
      languages: languagesCovered((codePoint) => codePoints.has(codePoint)),
      scripts: Object.assign({}, ...shapers.toReversed().map(scriptMeasures)) as Record<
        string,
        ScriptMeasures
      >,
      characters: codePoints.size,
    },
    reading: await readFace(main, { wght: regular.weight }),
    characters: formatUnicodeRange(codePoints),
    features: offeredFeatures(await unpack(main)),
    italicLetters,
  };
}
