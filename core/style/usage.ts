import { onceForParts } from '../document/onceForParts';
import type { ProjectDocument } from '../document/projectDocument';
import type { Slant } from '../document/vocabulary';
import { elementsInAllWays } from './documentAt';
import { resolveElement, resolveInUse, type StyledProject } from './resolve';

/** A weight and a slant that styles ask for. */
export interface StyleRequest {
  weight: number;
  slant: Slant;
}

/** What the styles in use ask of a voice, and which styles ask it. */
export interface VoiceUse {
  requests: (StyleRequest & { styles: string[] })[];
}

const requestKey = (weight: number, slant: Slant) => `${weight} ${slant}`;

/** The weights and slants that the site's elements ask of each voice, at any width and on any occasion, lightest upright first. */
export const voiceUses = onceForParts(
  ['styles', 'elements'],
  (document): ReadonlyMap<string, VoiceUse> => {
    const uses = new Map<string, Map<string, StyleRequest & { styles: Set<string> }>>();
    for (const [at, key] of elementsInAllWays(document)) {
      const resolved = resolveElement(at, key);
      const voice = resolved.voice.value;
      const weight = resolved.weight.value;
      const slant = resolved.slant.value;
      if (voice === null) continue;
      const requests = uses.get(voice) ?? new Map<string, StyleRequest & { styles: Set<string> }>();
      uses.set(voice, requests);
      const request = requests.get(requestKey(weight, slant)) ?? {
        weight,
        slant,
        styles: new Set<string>(),
      };
      requests.set(requestKey(weight, slant), request);
      request.styles.add(at.elements[key]?.style ?? '');
    }
    return new Map(
      [...uses].map(([voice, requests]) => [
        voice,
        {
          requests: [...requests.values()]
            .map((request) => ({ ...request, styles: [...request.styles] }))
            .sort(
              (a, b) =>
                Number(a.slant === 'italic') - Number(b.slant === 'italic') || a.weight - b.weight,
            ),
        },
      ]),
    );
  },
);

/** Keys of the families that the site's elements are set in, those of single scripts too, in the order of their voices. */
export function familiesInUse(document: StyledProject & Pick<ProjectDocument, 'voices'>): string[] {
  const uses = voiceUses(document);
  const families = Object.entries(document.voices)
    .filter(([voice]) => uses.has(voice))
    .flatMap(([, voice]) => [
      voice.family,
      ...Object.values(voice.scripts ?? {}).map(({ family }) => family),
    ]);
  return [...new Set(families.filter((family) => family !== null))];
}

/**
 * The requests that a voice must answer with a fallback face each: every weight that it is used in, in every
 * slant, since bold inside italic text asks for both. That which most styles ask for comes first.
 */
export function voiceRequests(document: StyledProject, voice: string): StyleRequest[] {
  const requests = voiceUses(document).get(voice)?.requests ?? [];
  const weights = [...new Set(requests.map(({ weight }) => weight))].sort((a, b) => a - b);
  const slants = [...new Set(requests.map(({ slant }) => slant))].sort().reverse();
  const askedBy = ({ weight, slant }: StyleRequest): number =>
    requests.find((one) => one.weight === weight && one.slant === slant)?.styles.length ?? 0;
  return slants
    .flatMap((slant) => weights.map((weight) => ({ weight, slant })))
    .sort((a, b) => askedBy(b) - askedBy(a));
}

/** Styles that text elements of the site have, each once, in the order of their elements. */
export const stylesInUse = (document: Pick<ProjectDocument, 'elements'>): readonly string[] =>
  keysInUse(document);

const keysInUse = onceForParts(['elements'], (document): readonly string[] => [
  ...elementsByStyle(document).keys(),
]);

/** Keys of the text elements that have each style, in their order. */
export const elementsByStyle = onceForParts(
  ['elements'],
  ({ elements }): ReadonlyMap<string, readonly string[]> => {
    const byStyle = new Map<string, string[]>();
    for (const [key, { style }] of Object.entries(elements)) {
      const known = byStyle.get(style);
      if (known) known.push(key);
      else byStyle.set(style, [key]);
    }
    return byStyle;
  },
);

/** Keys of the styles that follow each style themselves, in their order. */
export const followersOf = onceForParts(
  ['styles'],
  ({ styles }): ReadonlyMap<string, readonly string[]> => {
    const followers = new Map<string, string[]>();
    for (const [key, { follows }] of Object.entries(styles)) {
      if (!follows) continue;
      const known = followers.get(follows);
      if (known) known.push(key);
      else followers.set(follows, [key]);
    }
    return followers;
  },
);

/** The step of a style where it is used. */
export const stepOf = (document: StyledProject, style: string): number =>
  resolveInUse(document, style).step.value;

/** Styles in use by the step they have. */
export const usersByStep = onceForParts(
  ['styles', 'elements'],
  (document): ReadonlyMap<number, string[]> => {
    const users = new Map<number, string[]>();
    for (const style of stylesInUse(document)) {
      const step = stepOf(document, style);
      const known = users.get(step);
      if (known) known.push(style);
      else users.set(step, [style]);
    }
    return users;
  },
);
