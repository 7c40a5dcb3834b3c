/** Least and most of a variable axis to keep, in its own units; both the same pins it there. */
export type AxisRange = readonly [least: number, most: number];

/**
 * What is done to a file that was taken in before it is delivered, over packing it as WOFF2: axes limited
 * or pinned, characters and features left out.
 */
export interface Cut {
  /** What is kept of each axis that is limited, by its tag. */
  axes: Readonly<Record<string, AxisRange>>;
  /** The characters that are kept, as a CSS `unicode-range`; null for every one. */
  characters: string | null;
  /** The layout features that are kept, by their tags; null for every one. */
  features: readonly string[] | null;
}

/** Nothing but packed. */
export const PACKED: Cut = { axes: {}, characters: null, features: null };

const NUMBER = '-?\\d+(?:\\.\\d+)?';
const AXIS = new RegExp(`^([\\x21-\\x7e]{4})=(${NUMBER}):(${NUMBER})$`);
const FEATURES = /^features=((?:[\x21-\x7e]{4}(?:,[\x21-\x7e]{4})*)?)$/;
const CHARACTERS = /^U\+[0-9A-F]/;

/** A cut in one line: the same for the same work, whatever asked for it. */
export function cutName({ axes, characters, features }: Cut): string {
  const tags = Object.keys(axes).sort();
  return [
    'woff2',
    ...tags.map((tag) => `${tag}=${axes[tag]?.join(':')}`),
    ...(features ? [`features=${[...features].sort().join(',')}`] : []),
    ...(characters ? [characters.replaceAll(' ', '')] : []),
  ].join(' ');
}

/** The reverse of `cutName`. @throws RangeError for what is no cut */
export function cutOf(name: string): Cut {
  const [first, ...parts] = name.split(' ');
  const axes: Record<string, AxisRange> = {};
  let characters: string | null = null;
  let features: string[] | null = null;
  let known = first === 'woff2';
  for (const part of parts) {
    const [, tags] = FEATURES.exec(part) ?? [];
    const [, tag, least, most] = AXIS.exec(part) ?? [];
    if (tags !== undefined) features = tags === '' ? [] : tags.split(',');
    else if (tag) axes[tag] = [Number(least), Number(most)];
    else if (CHARACTERS.test(part)) characters = part.replaceAll(',', ', ');
    else known = false;
  }
  if (!known) throw new RangeError(`“${name}” is no cut`);
  return { axes, characters, features };
}

/** A file and what is done to it in one line. */
export const madeKey = (source: string, cut: Cut): string => `${source} ${cutName(cut)}`;
