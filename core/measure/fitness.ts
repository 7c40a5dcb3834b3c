import type { FaceMeasures } from './measureFace';

/** What a family has on offer, which fitness for text depends on besides its measures. */
export interface OnOffer {
  regular: boolean;
  bold: boolean;
  trueItalic: boolean;
}

/** Whether a family can carry running text, or headings only, and why. */
export interface Fitness {
  use: 'text' | 'headings';
  /** Each reason against text, in words with its figure; when there is none, what speaks for it. */
  reasons: string[];
}

/**
 * What text asks of a face, each limit with its reason. Ours, held to faces known to be one or the
 * other: the oldstyle text faces begin at an x-height of 0.405, which is why the limit is 0.40.
 */
export const TEXT_LIMITS = {
  /** Smaller needs a size that no longer sits with other faces; larger leaves no room above. */
  xHeight: { least: 0.4, most: 0.6 },
  /** Lighter greys out at text sizes; heavier fills in. */
  colour: { least: 0.13, most: 0.24 },
  /** From here on the thin strokes break up on screens at text sizes. */
  contrast: { most: 6 },
};

const em = (value: number): string => `${value.toFixed(2)} em`;

/** Judges fitness for text on the measures of the regular and what else the family offers. */
export function fitnessOf(regular: FaceMeasures, offer: OnOffer): Fitness {
  const { xHeight, colour, contrast, monospaced, lowerCase } = regular;
  const limits = TEXT_LIMITS;
  const against: string[] = [];
  if (lowerCase === 'none') against.push('it has no lower case');
  if (lowerCase === 'capitals') against.push('its lower case is drawn as capitals');
  if (monospaced) against.push('every letter takes the same room');
  if (lowerCase === 'own') {
    if (xHeight !== null && xHeight < limits.xHeight.least) {
      against.push(
        `its x-height is small, ${em(xHeight)} where text wants ${limits.xHeight.least}`,
      );
    }
    if (xHeight !== null && xHeight > limits.xHeight.most) {
      against.push(
        `its x-height is large, ${em(xHeight)} where text wants at most ${limits.xHeight.most}`,
      );
    }
  }
  if (colour !== null && colour < limits.colour.least) {
    against.push(`its strokes are light, ${colour.toFixed(2)} of the x-height`);
  }
  if (colour !== null && colour > limits.colour.most) {
    against.push(`its strokes are heavy, ${colour.toFixed(2)} of the x-height`);
  }
  if (contrast !== null && contrast >= limits.contrast.most) {
    against.push(
      `its thin strokes are hairlines, ${contrast.toFixed(1)} times thinner than the thick`,
    );
  }
  if (!offer.regular) against.push('it has no regular');
  if (!offer.bold) against.push('it has no bold');
  if (!offer.trueItalic) against.push('it has no true italic');
  if (against.length > 0) return { use: 'headings', reasons: against };
  return {
    use: 'text',
    reasons: [
      `x-height ${xHeight === null ? '' : em(xHeight)}`,
      `strokes ${colour?.toFixed(2) ?? ''} of the x-height`,
      `contrast ${contrast?.toFixed(1) ?? ''}`,
      'regular, bold and true italic',
    ],
  };
}

/** A fitness in one sentence. */
export const fitnessSentence = ({ use, reasons }: Fitness): string =>
  use === 'text'
    ? `Fit for text: ${reasons.join(', ')}.`
    : `For headings only: ${reasons.join('; ')}.`;
