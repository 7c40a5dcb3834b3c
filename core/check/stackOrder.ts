import { PLATFORM_NAMES } from '../fallback/audience';
import { lacking } from '../fallback/fallbackFace';
import { localName, localSet } from '../fallback/localFonts';
import { orderRemarks } from '../fallback/reach';
import { voiceUses } from '../style/usage';
import { inWords, type Mark, type Remedy, type Rule, subjectOf } from './mark';

/** Removes a local font from a stack. */
const takeOut = (voice: string, locals: readonly string[], local: string): Remedy => ({
  does: `Remove ${localName(local)}`,
  patch: [
    {
      op: 'replace',
      path: `/voices/${voice}/fallback`,
      value: locals.filter((one) => one !== local),
    },
  ],
});

/** Fallback faces that nobody reaches or that are of another class, and letters of the site that no fallback face has. */
export const stackOrder: Rule = (document, { fallback }) =>
  [...voiceUses(document).keys()].flatMap((key): Mark[] => {
    const planned = fallback?.voices[key];
    const voice = document.voices[key];
    if (!planned || !voice) return [];
    const { stack, tuned } = planned;
    const unreached = orderRemarks(stack).flatMap((remark): Mark[] => {
      const one = stack[remark.entry];
      if (one?.kind !== 'fallback' || !remark.unreached) return [];
      const locals = stack.flatMap((other) => (other.kind === 'fallback' ? [other.local] : []));
      const before = remark.shadows.map(
        ({ entry, platforms }) =>
          `${inWords(platforms.map((platform) => PLATFORM_NAMES[platform]))} ${platforms.length === 1 ? 'takes' : 'take'} ${stack[entry]?.name ?? ''}`,
      );
      return [
        {
          rule: 'unreached-fallback',
          stage: 'fallbacks',
          voice: key,
          subject: subjectOf(one.local),
          message: `${voice.name}: nobody gets to ${localName(one.local)}. ${before.length > 0 ? `${inWords(before)} before it.` : 'No platform of the list carries it.'}`,
          remedy:
            before.length > 0
              ? 'Put it before them, or remove it from the stack.'
              : 'Remove it from the stack.',
          fix: takeOut(key, locals, one.local),
        },
      ];
    });
    const foreign = stack.flatMap((entry): Mark[] => {
      const drawn = entry.kind === 'fallback' ? localSet(entry.local)?.class : undefined;
      if (entry.kind !== 'fallback' || !drawn || drawn === voice.generic) return [];
      const locals = stack.flatMap((one) => (one.kind === 'fallback' ? [one.local] : []));
      return [
        {
          rule: 'other-class',
          stage: 'fallbacks',
          voice: key,
          subject: subjectOf(entry.local),
          message: `${voice.name}: ${localName(entry.local)} is ${drawn}, and stands in a stack that ends in ${voice.generic}: visitors who get it see another kind of face.`,
          remedy: `Choose a ${voice.generic} font.`,
          fix: takeOut(key, locals, entry.local),
        },
      ];
    });
    const [first, ...others] = tuned.map((candidate) => new Set(lacking(candidate)));
    const nowhere = [...(first ?? [])].filter(
      (letter) => /\p{L}/u.test(letter) && others.every((lacks) => lacks.has(letter)),
    );
    return nowhere.length === 0
      ? [...unreached, ...foreign]
      : [
          ...unreached,
          ...foreign,
          {
            rule: 'uncovered-letters',
            stage: 'fallbacks',
            voice: key,
            message: `${voice.name}: until the web face is there, ${nowhere.slice(0, 20).join(' ')} ${nowhere.length > 20 ? 'and others ' : ''}show in another font than the words around them. No fallback face of the stack is known to have them.`,
            remedy: 'Put a local font into the stack that has these letters.',
          },
        ];
  });
