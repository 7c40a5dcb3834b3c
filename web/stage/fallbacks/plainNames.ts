import { plainNames as say } from './words';
import type { Patch, ProjectDocument } from '@lettera/core/document';
import { readNames } from '@lettera/core/fallback';

/** Takes plain names as they are typed into a voice; what could not be taken is said, and nothing is changed. */
export function plainPatch(
  document: ProjectDocument,
  voice: string,
  typed: string,
): { patch: Patch | null; notes: string[] } {
  const path = `/voices/${voice}/plain`;
  if (typed.trim() === '') {
    const given = document.voices[voice]?.plain !== undefined;
    return { patch: given ? [{ op: 'remove', path }] : null, notes: [] };
  }
  try {
    const { names, notes } = readNames(typed);
    return { patch: [{ op: 'add', path, value: names }], notes };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return { patch: null, notes: [say.nothingWasChanged(error.message)] };
  }
}
