import { EventEmitter } from 'node:events';
import type { ProgressReport } from '@lettera/core/wire';

const EVERYONE = '*';

/** Reports of long work to whoever has a project open. */
export class Progress {
  readonly #events = new EventEmitter().setMaxListeners(0);

  /** Tells those who have a project open; all projects when none is named. */
  report(report: ProgressReport, projectId: string = EVERYONE): void {
    this.#events.emit(projectId, report);
  }

  /** @returns how to stop listening */
  on(projectId: string, listener: (report: ProgressReport) => void): () => void {
    const names = [projectId, EVERYONE];
    for (const name of names) this.#events.on(name, listener);
    return () => {
      for (const name of names) this.#events.off(name, listener);
    };
  }
}
