import { patchBetween, patchesTouch, reapply } from '@lettera/core/change';
import type { Patch, ProjectDocument } from '@lettera/core/document';
import type { Change, Project } from '@lettera/core/wire';

/** What the server holds, and what has been done here since and is not stored yet. */
export interface Unsaved {
  revision: number;
  document: ProjectDocument;
  pending: Patch[];
}

/** The pending changes, one after another, on a document. */
export const replay = (document: ProjectDocument, pending: readonly Patch[]): ProjectDocument =>
  pending.reduce(reapply, document);

/** A project after a change that was made on it as it is; null where the change was made on another revision. */
export function afterChange(
  project: Project,
  { patch, label: _label, ...made }: Change,
): Project | null {
  if (made.revision !== project.revision + 1) return null;
  const document = reapply(project.document, patch);
  return { ...project, ...made, name: document.name, document };
}

export type Rebased =
  | { kind: 'rebased'; state: Unsaved }
  /** The first of the pending changes touches what has changed elsewhere. */
  | { kind: 'conflict'; theirs: Patch; mine: Patch };

/**
 * Moves pending changes onto a newer revision, where none touches what has changed there; otherwise
 * names the two changes that meet, for the person to decide.
 */
export function rebase(
  state: Unsaved,
  newer: { revision: number; document: ProjectDocument },
): Rebased {
  const theirs = patchBetween(state.document, newer.document);
  const mine = state.pending.find((patch) => patchesTouch(patch, theirs));
  if (mine) return { kind: 'conflict', theirs, mine };
  return {
    kind: 'rebased',
    state: { revision: newer.revision, document: newer.document, pending: state.pending },
  };
}
