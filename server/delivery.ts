import { languageOf, type LettersTogether } from '@lettera/core/script';
import { lettersTogether } from '@lettera/core/script/together';
import { promisify } from 'node:util';
import zlib from 'node:zlib';
import {
  bundleFault,
  caseFonts,
  casePlan,
  cutName,
  deliveredFonts,
  deliveryPlan,
  deliveryWays,
  heldCharacters,
  totalBytes,
  type DeliveryEvidence,
  type LicenceTexts,
  type PlannedFile,
  type Plans,
} from '@lettera/core/deliver';
import { fallbackPlan, type FallbackTrials } from '@lettera/core/fallback';
import type { DeliveryFile } from '@lettera/core/wire';
import type { ProjectDocument } from '@lettera/core/document';
import { Remembered } from './remembered';
import type { SiteCopy } from './siteCopy';
import type { FallbackTuner } from './job/fallbackTrials';
import type { FileMaker } from './job/fileMaker';
import type { Jobs } from './job/jobs';
import type { DerivedFile } from './store/derivedStore';
import type { FontStore } from './store/fontStore';
import type { Outbox } from './store/outbox';
import type { Project } from '@lettera/core/wire';

const gzip = promisify(zlib.gzip) as (text: string) => Promise<Buffer>;

/** A revision's delivery: every file of its bundle, as answers give it. */
export interface Delivery {
  files: DeliveryFile[];
  trials: FallbackTrials;
}

/** What is told when what was worked out for a project no longer holds. */
const FORGOTTEN = 'delivery-forgotten';
/** Revisions whose deliveries are remembered; and their bundles, which are larger. */
const REMEMBERED = { deliveries: 20, bundles: 6 };

/** The letters of a project's languages with scripts of many, as texts have them together. */
const togetherIn = ({ languages }: Pick<ProjectDocument, 'languages'>): LettersTogether =>
  Object.fromEntries(
    languages.flatMap((tag) => {
      const known = languageOf(tag);
      const groups = known ? lettersTogether(known.tag) : [];
      return known && groups.length > 0 ? [[known.tag, groups]] : [];
    }),
  );

/** The bundle would be larger than bundles may be. */
export class BundleTooLargeError extends Error {
  override readonly name = 'BundleTooLargeError';
}

/** What projects deliver: worked out once for a revision, beside the server. */
export class Deliveries {
  readonly #deliveries = new Remembered<Delivery>(REMEMBERED.deliveries);
  readonly #packed = new Remembered<Buffer>(REMEMBERED.deliveries);
  readonly #bundles = new Remembered<Buffer>(REMEMBERED.bundles);
  /** Projects whose files are not made ahead: their making was stopped, and has not been asked for since. */
  readonly #stopped = new Set<string>();

  constructor(
    private readonly fonts: FontStore,
    private readonly maker: FileMaker,
    private readonly jobs: Jobs,
    private readonly tuner: FallbackTuner,
    private readonly copy: SiteCopy,
    private readonly outbox: Outbox,
  ) {
    outbox.on(FORGOTTEN, (project) => {
      for (const all of [this.#deliveries, this.#packed, this.#bundles]) all.forget(`${project} `);
    });
  }

  /** Lets go of what was worked out for a project, in every process: something beside its document has changed. */
  forget(project: string): Promise<void> {
    return this.outbox.tell({ kind: FORGOTTEN, project, data: null });
  }

  /** The files of a delivery in JSON, packed once for all who ask. */
  packed(project: Project): Promise<Buffer> {
    return this.#packed.get(keyOf(project), async () =>
      gzip(JSON.stringify((await this.of(project)).files)),
    );
  }

  /** Stops what is being made for a project's delivery; whoever waits for it gets that as the answer. */
  stop(projectId: string): void {
    this.#stopped.add(projectId);
    this.maker.stop(projectId);
    this.tuner.stop(projectId);
  }

  /** What the bundle of a project holds, file by file. */
  of(project: Project): Promise<Delivery> {
    return this.#deliveries.get(keyOf(project), () => this.#deliver(project));
  }

  /** The bundle as a zip. */
  bundle(project: Project): Promise<Buffer> {
    return this.#bundles.get(keyOf(project), async () =>
      Buffer.from(await this.jobs.for(project.id).zip(await this.contents(project))),
    );
  }

  /** The bundle's files with their contents, by path. @throws BundleTooLargeError */
  async contents(project: Project): Promise<Record<string, string | Uint8Array>> {
    const { files } = await this.of(project);
    const fault = bundleFault(files.reduce((sum, { bytes }) => sum + bytes, 0));
    if (fault) throw new BundleTooLargeError(fault);
    const entries = await Promise.all(
      files.map(async (file) => [file.path, await this.#contentOf(project.id, file)] as const),
    );
    return Object.fromEntries(entries);
  }

  /** What one file of the bundle holds; null where there is none of that path. */
  async content(project: Project, path: string): Promise<string | Uint8Array | null> {
    const { files } = await this.of(project);
    const file = files.find((one) => one.path === path);
    return file ? this.#contentOf(project.id, file) : null;
  }

  async #contentOf(projectId: string, file: DeliveryFile): Promise<string | Uint8Array> {
    return file.kind === 'text' ? file.content : this.#fontBytes(projectId, file);
  }

  /** What a file holds that is delivered, from its source and what is done to that. */
  bytes(
    projectId: string,
    { source, cut }: Pick<PlannedFile, 'source' | 'cut'>,
  ): Promise<Uint8Array> {
    return this.#fontBytes(projectId, { source, cut: cut && cutName(cut) });
  }

  async #fontBytes(
    projectId: string,
    { source, cut }: { source: string; cut: string | null },
  ): Promise<Uint8Array> {
    return new Uint8Array(
      cut ? await this.maker.bytes(projectId, { source, cut }) : await this.#whole(source),
    );
  }

