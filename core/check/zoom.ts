import type { ProjectDocument } from '../document/projectDocument';
import { setByHandPatch } from '../scale/byHand';
import { bendsOf, sizeAt } from '../scale/sizeAt';
import { otherEnd, stepsOf, type Step } from '../scale/steps';
import { passingBound, zoomFailure, type SizeOverWidth } from '../scale/zoom';
import { usersByStep } from '../style/measure';
import { inWords, px, styleName, type Mark, type Rule } from './mark';

/** Text that no zoom of the page doubles in some windows. WCAG 2.2, 1.4.4. */
export const zoom: Rule = (document) => {
  const { scale } = document;
  const from = scale.small.width;
  const users = usersByStep(document);
  return stepsOf(scale).flatMap((step): Mark[] => {
    const styles = users.get(step.number);
    const failing = styles && zoomFailure(over(document, step), from);
    if (!styles || !failing) return [];
    const upper = step.large > step.small ? 'large' : 'small';
    const bound = passingBound(
      (size) => over(document, { ...step, [upper]: size }),
      [step[otherEnd(upper)], step[upper]],
      from,
    );
    const { width } = scale[upper];
    return [
      {
        rule: 'zoom',
        stage: 'scale',
        style: styles[0] ?? '',
        width,
        message: `${inWords(styles.map((key) => styleName(document, key)))}: in windows from ${failing.from} to ${failing.to} px no zoom up to 500 % doubles the text, since it shrinks as the page is zoomed. It runs from ${px(step.small)} to ${px(step.large)}.`,
        remedy: `At ${width} px, ${bound.toFixed(2)} px is the most with which it doubles in every window.`,
        fix: {
          does: `Set ${step.name} to ${bound.toFixed(2)} px at ${width} px`,
          patch: setByHandPatch(scale, step.number, upper, Number(bound.toFixed(2))),
        },
      },
    ];
  });
};

const over = ({ scale }: ProjectDocument, step: Step): SizeOverWidth => ({
  sizeAt: (width) => sizeAt(scale, step, width),
  bends: bendsOf(scale),
});
