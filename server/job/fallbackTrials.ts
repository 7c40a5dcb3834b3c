import { createHash } from 'node:crypto';
import type { PinnedLine, ProjectDocument } from '@lettera/core/document';
import {
  fittingOf,
  scriptLocals,
  localCandidates,
  localsOf,
  orderCandidates,
  trialKey,
  TUNING_VERSION,
  tuningTextOf,
  type FallbackTrials,
  type Fitting,
  type TunedCandidate,
  type TunedFace,
  type TuningText,
} from '@lettera/core/fallback';
import type { Script } from '@lettera/core/script';
import { languageOf, scriptOfLanguage } from '@lettera/core/script';
import {
  matchFace,
  scriptRequests,
  scriptSeats,
  voiceRequests,
  voiceUses,
  type StyleRequest,
} from '@lettera/core/style';
import type { Progress } from '../store/progress';
import type { FontStore } from '../store/fontStore';
import type { Leases } from '../store/leases';
import type { LocalReadingStore } from '../store/localReadingStore';
import type { PageStore } from '../store/pageStore';
import type { SiteStore } from '../store/siteStore';
import type { TuningStore } from '../store/tuningStore';
import type { Jobs } from './jobs';
import { languageText } from './languageText';
import { StoppedError, Stopping } from './stopping';
import type { MeasuredFonts } from './tuneTask';

/** How many tunings are remembered; a project uses a few dozen. */
const REMEMBERED = 3000;
/** Texts of so many projects are remembered. */
const TEXTS_REMEMBERED = 50;

const hash = (value: unknown): string =>
  createHash('sha256').update(JSON.stringify(value)).digest('hex');

/** What all tunings of a project share. */
interface Ground {
  /** The project whose work it is. */
  owner: string;
  /** Aborts when the project's fitting is stopped. */
  signal: AbortSignal;
  document: ProjectDocument;
  text: TuningText;
  textKey: string;
  measured: MeasuredFonts;
  measuredKeys: Readonly<Record<string, string>>;
  /** Called with work that has to be waited for. */
  told?: (work: Promise<unknown>) => void;
}

/**
 * Fallback trials of a project's voices, tuned on its own pages and on text of its languages. Each tuning
 * depends only on the files, the weight and style asked for, the local font, the text and the limits, and
 * is remembered by those.
 */
export class FallbackTuner {
  readonly #known = new Map<string, Promise<TunedFace | null>>();
  readonly #texts = new Map<string, { text: TuningText; textKey: string }>();
  readonly #stopping = new Stopping('Fitting the local fonts was stopped.');

  constructor(
    private readonly fonts: FontStore,
    private readonly pages: PageStore,
    private readonly sites: SiteStore,
    private readonly readings: LocalReadingStore,
    private readonly jobs: Jobs,
    private readonly progress: Progress,
    private readonly tunings: TuningStore,
    private readonly leases: Leases,
  ) {}

  /** Stops what is being fitted for a project; what is done is kept, and asking again goes on from there. */
  stop(projectId: string): void {
    this.#stopping.stop(projectId);
  }

