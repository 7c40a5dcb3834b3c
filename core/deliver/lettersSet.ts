import type { Face, ProjectDocument } from '../document/projectDocument';
import { onceFor } from '../document/once';
import {
  BOLD_BY_BROWSER,
  readPlace,
  SLANTED_BY_BROWSER,
  type TextPlace,
} from '../document/textPlace';
import type { Slant } from '../document/vocabulary';
import { elementsInAllWays } from '../style/documentAt';
import { matchFace } from '../style/faceMatch';
import { documentInLanguage, siteLanguages } from '../style/inLanguage';
import { carries, resolveElement } from '../style/resolve';
import { typedTexts } from './neededCharacters';

/** What may be said of a property at a place, in any state, width or language; and whether it always is. */
class Said<T> {
  readonly values = new Set<T>();
  always = false;
}

interface ElementSays {
  voice: Said<string>;
  weight: Said<number>;
  slant: Said<Slant>;
}

const nothing = (): ElementSays => ({ voice: new Said(), weight: new Said(), slant: new Said() });
const PROPERTIES = ['voice', 'weight', 'slant'] as const;
const BOLD = 700;

/** What each text element says of the face that it is set in, and what browsers do, by keys and marks. */
const saidBy = onceFor((document: ProjectDocument): ReadonlyMap<string, ElementSays> => {
  const said = new Map<string, ElementSays>();
  const of = (key: string): ElementSays => {
    const known = said.get(key) ?? nothing();
    said.set(key, known);
    return known;
  };
  of(BOLD_BY_BROWSER).weight.values.add(BOLD);
  of(SLANTED_BY_BROWSER).slant.values.add('italic');
  const languages = siteLanguages(document).map((one) => documentInLanguage(document, one));
  for (const there of new Set([document, ...languages])) {
    for (const [at, element] of elementsInAllWays(there)) {
      const resolved = resolveElement(at, element);
      const says = of(element);
      if (carries(resolved.voice) && resolved.voice.value)
        says.voice.values.add(resolved.voice.value);
      if (carries(resolved.weight)) says.weight.values.add(resolved.weight.value);
      if (carries(resolved.slant)) says.slant.values.add(resolved.slant.value);
    }
  }
  for (const element of Object.keys(document.elements)) {
    const resolved = resolveElement(document, element);
    for (const name of PROPERTIES) of(element)[name].always = carries(resolved[name]);
  }
  return said;
});

/**
 * All values of one property that may reach a text at a place: what its elements say, from the innermost out to the
 * first that says it in every state, width and language; null where none does.
 */
function reaching<P extends keyof ElementSays>(
  place: TextPlace,
  said: ReadonlyMap<string, ElementSays>,
  name: P,
): ElementSays[P]['values'] | null {
  const all = new Set<string | number>();
  for (const level of place) {
    const here = level.flatMap((key) => said.get(key)?.[name] ?? []);
    for (const { values } of here) for (const value of values) all.add(value);
    if (here.some(({ always }) => always)) return all as ElementSays[P]['values'];
  }
  return null;
}

/** Whether a voice sets text in a family, as its own or for a script. */
function isSetIn({ voices }: ProjectDocument, voiceKey: string, familyKey: string): boolean {
  const { family = null, scripts = {} } = voices[voiceKey] ?? {};
  return family === familyKey || Object.values(scripts).some((seat) => seat.family === familyKey);
}

/** Whether text at a place may be set in a face: also where nothing says in which voice, weight or slant it is. */
function maySet(
  document: ProjectDocument,
  { familyKey, face }: { familyKey: string; face: Face },
  place: TextPlace,
): boolean {
  const said = saidBy(document);
  const voices = reaching(place, said, 'voice');
  if (voices && ![...voices].some((voice) => isSetIn(document, voice, familyKey))) return false;
  const [weights, slants] = [reaching(place, said, 'weight'), reaching(place, said, 'slant')];
  if (!weights || !slants) return true;
  const faces = document.case[familyKey]?.faces ?? [];
  return [...weights].some((weight) =>
    [...slants].some((slant) => matchFace(faces, { weight, slant })?.face === face),
  );
}

/**
 * Letters of scripts of many that a face may set on the site's pages, in any state, at any width and in any language of
 * the site; and those of which nothing is known, since they were typed into the project, or are named by it.
 * @param within letters that pages have, by where they stand
 * @returns null where nothing is known of what stands where
 */
export function lettersSet(
  document: ProjectDocument,
  font: { familyKey: string; face: Face },
  within: Readonly<Record<string, string>> | undefined,
): ReadonlySet<string> | null {
  if (!within) return null;
  const { alsoLetters = '' } = document.delivery;
  const texts = Object.entries(within).flatMap(([written, letters]) =>
    maySet(document, font, readPlace(written)) ? [letters] : [],
  );
  return new Set([...texts, alsoLetters, ...typedTexts(document)].flatMap((text) => [...text]));
}
