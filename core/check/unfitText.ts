import { siteName } from '../document/familyName';
import { BODY_STYLE } from '../document/vocabulary';
import { fitnessOf } from '../measure/fitness';
import { textUseOf } from '../style/textUse';
import { resolveInUse } from '../style/resolve';
import { servedBy } from '../style/served';
import { subjectOf, type Mark, type Rule } from './mark';

/** Running text set in a family that is not drawn for it, in any script: the judgement of Faces and Pair, as a mark. */
export const unfitText: Rule = (document, { measures = {} }) => {
  const voice = resolveInUse(document, BODY_STYLE).voice.value ?? '';
  const seat = document.voices[voice]?.name ?? voice;
  return servedBy(document, voice).flatMap(({ key, family, script }): Mark[] => {
    const measured = measures[key];
    if (!measured || (script && !script.text)) return [];
    const { drawn } = fitnessOf(
      { measures: measured, faces: family.faces, claimed: family.class },
      textUseOf(document),
      script?.key,
    );
    if (drawn.running.verdict !== 'unfit') return [];
    const why = drawn.running.reasons.filter(({ cost }) => cost === Infinity);
    return [
      {
        rule: 'unfit-text',
        stage: 'pair',
        family: key,
        style: BODY_STYLE,
        ...(script ? { subject: subjectOf(script.key) } : {}),
        message: `Running text${script ? ` in ${script.name}` : ''} tires or breaks up: ${siteName(family)} is not drawn for it. ${why.map(({ text }) => text).join('; ')}.`,
        remedy: `Seat a family that is fit for running text in ${seat}${script ? `, for ${script.name}` : ''}.`,
      },
    ];
  });
};
