import type { ProgressReport } from '@lettera/core/wire';
import type { Outbox } from './outbox';

/** What is told of long work. */
const PROGRESS = 'progress';
/** Other processes are told so often at most, milliseconds. */
const TOLD_EVERY = 250;

/** Reports of long work to whoever has a project open, in this process and in others. */
export class Progress {
  readonly #waiting = new Map<string, { project: string | null; report: ProgressReport }>();
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly outbox: Outbox) {}

  /** Tells those who have a project open; all projects when none is named. */
  report(report: ProgressReport, project: string | null = null): void {
    this.outbox.hear({ kind: PROGRESS, project, data: report });
    if (this.outbox.isAlone) return;
    this.#waiting.set(`${project} ${report.task}`, { project, report });
    if (this.#timer) return;
    this.#timer = setTimeout(() => void this.#tellOthers(), TOLD_EVERY).unref();
  }

  async #tellOthers(): Promise<void> {
    this.#timer = undefined;
    const told = [...this.#waiting.values()];
    this.#waiting.clear();
    for (const { project, report } of told) {
      // What others do not hear of now they hear of next time.
      await Promise.resolve(this.outbox.entry({ kind: PROGRESS, project, data: report })).catch(
        () => undefined,
      );
    }
  }

  /** @returns how to stop listening */
  on(projectId: string, listener: (report: ProgressReport) => void): () => void {
    return this.outbox.on<ProgressReport>(PROGRESS, (project, report) => {
      if (project === null || project === projectId) listener(report);
    });
  }
}
