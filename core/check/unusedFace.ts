import type { Face } from '../document/projectDocument';
import { matchFace } from '../style/faceMatch';
import { scriptRequests } from '../style/inLanguage';
import { scriptSeats } from '../style/served';
import { familiesInUse, voiceRequests } from '../style/usage';
import { inWords, type Rule, subjectOf } from './mark';

const nameOf = ({ weightMin, weightMax, style }: Face): string =>
  `${weightMin === weightMax ? weightMin : `${weightMin} to ${weightMax}`}${style === 'normal' ? '' : ` ${style}`}`;

/** Faces of a family in use that no style asks for: left out of the bundle, or in it for nothing where all is kept. */
export const unusedFace: Rule = (document) =>
  familiesInUse(document).flatMap((key) => {
    const family = document.case[key];
    if (!family) return [];
    const requests = Object.entries(document.voices).flatMap(([name, voice]) => [
      ...(voice.family === key ? voiceRequests(document, name) : []),
      ...scriptSeats(voice)
        .filter(({ seat }) => seat.family === key)
        .flatMap(({ script }) => scriptRequests(document, name, script)),
    ]);
    const used = new Set(requests.map((request) => matchFace(family.faces, request)?.face));
    const unused = family.faces.filter((face) => !used.has(face));
    if (unused.length === 0) return [];
    const one = unused.length === 1;
    const fate =
      document.delivery.letters === 'whole'
        ? `${one ? 'it is' : 'they are'} in the bundle for nothing`
        : `${one ? 'it is' : 'they are'} left out of the bundle`;
    return [
      {
        rule: 'unused-face',
        stage: 'faces' as const,
        family: key,
        subject: subjectOf(...unused.map(nameOf)),
        message: `${family.name} ${inWords(unused.map(nameOf))}: no style asks for ${one ? 'it' : 'them'}, so ${fate}.`,
        remedy: `Remove what no style needs from the case, or set a style in it.`,
      },
    ];
  });
