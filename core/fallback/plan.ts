import { onceFor } from '../document/once';
import type { ProjectDocument } from '../document/projectDocument';
import { BODY_STYLE, type Slant } from '../document/vocabulary';
import { resolveInUse } from '../style/resolve';
import { sharedUnicodeRange } from '../font';
import { scriptRange } from '../style/served';
import { scriptRequests } from '../style/inLanguage';
import { voiceUses, type StyleRequest } from '../style/usage';
import type { FallbackTrials, TunedCandidate } from './fallbackFace';
import { defaultFitting, type Fitting } from './fitting';
import { localSet, localVariant, type LocalVariant } from './localFonts';
import { localsOf, scriptStacks, stackOf, triedFor, type ScriptStack } from './stack';
import type { StackEntry } from './stackEntry';

/**
 * A face over a local font that stands in for a web face: one weight and style, on a range of characters.
 * Ratios are as `@font-face` has them: 1 is 100 %.
 */
export interface PlannedFallbackFace {
  /** Its CSS family name. */
  name: string;
  /** Key of the set of local fonts, and which of its styles. */
  local: string;
  variant: LocalVariant;
  weight: number;
  slant: Slant;
  sizeAdjust: number;
  /** Metric overrides; null where a face is shown as an engine has it that leaves them out. */
  overrides: { ascent: number; descent: number; lineGap: number } | null;
  /** CSS `unicode-range`; null for every character that no later face of the name has. */
  unicodeRange: string | null;
}

/** What a voice falls back to. */
export interface VoiceFallback {
  /** From the web face to the generic. */
  stack: readonly StackEntry[];
  /** The tuned local fonts of the stack, in its order. */
  tuned: readonly TunedCandidate[];
  /** How they are tuned. */
  fitting: Fitting;
  /** Of its further families, by script. */
  scripts: readonly ScriptStack[];
}

/**
 * Everything that a voice's `font-family` names: the web faces, the local fonts of each script, whose faces hold no
 * other characters, and then what its own family falls back to.
 */
export const wholeStack = ({ stack, scripts }: VoiceFallback): readonly StackEntry[] => {
  if (scripts.length === 0) return stack;
  const web = ({ name }: ScriptStack): StackEntry => ({ kind: 'web', name });
  const isWeb = ({ kind }: StackEntry) => kind === 'web';
  return [
    ...scripts.filter(({ first }) => first).map(web),
    ...stack.filter(isWeb),
    ...scripts.filter(({ first }) => !first).map(web),
    ...scripts.flatMap(({ entries }) => entries),
    ...stack.filter((entry) => !isWeb(entry)),
  ];
};

/** What every voice falls back to, and the faces that it takes. The one source of stacks and fallback faces. */
export interface FallbackPlan {
  voices: Readonly<Record<string, VoiceFallback>>;
  /** Of the voices in use, each face once, in the order in which they are written. */
  faces: readonly PlannedFallbackFace[];
}

/** How a voice is tuned: as the designer decided, else by what it is for. */
export function fittingOf(document: ProjectDocument, voiceKey: string): Fitting {
  const running = resolveInUse(document, BODY_STYLE).voice.value === voiceKey;
  return { ...defaultFitting(running), ...document.voices[voiceKey]?.fitting };
}

const NOTHING: VoiceFallback = {
  stack: [],
  tuned: [],
  fitting: defaultFitting(false),
  scripts: [],
};

/** What a voice of the plan falls back to; nothing for a voice that is not there. */
export const voiceFallback = ({ voices }: FallbackPlan, voice: string): VoiceFallback =>
  (Object.hasOwn(voices, voice) ? voices[voice] : undefined) ?? NOTHING;

/** The faces that a tuned local font is made of under a name; the same ones for the same. */
export function facesOf(name: string, candidate: TunedCandidate): readonly PlannedFallbackFace[] {
  const known = facesByName(candidate);
  const before = known.get(name);
  if (before) return before;
  const faces = makeFaces(name, candidate);
  known.set(name, faces);
  return faces;
}

const facesByName = onceFor<TunedCandidate, Map<string, readonly PlannedFallbackFace[]>>(
  () => new Map(),
);

