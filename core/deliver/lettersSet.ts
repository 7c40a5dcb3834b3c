import type { ProjectDocument } from '../document/projectDocument';
import { elementsInAllWays } from '../style/documentAt';
import { resolveElement } from '../style/resolve';
import type { KnownFonts } from './deliveryWays';
import { typedTexts } from './neededCharacters';

/** Whether a voice sets text in a family, as its own or for a script. */
function isSetIn({ voices }: ProjectDocument, voiceKey: string, familyKey: string): boolean {
  const { family = null, scripts = {} } = voices[voiceKey] ?? {};
  return family === familyKey || Object.values(scripts).some((seat) => seat.family === familyKey);
}

/**
 * Letters of scripts of many that a family may set on the site's pages: those in elements whose voice has it, in any
 * state and at any width, however deep they stand in them; and those of which nothing is known, since they were typed
 * into the project, named by it, or stand in no text element.
 * @returns null where nothing is known of what stands where
 */
export function lettersSet(
  document: ProjectDocument,
  familyKey: string,
  { within }: Pick<KnownFonts, 'within'>,
): ReadonlySet<string> | null {
  if (!within) return null;
  const elements = new Set(['']);
  for (const [at, element] of elementsInAllWays(document)) {
    const voice = resolveElement(at, element).voice.value ?? '';
    if (isSetIn(at, voice, familyKey)) elements.add(element);
  }
  const { alsoLetters = '' } = document.delivery;
  const texts = [...elements].map((key) => (Object.hasOwn(within, key) ? (within[key] ?? '') : ''));
  return new Set([...texts, alsoLetters, ...typedTexts(document)].flatMap((text) => [...text]));
}
