import { pointerSteps, pointerTo, type Operation, type Patch } from './patch';
import { weigh } from './weight';

/**
 * A JSON Patch applied to a document that stays as it is: the new one shares everything that the patch
 * does not touch, and is frozen where it is new. RFC 6902.
 */

/** Why a patch could not be applied; `path` is the JSON Pointer at fault. */
export class PatchError extends Error {
  override readonly name = 'PatchError';

  constructor(
    readonly reason:
      'not-there' | 'test-failed' | 'into-itself' | 'too-large' | 'too-deep' | 'too-wide',
    readonly path: string,
  ) {
    super(`${reason} at ${path}`);
  }
}

/**
 * Bounds of a document while it is changed: characters of JSON, levels of nesting, and entries of any one
 * object or list. The largest that a document may have by its own rules is 2,000.
 */
export const DOCUMENT_LIMITS = { size: 8_000_000, depth: 16, width: 2500 };

type Container = Record<string, unknown> | unknown[];

const isContainer = (value: unknown): value is Container =>
  typeof value === 'object' && value !== null;

/** Freezes what a change brings along, down to what is frozen already. It is bounded in depth before. */
function freeze<T>(value: T): T {
  if (isContainer(value) && !Object.isFrozen(value)) {
    Object.values(value).forEach(freeze);
    Object.freeze(value);
  }
  return value;
}

/** Where a step leads in a list: an index that is there, or with `end` one past the last. RFC 6901 §4. */
function indexIn(list: readonly unknown[], step: string, end: boolean): number | null {
  if (end && step === '-') return list.length;
  if (!/^(0|[1-9]\d*)$/.test(step)) return null;
  const index = Number(step);
  return index < list.length || (end && index === list.length) ? index : null;
}

/** What stands one step below a value, by own properties only; undefined when nothing does. */
function below(value: unknown, step: string): unknown {
  if (Array.isArray(value)) {
    const index = indexIn(value, step, false);
    return index === null ? undefined : (value as unknown[])[index];
  }
  return isContainer(value) && Object.hasOwn(value, step)
    ? (value as Record<string, unknown>)[step]
    : undefined;
}

/** What stands at a pointer. JSON has no undefined, so that undefined means nothing. */
export const valueAt = (root: unknown, pointer: string): unknown =>
  pointerSteps(pointer).reduce(below, root);

/** Containers copied for a patch: they may be edited where they stand until they are frozen. */
const copied = new WeakSet<Container>();

function copyOf(container: Container): Container {
  const copy: Container = Array.isArray(container)
    ? [...(container as unknown[])]
    : { ...container };
  copied.add(copy);
  return copy;
}

/** A document in which the container that holds the last step of a pointer has been edited, each copied once a patch. */
function edited(
  value: unknown,
  steps: readonly string[],
  pointer: string,
  edit: (container: Container, last: string) => void,
): unknown {
  const [step = '', ...rest] = steps;
  if (!isContainer(value)) throw new PatchError('not-there', pointer);
  const own = copied.has(value) && !Object.isFrozen(value) ? value : copyOf(value);
  if (rest.length === 0) {
    edit(own, step);
  } else {
    const inside = below(own, step);
    if (inside === undefined) throw new PatchError('not-there', pointer);
    (own as Record<string, unknown>)[step] = edited(inside, rest, pointer, edit);
  }
  return own;
}

/** What one operation made of a document, and the operations that take it back, in order. */
interface Applied {
  root: unknown;
  inverse: Patch;
}

function add(root: unknown, path: string, value: unknown): Applied {
  const steps = pointerSteps(path);
  if (steps.length === 0)
    return { root: value, inverse: [{ op: 'replace', path: '', value: freeze(root) }] };
  let inverse: Patch = [];
  const after = edited(root, steps, path, (container, last) => {
    // What is added to a list is one more; to an object only where nothing stands there.
    const isMore = Array.isArray(container) || !Object.hasOwn(container, last);
    if (isMore && Object.keys(container).length >= DOCUMENT_LIMITS.width) {
      throw new PatchError('too-wide', path);
    }
    if (Array.isArray(container)) {
      const index = indexIn(container, last, true);
      if (index === null) throw new PatchError('not-there', path);
      container.splice(index, 0, value);
      inverse = [{ op: 'remove', path: pointerTo([...steps.slice(0, -1), String(index)]) }];
      return;
    }
    const before = below(container, last);
    inverse = [
      before === undefined
        ? { op: 'remove', path }
        : { op: 'replace', path, value: freeze(before) },
    ];
    // Not by assignment, which a key such as __proto__ would take for something else.
    Object.defineProperty(container, last, {
      value,
      enumerable: true,
      configurable: true,
      writable: true,
    });
  });
  return { root: after, inverse };
}

