import { crossingsOf } from '../scale/crossing';
import { giveBackPatch } from '../scale/byHand';
import { px, type Mark, type Rule, subjectOf } from './mark';

/** Steps of which the higher is the smaller at an end: allowed knowingly, and told. */
export const crossedSteps: Rule = ({ scale }) =>
  crossingsOf(scale).map(({ end, lower, higher }): Mark => {
    const { width } = scale[end];
    const patch = [higher, lower].flatMap(({ number }) => giveBackPatch(scale, number, end));
    return {
      rule: 'crossed-steps',
      stage: 'scale',
      subject: subjectOf(lower.number, higher.number, end),
      width,
      message: `${higher.name} is smaller than ${lower.name} at ${width} px: ${px(higher[end])} against ${px(lower[end])}. The order of levels turns round there.`,
      remedy:
        patch.length > 0 ? 'Give both back to the ratio.' : 'Move one of them past the other.',
      ...(patch.length > 0 ? { fix: { does: 'Give both back to the ratio', patch } } : {}),
    };
  });
