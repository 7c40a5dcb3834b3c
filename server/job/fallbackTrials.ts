import { createHash } from 'node:crypto';
import type { ProjectDocument } from '@lettera/core/document';
import {
  localCandidates,
  orderCandidates,
  splitTuningText,
  type FallbackTrials,
  type TunedCandidate,
  type TunedFace,
  type TuningText,
} from '@lettera/core/fallback';
import { familiesInUse, familyRequests, matchFace, type StyleRequest } from '@lettera/core/style';
import type { FontStore } from '../store/fontStore';
import type { PageStore } from '../store/pageStore';
import type { Jobs } from './jobs';
import { pageText } from './pageText';

/** How many tunings are remembered; a project uses a few dozen. */
const REMEMBERED = 2000;

const hash = (value: unknown): string =>
  createHash('sha256').update(JSON.stringify(value)).digest('hex');

/** Local fonts that may stand in for a family, by the generics of the voices it is seated in. */
function candidatesFor(document: ProjectDocument, familyKey: string): string[] {
  const voices = Object.values(document.voices).filter(({ family }) => family === familyKey);
  return [...new Set(voices.flatMap(({ generic }) => localCandidates(generic)))].sort();
}

/**
 * Fallback trials of a project's families, tuned on the text of its own pages. Each tuning depends only
 * on the files, the weight and style asked for, the local font and the text, and is remembered by those.
 */
export class FallbackTuner {
  readonly #known = new Map<string, Promise<TunedFace | null>>();
  readonly #texts = new Map<string, { key: string; text: TuningText; textKey: string }>();

  constructor(
    private readonly fonts: FontStore,
    private readonly pages: PageStore,
    private readonly jobs: Jobs,
  ) {}

  async trials(projectId: string, document: ProjectDocument): Promise<FallbackTrials> {
    const { text, textKey } = await this.#textOf(projectId);
    const families = familiesInUse(document);
    const trials = await Promise.all(
      families.map(async (key) => [key, await this.#family(document, key, text, textKey)] as const),
    );
    return Object.fromEntries(trials);
  }

  /** The text of a project's pages, read once for the same pages. */
  async #textOf(projectId: string): Promise<{ text: TuningText; textKey: string }> {
    const pages = (await this.pages.list(projectId)).map(({ html }) => html);
    const key = hash(pages);
    const known = this.#texts.get(projectId);
    if (known?.key === key) return known;
    const text = splitTuningText(pages.map(pageText).join('\n'));
    const read = { key, text, textKey: hash([...text.tuning, ...text.heldOut]) };
    this.#texts.set(projectId, read);
    return read;
  }

  async #family(
    document: ProjectDocument,
    familyKey: string,
    text: TuningText,
    textKey: string,
  ): Promise<TunedCandidate[]> {
    const locals = candidatesFor(document, familyKey);
    const requests = familyRequests(document, familyKey);
    const tuned = await Promise.all(
      requests.map((request) => this.#request(document, familyKey, request, locals, text, textKey)),
    );
    return orderCandidates(
      locals.map((local) => ({
        local,
        faces: tuned.flatMap((faces) => (faces[local] ? [faces[local]] : [])),
      })),
    ).filter(({ faces }) => faces.length > 0);
  }

  /** One weight and style of a family against each local font, from memory where it is known. */
  async #request(
    document: ProjectDocument,
    familyKey: string,
    { weight, slant }: StyleRequest,
    locals: string[],
    text: TuningText,
    textKey: string,
  ): Promise<Record<string, TunedFace>> {
    const match = matchFace(document.case[familyKey]?.faces ?? [], { weight, slant });
    if (!match) return {};
    const hashes = match.face.files.map(({ sha256 }) => sha256);
    // A file without the axis leaves it out.
    const instanceWeight = match.weight;
    const keyOf = (local: string) => hash([hashes, instanceWeight, weight, slant, local, textKey]);

    const unknown = locals.filter((local) => !this.#known.has(keyOf(local)));
    if (unknown.length > 0) {
      const job = this.#tune(hashes, { instanceWeight, weight, slant, locals: unknown, text });
      for (const local of unknown) this.#remember(keyOf(local), local, job);
    }
    const faces = await Promise.all(
      locals.map(async (local) => [local, await this.#known.get(keyOf(local))] as const),
    );
    return Object.fromEntries(faces.flatMap(([local, face]) => (face ? [[local, face]] : [])));
  }

  #remember(key: string, local: string, job: Promise<Record<string, TunedFace>>): void {
    const face = job.then((tuned) => tuned[local] ?? null);
    face.catch(() => this.#known.delete(key));
    this.#known.set(key, face);
    for (const oldest of this.#known.keys()) {
      if (this.#known.size <= REMEMBERED) break;
      this.#known.delete(oldest);
    }
  }

  async #tune(
    hashes: string[],
    request: Omit<Parameters<Jobs['tune']>[0], 'files' | 'metrics'>,
  ): Promise<Record<string, TunedFace>> {
    const [files, readings] = await Promise.all([
      this.fonts.files(hashes),
      this.fonts.readings(hashes),
    ]);
    const reading = hashes.map((sha256) => readings.get(sha256)).find(Boolean);
    if (!reading) throw new RangeError('The files of this face are not in the store.');
    return this.jobs.tune({ ...request, files: [...files.values()], metrics: reading });
  }
}
