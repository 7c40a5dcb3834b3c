import { crossingsOf } from '../scale/crossing';
import { sharedNames } from '../scale/names';
import { stepNumbers } from '../scale/steps';
import type { FieldError } from '../document/fieldError';
import type { Scale } from '../document/scale';

/** A size as errors say it. */
const px = (size: number): string => `${Number(size.toFixed(2))} px`;

/** What does not go together in a scale whose values are each within their bounds. */
export function scaleErrors(scale: Scale): FieldError[] {
  const { small, large, down, up, added = [], display, changeAt } = scale;
  const errors: FieldError[] = [];
  const refuse = (path: string, message: string) => errors.push({ path: `/scale${path}`, message });

  if (small.width >= large.width) {
    refuse('/small/width', `must be less than the large width, which is ${large.width} px`);
  }
  if (changeAt !== undefined && (changeAt <= small.width || changeAt > large.width)) {
    refuse('/changeAt', `must lie between the ends, ${small.width} and ${large.width} px`);
  }
  if (added.some((number) => number <= -down || number >= up)) {
    refuse('/added', `must stand between two steps, which run from ${-down} to ${up}`);
  }
  if (display && display.from > up) {
    refuse('/display/from', `is step ${display.from}, but the highest is ${up}`);
  }
  const { floor, ceiling } = scale;
  if (floor !== undefined && ceiling !== undefined && floor > ceiling) {
    refuse('/floor', `must not be above what no step is larger than, which is ${px(ceiling)}`);
  }
  if (errors.length > 0) return errors;

  for (const name of sharedNames(scale, stepNumbers(scale))) {
    refuse('/names', `gives two steps the name “${name}”`);
  }
  if (!scale.crossing) {
    for (const { end, lower, higher } of crossingsOf(scale).slice(0, 1)) {
      const width = scale[end].width;
      refuse(
        '/crossing',
        `must be allowed first: ${higher.name} would be smaller than ${lower.name} at ${width} px, ${px(higher[end])} against ${px(lower[end])}`,
      );
    }
  }
  return errors;
}
