import { siteName } from '../document/familyName';
import { BODY_STYLE } from '../document/vocabulary';
import { fitnessOf } from '../measure/fitness';
import { textUseOf } from '../style/textUse';
import { resolveInUse } from '../style/resolve';
import type { Rule } from './mark';

/** Running text set in a family that is not drawn for it: the judgement of Faces and Pair, as a mark. */
export const unfitText: Rule = (document, { measures = {} }) => {
  const voice = resolveInUse(document, BODY_STYLE).voice.value ?? '';
  const key = document.voices[voice]?.family ?? '';
  const [family, measured] = [document.case[key], measures[key]];
  if (!family || !measured) return [];
  const { drawn } = fitnessOf(
    { measures: measured, faces: family.faces, claimed: family.class },
    textUseOf(document),
  );
  if (drawn.running.verdict !== 'unfit') return [];
  const why = drawn.running.reasons.filter(({ cost }) => cost === Infinity);
  return [
    {
      rule: 'unfit-text',
      stage: 'pair',
      family: key,
      style: BODY_STYLE,
      message: `Running text tires or breaks up: ${siteName(family)} is not drawn for it. ${why.map(({ text }) => text).join('; ')}.`,
      remedy: `Seat a family that is fit for running text in ${document.voices[voice]?.name ?? voice}.`,
    },
  ];
};
