/** A face as CSS describes it to the browser. */
export interface MatchableFace {
  style: 'normal' | 'italic' | 'oblique';
  weightMin: number;
  weightMax: number;
  /** Percent of the normal width; 100 when left out. */
  widthMin?: number;
  widthMax?: number;
}

/** What a style asks of a family. */
export interface FaceRequest {
  weight: number;
  slant: MatchableFace['style'];
  /** Percent of the normal width; 100 when left out. */
  width?: number;
}

/** The face a browser takes for a request, and what it makes up for what the face lacks. */
export interface FaceMatch<F> {
  face: F;
  /** The weight that is shown: for a variable face, the one asked for or the nearest end of its range. */
  weight: number;
  /** The strokes are thickened: 600 or more is wanted and the face's weight is less. */
  fakedBold: boolean;
  /** The upright is slanted: an italic or oblique is wanted and the family has neither. */
  fakedItalic: boolean;
}

/** From this weight on a bold look is wanted, and is made up if it is missing. */
const BOLD = 600;
const NORMAL_WIDTH = 100;

/** Which styles answer each style, first to last. CSS Fonts 4 §5.2, step 4.2. */
const STYLE_ORDER: Record<MatchableFace['style'], readonly MatchableFace['style'][]> = {
  normal: ['normal', 'oblique', 'italic'],
  italic: ['italic', 'oblique', 'normal'],
  oblique: ['oblique', 'italic', 'normal'],
};

/** Later rounds of a search come after every candidate of the rounds before. */
const ROUND = 10_000;

/**
 * How late a weight stands in the search for another, least first: the order of CSS Fonts 4 §5.2, step
 * 4.3. 400 to 500 is searched up to 500, then down, then up; under 400 down first; over 500 up first.
 */
function weightDistance(wanted: number, offered: number): number {
  const apart = Math.abs(wanted - offered);
  if (apart === 0) return 0;
  if (wanted >= 400 && wanted <= 500) {
    if (offered > wanted) return offered <= 500 ? apart : 2 * ROUND + apart;
    return ROUND + apart;
  }
  const downFirst = wanted < 400;
  return offered < wanted === downFirst ? apart : ROUND + apart;
}

/** The same for widths: up to normal, narrower ones first; over it, wider ones (step 4.1). */
function widthDistance(wanted: number, offered: number): number {
  const apart = Math.abs(wanted - offered);
  const narrowerFirst = wanted <= NORMAL_WIDTH;
  return apart === 0 || offered < wanted === narrowerFirst ? apart : ROUND + apart;
}

const clamp = (value: number, min: number, max: number) => Math.min(max, Math.max(min, value));

/** Those of the candidates that stand first by a measure of how late they come. */
function earliest<F>(candidates: readonly F[], lateness: (candidate: F) => number): F[] {
  const least = Math.min(...candidates.map(lateness));
  return candidates.filter((candidate) => lateness(candidate) === least);
}

/**
 * The face that a browser takes from a family: by width, then by style, then by weight.
 * CSS Fonts 4 §5.2. Total: any non-empty family gives a face.
 * @returns null only for a family without faces
 */
export function matchFace<F extends MatchableFace>(
  faces: readonly F[],
  { weight, slant, width = NORMAL_WIDTH }: FaceRequest,
): FaceMatch<F> | null {
  const byWidth = earliest(faces, ({ widthMin = NORMAL_WIDTH, widthMax = NORMAL_WIDTH }) =>
    widthDistance(width, clamp(width, widthMin, widthMax)),
  );
  const byStyle = earliest(byWidth, ({ style }) => STYLE_ORDER[slant].indexOf(style));
  const weightOf = ({ weightMin, weightMax }: F) => clamp(weight, weightMin, weightMax);
  const [face] = earliest(byStyle, (candidate) => weightDistance(weight, weightOf(candidate)));
  if (!face) return null;
  const shown = weightOf(face);
  return {
    face,
    weight: shown,
    fakedBold: weight >= BOLD && shown < BOLD,
    fakedItalic: slant !== 'normal' && face.style === 'normal',
  };
}
