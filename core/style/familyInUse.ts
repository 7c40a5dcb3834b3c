import type { Patch } from '../document/patch';
import { siteName } from '../document/familyName';
import type { ProjectDocument } from '../document/projectDocument';
import { apparentSizePatch } from './apparentSize';
import { scriptOf } from '../script';
import { resolveElement } from './resolve';
import { seatPaths } from './served';

const isScriptSeat = (path: string): boolean => path.includes('/scripts/');

/** A voice that a family is seated in, the text set in it, and what that text shows without it. */
export interface SeatInUse {
  voice: string;
  voiceName: string;
  /** Names of the elements set in the voice. */
  elements: string[];
  /** The generic family that the visitor's own system fills. */
  instead: string;
}

/** Where a family is used on the site, and what each place will show once it is gone. */
export function seatsOf(document: ProjectDocument, familyKey: string): SeatInUse[] {
  return Object.entries(document.voices)
    .flatMap(([voice, { name, generic, family, scripts = {} }]) => [
      ...(family === familyKey ? [{ voice, name, generic }] : []),
      ...Object.entries(scripts).flatMap(([script, seat]) =>
        seat.family === familyKey
          ? [
              {
                voice,
                name: `${name}, ${scriptOf(script)?.name ?? script}`,
                generic: seat.generic ?? generic,
              },
            ]
          : [],
      ),
    ])
    .map(({ voice, name, generic }) => ({
      voice,
      voiceName: name,
      elements: Object.entries(document.elements)
        .filter(([key]) => resolveElement(document, key).voice.value === voice)
        .map(([, element]) => element.name),
      instead: generic,
    }));
}

/** The change that takes a family out of the case and out of every seat. */
export const takeOutPatch = (document: ProjectDocument, familyKey: string): Patch => [
  ...seatPaths(document, familyKey).map((path) =>
    isScriptSeat(path)
      ? { op: 'remove' as const, path: path.replace(/\/family$/, '') }
      : { op: 'replace' as const, path, value: null },
  ),
  { op: 'remove', path: `/case/${familyKey}` },
];

/**
 * The change that seats one family of the case wherever another is.
 * @param keepSize x-height of the old face ÷ that of the new one, to keep text as large to the eye;
 *   null leaves sizes alone
 */
export function replaceFamilyPatch(
  document: ProjectDocument,
  from: string,
  to: string,
  keepSize: number | null,
): Patch {
  const paths = seatPaths(document, from);
  const voices = Object.entries(document.voices).flatMap(([voice, { family }]) =>
    family === from ? [voice] : [],
  );
  return [
    ...paths.map((path) => ({ op: 'replace' as const, path, value: to })),
    ...(keepSize === null ? [] : apparentSizePatch(document, voices, keepSize)),
  ];
}

/** Families of the case that go by the same name on the site, which CSS cannot tell apart. */
export const namesakes = (document: ProjectDocument, familyKey: string): string[] => {
  const own = document.case[familyKey];
  return Object.entries(document.case)
    .filter(([key, family]) => own && key !== familyKey && siteName(family) === siteName(own))
    .map(([key]) => key);
};
