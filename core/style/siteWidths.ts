import type { Patch } from '../document/patch';
import { freeKey } from '../document/faces';
import { OCCASION_KEYS, widthInWords } from '../document/occasion';
import type { ProjectDocument, SiteWidth } from '../document/projectDocument';
import type { OwnScale } from '../document/scale';

/** The size of a step of a scale that has one end: its base, and the ratio as often as the step is far from it. */
export const ownSize = ({ base, ratio }: OwnScale, step: number): number => base * ratio ** step;

/** The size of a step on an occasion that has a scale of its own, and its unit; null where it has none. */
export function sizeOn(
  { print, widths }: ProjectDocument,
  key: string,
  step: number,
): { size: number; unit: 'pt' | 'px' } | null {
  if (key === 'print') return print ? { size: ownSize(print, step), unit: 'pt' } : null;
  const own = widths?.[key]?.scale;
  return own ? { size: ownSize(own, step), unit: 'px' } : null;
}

/** Adds a width at which styles may differ. @returns the change, and the key that it has */
export function addWidthPatch(
  { widths }: ProjectDocument,
  width: Omit<SiteWidth, 'name'> & { name?: string },
): { patch: Patch; key: string } {
  const name = width.name ?? widthInWords(width as SiteWidth);
  const wanted = name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
  const key = freeKey([...OCCASION_KEYS, ...Object.keys(widths ?? {})], wanted || 'other', 'width');
  const value = { ...width, name };
  return {
    key,
    patch: widths
      ? [{ op: 'add', path: `/widths/${key}`, value }]
      : [{ op: 'add', path: '/widths', value: { [key]: value } }],
  };
}

/** Removes a width, with all that styles set for it. */
export const removeWidthPatch = ({ styles }: ProjectDocument, key: string): Patch => [
  ...Object.entries(styles).flatMap(([style, { at }]): Patch =>
    at && Object.hasOwn(at, key) ? [{ op: 'remove', path: `/styles/${style}/at/${key}` }] : [],
  ),
  { op: 'remove', path: `/widths/${key}` },
];