  /** @throws StoppedError when it is stopped meanwhile */
  async trials(projectId: string, document: ProjectDocument): Promise<FallbackTrials> {
    const ground = { ...(await this.#groundOf(projectId, document)), told: this.#told(projectId) };
    const voices = [...voiceUses(document).keys()].filter((key) => document.voices[key]?.family);
    const trials = await Promise.all([
      ...voices.map(
        async (voice) =>
          [
            trialKey(voice, document.voices[voice]?.family ?? ''),
            await this.#voice(ground, voice),
          ] as const,
      ),
      ...voices.flatMap((voice) =>
        scriptSeats(document.voices[voice]).map(
          async ({ script, seat }) =>
            [
              trialKey(voice, seat.family, script.key),
              await this.#script(ground, voice, script),
            ] as const,
        ),
      ),
    ]);
    return Object.fromEntries(trials);
  }

  /**
   * One local font for the weight and style that a voice is most used in, at each of several limits.
   * @returns in the order of the limits; null where it cannot be tuned
   */
  async curve(
    projectId: string,
    document: ProjectDocument,
    { voice, local, fittings }: { voice: string; local: string; fittings: readonly Fitting[] },
  ): Promise<(TunedFace | null)[]> {
    const ground = await this.#groundOf(projectId, document);
    const [request] = voiceRequests(document, voice);
    if (!request) return fittings.map(() => null);
    const points = await Promise.all(
      fittings.map((fitting) => this.#request(ground, voice, request, [local], fitting)),
    );
    return points.map((faces) => faces[local] ?? null);
  }

  async #groundOf(projectId: string, document: ProjectDocument): Promise<Ground> {
    const readings = await this.readings.list(projectId);
    const measured: Record<string, MeasuredFonts[string]> = {};
    for (const { local, variant, advances } of readings) {
      measured[local] = { ...measured[local], [variant]: advances };
    }
    const measuredKeys = Object.fromEntries(
      Object.entries(measured).map(([local, variants]) => [local, hash(variants)]),
    );
    return {
      owner: projectId,
      signal: this.#stopping.signalOf(projectId),
      document,
      measured,
      measuredKeys,
      ...(await this.#textOf(projectId, document)),
    };
  }

  /** Counts the fittings that a project waits for, and tells it how far they have come. */
  #told(projectId: string): (work: Promise<unknown>) => void {
    let [done, of] = [0, 0];
    const tell = () => this.progress.report({ task: 'fitting', done, of }, projectId);
    return (work) => {
      of++;
      tell();
      const end = () => {
        done++;
        tell();
      };
      void work.then(end, end);
    };
  }

  /** The text that a project is tuned on, read once for the same pages and languages. */
  async #textOf(
    projectId: string,
    { languages, pages: own = {}, typed = {} }: ProjectDocument,
    of: { script?: Script; without?: readonly Script[] } = {},
  ): Promise<{ text: TuningText; textKey: string }> {
    // The site's own pages take the place of those that came with the project.
    const ownPages = await Promise.all(
      Object.values(own).map(({ site, path }) => this.sites.page(projectId, site, path)),
    );
    const pages =
      ownPages.length > 0
        ? ownPages.map((page) => page?.html ?? '')
        : (await this.pages.list(projectId)).map(({ html }) => html);
    const words = Object.values(typed).flatMap(({ texts }) => Object.values(texts));
    const { script, without: others = [] } = of;
    const key = hash([pages, languages, words, script?.key ?? null, others.map((one) => one.key)]);
    const known = this.#texts.get(key);
    if (known) return known;
    const copy = [...(await this.jobs.for(projectId).pageTexts(pages)), ...words].join('\n');
    const text = script
      ? tuningTextOf(
          wordsIn(copy, script),
          languages.filter((tag) => isOfScript(tag, script)).map(languageText),
        )
      : tuningTextOf(
          others.length > 0 ? wordsOutside(copy, others) : copy,
          languages.filter((tag) => !others.some((one) => isOfScript(tag, one))).map(languageText),
        );
    const read = { text, textKey: hash([[...text.tuning], text.judged]) };
    this.#texts.set(key, read);
    forget(this.#texts, TEXTS_REMEMBERED);
    return read;
  }

  /**
   * All local fonts of a voice's class for what the voice is most used in; for everything else that it is
   * used in, those that its stack then takes. Text of scripts that it has other families for is not tuned on.
   */
  async #voice(all: Ground, voice: string): Promise<TunedCandidate[]> {
    const { document } = all;
    const seat = document.voices[voice];
    if (!seat?.family) return [];
    const without = scriptSeats(seat).map(({ script }) => script);
    const ground =
      without.length > 0
        ? { ...all, ...(await this.#textOf(all.owner, document, { without })) }
        : all;
    const { generic, fallback, family } = seat;
    const fitting = fittingOf(document, voice);
    const [main, ...others] = voiceRequests(document, voice);
    if (!main) return [];
    const chosen = typeof fallback === 'string' ? [fallback] : (fallback ?? []);
    const locals = [...new Set([...localCandidates(generic), ...chosen])].sort();
    const first = await this.#request(ground, voice, main, locals, fitting);
    const candidates = orderCandidates(
      locals.flatMap((local): TunedCandidate[] => {
        const face = first[local];
        const source = ground.measured[local] ? 'measured' : 'twin';
        return face ? [{ local, source, faces: [face] }] : [];
      }),
      document.audience,
    );
    const taken = localsOf(document, voice, { [trialKey(voice, family)]: candidates });
    const rest = await Promise.all(
      others.map((request) => this.#request(ground, voice, request, taken, fitting)),
    );
    return candidates.map((candidate) => ({
      ...candidate,
      faces: [...candidate.faces, ...rest.flatMap((faces) => faces[candidate.local] ?? [])],
    }));
  }

  /** The local fonts of a script's stack, for all that the voice is used in. */
  async #script(ground: Ground, voice: string, script: Script): Promise<TunedCandidate[]> {
    const { document, owner } = ground;
    const seat = document.voices[voice];
    const family = seat?.scripts?.[script.key]?.family;
    // Each ideograph is as wide as the em in every font of them.
    if (!seat || !family || script.large) return [];
    const locals = [...scriptLocals(seat, script.key)].sort();
    const own = { ...ground, ...(await this.#textOf(owner, document, { script })) };
    const fitting = fittingOf(document, voice);
    const requests = scriptRequests(document, voice, script).filter(
      ({ slant }) => slant === 'normal',
    );
    const faces = await Promise.all(
      requests.map((request) => this.#request(own, voice, request, locals, fitting, family)),
    );
    return locals.flatMap((local): TunedCandidate[] => {
      const tuned = faces.flatMap((one) => one[local] ?? []);
      const source = ground.measured[local] ? 'measured' : 'twin';
      return tuned.length > 0 ? [{ local, source, faces: tuned }] : [];
    });
  }

  /** One weight and style of a voice over each local font, from memory where it is known. */
  async #request(
    ground: Ground,
    voice: string,
    { weight, slant }: StyleRequest,
    locals: readonly string[],
    fitting: Fitting,
    familyKey = ground.document.voices[voice]?.family ?? '',
  ): Promise<Record<string, TunedFace>> {
    const { signal, owner, document, text, textKey, measured, measuredKeys, told } = ground;
    signal.throwIfAborted();
    const family = document.case[familyKey];
    const match = matchFace(family?.faces ?? [], { weight, slant });
    if (!match) return {};
    const hashes = match.face.files.map(({ sha256 }) => sha256);
    // A file without the axis leaves it out.
    const instanceWeight = match.weight;
    const keyOf = (local: string) =>
      hash([
        TUNING_VERSION,
        hashes,
        instanceWeight,
        weight,
        slant,
        local,
        measuredKeys[local] ?? null,
        textKey,
        fitting,
        match.face.pinned ?? null,
      ]);

    const unknown = locals.filter((local) => !this.#known.has(keyOf(local)));
    if (unknown.length > 0) {
      const job = this.#keptOr(
        unknown,
        keyOf,
        (rest) =>
          this.#tune(
            hashes,
            match.face.pinned,
            {
              instanceWeight,
              weight,
              slant,
              locals: rest,
              measured: Object.fromEntries(
                rest.flatMap((local) => (measured[local] ? [[local, measured[local]]] : [])),
              ),
              text,
              fitting,
            },
            { signal, owner },
          ),
        signal,
      );
      told?.(job);
      for (const local of unknown) this.#remember(keyOf(local), local, job);
    }
    try {
      const faces = await Promise.all(
        locals.map(async (local) => [local, await this.#known.get(keyOf(local))] as const),
      );
      return Object.fromEntries(faces.flatMap(([local, face]) => (face ? [[local, face]] : [])));
    } catch (error) {
      // Another project waited for the same tuning, and stopped it for itself.
      if (!(error instanceof StoppedError) || signal.aborted) throw error;
      return this.#request(ground, voice, { weight, slant }, locals, fitting, familyKey);
    }
  }

  /** What is known of local fonts from before, and what is worked out of the rest, which is kept. */
  #keptOr(
    locals: readonly string[],
    keyOf: (local: string) => string,
    tune: (rest: string[]) => Promise<Record<string, TunedFace>>,
    signal: AbortSignal,
  ): Promise<Record<string, TunedFace>> {
    const keys = locals.map(keyOf);
    const facesIn = (kept: ReadonlyMap<string, TunedFace | null>): Record<string, TunedFace> =>
      Object.fromEntries(
        locals.flatMap((local) => {
          const face = kept.get(keyOf(local));
          return face ? [[local, face] as const] : [];
        }),
      );
    return this.leases.once(`tuning ${hash(keys)}`, {
      look: async () => {
        const kept = await this.tunings.get(keys);
        return kept.size === new Set(keys).size ? facesIn(kept) : null;
      },
      make: async () => {
        const kept = await this.tunings.get(keys);
        const rest = locals.filter((local) => !kept.has(keyOf(local)));
        const tuned = await tune(rest);
        const made = new Map(rest.map((local) => [keyOf(local), tuned[local] ?? null]));
        await this.tunings.keep(made);
        return facesIn(new Map([...kept, ...made]));
      },
      signal,
    });
  }

  #remember(key: string, local: string, job: Promise<Record<string, TunedFace>>): void {
    const face = job.then((tuned) => tuned[local] ?? null);
    face.catch(() => this.#known.delete(key));
    this.#known.set(key, face);
    forget(this.#known, REMEMBERED);
  }

  async #tune(
    hashes: string[],
    pinned: PinnedLine | undefined,
    request: Omit<Parameters<Jobs['tune']>[0], 'files' | 'metrics'>,
    { signal, owner }: Pick<Ground, 'signal' | 'owner'>,
  ): Promise<Record<string, TunedFace>> {
    const [files, readings] = await Promise.all([
      this.fonts.files(hashes),
      this.fonts.readings(hashes),
    ]);
    const reading = hashes.map((sha256) => readings.get(sha256)).find(Boolean);
    if (!reading) throw new RangeError('The files of this face are not in the store.');
    // A face that is pinned has the line box that it is pinned to.
    const metrics = pinned ? { unitsPerEm: 1, ...pinned } : reading;
    return this.jobs.for(owner).tune({ ...request, files: [...files.values()], metrics }, signal);
  }
}

const isOfScript = (tag: string, { key }: Script): boolean => {
  const language = languageOf(tag);
  return language !== undefined && scriptOfLanguage(language)?.key === key;
};

/** Words of a text that are of one script alone; what ends a sentence stays, since sentences are told by it. */
const wordsIn = (text: string, { has }: Script): string =>
  text
    .split('\n')
    .map((line) =>
      line
        .split(/\s+/)
        .filter(
          (word) =>
            has.test(word) && ![...word].some((one) => /\p{L}/u.test(one) && !has.test(one)),
        )
        .join(' '),
    )
    .filter(Boolean)
    .join('\n');

/** A text without its words of some scripts. */
const wordsOutside = (text: string, scripts: readonly Script[]): string =>
  text
    .split('\n')
    .map((line) =>
      line
        .split(/\s+/)
        .filter((word) => !scripts.some(({ has }) => has.test(word) && /\p{L}/u.test(word)))
        .join(' '),
    )
    .join('\n');

/** Lets go of the oldest entries beyond so many. */
function forget(map: Map<string, unknown>, most: number): void {
  for (const oldest of map.keys()) {
    if (map.size <= most) break;
    map.delete(oldest);
  }
}
