import type { Patch } from '../document/patch';
import { BODY_STYLE } from '../document/vocabulary';
import { SCALE_BOUNDS } from '../document/scaleBounds';
import { setByHandPatch } from '../scale/byHand';
import { ENDS, stepByNumber, type End } from '../scale/steps';
import { roleOf } from '../style/lineMeasure';
import { stepOf, usersByStep } from '../style/usage';
import type { ProjectDocument } from '../document/projectDocument';
import { inWords, px, styleName, type Mark, type Rule } from './mark';

/** Body text is read at arm's length on a phone; under 12 px nothing is read without effort. CSS px. */
const LEAST = { body: 16, any: 12 };

const mark = (
  document: ProjectDocument,
  styles: readonly string[],
  end: End,
  least: number,
  why: string,
  patch: Patch,
  does: string,
): Mark => {
  const { width } = document.scale[end];
  const size = stepByNumber(document.scale, stepOf(document, styles[0] ?? ''))[end];
  return {
    rule: 'small-text',
    stage: 'scale',
    style: styles[0] ?? '',
    width,
    message: `${inWords(styles.map((key) => styleName(document, key)))}: ${px(size)} at ${width} px is hard to read. ${why} ${least} px.`,
    remedy: `${does}.`,
    fix: { does, patch },
  };
};

/** Body text under 16 px at the small end, and any text under 12 px at either. */
export const smallText: Rule = (document) => {
  const { scale } = document;
  const users = usersByStep(document);
  const marks: Mark[] = [];
  for (const [number, styles] of users) {
    const step = stepByNumber(scale, number);
    for (const end of ENDS) {
      const { width } = scale[end];
      const running = styles.filter((style) => roleOf(document, style) === 'text');
      if (end === 'small' && running.length > 0 && step[end] < LEAST.body - 1e-6) {
        const isBase = number === 0 && !step.setByHand[end] && styles.includes(BODY_STYLE);
        const patch: Patch = isBase
          ? [{ op: 'replace', path: `/scale/${end}/base`, value: LEAST.body }]
          : setByHandPatch(scale, number, end, LEAST.body);
        const does = `Set ${isBase ? 'the base' : step.name} to ${LEAST.body} px at ${width} px`;
        marks.push(mark(document, running, end, LEAST.body, 'Body text wants', patch, does));
      } else if (step[end] < LEAST.any - 1e-6) {
        const patch = setByHandPatch(scale, number, end, Math.max(LEAST.any, SCALE_BOUNDS.size[0]));
        const does = `Set ${step.name} to ${LEAST.any} px at ${width} px`;
        marks.push(mark(document, styles, end, LEAST.any, 'Any text wants', patch, does));
      }
    }
  }
  return marks;
};