const makeFaces = (name: string, { local, faces }: TunedCandidate): PlannedFallbackFace[] =>
  faces.flatMap(({ parts, box, ...face }) =>
    parts.map(({ ratio, unicodeRange }) => ({
      name,
      local,
      variant: face.variant,
      weight: face.weight,
      slant: face.slant,
      sizeAdjust: ratio,
      overrides: {
        ascent: box.ascent / ratio,
        descent: -box.descent / ratio,
        lineGap: box.lineGap / ratio,
      },
      unicodeRange,
    })),
  );

function planVoice(
  document: ProjectDocument,
  voiceKey: string,
  trials: FallbackTrials,
): VoiceFallback {
  const tried = triedFor(document, voiceKey, trials);
  return {
    stack: stackOf(document, voiceKey, trials),
    tuned: localsOf(document, voiceKey, trials).flatMap(
      (local) => tried.find((candidate) => candidate.local === local) ?? [],
    ),
    fitting: fittingOf(document, voiceKey),
    scripts: scriptStacks(document, voiceKey, trials),
  };
}

/**
 * The faces over a local font that stands in for a family of one script: as it was tuned, and where its widths are not
 * known, at the size of the family. In scripts of squares these are equally wide.
 */
function scriptFaces(
  { script, size, tuned }: ScriptStack,
  { name, local }: { name: string; local: string },
  requests: readonly StyleRequest[],
): PlannedFallbackFace[] {
  const range = scriptRange(script);
  const candidate = tuned.find((one) => one.local === local);
  if (candidate) {
    return facesOf(name, candidate).map((face) => ({
      ...face,
      sizeAdjust: face.sizeAdjust * size,
      overrides: face.overrides && {
        ascent: face.overrides.ascent / size,
        descent: face.overrides.descent / size,
        lineGap: face.overrides.lineGap / size,
      },
      unicodeRange: face.unicodeRange ? sharedUnicodeRange(face.unicodeRange, range) : range,
    }));
  }
  const weights = [...new Set(requests.map(({ weight }) => weight))];
  return weights.flatMap((weight): PlannedFallbackFace[] => {
    const variant = localVariant(weight, 'normal');
    const has = localSet(local)?.fonts.some(({ localNames }) => localNames[variant]);
    return has
      ? [
          {
            name,
            local,
            variant,
            weight,
            slant: 'normal',
            sizeAdjust: size,
            overrides: null,
            unicodeRange: range,
          },
        ]
      : [];
  });
}

/** Voices with the same family for a script name the same faces. */
function onceEach(faces: readonly PlannedFallbackFace[]): PlannedFallbackFace[] {
  const known = new Map<string, PlannedFallbackFace>();
  for (const face of faces) {
    const { name, weight, slant, unicodeRange } = face;
    known.set([name, weight, slant, unicodeRange].join(), face);
  }
  return [...known.values()];
}

function makePlan(document: ProjectDocument, trials: FallbackTrials): FallbackPlan {
  const scripted = Object.values(document.voices).some(({ scripts }) => scripts);
  const voices = Object.fromEntries(
    Object.keys(document.voices).map((key) => [key, planVoice(document, key, trials)]),
  );
  const faces = [...voiceUses(document).keys()].flatMap((key) => {
    const { stack = [], tuned = [], scripts = [] } = voices[key] ?? {};
    const own = stack.flatMap((entry) => {
      const candidate =
        entry.kind === 'fallback' ? tuned.find(({ local }) => local === entry.local) : undefined;
      return candidate ? facesOf(entry.name, candidate) : [];
    });
    const ofScripts = scripts.flatMap((one) => {
      const requests = scriptRequests(document, key, one.script);
      return one.entries.flatMap((entry) => scriptFaces(one, entry, requests));
    });
    return [...own, ...ofScripts];
  });
  return { voices, faces: scripted ? onceEach(faces) : faces };
}

const plans = onceFor((document: ProjectDocument) =>
  onceFor((trials: FallbackTrials) => makePlan(document, trials)),
);

/** The fallback plan of a document from what was tried for its voices; made once for both. */
export const fallbackPlan = (document: ProjectDocument, trials: FallbackTrials): FallbackPlan =>
  plans(document)(trials);
