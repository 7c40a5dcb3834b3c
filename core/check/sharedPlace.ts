import { sharedPlaces } from '../document/faces';
import { type Rule, subjectOf } from './mark';

/** Two faces of a family that claim the same place: the browser shows the later, and loads both. */
export const sharedPlace: Rule = (document, { readings = {} }) =>
  Object.entries(document.case).flatMap(([key, { name, faces }]) =>
    sharedPlaces(faces).map(([i, j]) => {
      const [one, other] = [i, j].map(
        (at) => readings[faces[at]?.files[0]?.sha256 ?? '']?.fullName ?? `face ${at + 1}`,
      );
      const face = faces[j];
      const place = `${face?.weightMin ?? ''}${face?.style === 'italic' ? ' italic' : ' upright'}`;
      return {
        rule: 'shared-place',
        stage: 'faces' as const,
        family: key,
        subject: subjectOf(...[i, j].map((at) => faces[at]?.files[0]?.sha256.slice(0, 12) ?? '')),
        message: `${name} ${place}: only ${other} shows, since ${one} claims the same place.`,
        remedy: 'Correct the weight, width or style of one of them, or remove it.',
      };
    }),
  );
