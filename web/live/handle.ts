import type { ShownMessage } from '@lettera/core/running';

/** How the page is shown: with all of the sheet, without it, or without its web faces. */
export type Mode = 'all' | 'site' | 'fallback';

/** What the script of the live sheet gives the tools. */
export interface LiveHandle {
  /** The address that all of it is beside. */
  readonly base: string;
  /** What Lettera shows on the page by now; null before it has said so. */
  readonly shown: ShownMessage | null;
  onShown(listener: (shown: ShownMessage) => void): void;
  /** @returns when the page is shown so */
  setMode(mode: Mode): Promise<void>;
}

/** Where the page holds it. */
export const HANDLE = Symbol.for('lettera.live');
