import { matchFace } from '../style/faceMatch';
import { voiceUses } from '../style/usage';
import { weightPatch } from '../style/weightPlan';
import { type Mark, type Rule, subjectOf } from './mark';

/** A weight or an italic that a style asks for and that no face taken has: the browser makes it up. */
export const missingFace: Rule = (document) => {
  const marks: Mark[] = [];
  for (const [voiceKey, { requests }] of voiceUses(document)) {
    const familyKey = document.voices[voiceKey]?.family;
    const family = document.case[familyKey ?? ''];
    if (!familyKey || !family) continue;
    for (const { weight, slant, styles } of requests) {
      const match = matchFace(family.faces, { weight, slant });
      if (!match) continue;
      const names = styles.map((key) => document.styles[key]?.name ?? key).join(', ');
      const about = {
        stage: 'faces',
        family: familyKey,
        style: styles[0],
        voice: voiceKey,
        subject: subjectOf(weight, slant),
      } as const;
      if (match.fakedItalic) {
        marks.push({
          ...about,
          rule: 'faked-italic',
          message: `${names}: the upright of ${family.name} is slanted by the browser, since no italic of it is in the case.`,
          remedy: `Add the italic of ${family.name}, or set the style upright.`,
          lacks: { weight, style: slant },
        });
      }
      if (match.fakedBold) {
        marks.push({
          ...about,
          rule: 'faked-bold',
          message: `${names}: ${family.name} ${match.weight} is thickened by the browser, since ${weight} is asked for.`,
          remedy: `Add ${family.name} ${weight}, or set the style in a weight that is there.`,
          lacks: { weight, style: slant },
        });
      } else if (match.weight !== weight) {
        marks.push({
          ...about,
          rule: 'replaced-weight',
          message: `${names}: shows in ${family.name} ${match.weight}, the nearest to the ${weight} asked for.`,
          remedy: `Add ${family.name} ${weight}, or set the style in ${match.weight}.`,
          lacks: { weight, style: slant },
          fix: {
            does: `Set in ${match.weight}`,
            patch: weightPatch(
              document,
              styles.map((style) => ({ style, from: weight, to: match.weight })),
            ),
          },
        });
      }
    }
  }
  return marks;
};
