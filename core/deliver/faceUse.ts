import type { Face, ProjectDocument } from '../document/projectDocument';
import { onceFor } from '../document/once';
import { elementsInAllWays } from '../style/documentAt';
import { PROPERTIES, settingsIn } from '../document/property';
import type { Slant } from '../document/vocabulary';
import { matchFace, type FaceMatch } from '../style/faceMatch';
import { resolveElement, type ResolvedStyle } from '../style/resolve';
import { stepByNumber, stepsOf } from '../scale/steps';
import { documentInLanguage, siteLanguages } from '../style/inLanguage';
import { servedBy } from '../style/served';
import { voiceRequests } from '../style/usage';

/** What the site's text elements ask of a face. */
export interface FaceUse {
  /** The weights that it shows, lightest first. */
  weights: readonly number[];
  /** Whether it is slanted by its own axis or by the browser for an italic that is not there. */
  slanted: boolean;
  /** Least and most size that it is set at where it is drawn for its size, px; null where it never is. */
  sizes: readonly [least: number, most: number] | null;
  /** Points on other axes that styles set, by tag; null among them is the axis as the file has it. */
  points: ReadonlyMap<string, ReadonlySet<number | null>>;
}

class Gathered {
  readonly weights = new Set<number>();
  readonly points = new Map<string, Set<number | null>>();
  readonly sizes: number[] = [];
  slanted = false;
  /** How many requests there were, and how many set each axis. */
  asked = 0;
  readonly setAxes = new Map<string, number>();

  add(
    { scale }: ProjectDocument,
    { step, opticalSize, axes }: Pick<ResolvedStyle, 'step' | 'opticalSize' | 'axes'>,
  ): void {
    this.asked++;
    if (opticalSize.value !== 'none') {
      const { small, large } = stepByNumber(scale, step.value);
      this.sizes.push(small, large);
    }
    const { values } = PROPERTIES.axes;
    for (const [tag, point] of settingsIn(axes.value, values) ?? []) {
      const points = this.points.get(tag) ?? new Set<number | null>();
      this.points.set(tag, points.add(point));
      this.setAxes.set(tag, (this.setAxes.get(tag) ?? 0) + 1);
    }
  }

  get use(): FaceUse {
    for (const [tag, times] of this.setAxes) {
      if (times < this.asked) this.points.get(tag)?.add(null);
    }
    return {
      weights: [...this.weights].sort((a, b) => a - b),
      slanted: this.slanted,
      sizes: this.sizes.length > 0 ? [Math.min(...this.sizes), Math.max(...this.sizes)] : null,
      points: this.points,
    };
  }
}

/**
 * What the text elements ask of each face of the case at any width and on any occasion, by §5.2 of CSS Fonts 4; a face that
 * none asks for is left out. Bold inside italics counts where the delivery has it.
 */
export const faceUses = onceFor((document: ProjectDocument): ReadonlyMap<Face, FaceUse> => {
  const gathered = new Map<Face, Gathered>();
  const of = (face: Face): Gathered => {
    const known = gathered.get(face) ?? new Gathered();
    gathered.set(face, known);
    return known;
  };
  /** Many elements ask for the same: of each family of a voice, the face that answers. */
  const matches = new Map<string, readonly FaceMatch<Face>[]>();
  const matchesOf = (
    voice: string | null,
    weight: number,
    slant: Slant,
  ): readonly FaceMatch<Face>[] => {
    const id = `${voice} ${weight} ${slant}`;
    const known = matches.get(id);
    if (known !== undefined) return known;
    const found = servedBy(document, voice ?? '').flatMap(
      ({ family }) => matchFace(family.faces, { weight, slant }) ?? [],
    );
    matches.set(id, found);
    return found;
  };
  // Elements of one style that stand in the same are resolved once, and ask once.
  const asking = new Map(
    [...elementsInAllWays(document)].map(([at, key]) => [resolveElement(at, key), at]),
  );
  for (const [resolved, at] of asking) {
    const slant = resolved.slant.value;
    for (const match of matchesOf(resolved.voice.value, resolved.weight.value, slant)) {
      const use = of(match.face);
      use.weights.add(match.weight);
      use.slanted ||= slant !== 'normal';
      use.add(at, resolved);
    }
  }
  // Text in a language of a script that has a family of its own may be set otherwise there.
  for (const language of siteLanguages(document)) {
    const { key } = language.script;
    if (!Object.values(document.voices).some(({ scripts = {} }) => scripts[key])) continue;
    const there = documentInLanguage(document, language);
    if (there === document) continue;
    for (const [at, element] of elementsInAllWays(there)) {
      const resolved = resolveElement(at, element);
      const seat = servedBy(document, resolved.voice.value ?? '').find(
        ({ script }) => script?.key === key,
      );
      const { weight, slant } = resolved;
      const match =
        seat && matchFace(seat.family.faces, { weight: weight.value, slant: slant.value });
      if (!match) continue;
      of(match.face).weights.add(match.weight);
      of(match.face).add(at, resolved);
    }
  }
  if (document.delivery.boldItalics) {
    for (const voice of Object.keys(document.voices)) {
      for (const request of voiceRequests(document, voice)) {
        for (const match of matchesOf(voice, request.weight, request.slant)) {
          const use = of(match.face);
          use.weights.add(match.weight);
          // In text of any size.
          for (const { small, large } of stepsOf(document.scale)) use.sizes.push(small, large);
        }
      }
    }
  }
  return new Map([...gathered].map(([face, one]) => [face, one.use]));
});
