import {
  formatUnicodeRange,
  lessUnicodeRange,
  sharedUnicodeRange,
  unitedUnicodeRange,
} from '../css/unicodeRange';
import { siteName } from '../document/familyName';
import { onceFor } from '../document/once';
import { onceForParts } from '../document/onceForParts';
import type { Family, ProjectDocument, ScriptSeat } from '../document/projectDocument';
import { scriptOf, type Script } from '../script';
import { voiceUses } from './usage';

/** A family that a voice sets text in: its own, or that of one script. */
export interface ServedFamily {
  key: string;
  family: Family;
  /** The name that its faces are delivered under. */
  name: string;
  /** How many times the text's size it is set at. */
  size: number;
  /** The script that it serves; null for the voice's own family, which serves what no other does. */
  script: Script | null;
  seat: ScriptSeat | null;
}

type Seated = Pick<ProjectDocument, 'case' | 'voices'>;

/** Seats of scripts in a voice, in the order of the list of scripts' keys as the document has them. */
export const scriptSeats = (
  voice: Pick<ProjectDocument['voices'][string], 'scripts'> | undefined,
): { script: Script; seat: ScriptSeat }[] =>
  Object.entries(voice?.scripts ?? {}).flatMap(([key, seat]) => {
    const script = scriptOf(key);
    return script ? [{ script, seat }] : [];
  });

/** Letters other than Latin begin here; what is before them, and what punctuation all share, stays with the text's own. */
const FIRST_LETTER = 0x370;
const COMMON: readonly [number, number] = [0x2010, 0x206f];
/** The last plane with letters. */
const LAST_LETTER = 0x3ffff;

const ranges = new Map<string, string>();

/** Every character of a script as a `unicode-range`, with the joiners that shape its words; worked out once. */
export function scriptRange({ key, has, signs }: Pick<Script, 'key' | 'has' | 'signs'>): string {
  const known = ranges.get(key);
  if (known !== undefined) return known;
  const points = Array.from(signs, (sign) => sign.codePointAt(0) ?? 0);
  for (let point = FIRST_LETTER; point <= LAST_LETTER; point++) {
    // What is half of another character is none.
    if (point >= 0xd800 && point <= 0xdfff) continue;
    if (point >= COMMON[0] && point <= COMMON[1]) continue;
    if (has.test(String.fromCodePoint(point))) points.push(point);
  }
  const range = formatUnicodeRange(points);
  ranges.set(key, range);
  return range;
}

/** The sizes that a family is set at, its own first, then as voices have it. */
const sizesOf = onceForParts(['voices'], (document) => {
  const sizes = new Map<string, number[]>();
  const add = (key: string, size: number) => {
    const known = sizes.get(key) ?? [];
    if (!known.includes(size)) sizes.set(key, [...known, size]);
  };
  const voices = Object.values(document.voices);
  for (const { family } of voices) if (family !== null) add(family, 1);
  for (const voice of voices)
    for (const { seat } of scriptSeats(voice)) add(seat.family, seat.size);
  return sizes;
});

/** What a family's faces are called at a size: by its own name at the first that it is set at. */
function nameAt(
  document: Pick<ProjectDocument, 'voices'>,
  key: string,
  family: Family,
  size: number,
) {
  const [own] = sizesOf(document).get(key) ?? [];
  const percent = Number((size * 100).toFixed(2));
  return size === (own ?? 1) ? siteName(family) : `${siteName(family)} at ${percent} %`;
}

/**
 * Scripts whose text goes to others wherever a family is a voice's own. Where one voice has another family for a
 * script and a second has not, the first keeps the other before its own.
 */
const leftToOthers = onceForParts(['voices'], (document) => {
  const left = new Map<string, ReadonlySet<string>>();
  for (const { family, scripts = {} } of Object.values(document.voices)) {
    if (family === null) continue;
    const known = left.get(family);
    const here = Object.keys(scripts);
    left.set(family, new Set(known ? here.filter((key) => known.has(key)) : here));
  }
  return left;
});

