import {
  genericClass,
  isGenericWord,
  knownFont,
  nearestName,
  systemWord,
} from '../fallback/plainNames';
import type { ProjectDocument } from '../document/projectDocument';
import type { Patch } from '../document/patch';
import { voiceUses } from '../style/usage';
import { type Mark, type Rule, subjectOf } from './mark';

/** What the two generic families that no platforms agree on look like, in words. */
const VAGUE: Readonly<Record<string, string>> = {
  cursive:
    'a comic hand on Windows, a calligraphic one on macOS and iOS, a brush script on Android, and often plain text on Linux',
  fantasy:
    'a heavy poster face on Windows, a rough-edged display face on macOS and iOS, and plain text on Android and Linux',
};

/** A plain name taken out of a stack, or another put in its place. */
function namePatch(
  document: ProjectDocument,
  voice: string,
  at: number,
  instead: string | null,
): Patch {
  const names = document.voices[voice]?.plain ?? [];
  const value = names.flatMap((name, i) => (i === at ? (instead ?? []) : [name]));
  return [{ op: 'replace', path: `/voices/${voice}/plain`, value: [...new Set(value)] }];
}

/** Names that were typed into a stack: generics in its midst, names that nothing answers to, other classes. */
export const plainNames: Rule = (document) =>
  [...voiceUses(document).keys()].flatMap((key): Mark[] => {
    const voice = document.voices[key];
    return (voice?.plain ?? []).flatMap((name, at): Mark[] => {
      const mark = (rule: string, message: string, remedy: string, instead: string | null) => ({
        rule,
        stage: 'fallbacks' as const,
        voice: key,
        subject: subjectOf(name),
        message: `${voice?.name ?? key}: ${message}`,
        remedy,
        fix: {
          does: instead === null ? `Remove ${name}` : `Write ${instead}`,
          patch: namePatch(document, key, at, instead),
        },
      });
      if (isGenericWord(name)) {
        return [
          mark(
            'generic-in-the-middle',
            `${name} stands before the end of the stack, where it would answer for every visitor; it is written as the name of a font, which no platform has.`,
            'A generic family ends a stack.',
            null,
          ),
        ];
      }
      const word = systemWord(name);
      // A word of which nothing is known but where it answers is of every class.
      const known = word?.class ? { class: word.class } : knownFont(name);
      if (!known) {
        const near = nearestName(name);
        return near
          ? [
              mark(
                'misspelt-font',
                `no platform of the list has a font named ${name}, so it is passed over. The nearest name is ${near}.`,
                `Write ${near}.`,
                near,
              ),
            ]
          : [
              mark(
                'unknown-font',
                `${name} is in no platform’s list here: who has it is not known, and where nobody does it is passed over.`,
                'Remove it, unless the visitors have it.',
                null,
              ),
            ];
      }
      return known.class === voice?.generic || genericClass(voice?.generic ?? '') === null
        ? []
        : [
            mark(
              'other-class',
              `${name} is ${known.class}, and stands in a stack that ends in ${voice?.generic ?? ''}: visitors who have it see another kind of face.`,
              `Choose a ${voice?.generic ?? ''} font.`,
              null,
            ),
          ];
    });
  });

/** A stack that ends in a generic family that looks different on every platform. */
export const vagueGeneric: Rule = (document) =>
  [...voiceUses(document).keys()].flatMap((key): Mark[] => {
    const voice = document.voices[key];
    const looks = voice?.family ? VAGUE[voice.generic] : undefined;
    return looks && voice
      ? [
          {
            rule: 'vague-generic',
            stage: 'fallbacks',
            voice: key,
            subject: subjectOf(voice.generic),
            message: `${voice.name}: ${voice.generic} is ${looks}.`,
            remedy: 'Put local fonts of like width before it, or end the stack in another generic.',
          },
        ]
      : [];
  });
