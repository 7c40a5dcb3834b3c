import { FontError } from '@lettera/core/font';
import type { BundleFile } from '@lettera/core/deliver';
import type { TunedFace } from '@lettera/core/fallback';
import type { FaceMeasures, FamilySheet } from '@lettera/core/measure';
import { SiteError, type ReadRules } from '@lettera/core/page';
import type { PageLetters, ReadFile, ReadPage, ReadSite, Requests } from '@lettera/core/page/file';
import type {
  DeliverRequest,
  DeriveRequest,
  FontSource,
  MeasureRequest,
  ReadFont,
  RefusedFont,
  SheetRequest,
} from './tasks';
import type {
  LettersRequest,
  RequestsRequest,
  RulesRequest,
  SiteRequest,
  StoredSite,
  UnreadSite,
} from './pageTasks';
import type { ReadProject, UnreadProject } from './projectTasks';
import type { TuneRequest } from './tuneTask';
import type { Page } from '../store/pageStore';
import { isTimeout, type Terms, type WorkerPool } from './workerPool';

/** A reading that takes longer is ended, milliseconds. */
const READING_LIMIT = 10_000;
/** Pages and style sheets that take longer are given up, milliseconds. */
const SITE_LIMIT = 30_000;
/** Packing as WOFF2 takes seconds for each megabyte: what it may take at least, and for each, milliseconds. */
const PACKING_LIMIT = { least: 30_000, perMegabyte: 20_000 };
const MEGABYTE = 1024 * 1024;

/** Whose the work is that belongs to no project. */
const NOBODY = '';

/**
 * Work on what people and sites send, and other long work, in processes beside the server, within limits of time
 * and memory.
 */
export class Jobs {
  constructor(
    private readonly pool: WorkerPool,
    private readonly owner = NOBODY,
  ) {}

  /** The same, as the work of one owner, such as a project: turns are given to owners. */
  for(owner: string): Jobs {
    return new Jobs(this.pool, owner);
  }

  /**
   * Reads a font file, or each face of a collection; one that is no usable font stands as its reason.
   * @throws FontError when the file is none, or takes more time or memory than it may
   */
  async readFonts(source: FontSource): Promise<(ReadFont | FontError)[]> {
    const read = await this.#onFont<(ReadFont | RefusedFont)[]>('readFonts', source);
    return read.map((one) => ('refused' in one ? errorOf(one) : one));
  }

  /** Reads a file that holds one font. @throws FontError */
  async readFont(source: FontSource): Promise<ReadFont> {
    const [first] = await this.readFonts(source);
    if (!first || first instanceof FontError) throw first ?? readingFailed(null);
    return first;
  }

  /** Measures a face at a point of its axes. @throws FontError */
  measure(request: MeasureRequest): Promise<FaceMeasures> {
    return this.#onFont('measure', request);
  }

  /** Reads and measures a family. @throws FontError */
  sheet(request: SheetRequest): Promise<FamilySheet> {
    return this.#onFont('sheet', request);
  }

  /**
   * Makes the file that is delivered from one that was taken in. Its limit grows with the file. Aborting ends
   * the worker that is at it.
   * @throws FontError when it cannot be made; the signal's reason when it is aborted
   */
  async derive(request: DeriveRequest, signal?: AbortSignal): Promise<Uint8Array> {
    const { least, perMegabyte } = PACKING_LIMIT;
    const limit = least + (request.bytes.byteLength / MEGABYTE) * perMegabyte;
    try {
      return await this.#run<Uint8Array>('derive', request, { limit, signal });
    } catch (error) {
      signal?.throwIfAborted();
      const why = isTimeout(error) ? ` within ${Math.round(limit / 1000)} seconds` : '';
      throw new FontError(
        'damaged',
        `A font could not be packed as WOFF2${why}. Its faces can be used; to deliver it, bring it as WOFF2.`,
      );
    }
  }

  /** Tunes local fonts to a face. Aborting ends the worker that is at it. @throws the signal's reason then */
  tune(request: TuneRequest, signal?: AbortSignal): Promise<Record<string, TunedFace>> {
    return this.#run('tune', request, { signal });
  }

