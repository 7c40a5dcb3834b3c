import jsonPatch, { type Operation } from 'fast-json-patch';
import { isPlainObject } from './decorators';
import { describePath } from './describe';
import type { ProjectDocument } from './projectDocument';
import { referenceErrors } from './references';
import { documentErrors, type FieldError } from './validate';

/** A JSON Patch (RFC 6902). */
export type Patch = Operation[];

/** A change that has been applied: where it led, and the patch that undoes it. */
export interface AppliedChange {
  document: ProjectDocument;
  inverse: Patch;
}

/** Thrown when a patch cannot be applied or would leave an invalid document; nothing has changed then. */
export class ChangeError extends Error {
  override readonly name = 'ChangeError';

  constructor(
    message: string,
    readonly errors: FieldError[],
  ) {
    super(message);
  }
}

const MOST_OPERATIONS = 2000;
const OPERATIONS = new Set(['add', 'remove', 'replace', 'move', 'copy', 'test']);

function checkShape(patch: unknown): asserts patch is Patch {
  if (!Array.isArray(patch)) {
    throw new ChangeError('A JSON Patch is a list of operations.', [
      { path: '', message: 'must be a list' },
    ]);
  }
  if (patch.length > MOST_OPERATIONS) {
    throw new ChangeError(`A patch holds at most ${MOST_OPERATIONS} operations.`, [
      { path: '', message: `holds ${patch.length} operations` },
    ]);
  }
  patch.forEach((operation: unknown, i) => {
    const valid =
      isPlainObject(operation) &&
      OPERATIONS.has(String(operation['op'])) &&
      typeof operation['path'] === 'string';
    if (!valid) {
      throw new ChangeError(`Operation ${i + 1} of the patch is not a JSON Patch operation.`, [
        { path: '', message: 'must have an “op” and a “path”' },
      ]);
    }
  });
}

/**
 * Applies a JSON Patch to a valid document and checks what it touches, and what refers to that. The document
 * given is left as it is.
 * @throws ChangeError naming each path at fault
 */
export function applyChange(document: ProjectDocument, patch: unknown): AppliedChange {
  checkShape(patch);
  let after: ProjectDocument;
  try {
    after = jsonPatch.applyPatch(
      document,
      jsonPatch.deepClone(patch) as Patch,
      true,
      false,
    ).newDocument;
  } catch (error) {
    throw refusal(error);
  }
  const errors = madeBy(documentErrors(after, partsOf(patch)), document);
  const [first] = errors;
  if (first) {
    const place = describePath(document, first.path);
    throw new ChangeError(`${place} ${first.message}. Nothing was changed.`, errors);
  }
  return { document: after, inverse: jsonPatch.compare(after, document) };
}

/** Errors that a change has made: what did not go together before, by a rule made since, may stay as it is. */
function madeBy(errors: FieldError[], before: ProjectDocument): FieldError[] {
  if (errors.length === 0) return errors;
  const known = new Set(referenceErrors(before).map(({ path, message }) => `${path} ${message}`));
  return errors.filter(({ path, message }) => !known.has(`${path} ${message}`));
}

/** Names of the parts of a document that a patch touches; undefined for all of them. */
function partsOf(patch: Patch): Set<string> | undefined {
  const paths = patch.flatMap((operation) =>
    'from' in operation ? [operation.path, operation.from] : [operation.path],
  );
  const parts = paths.map((path) =>
    path.split('/')[1]?.replaceAll('~1', '/').replaceAll('~0', '~'),
  );
  return parts.includes(undefined) ? undefined : new Set(parts as string[]);
}

function refusal(error: unknown): ChangeError {
  if (!(error instanceof jsonPatch.JsonPatchError)) throw error;
  const path = isPlainObject(error.operation) ? String(error.operation['path']) : '';
  if (error.name === 'TEST_OPERATION_FAILED') {
    return new ChangeError(`The change was refused: ${path} is not what the patch expects.`, [
      { path, message: 'is not what the patch expects' },
    ]);
  }
  return new ChangeError(`The change was refused: the document has nothing at ${path}.`, [
    { path, message: 'is not in the document' },
  ]);
}

/** Applies a patch that has been checked before, to the document that it was checked on or one like it. */
export const reapply = (document: ProjectDocument, patch: Patch): ProjectDocument =>
  jsonPatch.applyPatch(document, jsonPatch.deepClone(patch) as Patch, false, false).newDocument;

/**
 * A document with a change that is only looked at, made by the program from values within their bounds: what
 * refers to what is checked, the values are not.
 * @returns null when the change does not fit the document
 */
export function lookAt(document: ProjectDocument, patch: Patch): ProjectDocument | null {
  try {
    const copy = jsonPatch.deepClone(patch) as Patch;
    const after = jsonPatch.applyPatch(document, copy, true, false).newDocument;
    return madeBy(referenceErrors(after), document).length === 0 ? after : null;
  } catch (error) {
    if (error instanceof jsonPatch.JsonPatchError) return null;
    throw error;
  }
}

/** The patch that leads from one document to another. */
export const patchBetween = (before: ProjectDocument, after: ProjectDocument): Patch =>
  jsonPatch.compare(before, after);

/** Whether two patches touch the same place, or one a place inside the other's. */
export function patchesTouch(a: Patch, b: Patch): boolean {
  const touched = (patch: Patch) =>
    patch.flatMap((operation) =>
      'from' in operation ? [operation.path, operation.from] : [operation.path],
    );
  const inside = (outer: string, inner: string) => inner === outer || inner.startsWith(`${outer}/`);
  return touched(a).some((p) => touched(b).some((q) => inside(p, q) || inside(q, p)));
}
