import { familiesInUse } from '../style/usage';
import { embeddingRights } from '../font/embedding';
import type { Mark, Rule } from './mark';

/** A face in use whose file forbids what a site does with it. */
export const embedding: Rule = (document, { readings = {} }) =>
  familiesInUse(document).flatMap((key): Mark[] => {
    const family = document.case[key];
    if (!family || family.source === 'reference' || family.localOnly) return [];
    const files = family.faces.flatMap((face) => face.files.map(({ sha256 }) => readings[sha256]));
    const forbidding = files.flatMap((reading) => {
      const rights = reading && embeddingRights(reading.fsType);
      return rights?.forbidsWeb ? [{ ...reading, ...rights }] : [];
    });
    const [first] = forbidding;
    if (!first) return [];
    return [
      {
        rule: 'embedding',
        stage: 'faces',
        family: key,
        message: `${first.fullName} would be delivered, though its file says “${first.says}”.`,
        remedy: `Ask its maker for a web licence, take ${family.name} in by reference, or let it show only where visitors have it installed.`,
      },
    ];
  });
