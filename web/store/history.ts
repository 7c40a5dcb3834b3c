import { history as say } from './words';
import type { HistoryEntry } from '@lettera/core/wire';

const HOUR = 3_600_000;

/**
 * The revision that a project stood at an hour ago, as far back as its history was read.
 * @param entries newest first
 * @returns null where nothing was changed
 */
export function revisionAnHourAgo(
  entries: readonly Pick<HistoryEntry, 'revision' | 'at'>[],
  now: number,
): number | null {
  const then = entries.find(({ at }) => now - Date.parse(at) >= HOUR);
  const oldest = entries.at(-1);
  return then?.revision ?? (oldest ? oldest.revision - 1 : null);
}

const KINDS: Record<HistoryEntry['kind'], string> = {
  change: '',
  undo: 'Undone: ',
  redo: say.madeAgain,
};

/** What was done, in words. */
export const saidOf = ({ kind, label }: HistoryEntry): string => KINDS[kind] + label;
