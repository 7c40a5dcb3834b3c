import { composited } from '../css';
import { onceForParts } from '../document/onceForParts';
import type { ProjectDocument } from '../document/projectDocument';
import { GROUND } from '../document/vocabulary';
import { carries, resolveStyle, type StyledProject } from './resolve';

/** The colour that a style puts behind its text; null where it lets show what stands behind. */
const ownGround = (document: StyledProject, style: string): string | null => {
  const { ground } = resolveStyle(document, style);
  return carries(ground) ? ground.value : null;
};

/** What stands behind the text of an element: its style's ground, else that of the nearest element around it. */
function behind(document: StyledProject, style: string, parent: string | null): string {
  for (let [at, around] = [style, parent] as [string, string | null]; ;) {
    const own = ownGround(document, at);
    if (own !== null) return own;
    const next = document.elements[around ?? ''];
    if (!next) return GROUND;
    [at, around] = [next.style, next.parent];
  }
}

/**
 * Keys of the colours that text of each style stands on, wherever a text element wears it: grounds are not
 * inherited, but what has none lets show what stands behind. The page's own is `ground`.
 */
export const groundsOf = onceForParts(
  ['styles', 'elements'],
  (document): ReadonlyMap<string, string[]> => {
    const grounds = new Map<string, string[]>();
    for (const { style, parent } of Object.values(document.elements)) {
      const known = grounds.get(style) ?? [];
      const found = behind(document, style, parent);
      grounds.set(style, known.includes(found) ? known : [...known, found]);
    }
    return grounds;
  },
);

/** What a ground looks like on one side: its colour, where it lets something through over that of the page. */
export function groundColour(
  { colours }: ProjectDocument,
  ground: string,
  side: 'light' | 'dark',
): string {
  const [own, page] = [colours[ground]?.[side], colours[GROUND]?.[side] ?? '#fff'];
  return composited(page, own === undefined || ground === GROUND ? [] : [own]);
}
