import { createHash } from 'node:crypto';
import { FontError } from '@lettera/core/font';
import {
  nearestFace,
  REGULAR_WEIGHT,
  regularFace,
  weightsMeasured,
  weightWithin,
  type FaceFiles,
  type FamilyMeasures,
  type FamilySheet,
  type ListedFace,
} from '@lettera/core/measure';
import { MEASURES_VERSION } from '@lettera/core/measure/file';
import type { Leases } from '../store/leases';
import type { MeasureStore } from '../store/measureStore';
import type { Jobs } from './jobs';

/** A file as it is listed, to be fetched when it is needed. */
export interface ListedFile {
  sha256: string;
  script: string;
}

export interface MeasurableFace<F extends ListedFile = ListedFile> extends ListedFace {
  files: readonly F[];
}

/** Scripts whose file holds the letters that are measured, the first that is there. */
const MEASURED_SCRIPTS = ['latin', 'all'];

/** The files of a face, the one to be measured first. */
function measuredFirst<F extends ListedFile>({ files }: MeasurableFace<F>): F[] {
  const rank = ({ script }: F) => (MEASURED_SCRIPTS.includes(script) ? 0 : 1);
  return [...files].sort((a, b) => rank(a) - rank(b));
}

interface Plan<F extends ListedFile> {
  key: string;
  regular: { files: F[]; weight: number };
  italic: { files: F[]; weight: number } | null;
  /** The first file of each upright, and the weights that it is measured at. */
  uprights: { file: F; weights: number[] }[];
}

/** Which files a family is measured on, and the key that its measures are kept under. */
function planOf<F extends ListedFile>(faces: readonly MeasurableFace<F>[]): Plan<F> | null {
  const regularOne = regularFace(faces);
  if (!regularOne) return null;
  const weight = weightWithin(regularOne, REGULAR_WEIGHT);
  const regular = { files: measuredFirst(regularOne), weight };
  const italicOne =
    regularOne.style === 'normal' ? nearestFace(faces, 'italic', weight) : undefined;
  const italic = italicOne
    ? { files: measuredFirst(italicOne).slice(0, 1), weight: weightWithin(italicOne, weight) }
    : null;
  const uprights = faces
    .filter(({ style }) => style === regularOne.style)
    .flatMap((face) =>
      measuredFirst(face)
        .slice(0, 1)
        .map((file) => ({ file, weights: weightsMeasured(face) })),
    );
  const named = [
    ...[regular, italic].map(
      (face) => face && [face.weight, ...face.files.map(({ sha256 }) => sha256)],
    ),
    ...uprights.map(({ file, weights }) => [file.sha256, ...weights]),
  ];
  const key = createHash('sha256')
    .update(JSON.stringify([MEASURES_VERSION, ...named]))
    .digest('hex');
  return { key, regular, italic, uprights };
}

/** Measures families in worker processes, each once for the files that it is measured on. */
export class FamilyMeasurer {
  readonly #underWay = new Map<string, Promise<FamilySheet>>();

  constructor(
    private readonly store: MeasureStore,
    private readonly jobs: Jobs,
    private readonly leases: Leases,
  ) {}

  /** The measures of those families that have been measured before, by their place in the list. */
  async known(
    families: readonly (readonly MeasurableFace[])[],
  ): Promise<(FamilyMeasures | undefined)[]> {
    const keys = families.map((faces) => planOf(faces)?.key ?? '');
    const measures = await this.store.measures([...new Set(keys)]);
    return keys.map((key) => measures.get(key));
  }

  /**
   * Everything read and measured on a family, from the store or anew; null for one without faces.
   * @param load fetches a file of the family
   * @throws FontError, and whatever `load` throws
   */
  async sheet<F extends ListedFile>(
    faces: readonly MeasurableFace<F>[],
    load: (file: F) => Promise<Uint8Array>,
  ): Promise<FamilySheet | null> {
    const plan = planOf(faces);
    if (!plan) return null;
    const known = await this.store.sheet(plan.key);
    if (known) return known;
    const running = this.#underWay.get(plan.key);
    if (running) {
      // Whoever asked first may have gone away, and its files with it: then this one fetches its own.
      const shared = await running.catch((error: unknown) => {
        if (error instanceof FontError) throw error;
        return null;
      });
      return shared ?? this.sheet(faces, load);
    }
    const work = this.leases
      .once(`family ${plan.key}`, {
        look: () => this.store.sheet(plan.key),
        make: () => this.#measure(plan, load),
      })
      .finally(() => this.#underWay.delete(plan.key));
    this.#underWay.set(plan.key, work);
    return work;
  }

  async #measure<F extends ListedFile>(
    { key, regular, italic, uprights }: Plan<F>,
    load: (file: F) => Promise<Uint8Array>,
  ): Promise<FamilySheet> {
    const loaded = new Map<F, Promise<Uint8Array>>();
    const bytesOf = (file: F): Promise<Uint8Array> => {
      const known = loaded.get(file) ?? load(file).then((bytes) => new Uint8Array(bytes));
      loaded.set(file, known);
      return known;
    };
    const fetched = async ({ files, weight }: Plan<F>['regular']): Promise<FaceFiles> => ({
      weight,
      files: await Promise.all(files.map(bytesOf)),
    });
    const sheet = await this.jobs.sheet({
      regular: await fetched(regular),
      italic: italic && (await fetched(italic)),
      uprights: await Promise.all(
        uprights.map(async ({ file, weights }) => ({ file: await bytesOf(file), weights })),
      ),
    });
    await this.store.keep(key, sheet);
    return sheet;
  }
}
