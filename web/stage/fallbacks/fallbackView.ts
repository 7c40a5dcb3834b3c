import { fallbackView as say } from './words';
import type { Patch, ProjectDocument, VoiceFitting } from '@lettera/core/document';
import {
  candidateSpread,
  lacking,
  landings,
  LOCAL_SETS,
  localCandidates,
  localName,
  localSet,
  localsOf,
  orderRemarks,
  platformNames,
  platformsOf,
  reachOf,
  shareOf,
  triedFor,
  voiceFallback,
  type FallbackPlan,
  type FallbackTrials,
  type TextKind,
  type StackEntry,
  type TunedCandidate,
} from '@lettera/core/fallback';
import { languageOf } from '@lettera/core/script';
import { count, percent } from '../../control/figures';

const KINDS: Record<StackEntry['kind'], string> = {
  web: say.webFace,
  fallback: say.fallbackFace,
  local: say.asItIs,
  generic: say.genericFamily,
};

/** What each kind of text that a fallback was measured on is called. */
const KIND_WORDS: Record<TextKind, string> = {
  copy: say.sitesOwnCopy,
  declaration: 'a declaration',
  messages: say.formMessages,
  names: 'names',
  amounts: say.datesAmounts,
};

/** How far words lie off, from the kind of text that goes best to the one that goes worst: `0.7–1.3 %`. */
export function wordsOff(candidate: TunedCandidate): string {
  const ends = (candidateSpread(candidate) ?? []).map((ratio) => (ratio * 100).toFixed(1));
  return `${[...new Set(ends)].join('–')} %`;
}

/** A kind of text that a local font was measured on. */
export interface MeasuredKind {
  name: string;
  /** Mean error of a word's width. */
  mean: number;
  words: number;
}

/** Each kind of text that a local font was measured on, as its first face comes out there. */
export const measuredKinds = ({ faces }: TunedCandidate): MeasuredKind[] =>
  (faces[0]?.kinds ?? []).map(({ kind, language, mean, words }) => ({
    name:
      language === null
        ? KIND_WORDS[kind]
        : say.kindInLanguage(KIND_WORDS[kind], languageOf(language)?.name ?? language),
    mean,
    words,
  }));

/** The same in one sentence. */
export const measuredOn = (candidate: TunedCandidate): string =>
  measuredKinds(candidate)
    .map(({ name, mean, words }) => `${name} ±${percent(mean, 2)} (${count(words, 'word')})`)
    .join(', ');

/** An entry of a stack as the column shows it. */
export interface EntryRow {
  entry: StackEntry;
  kind: string;
  platforms: string;
  /** Share of the visits that lands here until the web face is there. */
  share: number;
  tuned: TunedCandidate | undefined;
  /** Why its place matters, where it does. */
  remark: string;
}

/** What an entry's place means, in words. */
function remarkOf(stack: readonly StackEntry[], at: number): string {
  const remark = orderRemarks(stack).find(({ entry }) => entry === at);
  if (!remark) return '';
  if (remark.shadows.length === 0) return say.noPlatformListCarries;
  const takes = remark.shadows.map(
    ({ entry, platforms }) =>
      `${platformNames(platforms)} ${platforms.length === 1 ? 'takes' : 'take'} ${stack[entry]?.name ?? ''}`,
  );
  return say.before(takes.join('; '), remark.unreached ? say.nobodyLandsHere : '');
}

/** The stack of a voice as a column, from first to last. */
export function entryRows(
  document: ProjectDocument,
  plan: FallbackPlan,
  voice: string,
): EntryRow[] {
  const { stack, tuned } = voiceFallback(plan, voice);
  const landed = landings(stack, document.audience);
  return stack.map((entry, at) => ({
    entry,
    kind: KINDS[entry.kind],
    platforms: entry.kind === 'fallback' ? platformNames(platformsOf(entry.local)) : '',
    share: shareOf(landed, at),
    tuned: entry.kind === 'fallback' ? tuned.find(({ local }) => local === entry.local) : undefined,
    remark: remarkOf(stack, at),
  }));
}

/** A local font that may stand in for a voice. */
export interface CandidateRow {
  local: string;
  name: string;
  platforms: string;
  reach: number;
  /** Null where its widths are not known here. */
  candidate: TunedCandidate | null;
  lacks: string;
  taken: boolean;
}

/** What a local font lacks of the text, or its twin does: then only its widths are not known. */
function lacksOf(candidate: TunedCandidate): string {
  const letters = lacking(candidate).join(' ');
  const own = candidate.source === 'measured' || localSet(candidate.local)?.linesAsTwin;
  return letters && `${own ? say.lacks : say.widthsNotKnown} ${letters}`;
}

/** All local fonts of a voice's class: those with known widths in order of fit × reach, then the others by name. */
export function candidateRows(
  document: ProjectDocument,
  trials: FallbackTrials,
  voice: string,
): CandidateRow[] {
  const { generic } = document.voices[voice] ?? { generic: 'serif' as const };
  const taken = localsOf(document, voice, trials);
  const allowed = localCandidates(generic);
  const tried = triedFor(document, voice, trials).filter(({ local }) => allowed.includes(local));
  const row = (local: string, candidate: TunedCandidate | null): CandidateRow => ({
    local,
    name: localName(local),
    platforms: platformNames(platformsOf(local)),
    reach: reachOf(local, document.audience),
    candidate,
    lacks: candidate ? lacksOf(candidate) : '',
    taken: taken.includes(local),
  });
  const unknown = allowed.filter((local) => !tried.some((candidate) => candidate.local === local));
  return [
    ...tried.map((candidate) => row(candidate.local, candidate)),
    ...unknown
      .map((local) => row(local, null))
      .sort((a, b) => b.reach - a.reach || a.name.localeCompare(b.name)),
  ];
}

/** Lines at each measure that differ from the web face's, as `0, 1, 0, 0`. */
export const linesApart = (candidate: TunedCandidate): number[] => {
  const [face] = candidate.faces;
  return (face?.webLines ?? []).map((lines, i) => (face?.fit.lines.counts[i] ?? lines) - lines);
};

/** Puts local fonts into the stack of a voice, first to last; null leaves them to Lettera. */
export const stackPatch = (voice: string, locals: readonly string[] | null): Patch => [
  { op: 'replace', path: `/voices/${voice}/fallback`, value: locals === null ? null : [...locals] },
];

/** Moves one of a list to another place. */
export function moved<T>(list: readonly T[], from: number, to: number): T[] {
  const rest = list.filter((_, i) => i !== from);
  const one = list[from];
  return one === undefined ? rest : [...rest.slice(0, to), one, ...rest.slice(to)];
}

/** Sets how a voice is tuned; what is undefined goes back to what the voice is for. */
export function fittingPatch(
  document: ProjectDocument,
  voice: string,
  change: Partial<VoiceFitting>,
): Patch {
  const given = document.voices[voice]?.fitting;
  const fitting = Object.fromEntries(
    Object.entries({ ...given, ...change }).filter(([, value]) => value !== undefined),
  );
  const path = `/voices/${voice}/fitting`;
  if (Object.keys(fitting).length === 0) return given ? [{ op: 'remove', path }] : [];
  return [{ op: 'add', path, value: fitting }];
}

/** Sets of local fonts that no open font is known for, by class: they can be measured on the designer's machine. */
export const unmeasured = (voiceGeneric: string): string[] =>
  Object.entries(LOCAL_SETS)
    .filter(([, set]) => set.twin === null && set.class === voiceGeneric)
    .map(([key]) => key);
