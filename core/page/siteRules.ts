import { descriptorOf, PROPERTY_NAMES } from '../document/property';
import type { SheetOfPage } from './readSite';
import { targetOf } from './siteFile';
import { readTypeRules, type ReadRules } from './typeRules';

/** The CSS properties that text styles set, and the shorthands that set them. */
export const TYPE_PROPERTIES: ReadonlySet<string> = new Set(
  PROPERTY_NAMES.map(descriptorOf).flatMap(({ css, shorthands = [] }) => [css, ...shorthands]),
);

/** What the style sheets of a page do to type. @param texts the site's style sheets, by path */
export function rulesOfPage(
  sheets: readonly SheetOfPage[],
  texts: ReadonlyMap<string, string>,
): ReadRules {
  return readTypeRules(
    sheets.map(({ path, media }) => ({ name: path, text: texts.get(path) ?? '', media })),
    {
      properties: TYPE_PROPERTIES,
      imported: (address, from) => {
        const target = targetOf(address, from);
        if (!target || !('path' in target)) return null;
        const text = texts.get(target.path);
        return text === undefined ? null : { name: target.path, text, media: '' };
      },
    },
  );
}
