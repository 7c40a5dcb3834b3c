import type { Slant } from '../document/vocabulary';
import type { FaceMeasures } from './measureFace';
import type { ItalicKind } from './trueItalic';
import type { ScriptMeasures } from './scriptMeasures';
import type { WeightMeasures } from './weightMeasures';

/** What is measured of a family: its regular, its italic, and the languages it can set. */
export interface FamilyMeasures {
  /** The upright at 400, or at the weight nearest to it. */
  regular: FaceMeasures;
  /** What changes with the weight of the upright, at each weight that was measured, lightest first. */
  weights: WeightMeasures[];
  /** How its italic is drawn; null without one. */
  italic: ItalicKind | null;
  /** BCP 47 tags of the languages that its regular has every letter of. */
  languages: string[];
  /** What its regular is measured on in each script that it sets, by the script's key. */
  scripts: Record<string, ScriptMeasures>;
  /** How many characters its regular maps. */
  characters: number;
}

/** A face as a library or the case lists it. */
export interface ListedFace {
  style: Slant;
  weightMin: number;
  weightMax: number;
}

export const REGULAR_WEIGHT = 400;
const BOLD_WEIGHT = 700;
/** Text reads as regular from book to medium, and as bold from semi-bold up. */
const REGULAR_RANGE: [number, number] = [350, 500];
const BOLD_FROM = 600;

/** How far the weights of a face lie from one wanted. */
export const offWeight = ({ weightMin, weightMax }: ListedFace, wanted: number): number =>
  Math.max(weightMin - wanted, wanted - weightMax, 0);

/**
 * The face of a style that is nearest to a weight; upright and regular unless said. Of two that claim the
 * same place it is the later one, which is the one that browsers show.
 */
export function nearestFace<F extends ListedFace>(
  faces: readonly F[],
  style: Slant = 'normal',
  weight = REGULAR_WEIGHT,
): F | undefined {
  return faces
    .filter((face) => face.style === style)
    .reduce<F | undefined>(
      (best, face) => (!best || offWeight(face, weight) <= offWeight(best, weight) ? face : best),
      undefined,
    );
}

/** The face that shows and measures a family: its upright nearest to regular, else its italic. */
export const regularFace = <F extends ListedFace>(faces: readonly F[]): F | undefined =>
  nearestFace(faces) ?? nearestFace(faces, 'italic');

/** The bold that stands beside the regular: the face of a style nearest to 700, when it is bold. */
export function boldFace<F extends ListedFace>(
  faces: readonly F[],
  style: Slant = 'normal',
): F | undefined {
  const face = nearestFace(faces, style, BOLD_WEIGHT);
  return face && face.weightMax >= BOLD_FROM ? face : undefined;
}

/** What a family has on offer, which text needs besides its drawing. */
export interface OnOffer {
  regular: boolean;
  bold: boolean;
  italic: boolean;
}

/** What text needs of a family, and whether it is there. */
export const onOffer = (faces: readonly ListedFace[]): OnOffer => ({
  regular: faces.some(
    ({ style, weightMin, weightMax }) =>
      style === 'normal' && weightMin <= REGULAR_RANGE[1] && weightMax >= REGULAR_RANGE[0],
  ),
  bold: boldFace(faces) !== undefined,
  italic: faces.some(({ style }) => style === 'italic'),
});

/** Where on a variable face's weight axis a weight is found. */
export const weightWithin = ({ weightMin, weightMax }: ListedFace, weight: number): number =>
  Math.min(weightMax, Math.max(weightMin, weight));