  /** Reads the pages of a site. @throws SiteError when there are none, or it takes more than it may */
  readPages(request: SiteRequest): Promise<ReadSite> {
    return this.#onSite('readPages', request, 'The pages could not be read');
  }

  /** What a page or a style sheet asks for. @throws SiteError where it takes more than it may */
  requestsOf(request: RequestsRequest): Promise<Requests> {
    return this.#onSite('requestsIn', request, 'What the page asks for could not be read');
  }

  /** @see cleanSite of the tasks @throws SiteError where it takes more than it may */
  cleanSite(stored: StoredSite): Promise<{ pages: ReadPage[]; files: ReadFile[] }> {
    return this.#onSite('cleanSite', stored, 'The pages could not be cleaned');
  }

  /** @see cleanPages of the tasks @throws SiteError where it takes more than it may */
  cleanPages(pages: readonly Page[]): Promise<Page[]> {
    return this.#onSite('cleanPages', pages, 'The pages could not be cleaned');
  }

  /** @throws SiteError where it takes more than it may */
  typeRules(request: RulesRequest): Promise<ReadRules> {
    return this.#onSite('typeRules', request, 'The style sheets of this page could not be read');
  }

  /** What the text of pages is made of. @throws SiteError where it takes more than it may */
  pageCharacters(request: LettersRequest): Promise<PageLetters> {
    return this.#onSite('pageCharacters', request, 'The characters of the pages could not be read');
  }

  /** The running text of pages, each a line a block. @throws SiteError where it takes more than it may */
  pageTexts(pages: readonly string[]): Promise<string[]> {
    return this.#onSite('pageTexts', pages, 'The text of the pages could not be read');
  }

  /** What a project file holds, cleaned and within its limits; or why it cannot be read. */
  async readProject(at: string): Promise<ReadProject | UnreadProject> {
    try {
      return await this.#run('readProject', at, { limit: SITE_LIMIT });
    } catch (error) {
      return {
        unread: isTimeout(error)
          ? `It could not be read within ${SITE_LIMIT / 1000} seconds.`
          : 'It could not be read: it takes more memory than it may.',
      };
    }
  }

  deliver(request: DeliverRequest): Promise<BundleFile[]> {
    return this.#run('deliver', request);
  }

  zip(files: Record<string, Uint8Array | string>): Promise<Uint8Array> {
    return this.#run('zip', files);
  }

  /** Ends all workers, what they are at, and what waits for them. */
  close(): Promise<void> {
    return this.pool.close();
  }

  async #run<T>(name: string, task: unknown, terms: Omit<Terms, 'owner'> = {}): Promise<T> {
    return (await this.pool.run(name, task, { ...terms, owner: this.owner })) as T;
  }

  /** A task on a file from outside, within limits. */
  async #onFont<T extends object>(name: string, task: unknown): Promise<T> {
    let result: T | RefusedFont;
    try {
      result = await this.#run(name, task, { limit: READING_LIMIT });
    } catch (error) {
      throw readingFailed(error);
    }
    if ('refused' in result) throw errorOf(result);
    return result;
  }

  /** A task on pages or style sheets, within limits. */
  async #onSite<T extends object>(name: string, task: unknown, failed: string): Promise<T> {
    const read = await this.#run<T | UnreadSite>(name, task, { limit: SITE_LIMIT }).catch(
      (error: unknown) => {
        const why = isTimeout(error) ? ` within ${SITE_LIMIT / 1000} seconds` : '';
        throw new SiteError(`${failed}${why}.`);
      },
    );
    if ('unread' in read) throw new SiteError(read.unread);
    return read;
  }
}

const errorOf = ({ refused }: RefusedFont): FontError =>
  new FontError(refused.reason, refused.message);

/** A worker that ran out of time or memory, or stumbled: the file is to blame in each case. */
function readingFailed(error: unknown): FontError {
  if (isTimeout(error)) {
    return new FontError(
      'damaged',
      `This font could not be read within ${READING_LIMIT / 1000} seconds, so it was given up.`,
    );
  }
  return new FontError('damaged', 'This font is damaged: reading it failed.');
}
