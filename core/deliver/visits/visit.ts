/** A visit as the script of the bundle tells it: nothing in it tells a person, a page or a time of day. */
export interface Visit {
  /** By voice and its stack, as `stackCounted` has them: the entry that set its text at last, and the first one after the web face that is there. */
  voices: Readonly<Record<string, { drawn: number; local: number }>>;
  /** When the first text was painted and when the last web face had come, tenths of a second; null where not known. */
  text: number | null;
  faces: number | null;
  /** Layout shift in hundredths; null in engines that tell none. */
  shift: number | null;
}

/** Larger figures are counted as this one. */
const MOST = { entry: 30, figure: 300, voices: 12 };
const VOICE = /^[a-z][a-z0-9]*(-[a-z0-9]+)*@[0-9a-f]{8}$/;
const LONGEST_VOICE = 80;

const isCount = (value: unknown, most: number): value is number =>
  Number.isInteger(value) && (value as number) >= 0 && (value as number) <= most;
const figureOf = (value: unknown): number | null | undefined =>
  value === null
    ? null
    : Number.isInteger(value) && (value as number) >= 0
      ? Math.min(value as number, MOST.figure)
      : undefined;

/** A visit that was sent; null for what is none, whoever sent it. */
export function visitIn(sent: unknown): Visit | null {
  if (typeof sent !== 'object' || sent === null) return null;
  const { voices, text, faces, shift } = sent as Record<string, unknown>;
  const figures = [text, faces, shift].map(figureOf);
  if (figures.includes(undefined) || typeof voices !== 'object' || voices === null) return null;
  const told = Object.entries(voices as Record<string, unknown>);
  if (told.length > MOST.voices) return null;
  const known = told.flatMap(([voice, entries]): [string, Visit['voices'][string]][] => {
    const { drawn, local } = (entries ?? {}) as Record<string, unknown>;
    const fits = voice.length <= LONGEST_VOICE && VOICE.test(voice);
    return fits && isCount(drawn, MOST.entry) && isCount(local, MOST.entry)
      ? [[voice, { drawn, local }]]
      : [];
  });
  if (known.length < told.length) return null;
  const [first = null, came = null, moved = null] = figures;
  return { voices: Object.fromEntries(known), text: first, faces: came, shift: moved };
}

/** What a visit adds one to, by names under which it is counted. */
export function countedAs({ voices, text, faces, shift }: Visit): string[] {
  return [
    'visits',
    ...Object.entries(voices).flatMap(([voice, { drawn, local }]) => [
      `drawn/${voice}/${drawn}`,
      `local/${voice}/${local}`,
    ]),
    ...(text === null ? [] : [`text/${text}`]),
    ...(faces === null ? [] : [`faces/${faces}`]),
    ...(shift === null ? [] : [`shift/${shift}`]),
  ];
}

/** How often something was counted. */
export interface Counted {
  what: string;
  times: number;
}

/** What was counted of all visits. */
export interface VisitFigures {
  visits: number;
  /** By voice and its stack, how many of its visits got each entry of the stack: at last, and while the web face was not there. */
  voices: Readonly<Record<string, { drawn: number[]; local: number[] }>>;
  /** Medians: seconds, and layout shift; null where none was told. */
  text: number | null;
  faces: number | null;
  shift: number | null;
}

/** The middle of figures that were counted each so often; null of none. */
function medianOf(counts: ReadonlyMap<number, number>): number | null {
  const all = [...counts.values()].reduce((sum, times) => sum + times, 0);
  let passed = 0;
  for (const [figure, times] of [...counts].sort(([a], [b]) => a - b)) {
    passed += times;
    if (passed * 2 >= all) return figure;
  }
  return null;
}

/** Figures of visits from how often each thing was counted, on whatever days. */
export function visitFigures(counted: readonly Counted[]): VisitFigures {
  let visits = 0;
  const voices: Record<string, { drawn: number[]; local: number[] }> = {};
  const figures = { text: new Map(), faces: new Map(), shift: new Map() } as Record<
    'text' | 'faces' | 'shift',
    Map<number, number>
  >;
  for (const { what, times } of counted) {
    const [kind = '', first = '', second = ''] = what.split('/');
    if (kind === 'visits') visits += times;
    else if (kind === 'drawn' || kind === 'local') {
      const list = (voices[first] ??= { drawn: [], local: [] })[kind];
      const entry = Number(second);
      while (list.length <= entry) list.push(0);
      list[entry] = (list[entry] ?? 0) + times;
    } else if (kind === 'text' || kind === 'faces' || kind === 'shift') {
      figures[kind].set(Number(first), (figures[kind].get(Number(first)) ?? 0) + times);
    }
  }
  const scaled = (kind: keyof typeof figures, by: number): number | null => {
    const middle = medianOf(figures[kind]);
    return middle === null ? null : middle / by;
  };
  return {
    visits,
    voices,
    text: scaled('text', 10),
    faces: scaled('faces', 10),
    shift: scaled('shift', 100),
  };
}
