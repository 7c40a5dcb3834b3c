import { TOGETHER } from './languages/together';
import { pointsOf } from './packed';

/** Letters of languages with scripts of many, by their tags: in groups of those that texts have together, as code points. */
export type LettersTogether = Readonly<Record<string, readonly (readonly number[])[]>>;

const known = new Map<string, readonly (readonly number[])[]>();

/**
 * Letters of a language with a script of many, in groups of those that texts have together: what most texts have is
 * in the first. Empty for any other language.
 * @param tag as the list of languages has it
 */
export function lettersTogether(tag: string): readonly (readonly number[])[] {
  const groups =
    known.get(tag) ?? (Object.hasOwn(TOGETHER, tag) ? (TOGETHER[tag] ?? []).map(pointsOf) : []);
  known.set(tag, groups);
  return groups;
}
