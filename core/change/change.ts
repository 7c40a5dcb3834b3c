import jsonPatch from 'fast-json-patch';
import { applyPatch, DOCUMENT_LIMITS, PatchError } from '../document/applyPatch';
import { isPlainObject } from '../document/decorators';
import type { FieldError } from '../document/fieldError';
import { touchedPaths, type Patch } from '../document/patch';
import { inOrder, placePatch } from '../document/places';
import type { ProjectDocument } from '../document/projectDocument';
import { describePath } from './describe';
import { referenceErrors } from './references';
import { documentErrors } from './validate';

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

/** Most operations of a patch. */
export const MOST_OPERATIONS = 2000;

const OPERATIONS: Record<string, readonly string[]> = {
  add: ['value'],
  replace: ['value'],
  test: ['value'],
  remove: [],
  move: ['from'],
  copy: ['from'],
};

/** A JSON Pointer (RFC 6901 §3). */
const isPointer = (value: unknown): boolean =>
  typeof value === 'string' && /^(\/([^~]|~[01])*)?$/.test(value);

function isOperation(operation: unknown): boolean {
  if (!isPlainObject(operation) || !isPointer(operation['path'])) return false;
  const op = operation['op'];
  const needs =
    typeof op === 'string' && Object.hasOwn(OPERATIONS, op) ? OPERATIONS[op] : undefined;
  return (
    needs !== undefined &&
    needs.every((member) => operation[member] !== undefined) &&
    (!needs.includes('from') || isPointer(operation['from']))
  );
}

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
    if (!isOperation(operation)) {
      throw new ChangeError(`Operation ${i + 1} of the patch is not a JSON Patch operation.`, [
        { path: '', message: 'must have an “op”, a “path”, and what the operation needs' },
      ]);
    }
  });
}

const REFUSALS: Record<
  PatchError['reason'],
  (path: string) => [sentence: string, message: string]
> = {
  'test-failed': (path) => [
    `${path} is not what the patch expects`,
    'is not what the patch expects',
  ],
  'not-there': (path) => [`the document has nothing at ${path}`, 'is not in the document'],
  'into-itself': (path) => [`${path} lies in what would be moved there`, 'lies in what is moved'],
  'too-large': (path) => [
    `at ${path} the document would be larger than ${DOCUMENT_LIMITS.size.toLocaleString('en')} characters`,
    'makes the document too large',
  ],
  'too-deep': (path) => [
    `at ${path} the document would be nested deeper than ${DOCUMENT_LIMITS.depth} levels`,
    'is nested too deeply',
  ],
  'too-wide': (path) => [
    `at ${path} there would be more than ${DOCUMENT_LIMITS.width} entries`,
    'has too many entries',
  ],
};

function refusal({ reason, path }: PatchError): ChangeError {
  const [sentence, message] = REFUSALS[reason](path);
  return new ChangeError(`The change was refused: ${sentence}.`, [{ path, message }]);
}

/** Applies a patch, gives every new part its place, and puts parts in the order of their places. */
function placed(document: ProjectDocument, patch: Patch): AppliedChange & { patch: Patch } {
  const applied = applyPatch(document, patch);
  const places = isPlainObject(applied.document) ? placePatch(applied.document, document) : [];
  const settled = applyPatch(applied.document, places).document;
  return {
    document: isPlainObject(settled) ? inOrder(settled) : settled,
    // A place that was given stays when the rest is taken back.
    inverse: applied.inverse,
    patch: places.length > 0 ? [...patch, ...places] : patch,
  };
}

/** As `placed`, with what cannot be applied told as a refusal. */
function tryToApply(document: ProjectDocument, patch: Patch): ReturnType<typeof placed> {
  try {
    return placed(document, patch);
  } catch (error) {
    if (error instanceof PatchError) throw refusal(error);
    throw error;
  }
}

/**
 * Applies a JSON Patch to a valid document and checks what it touches, and what refers to that. The document
 * given is left as it is, and what is not touched is shared.
 *
 * @returns with the patch as it was applied, which gives new parts their places
 * @throws ChangeError naming each path at fault
 */
export function applyChange(
  document: ProjectDocument,
  patch: unknown,
): AppliedChange & { patch: Patch } {
  checkShape(patch);
  const applied = tryToApply(document, patch);
  const errors = madeBy(documentErrors(applied.document, document), document);
  const [first] = errors;
  if (first) {
    throw new ChangeError(`${describePath(document, first.path)} ${first.message}.`, errors);
  }
  return applied;
}

/** Errors that a change has made: what did not go together before, by a rule made since, may stay as it is. */
function madeBy(errors: FieldError[], before: ProjectDocument): FieldError[] {
  if (errors.length === 0) return errors;
  const known = new Set(referenceErrors(before).map(({ path, message }) => `${path} ${message}`));
  return errors.filter(({ path, message }) => !known.has(`${path} ${message}`));
}

/** Applies a patch that has been checked before, to the document that it was checked on or one like it. */
export const reapply = (document: ProjectDocument, patch: Patch): ProjectDocument =>
  placed(document, patch).document;

/**
 * A document with a change that is only looked at, made by the program from values within their bounds: what
 * refers to what is checked, the values are not.
 * @returns null when the change does not fit the document
 */
export function previewOf(document: ProjectDocument, patch: Patch): ProjectDocument | null {
  try {
    const after = placed(document, patch).document;
    return madeBy(referenceErrors(after, document), document).length === 0 ? after : null;
  } catch (error) {
    if (error instanceof PatchError) return null;
    throw error;
  }
}

/** The patch that leads from one document to another. */
export const patchBetween = (before: ProjectDocument, after: ProjectDocument): Patch =>
  before === after ? [] : jsonPatch.compare(before, after);

/** Whether two patches touch the same place, or one a place inside the other's. */
export function patchesTouch(a: Patch, b: Patch): boolean {
  const inside = (outer: string, inner: string) => inner === outer || inner.startsWith(`${outer}/`);
  return touchedPaths(a).some((p) => touchedPaths(b).some((q) => inside(p, q) || inside(q, p)));
}
