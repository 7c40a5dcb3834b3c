import type { ProjectDocument } from '../document/projectDocument';
import { patchBetween } from './change';
import { describeOperation } from './describe';

/** What differs from one state of a project to another, a line each: “Style Button: weight 500 → 600”. */
export const differences = (before: ProjectDocument, after: ProjectDocument): string[] =>
  patchBetween(before, after)
    .filter(({ path }) => !path.endsWith('/place'))
    .map((operation) => describeOperation(before, operation, after))
    .reverse();
