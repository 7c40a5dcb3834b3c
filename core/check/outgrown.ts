import { inUnicodeRange } from '../css/unicodeRange';
import { resolveInUse } from '../style/resolve';
import type { ProjectDocument } from '../document/projectDocument';
import { servedBy, servedRange } from '../style/served';
import { stylesInUse } from '../style/usage';
import { lettersInWords, styleName, subjectOf, type Mark, type Rule } from './mark';

/** Each family that each style in use is set in. */
const usesOf = (document: ProjectDocument) =>
  stylesInUse(document).flatMap((style) =>
    servedBy(document, resolveInUse(document, style).voice.value ?? '').map(({ key, family }) => ({
      style,
      key,
      family,
    })),
  );

/**
 * Text of the page that outgrows the files: its family has the characters, and the files that the site loads do
 * not, as the project stands or as they were delivered last.
 */
export const outgrownFiles: Rule = (
  document,
  { characters = {}, delivered = {}, lastDelivered, page },
) =>
  usesOf(document).flatMap(({ style, key, family }): Mark[] => {
    const has = characters[key];
    const own = has && servedRange(document, key, has);
    const text = page?.letters?.[style];
    if (!page || !own || !text) return [];
    const lackedBy = (range: string | undefined): string[] =>
      range
        ? [...text].filter((letter) => {
            const codePoint = letter.codePointAt(0) ?? 0;
            return (
              letter.trim() && inUnicodeRange(own, codePoint) && !inUnicodeRange(range, codePoint)
            );
          })
        : [];
    const about = { stage: 'deliver', style, family: key, subject: subjectOf(page.title) } as const;
    const who = `${styleName(document, style)}: on “${page.title}”`;
    const { onlyFor } = family;
    const now = lackedBy(delivered[key]);
    if (now.length > 0) {
      const [come, it] = now.length === 1 ? ['comes', 'it'] : ['come', 'them'];
      return [
        {
          ...about,
          rule: 'outgrown-files',
          message: `${who} ${lettersInWords(now)} ${come} from another font, since the files of ${family.name} are cut to other characters.`,
          remedy: `Have ${it} in the files: under Fonts in Deliver.`,
          ...(onlyFor === undefined
            ? {}
            : {
                fix: {
                  does: now.length === 1 ? 'Add it to the files' : 'Add them to the files',
                  patch: [
                    {
                      op: 'add',
                      path: `/case/${key}/onlyFor`,
                      value: `${onlyFor}${now.join('')}`,
                    },
                  ],
                },
              }),
        },
      ];
    }
    const since = lackedBy(lastDelivered?.[key]);
    if (since.length === 0) return [];
    return [
      {
        ...about,
        rule: 'outgrown-delivery',
        message: `${who} ${lettersInWords(since)} ${since.length === 1 ? 'comes' : 'come'} from another font on the site, since the files of ${family.name} that were delivered last have no such ${since.length === 1 ? 'character' : 'characters'}.`,
        remedy: 'Deliver again: the files are made with all that the pages need.',
      },
    ];
  });
