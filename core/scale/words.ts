import type { Scale } from '../document/scale';
import { changeWidth } from './sizeAt';
import type { Step } from './steps';

const figure = (size: number): string => `${Number(size.toFixed(4))} px`;

/** What the widths of a scale are widths of. */
export const widthOf = ({ between }: Pick<Scale, 'between'>): 'viewport' | 'container' =>
  between === 'container' ? 'container' : 'viewport';

/** How a step's size goes between its ends, as a sentence goes on: “runs from 17 px … to 19 px …”. */
export function sizeInWords(scale: Scale, { small, large }: Step): string {
  if (small === large) return `is ${figure(small)}`;
  if (scale.between === 'media') {
    return `is ${figure(small)}, and ${figure(large)} in viewports of ${changeWidth(scale)} px and wider`;
  }
  const where = scale.between === 'container' ? 'in a container' : 'at a viewport';
  return (
    `runs from ${figure(small)} ${where} of ${scale.small.width} px ` +
    `to ${figure(large)} ${where} of ${scale.large.width} px`
  );
}

/** How the sizes of a scale go between their ends, as a sentence. */
export const betweenInWords = (scale: Scale): string =>
  scale.between === 'media'
    ? `Sizes change at a viewport of ${changeWidth(scale)} px.`
    : `Sizes run from a ${widthOf(scale)} of ${scale.small.width} px to one of ${scale.large.width} px.`;
