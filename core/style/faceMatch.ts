import type { Face, Slant } from '../document/projectDocument';

/** What a style asks of a family. */
export interface FaceRequest {
  weight: number;
  slant: Slant;
}

/** The face a browser takes for a request, and what it makes up for what the face lacks. */
export interface FaceMatch<F> {
  face: F;
  /** The weight that is shown: for a variable face, the one asked for or the nearest end of its range. */
  weight: number;
  /** The strokes are thickened: 600 or more is wanted and the face's weight is less. */
  fakedBold: boolean;
  /** The upright is slanted: an italic is wanted and the family has none. */
  fakedItalic: boolean;
}

export type MatchableFace = Pick<Face, 'style' | 'weightMin' | 'weightMax'>;

/** CSS Fonts 4 §5.2: from this weight on a bold look is wanted, and is made up if it is missing. */
const BOLD = 600;

/**
 * How late a weight stands in the search for another: the search order of CSS Fonts 4 §5.2.4.3 as a
 * number, least first. 400 to 500 is searched up to 500, then down, then up; under 400 down first; over
 * 500 up first.
 */
function distance(wanted: number, offered: number): number {
  const secondRound = 1000;
  const thirdRound = 2000;
  if (offered === wanted) return 0;
  if (wanted >= 400 && wanted <= 500) {
    if (offered > wanted) return offered <= 500 ? offered - wanted : thirdRound + offered - wanted;
    return secondRound + wanted - offered;
  }
  const below = wanted < 400;
  if (offered < wanted) return (below ? 0 : secondRound) + wanted - offered;
  return (below ? secondRound : 0) + offered - wanted;
}

const clamp = (value: number, min: number, max: number) => Math.min(max, Math.max(min, value));

/**
 * The face that a browser takes from a family for a weight and a style: style first, then weight.
 * CSS Fonts 4 §5.2. Total: any non-empty family gives a face.
 * @returns null only for a family without faces
 */
export function matchFace<F extends MatchableFace>(
  faces: readonly F[],
  { weight, slant }: FaceRequest,
): FaceMatch<F> | null {
  const sameSlant = faces.filter((face) => face.style === slant);
  const candidates = sameSlant.length > 0 ? sameSlant : faces;
  let best: { face: F; weight: number; distance: number } | null = null;
  for (const face of candidates) {
    const nearest = clamp(weight, face.weightMin, face.weightMax);
    const late = distance(weight, nearest);
    if (!best || late < best.distance) best = { face, weight: nearest, distance: late };
  }
  return (
    best && {
      face: best.face,
      weight: best.weight,
      fakedBold: weight >= BOLD && best.weight < BOLD,
      fakedItalic: slant === 'italic' && best.face.style !== 'italic',
    }
  );
}