  /**
   * The plans that a document is delivered by, once all files are there that they name.
   * @param stored the document as it is stored, where the other is only tried: of files that the project does not
   *   have nothing is cut or fitted
   */
  async plans(
    { id, document }: Pick<Project, 'id' | 'document'>,
    stored: ProjectDocument = document,
  ): Promise<Plans> {
    this.#stopped.delete(id);
    const hashes = caseFonts(document).map(({ file }) => file.sha256);
    const missing = new Set(await this.fonts.missingFrom(id, hashes));
    const [trials] = await Promise.all([
      this.tuner.trials(id, missing.size > 0 ? stored : document),
      this.#make({ id, document }, deliveryPlan, ({ source }) => !missing.has(source)),
    ]);
    return {
      fallback: fallbackPlan(document, trials),
      delivery: deliveryPlan(document, await this.evidence({ id, document })),
    };
  }

  /** What the delivery plan of a document needs to know: readings, and what has been made so far. */
  async evidence({ id, document }: Pick<Project, 'id' | 'document'>): Promise<DeliveryEvidence> {
    const hashes = caseFonts(document).map(({ file }) => file.sha256);
    const [readings, made, { characters, languages, within }] = await Promise.all([
      this.fonts.readings(hashes),
      this.maker.made(hashes),
      this.copy.letters(id, document),
    ]);
    return {
      readings: Object.fromEntries(readings),
      made,
      copy: characters,
      within,
      languages,
      together: togetherIn(document),
    };
  }

  /** The characters that the font files of a delivery have, by the key of their family. */
  async characters(project: Pick<Project, 'id' | 'document'>): Promise<Record<string, string>> {
    const evidence = await this.evidence(project);
    return heldCharacters(deliveryWays(project.document, evidence), evidence);
  }

  /** Why files that a project delivers could not be made, where that has been tried. */
  failures({ document }: Pick<Project, 'document'>): Record<string, string> {
    return this.maker.failed(caseFonts(document).map(({ file }) => file.sha256));
  }

  /**
   * Makes what a project delivers and has not been made, and then what the rest of its case would; files can
   * be used before that.
   */
  async makeFiles(project: Pick<Project, 'id' | 'document'>): Promise<void> {
    if (this.#stopped.has(project.id)) return;
    await this.#make(project, deliveryPlan);
    await this.#make(project, casePlan);
  }

  /** Bytes of all the font files that a document would deliver, each made for it. */
  async bytesOf(project: Pick<Project, 'id' | 'document'>): Promise<number> {
    await this.#make(project, deliveryPlan);
    const { files } = deliveryPlan(project.document, await this.evidence(project));
    return totalBytes(files) ?? 0;
  }

  async #make(
    project: Pick<Project, 'id' | 'document'>,
    planOf: typeof casePlan | typeof deliveryPlan,
    isThere: (file: { source: string }) => boolean = () => true,
  ): Promise<void> {
    const { wanted } = planOf(project.document, await this.evidence(project));
    await this.maker.make(
      project.id,
      wanted.filter(isThere).map(({ source, cut }): DerivedFile => ({ source, cut: cutName(cut) })),
    );
  }

  async #deliver(project: Project): Promise<Delivery> {
    const { id, document } = project;
    this.#stopped.delete(id);
    const [trials] = await Promise.all([
      this.tuner.trials(id, document),
      this.#make(project, deliveryPlan),
    ]);
    const files = await this.jobs.for(id).deliver({
      document,
      trials,
      evidence: await this.evidence(project),
      licences: await this.#licences(document),
    });
    return {
      trials,
      files: files.map((file): DeliveryFile => {
        if (file.kind === 'text') return { ...file, bytes: Buffer.byteLength(file.content) };
        if (file.bytes === null) throw new RangeError(`${file.path} has not been made`);
        return { ...file, bytes: file.bytes };
      }),
    };
  }

  async #whole(sha256: string): Promise<Buffer> {
    const file = (await this.fonts.files([sha256])).get(sha256);
    if (!file) throw new RangeError(`The store has no file ${sha256}`);
    return file;
  }

  async #licences(document: ProjectDocument): Promise<LicenceTexts> {
    const delivered = deliveredFonts(document);
    const texts = await this.fonts.licences(delivered.map(({ file }) => file.sha256));
    return Object.fromEntries(
      delivered.flatMap(({ familyKey, file }) => {
        const text = texts.get(file.sha256);
        return text ? [[familyKey, text]] : [];
      }),
    );
  }
}

const keyOf = ({ id, revision }: Project): string => `${id} ${revision}`;