/** The families that a voice sets text in, in the order in which a browser asks them; empty for an empty seat. */
export function servedBy(document: Seated, voiceKey: string): ServedFamily[] {
  const voice = document.voices[voiceKey];
  const own = voice?.family ?? null;
  const family = own === null ? undefined : document.case[own];
  const left = leftToOthers(document).get(own ?? '');
  const seats = scriptSeats(voice).flatMap(({ script, seat }): ServedFamily[] => {
    const other = document.case[seat.family];
    return other
      ? [
          {
            key: seat.family,
            family: other,
            name: nameAt(document, seat.family, other, seat.size),
            size: seat.size,
            script,
            seat,
          },
        ]
      : [];
  });
  if (own === null || !family) return seats;
  const main: ServedFamily = {
    key: own,
    family,
    name: nameAt(document, own, family, 1),
    size: 1,
    script: null,
    seat: null,
  };
  const isLeft = ({ script }: ServedFamily) => left?.has(script?.key ?? '') ?? false;
  return [...seats.filter((seat) => !isLeft(seat)), main, ...seats.filter(isLeft)];
}

/** A name that a family's faces are delivered under, and how large they are set. */
export interface NamedAt {
  name: string;
  size: number;
}

/** Names that a family's faces are delivered under: one for each size that voices in use have it at. */
export function namesOf(document: ProjectDocument, familyKey: string): NamedAt[] {
  const names = new Map<string, NamedAt>();
  for (const voice of voiceUses(document).keys()) {
    for (const { key, name, size } of servedBy(document, voice)) {
      if (key === familyKey) names.set(name, { name, size });
    }
  }
  const family = document.case[familyKey];
  return names.size > 0 || !family ? [...names.values()] : [{ name: siteName(family), size: 1 }];
}

const less = onceFor((scripts: ReadonlySet<string>) =>
  unitedUnicodeRange([...scripts].flatMap((key) => scriptOf(key) ?? []).map(scriptRange)),
);

/** Ranges that have been worked out: each is asked for by several files, styles and marks. */
const servedRanges = onceForParts(['voices'], () => new Map<string, string | null>());

/**
 * The characters that a family's file sets on the site: all of its own where a voice has it as its own family, but for
 * scripts that others serve wherever it is one; else those of the scripts that it is seated for.
 * @param own the file's own `unicode-range`; null for every character
 * @returns null for every character; empty for none
 */
export function servedRange(
  document: Pick<ProjectDocument, 'voices'>,
  familyKey: string,
  own: string | null,
): string | null {
  const known = servedRanges(document);
  const key = `${familyKey} ${own ?? ''}`;
  let range = known.get(key);
  if (range === undefined) {
    range = amongVoices(document, familyKey, own);
    known.set(key, range);
  }
  return range;
}

function amongVoices(
  document: Pick<ProjectDocument, 'voices'>,
  familyKey: string,
  own: string | null,
): string | null {
  const left = leftToOthers(document).get(familyKey);
  if (left) return left.size === 0 ? own : lessUnicodeRange(own, less(left));
  const scripts = Object.values(document.voices).flatMap((voice) =>
    scriptSeats(voice).flatMap(({ script, seat }) => (seat.family === familyKey ? [script] : [])),
  );
  if (scripts.length === 0) return own;
  return sharedUnicodeRange(own, unitedUnicodeRange(scripts.map(scriptRange)));
}

/** Paths in the document at which a family is seated. */
export const seatPaths = (
  { voices }: Pick<ProjectDocument, 'voices'>,
  familyKey: string,
): string[] =>
  Object.entries(voices).flatMap(([voice, { family, scripts = {} }]) => [
    ...(family === familyKey ? [`/voices/${voice}/family`] : []),
    ...Object.entries(scripts).flatMap(([script, seat]) =>
      seat.family === familyKey ? [`/voices/${voice}/scripts/${script}/family`] : [],
    ),
  ]);
