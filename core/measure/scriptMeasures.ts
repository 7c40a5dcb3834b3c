import { boxOf, type Outline } from '../font/outline';
import type { Shaper } from '../font/shape';
import { LANGUAGES, SCRIPTS, type BodyHeight, type Script } from '../script';
import { inkUpward, lengthOf } from './scan';
import { strokeRange } from './strokes';

/** What a face is measured on in one script. Lengths in em; null where it lacks the letter that a measure is taken on. */
export interface ScriptMeasures {
  /** The height that carries the eye along a line: x-height, tooth height, ideographic face. */
  height: number | null;
  /** Thinnest and thickest stroke of one letter. */
  thin: number | null;
  thick: number | null;
  /** Mean advance of a character of running text, spaces counted. */
  advance: number | null;
  /** How high and how low running text reaches with its marks; `bottom` is negative below the baseline. */
  top: number | null;
  bottom: number | null;
}

/** Head lines are looked for in so many places across a letter. */
const LOOKED_AT = 9;
/** A head line runs over the letter: what begins higher than this under the top of the ink is none. */
const AT_THE_TOP = 0.02;

/** Where the head line of a letter begins, seen from below: the lower edge of the ink that its top is of. */
function belowHead(outline: Outline): number | null {
  const { left, right, top } = boxOf(outline);
  const heads = Array.from({ length: LOOKED_AT }, (_, i) => {
    const x = left + ((right - left) * (i + 0.5)) / LOOKED_AT;
    return inkUpward(outline, x).at(-1);
  }).flatMap((span) => (span && top - span.to < AT_THE_TOP ? [span] : []));
  // A stem below it is of one piece with it: the thinnest places are the line alone.
  const thin = heads.map(lengthOf).sort((a, b) => a - b)[Math.floor(heads.length / 4)];
  return thin === undefined ? null : top - thin;
}

function heightOf(face: Shaper, { letters, of }: BodyHeight): number | null {
  for (const letter of letters) {
    const outline = face.outline(letter);
    if (!outline) continue;
    const { top, bottom } = boxOf(outline);
    if (of === 'ink') return top - bottom;
    return of === 'top' ? top : belowHead(outline);
  }
  return null;
}

/** A font of another script of many letters holds some of this one's, as Japanese ones do of traditional Chinese. */
const ENOUGH_OF_MANY = 0.95;

/** Whether a face can set a script: all letters of a sentence, whose punctuation libraries may have in another file, and of a script of many nearly all of a language's. */
function sets(face: Shaper, { key, has, large, sentence }: Script): boolean {
  const holds = (one: string) => face.has(one.codePointAt(0) ?? 0);
  const letters = [...sentence].filter((one) => has.test(one) && /[\p{L}\p{M}]/u.test(one));
  if (!letters.every(holds)) return false;
  return (
    !large ||
    LANGUAGES.filter(({ script }) => script === key).some(({ characters }) => {
      const all = [...characters];
      return all.filter(holds).length >= all.length * ENOUGH_OF_MANY;
    })
  );
}

/** Scripts that a face is measured in. */
const scriptsOf = (face: Shaper): (Script & { body: BodyHeight })[] =>
  SCRIPTS.flatMap((script) => {
    const { body } = script;
    return body && sets(face, script) ? [{ ...script, body }] : [];
  });

/**
 * Measures a face in each script that it can set a sentence of, at the point of its axes that it was opened at.
 * @returns by the script's key
 */
export function scriptMeasures(face: Shaper): Record<string, ScriptMeasures> {
  const kept = (value: number | null) => (value === null ? null : Math.round(value * 1e4) / 1e4);
  return Object.fromEntries(
    scriptsOf(face).map(({ key, body, stroke, sentence, reaches }) => {
      const outline = face.outline(stroke);
      const strokes = outline && strokeRange(outline);
      const ink = face.inkBox(reaches);
      return [
        key,
        {
          height: kept(heightOf(face, body)),
          thin: kept(strokes?.thin ?? null),
          thick: kept(strokes?.thick ?? null),
          advance: kept(face.advance(sentence) / [...sentence].length),
          top: kept(ink?.top ?? null),
          bottom: kept(ink?.bottom ?? null),
        },
      ];
    }),
  );
}
