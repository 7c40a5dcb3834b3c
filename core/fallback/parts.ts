import { formatUnicodeRange } from '../font';
import type { Tried } from './groupLetters';
import { meanWordError, type Grouping, type WordModel } from './wordModel';

/** One of the faces that a fallback is made of: a ratio for some of the characters, or for all others. */
export interface FallbackPart {
  /** `size-adjust`; 1 is 100 %. */
  ratio: number;
  /** CSS `unicode-range`; null for every character that no other part has. */
  unicodeRange: string | null;
}

/** Characters that a browser sets as spaces between words. */
export const SPACES = 'U+20, U+A0';

/** A letter stays where it needs no name if that costs less than this share of the whole error. */
const WORTH_NAMING = 0.003;
/** Letters that make up more of the text than this always keep their group. */
const RARE = 0.004;

/**
 * The group whose characters need no range of their own: the one that has most of them, which others that
 * are in no text fall to as well.
 */
function unnamedGroup({ groups, ratios }: Tried): number {
  const sizes = new Float64Array(ratios.length);
  for (const group of groups) sizes[group] = (sizes[group] ?? 0) + 1;
  return sizes.indexOf(Math.max(...sizes));
}

/**
 * Lets go of letters whose group matters little, so that ranges stay short: they go to the group that
 * needs no range, as long as the error on the tuning text stays as it is to a hundredth.
 */
export function withoutTrifles(model: WordModel, tried: Tried): { tried: Tried; unnamed: number } {
  const unnamed = unnamedGroup(tried);
  const groups = tried.groups.slice();
  const shares = model.weights;
  const grouping = { groups, ratios: tried.ratios };
  const order = [...groups.keys()].sort((a, b) => (shares[a] ?? 0) - (shares[b] ?? 0));
  let { error } = tried;
  for (const letter of order) {
    const home = groups[letter] ?? 0;
    if (home === unnamed || (shares[letter] ?? 0) > RARE) continue;
    groups[letter] = unnamed;
    const without = meanWordError(model, grouping);
    if (without - error > tried.error * WORTH_NAMING) groups[letter] = home;
    else error = without;
  }
  return { tried: { ...grouping, error }, unnamed };
}

/**
 * The parts of a grouping: that of all other characters first, then the named groups, and the space's own last.
 * @param unnamed the group that needs no name; null names all, and leaves other characters to `rest`
 */
export function partsOf(
  model: WordModel,
  { groups, ratios }: Grouping,
  { unnamed, rest = 1, space }: { unnamed: number | null; rest?: number; space: number | null },
): FallbackPart[] {
  const parts = [...ratios].flatMap((ratio, group): FallbackPart[] => {
    if (group === unnamed) return [];
    const codes = model.characters.flatMap((character, letter) =>
      groups[letter] === group ? [character.codePointAt(0) ?? 0] : [],
    );
    return codes.length ? [{ ratio, unicodeRange: formatUnicodeRange(codes) }] : [];
  });
  return [
    { ratio: unnamed === null ? rest : (ratios[unnamed] ?? rest), unicodeRange: null },
    ...parts,
    ...(space === null ? [] : [{ ratio: space, unicodeRange: SPACES }]),
  ];
}
