import { siteName } from '../document/familyName';
import type { ProjectDocument } from '../document/projectDocument';
import type { Script } from '../script';
import { servedBy } from '../style/served';
import {
  fallbackFamilyName,
  trialKey,
  type FallbackTrials,
  type TunedCandidate,
} from './fallbackFace';
import { localName, platformsOf, PLATFORMS, scriptCandidates } from './localFonts';
import { proposedStack } from './propose';
import type { StackEntry } from './stackEntry';

/** What was tried for a voice, with its own family. */
export const triedFor = (
  document: ProjectDocument,
  voice: string,
  trials: FallbackTrials,
): TunedCandidate[] => triedAs(trialKey(voice, document.voices[voice]?.family ?? ''), trials);

const triedAs = (key: string, trials: FallbackTrials): TunedCandidate[] =>
  (Object.hasOwn(trials, key) ? trials[key] : undefined) ?? NOTHING;

/** One and the same, so that what follows from nothing is worked out once. */
const NOTHING: TunedCandidate[] = [];

/** Keys of the local fonts that a voice falls back to, first to last: those chosen, else those proposed. */
export function localsOf(
  document: ProjectDocument,
  voiceKey: string,
  trials: FallbackTrials,
): readonly string[] {
  const chosen = document.voices[voiceKey]?.fallback ?? null;
  if (chosen !== null) return typeof chosen === 'string' ? [chosen] : chosen;
  return proposedStack(triedFor(document, voiceKey, trials), document.audience);
}

/**
 * A voice's whole stack, from the web face through the fitted and the plain local fonts to the generic.
 * A voice with an empty seat has only the generic.
 */
export function stackOf(
  document: ProjectDocument,
  voiceKey: string,
  trials: FallbackTrials,
): StackEntry[] {
  const voice = document.voices[voiceKey];
  if (!voice) return [];
  const generic: StackEntry = { kind: 'generic', name: voice.generic };
  const family = voice.family === null ? undefined : document.case[voice.family];
  if (!family) return [generic];
  const name = siteName(family);
  const locals = localsOf(document, voiceKey, trials);
  const tried = triedFor(document, voiceKey, trials);
  const plain = voice.plain ?? locals.map(localName);
  return [
    { kind: 'web', name },
    ...locals
      .filter((local) => tried.some((candidate) => candidate.local === local))
      .map((local): StackEntry => ({
        kind: 'fallback',
        name: fallbackFamilyName(local, tuningName(document, voiceKey, name)),
        local,
      })),
    ...plain.map((one): StackEntry => ({ kind: 'local', name: one })),
    generic,
  ];
}

/** The local fonts that stand in for a family of one script. */
export interface ScriptStack {
  script: Script;
  /** The family's key in the case, the name that its faces are delivered under, and its size. */
  family: string;
  name: string;
  size: number;
  /** Whether a browser asks it before the voice's own family. */
  first: boolean;
  entries: (StackEntry & { kind: 'fallback' })[];
  /** What was tried of them; the others are set as they are. */
  tuned: readonly TunedCandidate[];
}

/** Most local fonts in the stack of a script: one a platform. */
const MOST_OF_SCRIPT = PLATFORMS.length;

/** Local fonts of a script: those chosen, else the first of its class for each platform. */
export function scriptLocals(
  { scripts = {}, generic }: Pick<ProjectDocument['voices'][string], 'scripts' | 'generic'>,
  script: string,
): readonly string[] {
  const seat = scripts[script];
  if (seat?.fallback) return seat.fallback;
  const candidates = scriptCandidates(script, seat?.generic ?? generic);
  const firsts = PLATFORMS.flatMap(
    (platform) => candidates.find((local) => platformsOf(local).includes(platform)) ?? [],
  );
  return candidates.filter((local) => firsts.includes(local)).slice(0, MOST_OF_SCRIPT);
}

/** The stacks of a voice's further families, each for the characters of its script. */
export function scriptStacks(
  document: ProjectDocument,
  voiceKey: string,
  trials: FallbackTrials,
): ScriptStack[] {
  const voice = document.voices[voiceKey];
  if (!voice) return [];
  const served = servedBy(document, voiceKey);
  const own = served.findIndex(({ script }) => script === null);
  return served.flatMap(({ script, key, name, size }, i): ScriptStack[] => {
    if (!script) return [];
    const tried = triedAs(trialKey(voiceKey, key, script.key), trials);
    const locals = scriptLocals(voice, script.key);
    return [
      {
        script,
        family: key,
        name,
        size,
        first: i < own,
        tuned: locals.flatMap((local) => tried.find((one) => one.local === local) ?? []),
        entries: locals.map((local) => ({
          kind: 'fallback',
          name: fallbackFamilyName(local, name),
          local,
        })),
      },
    ];
  });
}

/** What a voice's fallback faces are named for: the family, and the voice where several share it. */
function tuningName(document: ProjectDocument, voiceKey: string, family: string): string {
  const voice = document.voices[voiceKey];
  const sharing = Object.values(document.voices).filter((one) => one.family === voice?.family);
  return sharing.length > 1 ? `${family}, ${voice?.name ?? voiceKey}` : family;
}