function remove(root: unknown, path: string): Applied {
  const value = freeze(valueAt(root, path));
  const steps = pointerSteps(path);
  if (value === undefined || steps.length === 0) throw new PatchError('not-there', path);
  const after = edited(root, steps, path, (container, last) => {
    if (Array.isArray(container)) container.splice(Number(last), 1);
    else delete container[last];
  });
  return { root: after, inverse: [{ op: 'add', path, value }] };
}

function replace(root: unknown, path: string, value: unknown): Applied {
  const before = freeze(valueAt(root, path));
  if (before === undefined) throw new PatchError('not-there', path);
  const steps = pointerSteps(path);
  const inverse: Patch = [{ op: 'replace', path, value: before }];
  if (steps.length === 0) return { root: value, inverse };
  const after = edited(root, steps, path, (container, last) => {
    (container as Record<string, unknown>)[last] = value;
  });
  return { root: after, inverse };
}

function move(root: unknown, from: string, path: string): Applied {
  if (path.startsWith(`${from}/`)) throw new PatchError('into-itself', path);
  const value = valueAt(root, from);
  const taken = remove(root, from);
  const put = add(taken.root, path, value);
  return { root: put.root, inverse: [...put.inverse, ...taken.inverse] };
}

/** Whether two JSON values are equal; the order of members does not count. RFC 6902 §4.6. */
function equal(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (!isContainer(a) || !isContainer(b) || Array.isArray(a) !== Array.isArray(b)) return false;
  const [keys, others] = [Object.keys(a), Object.keys(b)];
  return (
    keys.length === others.length &&
    keys.every((key) => Object.hasOwn(b, key) && equal(below(a, key), below(b, key)))
  );
}

function applyOperation(root: unknown, operation: Operation): Applied {
  const { path } = operation;
  switch (operation.op) {
    case 'add':
      return add(root, path, operation.value);
    case 'replace':
      return replace(root, path, operation.value);
    case 'remove':
      return remove(root, path);
    case 'move':
      return move(root, operation.from, path);
    case 'copy': {
      const value = valueAt(root, operation.from);
      if (value === undefined) throw new PatchError('not-there', operation.from);
      return add(root, path, value);
    }
    case 'test':
      if (!equal(valueAt(root, path), operation.value)) throw new PatchError('test-failed', path);
      return { root, inverse: [] };
    default:
      throw new PatchError('not-there', path);
  }
}

/** What is put in by an operation, if anything is. */
function broughtBy(root: unknown, operation: Operation): unknown {
  if (operation.op === 'add' || operation.op === 'replace') return operation.value;
  return operation.op === 'copy' ? valueAt(root, operation.from) : undefined;
}

/** Refuses what is too large, deep or wide. @returns about how many characters it has */
function withinLimits(value: unknown, path: string, above = 0): number {
  const { size, depth, width } = weigh(value);
  if (above + depth > DOCUMENT_LIMITS.depth) throw new PatchError('too-deep', path);
  if (width > DOCUMENT_LIMITS.width) throw new PatchError('too-wide', path);
  if (size > DOCUMENT_LIMITS.size) throw new PatchError('too-large', path);
  return size;
}

/**
 * Applies a patch, operation by operation, each within the limits of a document. The document given is
 * frozen, as is the new one: both may be shared. What it costs grows with the operations and with what they
 * touch, not with one times the other.
 *
 * @returns the new document, and the patch that leads back to the one given
 * @throws PatchError
 */
export function applyPatch<T>(document: T, patch: Patch): { document: T; inverse: Patch } {
  let root: unknown = freeze(document);
  // What came is counted and what went is not taken off: what is there is weighed again when this is too much.
  let size = weigh(root).size;
  const inverses: Patch[] = [];
  for (const operation of patch) {
    const { path } = operation;
    if (operation.op === 'test') withinLimits(operation.value, path);
    const brought = broughtBy(root, operation);
    if (brought !== undefined) {
      size += withinLimits(brought, path, pointerSteps(path).length) + path.length;
      freeze(brought);
    }
    const applied = applyOperation(root, operation);
    root = applied.root;
    if (size > DOCUMENT_LIMITS.size) size = withinLimits(root, path);
    inverses.push(applied.inverse);
  }
  withinLimits(freeze(root), patch.at(-1)?.path ?? '');
  return { document: root as T, inverse: inverses.reverse().flat() };
}
