import type { Patch } from '../document/patch';
import type { ProjectDocument } from '../document/projectDocument';
import { occasionOf } from '../document/occasion';
import { narrowBelowOf, widthKeys } from '../document/styleValues';
import { documentAtWidth, documentOn, occasionsUsed, saidAt } from '../style/documentAt';
import { closeLevels } from './closeLevels';
import { crossedSteps } from './crossedSteps';
import { floatingLine } from './floatingLine';
import { noLineHeight } from './noLineHeight';
import { plainNames, vagueGeneric } from './plainNames';
import { stackOrder } from './stackOrder';
import { wrongGeneric } from './wrongGeneric';
import { embedding } from './embedding';
import { lineHeight } from './lineHeight';
import { lowContrast } from './lowContrast';
import type { Evidence, Mark, Rule, SetPage } from './mark';
import { manyFamilies } from './manyFamilies';
import { lineMeasure } from './lineMeasure';
import { missingFace } from './missingFace';
import { sameName } from './sameName';
import { sharedPlace } from './sharedPlace';
import { smallText } from './smallText';
import { unfitText } from './unfitText';
import { unusedFamily } from './unusedFamily';
import { zoom } from './zoom';
import { strayProperty } from './strayProperty';
import { sameStyle } from './sameStyle';
import { unwornStyle } from './unwornStyle';
import { capitalText, lightText, spacedText } from './runningText';
import { faceWithoutCase, languageLetters, markedLetters, pageLetters } from './letters';
import { paintedContrast } from './paintedContrast';
import { outgrownFiles } from './outgrown';
import {
  joinedApart,
  madeUpInScript,
  marksMeet,
  wrongDirection,
  wrongScriptFallback,
} from './scriptMarks';
import { unusedFace } from './unusedFace';
import { loneLine } from './loneLine';

export { SEVERITIES, severityOf, type Severity } from './severity';
export { LEAST_RATIO } from './closeLevels';
export type { Evidence, Mark, PaintedText, Readings, Remedy, SetPage } from './mark';

/**
 * Every rule, in the order in which its marks are listed, and what it looks at: `each width`, where it is about how
 * text is set, which may be set otherwise on narrow screens; `once` for what is the same at every width.
 */
const RULES: readonly (readonly [Rule, 'once' | 'each width'])[] = [
  [missingFace, 'once'],
  [madeUpInScript, 'once'],
  [languageLetters, 'once'],
  [pageLetters, 'once'],
  [markedLetters, 'once'],
  [joinedApart, 'once'],
  [wrongDirection, 'once'],
  [outgrownFiles, 'once'],
  [faceWithoutCase, 'each width'],
  [sharedPlace, 'once'],
  [sameName, 'once'],
  [embedding, 'once'],
  [crossedSteps, 'once'],
  [closeLevels, 'each width'],
  [zoom, 'once'],
  [smallText, 'each width'],
  [lineMeasure, 'each width'],
  [lineHeight, 'each width'],
  [marksMeet, 'each width'],
  [lowContrast, 'each width'],
  [paintedContrast, 'once'],
  [unfitText, 'once'],
  [manyFamilies, 'once'],
  [wrongGeneric, 'once'],
  [plainNames, 'once'],
  [vagueGeneric, 'once'],
  [stackOrder, 'once'],
  [wrongScriptFallback, 'once'],
  [floatingLine, 'once'],
  [noLineHeight, 'each width'],
  [spacedText, 'each width'],
  [capitalText, 'each width'],
  [lightText, 'each width'],
  [loneLine, 'once'],
  [strayProperty, 'once'],
  [sameStyle, 'once'],
  [unwornStyle, 'once'],
  [unusedFace, 'once'],
  [unusedFamily, 'once'],
];

/** Rules on how text is set, which may be something else on narrow screens. */
const BY_WIDTH = new Set(RULES.flatMap(([rule, at]) => (at === 'each width' ? [rule] : [])));

/** All marks, a rule at a time. */
function* allMarks(document: ProjectDocument, evidence: Evidence): Generator<void, Mark[]> {
  const usual: { rule: Rule; marks: Mark[] }[] = [];
  for (const [rule] of RULES) {
    usual.push({ rule, marks: rule(document, evidence) });
    yield;
  }
  const known = new Set(usual.flatMap(({ marks }) => marks.map(({ message }) => message)));
  const ways = waysOf(document);
  const there: Mark[] = [];
  for (const { at, rules, says, holds, reaches, subject } of ways) {
    const found: Mark[] = [];
    for (const rule of rules) {
      found.push(...rule(at, evidence));
      yield;
    }
    for (const mark of found) {
      const isKnown = known.has(mark.message);
      if (!reaches(mark.style) || (mark.width === undefined ? isKnown : !holds(mark.width)))
        continue;
      if (isKnown) {
        there.push(mark);
        continue;
      }
      // Its change is for every width, and would not put right what differs here.
      const { fix: _fix, ...rest } = mark;
      const about =
        subject === undefined
          ? {}
          : { subject: [mark.subject, subject].filter(Boolean).join('-').slice(0, 80) };
      there.push({ ...rest, ...about, message: `${says}. ${mark.message}` });
    }
  }
  // Where something differs by the width of the page, it is what is set there that is marked.
  const isElsewhere = ({ width }: Mark) =>
    width === undefined || !ways.some(({ holds }) => holds(width));
  const elsewhere = usual.flatMap(({ rule, marks }) =>
    BY_WIDTH.has(rule) ? marks.filter(isElsewhere) : marks,
  );
  return [...elsewhere, ...there];
}

