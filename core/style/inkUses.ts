import { onceFor } from '../document/once';
import type { ProjectDocument } from '../document/projectDocument';
import { stepByNumber } from '../scale/steps';
import { leastContrast } from './contrast';
import { groundsOf } from './grounds';
import { resolveInUse } from './resolve';
import { stylesInUse } from './usage';

/** Text of one style in its colour, on one of the grounds that it stands on. */
export interface InkUse {
  style: string;
  /** Keys of colours. */
  ink: string;
  ground: string;
  /** The smaller end of its size, CSS px. */
  size: number;
  /** The contrast that WCAG asks of it there. */
  least: number;
}

/** Grounds that text is found on beside those that its elements name, by style. */
export type FoundGrounds = Readonly<Record<string, readonly string[]>>;

/** Every colour of text in use, on each of its grounds, at the size it is used at. */
export function inkUses(document: ProjectDocument, found: FoundGrounds = {}): InkUse[] {
  return stylesInUse(document).flatMap((style) => {
    const { colour, step, weight } = resolveInUse(document, style);
    const ink = colour.value;
    if (ink === null || !document.colours[ink]) return [];
    const { small, large } = stepByNumber(document.scale, step.value);
    const size = Math.min(small, large);
    const least = leastContrast(size, weight.value);
    const grounds = new Set([...(groundsOf(document).get(style) ?? []), ...(found[style] ?? [])]);
    return [...grounds]
      .filter((ground) => document.colours[ground])
      .map((ground) => ({ style, ink, ground, size, least }));
  });
}

/** Every colour of text in use, by its key. */
export const usesByInk = onceFor((document: ProjectDocument): ReadonlyMap<string, InkUse[]> => {
  const uses = new Map<string, InkUse[]>();
  for (const use of inkUses(document)) uses.set(use.ink, [...(uses.get(use.ink) ?? []), use]);
  return uses;
});
