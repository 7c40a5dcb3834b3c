import type { Patch } from '../document/patch';
import type { ProjectDocument } from '../document/projectDocument';
import type { FaceReading } from '../font';

/** Line metrics of a family's files, as they were read, by hash. */
export type LineReadings = Readonly<
  Record<
    string,
    Pick<
      FaceReading,
      'unitsPerEm' | 'ascent' | 'descent' | 'lineGap' | 'hhea' | 'typo' | 'win' | 'useTypoMetrics'
    >
  >
>;

/**
 * Gives each face of a family, as its own line metrics, those that browsers are expected to take from its
 * file, so that every platform gives it the same line. Lengths in em, to a ten-thousandth.
 * @returns null where a face has not been read
 */
export function pinPatch(
  document: ProjectDocument,
  familyKey: string,
  readings: LineReadings,
): Patch | null {
  const faces = document.case[familyKey]?.faces ?? [];
  const pinned = faces.flatMap((face) => {
    const reading = readings[face.files[0]?.sha256 ?? ''];
    if (!reading) return [];
    const em = (units: number): number => Math.round((units / reading.unitsPerEm) * 1e4) / 1e4;
    const { ascent, descent, lineGap } = reading;
    return [
      {
        ...face,
        pinned: { ascent: em(ascent), descent: em(descent), lineGap: em(lineGap) },
      },
    ];
  });
  return pinned.length > 0 && pinned.length === faces.length
    ? [{ op: 'replace', path: `/case/${familyKey}/faces`, value: pinned }]
    : null;
}
