import { siteName } from '../document/familyName';
import type { FaceClass, Generic } from '../document/vocabulary';
import { voiceUses } from '../style/usage';
import type { Mark, Rule } from './mark';

/** The generic family that a class of face ends its stack with; a display face is of no class of text. */
const GENERIC_OF: Readonly<Partial<Record<FaceClass, Generic>>> = {
  serif: 'serif',
  'sans-serif': 'sans-serif',
  monospace: 'monospace',
  handwriting: 'cursive',
};

/** A stack that ends in a generic family of another class than the face. */
export const wrongGeneric: Rule = (document) =>
  [...voiceUses(document).keys()].flatMap((key): Mark[] => {
    const voice = document.voices[key];
    const family = document.case[voice?.family ?? ''];
    const generic = family && GENERIC_OF[family.class];
    if (!voice || !family || !generic || generic === voice.generic) return [];
    return [
      {
        rule: 'wrong-generic',
        stage: 'fallbacks',
        family: voice.family ?? '',
        voice: key,
        message: `${voice.name}: where nothing else is there, visitors see ${voice.generic} in place of ${siteName(family)}, which is ${family.class}.`,
        remedy: `End its stack with ${generic}.`,
        fix: {
          does: `End it with ${generic}`,
          patch: [{ op: 'replace', path: `/voices/${key}/generic`, value: generic }],
        },
      },
    ];
  });
