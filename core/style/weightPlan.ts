import type { Patch } from '../document/patch';
import type { ProjectDocument } from '../document/projectDocument';
import type { Slant } from '../document/vocabulary';
import { resolveInUse } from './resolve';
import { voiceUses } from './usage';
import type { MatchableFace } from './faceMatch';

/** A style whose weight a family does not have, and the weight that it gets instead. */
export interface WeightChange {
  style: string;
  from: number;
  to: number;
}

/** Text under this weight greys out at the body's size. */
const LIGHTEST_TEXT = 400;
/** What is bold stays bold where the family has a bold. */
const BOLD = 600;

/** The weights of a family nearest to one wanted: within each face's range, upright or not. */
const offered = (faces: readonly MatchableFace[], wanted: number): number[] =>
  faces.map(({ weightMin, weightMax }) => Math.min(weightMax, Math.max(weightMin, wanted)));

/**
 * The weight on offer that is nearest to one wanted: bold for bold where there is one, and none under 400
 * for what is 400 or more, where there is a choice. Of two as near, the heavier.
 */
export function nearestWeight(faces: readonly MatchableFace[], wanted: number): number {
  const all = [...new Set(offered(faces, wanted))];
  const heavyEnough = all.filter((weight) => weight >= Math.min(wanted, LIGHTEST_TEXT));
  const asBold = heavyEnough.filter((weight) => weight >= BOLD === wanted >= BOLD);
  const choice = [asBold, heavyEnough, all].find((list) => list.length > 0) ?? [wanted];
  return choice.reduce((best, weight) => {
    const [near, far] = [Math.abs(weight - wanted), Math.abs(best - wanted)];
    return near < far || (near === far && weight > best) ? weight : best;
  });
}

/** What the styles of a voice ask for that a family has not, and the nearest sensible weight of each. */
export function weightChanges(
  document: ProjectDocument,
  voice: string,
  faces: readonly MatchableFace[],
): WeightChange[] {
  return (voiceUses(document).get(voice)?.requests ?? []).flatMap(({ weight, slant, styles }) => {
    const ofSlant = faces.filter(({ style }) => (style === 'normal') === (slant === 'normal'));
    const to = nearestWeight(ofSlant.length > 0 ? ofSlant : faces, weight);
    return to === weight ? [] : styles.map((style) => ({ style, from: weight, to }));
  });
}

/** Keys of the styles in use that take their weight from a style. */
const weighedBy = (document: ProjectDocument, source: string): string[] =>
  [...new Set(Object.values(document.elements).map(({ style }) => style))].filter(
    (style) => resolveInUse(document, style).weight.source === source,
  );

/**
 * The change that gives each style its new weight: where the weight is set, when all that follow it there
 * change alike, so that what follows goes on following; else in the style itself.
 */
export function weightPatch(document: ProjectDocument, changes: readonly WeightChange[]): Patch {
  const wanted = new Map(changes.map(({ style, to }) => [style, to]));
  const set = new Map<string, number>();
  for (const { style, to } of changes) {
    const source = resolveInUse(document, style).weight.source;
    const alike =
      source !== null && weighedBy(document, source).every((one) => wanted.get(one) === to);
    set.set(alike ? source : style, to);
  }
  return [...set].map(([style, value]) => ({
    op: 'add',
    path: `/styles/${style}/set/weight`,
    value,
  }));
}

/** The faces to take in for what the styles of a voice ask: the nearest of each, true italics where there are. */
export function facesWanted(
  document: ProjectDocument,
  voice: string,
  faces: readonly MatchableFace[],
): { style: Slant; weight: number }[] {
  const wanted = new Map<string, { style: Slant; weight: number }>();
  const requests = voiceUses(document).get(voice)?.requests ?? [
    { weight: 400, slant: 'normal' as const },
  ];
  for (const { weight, slant } of requests) {
    const ofSlant = faces.filter(({ style }) => (style === 'normal') === (slant === 'normal'));
    const from = ofSlant.length > 0 ? ofSlant : faces;
    const style: Slant =
      ofSlant.length > 0 ? slant : from[0]?.style === 'normal' ? 'normal' : 'italic';
    const face = { style, weight: nearestWeight(from, weight) };
    wanted.set(`${face.style} ${face.weight}`, face);
  }
  return [...wanted.values()];
}
