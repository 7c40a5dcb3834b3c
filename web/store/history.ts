import type { HistoryEntry } from '@lettera/core/wire';

const TIME = new Intl.DateTimeFormat('en', { dateStyle: 'medium', timeStyle: 'short' });

/** When something was done, as people say it. */
export const timeOf = (at: string): string => TIME.format(new Date(at));

const KINDS: Record<HistoryEntry['kind'], string> = {
  change: '',
  undo: 'Undone: ',
  redo: 'Made again: ',
};

/** What was done, in words. */
export const saidOf = ({ kind, label }: HistoryEntry): string => KINDS[kind] + label;