/** A way in which text is set otherwise, and what is looked at there. */
interface Way {
  at: ProjectDocument;
  rules: Iterable<Rule>;
  /** What stands before its marks. */
  says: string;
  /** Whether it is so at a width, CSS px. */
  holds: (width: number) => boolean;
  /** Whether it is about a style: what differs in a state or in a part of a text is that style's alone. */
  reaches: (style: string | undefined) => boolean;
  /** What tells its marks from those of the rest; left out for narrow screens. */
  subject?: string;
}

/** What is looked at where a state, a part of a text or a medium differs: its colours, as its sizes stand alone. */
const COLOURS = [lowContrast];
/** Where no contrast is asked for: WCAG 2.2, 1.4.3 leaves out what is unavailable; the visitor's own colours; paper. */
const WITHOUT_CONTRAST = ['disabled', 'forced-colours', 'print'];

const capital = (label: string): string => label.replace(/^./, (first) => first.toUpperCase());

/** The ways of a project that its page's width decides, each with the widths at which it is so. */
function waysByWidth(document: ProjectDocument): Way[] {
  const below = narrowBelowOf(document);
  const widths = widthKeys(document).map((key) => document.widths?.[key] ?? { name: key });
  const starts = [0, below, ...widths.flatMap((one) => [one.from ?? 0, one.below ?? 0])];
  const all = new Set(starts.map((width) => documentAtWidth(document, width)));
  all.delete(document);
  return [...all].map((at): Way => {
    const holds = (width: number) => documentAtWidth(document, width) === at;
    const first = starts.find(holds) ?? 0;
    const names = widths
      .filter((one) => one.container === undefined)
      .filter((one) => first >= (one.from ?? 0) && first < (one.below ?? Infinity))
      .map(({ name }) => name);
    return {
      at,
      rules: BY_WIDTH,
      says: [...(first < below ? [`Below ${below} px`] : []), ...names].join(', '),
      holds,
      reaches: () => true,
      ...(names.length > 0 ? { subject: 'width' } : {}),
    };
  });
}

function waysOf(document: ProjectDocument): Way[] {
  const onOccasions = occasionsUsed(document)
    .filter((key) => !WITHOUT_CONTRAST.includes(key))
    .filter((key) => occasionOf(key) || document.widths?.[key]?.container !== undefined)
    .map((key): Way => {
      const named = occasionOf(key);
      const isOwn = named?.kind === 'state' || named?.kind === 'part';
      return {
        at: documentOn(document, key),
        rules: COLOURS,
        says: capital(named?.label ?? document.widths?.[key]?.name ?? key),
        holds: () => false,
        reaches: (style) =>
          !isOwn || (style !== undefined && saidAt(document, style, key).length > 0),
        subject: key,
      };
    });
  return [...waysByWidth(document), ...onOccasions];
}

/** What a mark is, whatever its figures: its rule, and all that it is about. */
export const markKey = ({ rule, style, family, voice, subject }: Mark): string =>
  [rule, style ?? family ?? '', ...[voice, subject].filter((one) => one !== undefined)].join(':');

/** A mark that was set aside, and why. */
export interface AsideMark extends Mark {
  reason: string;
}

/** The marks on a project: those to be seen to, and those that were set aside with a reason. */
export interface Judged {
  marks: Mark[];
  aside: AsideMark[];
}

/** As `judge`, a rule at a time, for whoever has other things to do between two. */
export function* judging(
  document: ProjectDocument,
  evidence: Evidence = {},
): Generator<void, Judged> {
  const { aside: reasons = {} } = document;
  const marks: Mark[] = [];
  const aside: AsideMark[] = [];
  for (const mark of yield* allMarks(document, evidence)) {
    const reason = reasons[markKey(mark)];
    if (reason === undefined) marks.push(mark);
    else aside.push({ ...mark, reason });
  }
  return { marks, aside };
}

/** The marks on a project as it stands, as far as what is known of it beyond the document goes. */
export function judge(document: ProjectDocument, evidence: Evidence = {}): Judged {
  const steps = judging(document, evidence);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}

/** A mark on the whole site, and where it was seen. */
export interface SiteMark {
  mark: Mark;
  /** Pages by their titles, each at the widths it was seen at, CSS px. */
  seen: { title: string; widths: number[] }[];
}

/**
 * The marks on every page of a site, at every width that it was looked at, on both grounds: each once, with
 * where it was seen. Those that were set aside are left out.
 */
export function siteMarks(
  document: ProjectDocument,
  evidence: Evidence,
  pages: readonly SetPage[],
): SiteMark[] {
  const both = { ...document, delivery: { ...document.delivery, dark: true } };
  const found = new Map<string, SiteMark>();
  for (const page of pages) {
    for (const mark of judge(both, { ...evidence, page }).marks) {
      const key = `${markKey(mark)} ${mark.message.replaceAll(page.title, '')}`;
      const known = found.get(key) ?? { mark, seen: [] };
      found.set(key, known);
      const there = known.seen.find(({ title }) => title === page.title);
      if (there) there.widths.push(page.width);
      else known.seen.push({ title: page.title, widths: [page.width] });
    }
  }
  return [...found.values()];
}

/** Marks that are to be seen to. */
export const marksOf = (document: ProjectDocument, evidence: Evidence = {}): Mark[] =>
  judge(document, evidence).marks;

/** Sets a mark aside for a reason. */
export const setAsidePatch = ({ aside }: ProjectDocument, mark: Mark, reason: string): Patch =>
  aside
    ? [{ op: 'add', path: `/aside/${markKey(mark)}`, value: reason }]
    : [{ op: 'add', path: '/aside', value: { [markKey(mark)]: reason } }];

/** Takes a mark up again that was set aside. */
export const takeUpPatch = (mark: Mark): Patch => [
  { op: 'remove', path: `/aside/${markKey(mark)}` },
];
