import type { Scale } from '../document/scale';
import { scaleAfter } from '../scale/after';
import { moveEndPatch } from '../scale/byHand';
import { bendsOf, sizeAt } from '../scale/sizeAt';
import { otherEnd, stepByNumber, stepsOf, type End, type Step } from '../scale/steps';
import { passingBound, zoomFailure, type SizeOverWidth } from '../scale/zoom';
import { usersByStep } from '../style/usage';
import { inWords, px, styleName, type Mark, type Remedy, type Rule, subjectOf } from './mark';

/** Text that no zoom of the page doubles in some windows. WCAG 2.2, 1.4.4. */
export const zoom: Rule = (document) => {
  const { scale } = document;
  const from = scale.small.width;
  const users = usersByStep(document);
  return stepsOf(scale).flatMap((step): Mark[] => {
    const styles = users.get(step.number);
    const failing = styles && zoomFailure(over(scale, step), from);
    if (!styles || !failing) return [];
    const upper = step.large > step.small ? 'large' : 'small';
    const bound = passingBound(
      (size) => over(scale, { ...step, [upper]: size }),
      [step[otherEnd(upper)], step[upper]],
      from,
    );
    const { width } = scale[upper];
    return [
      {
        rule: 'zoom',
        stage: 'scale',
        style: styles[0] ?? '',
        subject: subjectOf(step.number, upper),
        width,
        message: `${inWords(styles.map((key) => styleName(document, key)))}: in windows from ${failing.from} to ${failing.to} px no zoom up to 500 % doubles the text, since it shrinks as the page is zoomed. It runs from ${px(step.small)} to ${px(step.large)}.`,
        remedy: `At ${width} px, ${bound.toFixed(2)} px is the most with which it doubles in every window.`,
        ...bringDown(scale, step, upper, bound),
      },
    ];
  });
};

/** Parts of the bound by which a step is brought down further, as ratios have three decimals only. */
const FURTHER = [0, 0.002, 0.004, 0.006, 0.008, 0.01];

/** Brings a step down to where it doubles: with its series, so that the order of steps stays. */
function bringDown(
  scale: Scale,
  { number, name }: Step,
  upper: End,
  bound: number,
): { fix?: Remedy } {
  const { width } = scale[upper];
  for (const part of FURTHER) {
    const patch = moveEndPatch(scale, number, upper, bound * (1 - part), false);
    const after = scaleAfter(scale, patch);
    const step = stepByNumber(after, number);
    if (zoomFailure(over(after, step), after.small.width)) continue;
    const size = px(step[upper]);
    return { fix: { does: `Bring ${name} down to ${size} at ${width} px`, patch } };
  }
  return {};
}

const over = (scale: Scale, step: Step): SizeOverWidth => ({
  sizeAt: (width) => sizeAt(scale, step, width),
  bends: bendsOf(scale),
});
